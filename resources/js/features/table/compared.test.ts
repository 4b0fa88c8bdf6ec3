import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import type { Sized } from '@/api/client'
import { compared } from './compared'

const kept = (name: string) => JSON.parse(readFileSync(`core/tests/Golden/${name}/result.json`, 'utf8')) as Sized

it('marks every row whose figures differ, and no other', () => {
  const one = kept('spring-fair-invitation')
  const other = structuredClone(one)
  other.closed.text.width = '9 in'
  const [check] = other.checks
  if (!check) throw new Error('no check')
  check.text.spare = '7/8 in'
  check.text.slack = '7/8 in'
  const rows = compared([one, other]).filter((row) => !row.heading)
  expect(rows.filter((row) => row.differs).map((row) => row.key)).toEqual([
    'closed',
    `check ${check.id} ${check.piece}`,
  ])
  expect(rows.length).toBeGreaterThan(6)
  expect(compared([one, one]).every((row) => !row.differs)).toBe(true)
})

it('marks what only one of them has', () => {
  const one = kept('spring-fair-invitation')
  const other = { ...one, takes: 4 }
  expect(
    compared([one, other])
      .filter((row) => row.differs)
      .map((row) => row.key),
  ).toEqual(['takes'])
})

it('says which fits fail', () => {
  const rows = compared([kept('certificate-too-large-for-letter')])
  expect(rows.filter((row) => row.cells.some((cell) => cell.isBad)).map((row) => row.key)).toContain(
    'check sheet-from-paper envelope',
  )
})
