/** Sentences in other languages than the one that is built in, each fetched when it is spoken. */
export const languages = import.meta.glob<{ default: Record<string, string> }>([
  '../../lang/*.json',
  '!../../lang/en.json',
])
