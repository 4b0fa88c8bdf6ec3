import type { XY } from './geometry'

/** Something written on the drawing. Where it does not fit, the next of its places is tried, or it is left out. */
export interface Label {
  id: string
  /** Set as a figure where it is a length, else as it is. */
  text: string
  kind: 'tick' | 'mark' | 'face' | 'contents' | 'dimension'
  px: number
  /** The middle of the label, in pixels, the best place first. */
  places: XY[]
  /** Degrees clockwise. */
  turn?: number
  /** Whether the unit is written. */
  unit?: boolean
  before?: string
  after?: string
  /** Smaller goes first. */
  rank: number
  isLit?: boolean
  aside?: string
  /** A second figure after a multiplication sign. */
  by?: string
}

export interface Placed extends Label {
  at: XY
}

interface Box {
  left: number
  top: number
  right: number
  bottom: number
}

const FIGURE = /^(≈ )?(-)?(?:(\d+(?:\.\d+)?)(?= |$))?(?: ?(\d+)\/(\d+))?(?: ([a-z]+))?$/
const DIGIT_EM = 0.51
const GAP_PX = 2

/** About how wide a text is set; a little too wide rather than too narrow. */
export function widthOf(label: Pick<Label, 'text' | 'px' | 'unit' | 'before' | 'after' | 'by'>): number {
  const asides = (label.before?.length ?? 0) + (label.after?.length ?? 0)
  const one = (text: string, unit: boolean) => {
    const parts = FIGURE.exec(text)
    if (!parts) return text.length * 0.54
    const [, about, minus, whole = '', top, bottom, name = ''] = parts
    const fraction = top ? 0.14 + 0.62 * Math.max(0.95, Math.max(top.length, bottom?.length ?? 0) * DIGIT_EM) : 0
    const written = whole.length * DIGIT_EM + fraction + (about ? 0.9 : 0) + (minus ? 0.55 : 0)
    return written + (unit && name ? 0.24 + name.length * 0.56 * 0.78 : 0)
  }
  const both =
    label.by === undefined ? one(label.text, label.unit ?? false) : one(label.text, false) + 1.1 + one(label.by, true)
  return (both + asides * 0.62) * label.px + 4
}

export const heightOf = (label: Pick<Label, 'text' | 'px' | 'by'>) =>
  (`${label.text}${label.by ?? ''}`.includes('/') ? 1.5 : 1.25) * label.px + 2

function boxOf(label: Label, [x, y]: XY): Box {
  const [w, h] = [widthOf(label) / 2, heightOf(label) / 2]
  const turn = ((label.turn ?? 0) * Math.PI) / 180
  const [cos, sin] = [Math.abs(Math.cos(turn)), Math.abs(Math.sin(turn))]
  const [wide, high] = [w * cos + h * sin, w * sin + h * cos]
  return { left: x - wide, top: y - high, right: x + wide, bottom: y + high }
}

const meet = (a: Box, b: Box) =>
  a.left < b.right + GAP_PX && b.left < a.right + GAP_PX && a.top < b.bottom + GAP_PX && b.top < a.bottom + GAP_PX

/** Those labels that can be written without touching one another or leaving the picture, the weightiest first. */
export function placeLabels(labels: readonly Label[], width: number, height: number): Placed[] {
  const taken: Box[] = []
  const placed: Placed[] = []
  for (const label of [...labels].sort((a, b) => a.rank - b.rank)) {
    for (const at of label.places) {
      const box = boxOf(label, at)
      const isInside = box.left >= 0 && box.top >= 0 && box.right <= width && box.bottom <= height
      if (!isInside || taken.some((other) => meet(box, other))) continue
      taken.push(box)
      placed.push({ ...label, at })
      break
    }
  }
  return placed
}
