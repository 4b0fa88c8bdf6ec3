import { readFileSync } from 'node:fs'
import { IntlMessageFormat } from 'intl-messageformat'

/** What a view says by the key of its sentence, in the language it runs in. */
export type Say = (key: string, params?: Record<string, string | number>) => string

export function sayIn(language: string): Say {
  const sentences = JSON.parse(readFileSync(`lang/${language}.json`, 'utf8')) as Record<string, string>
  return (key, params = {}) => {
    const sentence = sentences[key]
    if (sentence === undefined) throw new Error(`no sentence ${key}`)
    return sentence.includes('{')
      ? String(new IntlMessageFormat(sentence, language, undefined, { ignoreTag: true }).format(params))
      : sentence
  }
}

/** To find what begins so. */
export const begins = (text: string) => new RegExp(`^${text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}`)
