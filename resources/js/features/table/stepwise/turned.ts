import type { Step } from '@/api/client'

/**
 * How far the sheet is turned since the step before, as quarters of a turn clockwise; null where it is another piece, or only
 * now cut.
 */
export function turnedSince(
  steps: Array<Pick<Step, 'piece' | 'turn' | 'do' | 'fence'>>,
  order: number[],
  place: number,
): number | null {
  const [step, earlier] = [steps[order[place] ?? -1], steps[order[place - 1] ?? -1]]
  // What lies at no fence lies as it likes.
  if (!step || step.fence === null || !earlier || earlier.piece !== step.piece || earlier.do === 'cut') return null
  const quarters = ((step.turn - earlier.turn) / 90 + 8) % 4
  // To a corner or a slant it is not turned by quarters: how it lies is said there.
  return Number.isInteger(quarters) ? quarters : 0
}
