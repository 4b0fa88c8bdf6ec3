import { expect, test } from 'vitest'
import { withKey, withoutLast, withPart, withUnit } from './touch'

test.each([
  ['4', 4, '4 1/4'],
  ['4 1/4', 8, '4 3/8'],
  ['4 1/2 in', 8, '4 5/8 in'],
  ['4 7/8', 8, '5'],
  ['', 16, '1/16'],
  ['1/16', 16, '1/8'],
  ['15/16 in', 16, '1 in'],
])('%s and a part of %i is %s', (text, part, sum) => expect(withPart(text, part)).toBe(sum))

test('a unit takes the place of the one before', () => {
  expect(withUnit('4 1/4', 'in')).toBe('4 1/4 in')
  expect(withUnit('108 mm', 'cm')).toBe('108 cm')
})

test('what is pressed goes before the unit', () => {
  expect(withKey('10 mm', '8')).toBe('108 mm')
  expect(withKey('10', '.')).toBe('10.')
})

test('what was written last is taken away as a whole', () => {
  expect(withoutLast('4 1/4 in')).toBe('4 1/4')
  expect(withoutLast('4 1/4')).toBe('4')
  expect(withoutLast('42')).toBe('4')
})
