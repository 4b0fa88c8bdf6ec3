import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser'
import { printAST } from '@formatjs/icu-messageformat-parser/printer.js'

const LETTERS: Record<string, string> = {
  a: 'á',
  e: 'é',
  i: 'í',
  o: 'ó',
  u: 'ú',
  y: 'ý',
  A: 'Á',
  E: 'É',
  I: 'Í',
  O: 'Ó',
  U: 'Ú',
  Y: 'Ý',
}

/** What is the same in every language: names of formats and units, figures. */
const SAME =
  /^(Gimbo|SVG|PNG|PDF|DXF|FOLD|CSV|JSON|ZIP|HP-GL|UUID|US|Ctrl|Shift|Page|Home|End|Esc|Tab|Enter|[A-Z]\d+|bin\/cutter)$/
const AFTER_FIGURE = /(\d\s?)(in|mm|cm|gsm|pt|kB|m|x|y)\b/g

const word = (text: string) =>
  SAME.test(text)
    ? text
    : text.replace(/[aeiouyAEIOUY]/g, (letter) => LETTERS[letter] ?? letter) +
      (text.length > 5 ? 'øø' : text.length > 2 ? 'ø' : '')

function said(text: string): string {
  const kept: string[] = []
  const marked = text.replace(AFTER_FIGURE, (whole) => `\u0001${String(kept.push(whole) - 1)}\u0002`)
  return marked
    .replace(/[A-Za-z][A-Za-z-]*(?:\/[a-z]+)?/g, word)
    .replace(/\u0001(\d+)\u0002/g, (_, i) => kept[Number(i)] ?? '')
}

function elements(all: MessageFormatElement[]): MessageFormatElement[] {
  return all.map((one) => {
    if (one.type === TYPE.literal) return { ...one, value: said(one.value) }
    if (one.type !== TYPE.plural && one.type !== TYPE.select) return one
    const options = Object.fromEntries(
      Object.entries(one.options).map(([of, { value }]) => [of, { value: elements(value) }]),
    )
    if (one.type === TYPE.plural) {
      const more = (mark: string) => ({
        value: [...(options.other?.value ?? []), { type: TYPE.literal, value: mark } as MessageFormatElement],
      })
      Object.assign(options, { two: more(' ²'), few: more(' ³') })
    }
    return { ...one, options }
  })
}

/**
 * A language made up out of English, to see that every view speaks by its file of sentences: longer words, other letters,
 * a decimal comma, four forms of number. `make language` writes its file.
 */
export function madeUp(sentences: Record<string, string>): string {
  const all = Object.entries(sentences).map(([key, sentence]) => {
    if (key === 'language') return [key, 'sl-x-tern']
    if (key === 'number.decimal') return [key, ',']
    return [key, sentence.includes('{') ? printAST(elements(parse(sentence, { ignoreTag: true }))) : said(sentence)]
  })
  return `${JSON.stringify(Object.fromEntries(all), null, 2)}\n`
}
