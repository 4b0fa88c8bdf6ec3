import sentences from '../../lang/en.json'

const known: Record<string, string> = sentences

/** The sentence with that key, its {placeholders} filled in. A missing one shows its key, and a test finds it. */
export function words(key: string, params: Record<string, string | number> = {}): string {
  const sentence = known[key] ?? key
  return sentence.replace(/\{([\w-]+)\}/g, (whole, name: string) => String(params[name] ?? whole))
}

/** The language the sentences are in, as browsers name languages. */
export const language = words('language')

/** Things one after another, as the language joins them. */
export const listed = (names: string[]) => new Intl.ListFormat(language).format(names)

export function hasWords(key: string): boolean {
  return key in known
}

/** The sentence cut at its placeholders, for those that are filled with more than text. */
export function wordsAround(key: string): Array<{ text: string } | { slot: string }> {
  return (known[key] ?? key)
    .split(/(\{[\w-]+\})/)
    .filter((part) => part !== '')
    .map((part) => (part.startsWith('{') ? { slot: part.slice(1, -1) } : { text: part }))
}
