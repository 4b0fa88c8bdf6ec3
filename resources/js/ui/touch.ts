import { create } from 'zustand'

interface Touch {
  /** Whether a hand presses, not a mouse: the last that did, at first what the machine has. */
  isHand: boolean
  /** Whether she asked for the keys with letters. */
  wantsLetters: boolean
  /** The field the program's own keys write in now. */
  field: HTMLInputElement | null
}

export const useTouch = create<Touch>(() => ({
  isHand: matchMedia('(pointer: coarse)').matches,
  wantsLetters: false,
  field: null,
}))

/** Where was written last: it keeps the keys that were asked for there. */
let last: HTMLInputElement | null = null

/** Follows what presses, and where is written; the machine's own keys stay away while the program's are there. */
export function watchTouch() {
  document.addEventListener(
    'pointerdown',
    ({ pointerType }) => useTouch.setState({ isHand: pointerType !== 'mouse' }),
    true,
  )
  document.addEventListener('focusin', ({ target }) => {
    const field = target instanceof HTMLInputElement && target.dataset.keypad !== undefined ? target : null
    useTouch.setState({ field, ...(field === null || field === last ? {} : { wantsLetters: false }) })
    if (!field) return
    last = field
    const { isHand, wantsLetters } = useTouch.getState()
    field.inputMode = isHand && !wantsLetters ? 'none' : 'text'
  })
  document.addEventListener('focusout', ({ relatedTarget }) => {
    if (relatedTarget === null && document.hasFocus()) useTouch.setState({ field: null })
  })
}

/** The machine's own keys for a field; what is entered afresh brings them up. */
export function writeWithLetters(field: HTMLInputElement) {
  useTouch.setState({ wantsLetters: true })
  field.blur()
  field.focus()
}

/** A length while it is written: whole number, part of one, unit. */
const WRITTEN = /^\s*(?:(\d+)(?=[\sa-z″"]|$))?\s*(?:(\d+)\/(\d+))?\s*([a-z″"]*)\s*$/i

const reduced = (over: number, under: number): [number, number] => {
  let [a, b] = [over, under]
  while (b > 0) [a, b] = [b, a % b]
  return [over / a, under / a]
}

/** The text once a part is added to it: 4 1/4 in and an eighth are 4 3/8 in; what is written in tenths gives way. */
export function withPart(text: string, under: number): string {
  const [, whole = '', over = '0', of = '1', unit = ''] = WRITTEN.exec(text) ?? []
  const sum = Number(over) * under + Number(of)
  const [parts, by] = reduced(sum, Number(of) * under)
  const all = Number(whole || 0) + Math.floor(parts / by)
  const rest = parts % by
  return [all > 0 ? String(all) : '', rest > 0 ? `${rest}/${by}` : '', unit].filter((one) => one !== '').join(' ')
}

const UNIT = /\s*(in|mm|cm|″|")\s*$/i

/** The text in a unit, or in another than before. */
export const withUnit = (text: string, unit: string) => `${text.replace(UNIT, '')} ${unit}`.trim()

/** The text with a character more, before its unit where it has one. */
export function withKey(text: string, key: string): string {
  const unit = UNIT.exec(text)?.[0] ?? ''
  return text.slice(0, text.length - unit.length) + key + unit
}

/** The text with what was written last taken away: a unit, a part of a number, or one character. */
export function withoutLast(text: string): string {
  if (UNIT.test(text)) return text.replace(UNIT, '')
  return /\d+\/\d+$/.test(text) ? text.replace(/\s*\d+\/\d+$/, '') : text.slice(0, -1).trimEnd()
}
