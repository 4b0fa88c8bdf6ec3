import type { Piece, Step } from '@/api/client'
import type { XY } from '../drawing/geometry'

export interface OnTool {
  /** Pixels of a point of the flat sheet, as it lies now. */
  at: (point: XY) => XY
  scale: number
  /** The sheet's left and upper end, in pixels, after the corner's stand-off. */
  left: number
  top: number
  width: number
  height: number
}

/** Fits a sheet, turned as the core says, into a room: fence on the left, ruler above. */
export function onTool(
  piece: Piece,
  turn: number,
  standoff: number,
  room: { left: number; top: number; width: number; height: number },
): OnTool {
  const [cos, sin] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)]
  // Clockwise on the screen: x to the right, y up on the sheet and down in pixels.
  const turned = ([x, y]: XY): XY => [x * cos + y * sin, -y * cos + x * sin]
  const { width, height } = piece.sheet
  const corners = (
    [
      [0, 0],
      [width, 0],
      [width, height],
      [0, height],
    ] as const
  ).map(turned)
  const [x0, y0] = [Math.min(...corners.map(([x]) => x)), Math.min(...corners.map(([, y]) => y))]
  const [wide, high] = [
    Math.max(...corners.map(([x]) => x)) - x0 + standoff,
    Math.max(...corners.map(([, y]) => y)) - y0 + standoff,
  ]
  const scale = Math.min(room.width / wide, room.height / high)
  return {
    scale,
    left: room.left,
    top: room.top,
    width: wide * scale,
    height: high * scale,
    at: (point) => {
      const [x, y] = turned(point)
      return [room.left + (x - x0 + standoff) * scale, room.top + (y - y0 + standoff) * scale]
    },
  }
}

/**
 * How far the sheet is turned since the step before, as quarters of a turn clockwise; null where it is another piece, or only
 * now cut.
 */
export function turnedSince(
  steps: Array<Pick<Step, 'piece' | 'lying' | 'do'>>,
  order: number[],
  place: number,
): number | null {
  const [step, earlier] = [steps[order[place] ?? -1], steps[order[place - 1] ?? -1]]
  if (!step || !earlier || earlier.piece !== step.piece || earlier.do === 'cut') return null
  const quarters = ((step.lying.turn - earlier.lying.turn) / 90 + 8) % 4
  // To a corner or a slant it is not turned by quarters: how it lies is said there.
  return Number.isInteger(quarters) ? quarters : 0
}
