import { describe, expect, it } from 'vitest'
import type { ShelfCard } from '@/api/client'
import { found, grouped } from './found'

const card = (name: string, some: Partial<ShelfCard> = {}, make = 'folded-card', width = 100): ShelfCard => ({
  id: name,
  name,
  group: '',
  savedAt: '',
  drawing: { width: 1, height: 1, lie: 'square', faces: [], cuts: [], mountains: [], valleys: [] },
  summary: {
    make,
    system: 'metric',
    fits: true,
    holds: { width, height: 50, thickness: 1, count: 1, text: { width: `${width} mm`, height: '50 mm' } },
  },
  ...some,
})
const shelf = [
  card('Tern count'),
  card('Égg box', { group: 'Fair' }, 'tray-and-lid', 60),
  card('Boat ticket', {}, 'folded-card', 80),
]
const names = (cards: ShelfCard[]) => cards.map(({ name }) => name)

describe('found', () => {
  it('finds by name without its accents, by group, by what it is and by size', () => {
    expect(names(found(shelf, 'egg', 'latest'))).toEqual(['Égg box'])
    expect(names(found(shelf, 'fair', 'latest'))).toEqual(['Égg box'])
    expect(names(found(shelf, 'lid 60', 'latest'))).toEqual(['Égg box'])
    expect(names(found(shelf, 'boat egg', 'latest'))).toEqual([])
    expect(found(shelf, '  ', 'latest')).toHaveLength(3)
  })

  it('sorts by name, kind and size, and leaves the latest first', () => {
    expect(names(found(shelf, '', 'name'))).toEqual(['Boat ticket', 'Égg box', 'Tern count'])
    expect(names(found(shelf, '', 'size'))).toEqual(['Égg box', 'Boat ticket', 'Tern count'])
    expect(names(found(shelf, '', 'make'))).toEqual(['Boat ticket', 'Tern count', 'Égg box'])
    expect(names(found(shelf, '', 'latest'))).toEqual(names(shelf))
  })
})

describe('grouped', () => {
  it('puts those of no group last', () => {
    expect(grouped(shelf).map(({ group, cards }) => [group, names(cards)])).toEqual([
      ['Fair', ['Égg box']],
      ['', ['Tern count', 'Boat ticket']],
    ])
  })
})
