import type { Step } from '@/api/client'

/** The number of the step in which faces are folded; null where none says so. */
export function stepOf(
  stage: { piece: string; faces: string[] },
  steps: Array<Pick<Step, 'piece' | 'do' | 'faces'>>,
): number | null {
  const found = (['fold', 'glue', 'close'] as const)
    .map((deed) =>
      steps.findIndex(
        (step) =>
          step.do === deed && step.piece === stage.piece && step.faces.some((face) => stage.faces.includes(face)),
      ),
    )
    .find((at) => at >= 0)
  return found === undefined ? null : found + 1
}
