import { expect, it } from 'vitest'
import { stepOf } from './stepOf'

const step = (what: 'fold' | 'glue' | 'close', piece: string, faces: string[]) => ({ do: what, piece, faces })
const steps = [
  step('fold', 'tray', ['left-wall', 'right-wall']),
  step('glue', 'tray', ['left-tab']),
  step('fold', 'lid', ['left-wall']),
  step('close', 'lid', ['top-flap']),
]

it('finds the step that folds the faces of a piece, or glues or closes what no step folds', () => {
  expect(stepOf({ piece: 'lid', faces: ['left-wall'] }, steps)).toBe(3)
  expect(stepOf({ piece: 'tray', faces: ['left-tab'] }, steps)).toBe(2)
  expect(stepOf({ piece: 'lid', faces: ['top-flap'] }, steps)).toBe(4)
  expect(stepOf({ piece: 'tray', faces: ['base'] }, steps)).toBeNull()
})
