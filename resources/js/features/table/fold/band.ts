import type { XYZ } from './folded'

/** Off the thing it goes round, so that paper on paper is told apart. */
const LIFT_MM = 0.8

/**
 * A band once round what there is, the shorter way, in its middle.
 *
 * @param points of the finished thing, mm
 * @param lie how far its sides are turned against the frame, radians
 * @param width of the band, mm
 * @returns four sides, each a ring of four corners
 */
export function bandRound(points: readonly XYZ[], lie: number, width: number): XYZ[][] {
  if (points.length === 0) return []
  const turned = (by: number, [x, y, z]: XYZ): XYZ => [
    x * Math.cos(by) - y * Math.sin(by),
    x * Math.sin(by) + y * Math.cos(by),
    z,
  ]
  const along = ([0, 1, 2] as const).map((axis) => {
    const at = points.map((point) => turned(-lie, point)[axis])
    return [at.reduce((a, b) => Math.min(a, b)), at.reduce((a, b) => Math.max(a, b))] as const
  })
  const [x, y, z] = along
  if (!x || !y || !z) return []
  const isUpright = x[1] - x[0] <= y[1] - y[0]
  const [across, length] = isUpright ? [x, y] : [y, x]
  const middle = (length[0] + length[1]) / 2
  const half = Math.min(width, length[1] - length[0]) / 2
  const [left, right, low, high] = [across[0] - LIFT_MM, across[1] + LIFT_MM, z[0] - LIFT_MM, z[1] + LIFT_MM]
  const round = [
    [left, low],
    [right, low],
    [right, high],
    [left, high],
  ] as const
  const at = (over: number, up: number, on: number): XYZ =>
    turned(lie, isUpright ? [over, middle + on * half, up] : [middle + on * half, over, up])
  return round.map(([over, up], i) => {
    const [next, nextUp] = round[(i + 1) % 4] ?? round[0]
    return [at(over, up, -1), at(next, nextUp, -1), at(next, nextUp, 1), at(over, up, 1)]
  })
}
