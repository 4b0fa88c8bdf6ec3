import type { Piece, Term } from '@/api/client'
import { hasWords, listed, words } from '@/words'

/** Measures that are one setting of one tool, used one or more times. */
export interface MeasureRow {
  key: string
  measures: number[]
  text: string
  from: string[]
  madeOf: Term[]
}

/** A piece's measures in the order they are first set, equal settings of one tool together, as the core groups them. */
export function measureRows(piece: Piece): MeasureRow[] {
  return piece.rows.flatMap(({ what, measures }) => {
    const all = measures.flatMap((i) => piece.measures[i] ?? [])
    const first = all[0]
    return first
      ? [
          {
            key: `measure.${what}`,
            measures,
            text: first.text,
            from: all.map(({ from }) => from),
            madeOf: first.madeOf,
          },
        ]
      : []
  })
}

/** How a row's setting is read, in words: a sentence of its own, or the edges it is read from. */
export function rowNote(row: MeasureRow): string | null {
  const own = [`${row.key}.${row.from[0]}`, `${row.key}.note`].find(hasWords)
  if (own) return words(own)
  if (!row.key.endsWith('.edges') || row.key.startsWith('measure.mark')) return null
  const edges = row.from.map((from) => words(`from.edge.${from}`))
  return words('measure.from', { from: listed(edges) })
}
