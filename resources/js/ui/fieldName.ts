import { hasWords, words } from '@/words'

/** What a field of the request is called; those of one thing among several alike are called the same. */
export function fieldName(at: string): string {
  const key = `field${at
    .replace(/^\/with\/\d+(?=\/)/, '/with')
    .replace(/^\/papers\/[^/]+/, '/paper')
    .replaceAll('/', '.')}`
  return hasWords(key) ? words(key) : words('field.with')
}
