import type { ShelfCard } from '@/api/client'
import { words } from '@/words'

export const ORDERS = ['latest', 'name', 'make', 'size'] as const
export type Order = (typeof ORDERS)[number]

const plain = (text: string) => text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase()

/** What a design can be found by: its name, its group, what it is, what it holds. */
function textOf(card: ShelfCard): string {
  const { make, holds } = card.summary
  return plain(`${card.name} ${card.group} ${words(`make.${make}.noun`)} ${holds.text.width} ${holds.text.height}`)
}

/** Those in which every word asked for stands, in the order asked for. */
export function found(cards: readonly ShelfCard[], asked: string, order: Order): ShelfCard[] {
  const parts = plain(asked).split(/\s+/).filter(Boolean)
  const left = cards.filter((card) => {
    const text = textOf(card)
    return parts.every((part) => text.includes(part))
  })
  const area = (card: ShelfCard) => card.summary.holds.width * card.summary.holds.height
  const by: Record<Order, (a: ShelfCard, b: ShelfCard) => number> = {
    latest: () => 0,
    name: (a, b) => a.name.localeCompare(b.name),
    make: (a, b) =>
      words(`make.${a.summary.make}.noun`).localeCompare(words(`make.${b.summary.make}.noun`)) ||
      a.name.localeCompare(b.name),
    size: (a, b) => area(a) - area(b),
  }
  return [...left].sort(by[order])
}

/** Designs by their group, groups by name, those of none last. */
export function grouped(cards: readonly ShelfCard[]): Array<{ group: string; cards: ShelfCard[] }> {
  const groups = new Map<string, ShelfCard[]>()
  for (const card of cards) groups.set(card.group, [...(groups.get(card.group) ?? []), card])
  return [...groups]
    .map(([group, of]) => ({ group, cards: of }))
    .sort((a, b) => Number(a.group === '') - Number(b.group === '') || a.group.localeCompare(b.group))
}
