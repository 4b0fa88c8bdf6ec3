import { expect, it } from 'vitest'
import type { PaperStock } from '@/api/client'
import { paperChanges } from './paperChanges'

const PAPER = {
  id: 'p',
  name: 'Low tide',
  colour: '#c8d6d9',
  grammage: 240,
  caliper: '0.31 mm',
  width: '12 in',
  height: '8 in',
} as PaperStock

it('takes over everything of a paper that sizes or shows a design', () => {
  expect(paperChanges(PAPER)).toEqual([
    { at: '/paper/name', to: 'Low tide' },
    { at: '/paper/colour', to: '#c8d6d9' },
    { at: '/paper/grammage', to: 240 },
    { at: '/paper/caliper', to: '0.31 mm' },
    { at: '/paper/sheet', to: { width: '12 in', height: '8 in' } },
  ])
})

it('leaves the sheet open where the paper has no size', () => {
  expect(paperChanges({ ...PAPER, width: null, height: null })).toContainEqual({ at: '/paper/sheet', to: null })
})
