import { hasWords, words } from '@/words'

/** What a field of the request is called; those of one thing among several alike are called the same. */
export function fieldName(at: string): string {
  const key = `field${at
    .replace(/^\/with\/\d+(?=\/)/, '/with')
    .replace(/^\/papers\/[^/]+/, '/paper')
    .replaceAll('/', '.')}`
  if (hasWords(key)) return words(key)
  return /^\/(with|papers|pieces)\b/.test(at) ? words('field.with') : at
}
