import { IntlMessageFormat } from 'intl-messageformat'
import english from '../../lang/en.json'
import { languages } from './languages'

type Sentences = Record<string, string>

let known: Sentences = english
const formats = new Map<string, IntlMessageFormat>()

/** The language the sentences are in, as browsers name languages. */
export const language = () => known.language ?? 'en'

/** Takes the sentences of another language, where there is a file of them. */
export async function speak(wanted: string): Promise<void> {
  const file = languages[`../../lang/${wanted}.json`]
  if (file) speakBy((await file()).default)
}

/** The same with sentences that are at hand. */
export function speakBy(sentences: Sentences) {
  known = sentences
  formats.clear()
}

function format(key: string, sentence: string): IntlMessageFormat {
  const made = formats.get(key) ?? new IntlMessageFormat(sentence, language(), undefined, { ignoreTag: true })
  formats.set(key, made)
  return made
}

/** A figure as the core writes it. */
const FIGURE = /^-?\d+\.\d+(?= ?(?:in|mm|cm|%|°)?$)/

/** Every decimal sign in a text of figures as the language writes it. */
export const withDecimalSign = (text: string) => text.replace(/(\d)\.(?=\d)/g, `$1${known['number.decimal'] ?? '.'}`)

type Params = Record<string, string | number>

const localized = (params: Params): Params =>
  Object.fromEntries(
    Object.entries(params).map(([name, value]) => [
      name,
      typeof value === 'string' && FIGURE.test(value) ? withDecimalSign(value) : value,
    ]),
  )

/** The sentence with that key (ICU message syntax), its arguments filled in. A missing one shows its key, and a test finds it. */
export function words(key: string, params: Params = {}): string {
  const sentence = known[key]
  if (sentence === undefined || !sentence.includes('{')) return sentence ?? key
  return String(format(key, sentence).format(localized(params)))
}

/** Things one after another, as the language joins them. */
export const listed = (names: string[]) => new Intl.ListFormat(language()).format(names)

export function hasWords(key: string): boolean {
  return key in known
}

type Part = { text: string } | { slot: string }

/** The sentence cut at the arguments that are filled with more than text; the others are filled in. */
export function wordsAround(key: string, params: Params = {}): Part[] {
  const sentence = known[key] ?? key
  const slots = Object.fromEntries(
    [...sentence.matchAll(/\{([\w-]+)\}/g)].flatMap(([, name = '']) =>
      name in params ? [] : [[name, { slot: name }]],
    ),
  )
  return format(key, sentence)
    .formatToParts<{ slot: string }>({ ...localized(params), ...slots })
    .flatMap((part): Part[] =>
      typeof part.value === 'string' ? (part.value === '' ? [] : [{ text: part.value }]) : [part.value],
    )
}
