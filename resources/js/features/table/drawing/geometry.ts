import type { Piece } from '@/api/client'

export type XY = readonly [number, number]

/** Millimetres on the sheet (x right, y up) to the picture's pixels (y down), the sheet lying as it lies on its tool. */
export interface View {
  scale: number
  at: (point: XY) => XY
  /** Where the tool's zero is, in pixels, and how far the sheet reaches from it, in millimetres. */
  zero: XY
  reach: XY
}

export interface Room {
  left: number
  top: number
  width: number
  height: number
}

/** Fits the sheet into the room, corner up or square as it lies; or lays it there to a scale that is given. */
export function viewOf(piece: Piece, room: Room, given?: number): View {
  const { width, height } = piece.sheet
  const turn = piece.lie === 'corner-up' ? Math.PI / 4 : 0
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)]
  const [wide, high] = [width * cos + height * sin, width * sin + height * cos]
  const standoff = Math.max(0, ...piece.measures.map((measure) => measure.standoff))
  const scale = given ?? Math.max(0.05, Math.min(room.width / (wide + standoff), room.height / (high + standoff)))
  const x0 = room.left + (room.width - (wide + standoff) * scale) / 2
  const y0 = room.top + (room.height - (high + standoff) * scale) / 2
  const centre = [x0 + (standoff + wide / 2) * scale, y0 + (standoff + high / 2) * scale] as const
  return {
    scale,
    at: ([x, y]) => {
      const [dx, dy] = [x - width / 2, y - height / 2]
      return [centre[0] + (dx * cos - dy * sin) * scale, centre[1] - (dx * sin + dy * cos) * scale]
    },
    zero: [x0, y0],
    reach: [wide + standoff, high + standoff],
  }
}

export interface Mark {
  measure: number
  ruler: 'top' | 'left'
  /** Millimetres from the ruler's zero to the line. */
  at: number
  /** The edge it is read from, where that is not the ruler's own zero. */
  from?: 'right' | 'bottom'
}

/**
 * Where a measure's line lies along the rulers drawn at the top and the left.
 *
 * Straight scores: those read from the right or the bottom say so. Punch marks: the sheet's top edge is its first side,
 * its left edge the second (it is turned clockwise); the others are read when they come round. Diagonal scores: those
 * from the left and the upper corner. Cuts and trims have no place here.
 */
export function marksOf(piece: Pick<Piece, 'measures' | 'sheet'>): Mark[] {
  const { width, height } = piece.sheet
  return piece.measures.flatMap((measure, i): Mark[] => {
    const mark = (ruler: Mark['ruler'], at = measure.at): Mark => ({ measure: i, ruler, at })
    const fromRight = (): Mark => ({ ...mark('top', width - measure.at), from: 'right' })
    const fromBottom = (): Mark => ({ ...mark('left', height - measure.at), from: 'bottom' })
    if (measure.kind === 'punch' && measure.side === 1) return [measure.from === 'left' ? mark('top') : fromRight()]
    // The left edge, turned to the punch, has the sheet's lower corner on its left.
    if (measure.kind === 'punch' && measure.side === 2) return [measure.from === 'right' ? mark('left') : fromBottom()]
    if (measure.kind !== 'score' && measure.kind !== 'mark') return []
    if (measure.from === 'top-left' || measure.from === 'left') return [mark('top')]
    if (measure.from === 'top-right' || measure.from === 'top') return [mark('left')]
    if (measure.from === 'right') return [fromRight()]
    if (measure.from === 'bottom') return [fromBottom()]
    return []
  })
}

export interface Tick {
  at: number
  size: 0 | 1 | 2 | 3
  label?: string
}

const INCH = 25.4
const NARROWEST_TICK_PX = 4
const NARROWEST_LABEL_PX = 24

/** A ruler's graduations up to a length, as fine as there is room for; sizes run from 3 (labelled) down to 0. */
export function ticksOf(lengthMm: number, system: 'imperial' | 'metric', pxPerMm: number): Tick[] {
  const [unit, parts] = system === 'imperial' ? [INCH, [1, 2, 4, 8]] : [10, [1, 2, 2, 10]]
  const sizes = parts.filter((part) => (unit / part) * pxPerMm >= NARROWEST_TICK_PX)
  const finest = sizes.at(-1) ?? 1
  const every = Math.max(1, Math.ceil(NARROWEST_LABEL_PX / (unit * pxPerMm)))
  const ticks: Tick[] = []
  for (let i = 0; i <= Math.floor((lengthMm / unit) * finest + 1e-9); i++) {
    const coarsest = parts.findIndex((part) => (i * part) % finest === 0)
    const whole = i / finest
    ticks.push({
      at: whole * unit,
      size: Math.max(0, 3 - coarsest) as Tick['size'],
      ...(i % finest === 0 && whole % every === 0 ? { label: String(whole) } : {}),
    })
  }
  return ticks
}

export function middle(points: readonly XY[]): XY {
  const n = Math.max(points.length, 1)
  return [points.reduce((sum, [x]) => sum + x, 0) / n, points.reduce((sum, [, y]) => sum + y, 0) / n]
}

/** The middle of a face by its area, where a label looks centred. */
export function centroid(ring: readonly XY[]): XY {
  let [area, x, y] = [0, 0, 0]
  ring.forEach(([x1, y1], i) => {
    const [x2, y2] = ring[(i + 1) % ring.length] ?? [x1, y1]
    const cross = x1 * y2 - x2 * y1
    area += cross
    x += (x1 + x2) * cross
    y += (y1 + y2) * cross
  })
  return area === 0 ? middle(ring) : [x / (3 * area), y / (3 * area)]
}

export const path = (points: readonly XY[]) => points.map(([x, y]) => `${x.toFixed(2)},${y.toFixed(2)}`).join(' ')

/** Whether a point lies inside a ring of corners, by the even-odd rule. */
export function isInside([x, y]: XY, ring: readonly XY[]): boolean {
  let inside = false
  ring.forEach(([x1, y1], i) => {
    const [x2, y2] = ring[(i + 1) % ring.length] ?? [x1, y1]
    if (y1 > y !== y2 > y && x < ((x2 - x1) * (y - y1)) / (y2 - y1) + x1) inside = !inside
  })
  return inside
}
