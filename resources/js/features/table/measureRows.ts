import type { Measure, Piece, Term } from '@/api/client'
import { hasWords, listed, words } from '@/words'

/** Measures that are one setting of one tool, used one or more times. */
export interface MeasureRow {
  key: string
  measures: number[]
  text: string
  from: string[]
  madeOf: Term[]
}

/**
 * A piece's measures in the order they are first set, equal settings of one tool together.
 * Both cuts of a square are one row; scores at the same distance from several edges are one.
 */
export function measureRows(piece: Piece): MeasureRow[] {
  const rows = new Map<string, MeasureRow>()
  piece.measures.forEach((measure, i) => {
    const key = rowKey(measure, piece)
    const row = rows.get(`${key} ${measure.text}`)
    if (row) {
      row.measures.push(i)
      row.from.push(measure.from)
    } else {
      rows.set(`${key} ${measure.text}`, {
        key,
        measures: [i],
        text: measure.text,
        from: [measure.from],
        madeOf: measure.madeOf,
      })
    }
  })
  return [...rows.values()]
}

function rowKey(measure: Measure, piece: Piece): string {
  const isAcross = measure.axis === 'width' || measure.axis === 'height'
  if (measure.kind === 'cut' && isAcross && piece.sheet.width === piece.sheet.height) return 'measure.cut.square'
  return `measure.${measure.kind}.${isAcross && measure.kind !== 'cut' ? 'edges' : measure.axis}`
}

/** How a row's setting is read, in words: a sentence of its own, or the edges it is read from. */
export function rowNote(row: MeasureRow): string | null {
  const own = [`${row.key}.${row.from[0]}`, `${row.key}.note`].find(hasWords)
  if (own) return words(own)
  if (!row.key.endsWith('.edges') || row.key.startsWith('measure.mark')) return null
  const edges = row.from.map((from) => words(`from.edge.${from}`))
  return words('measure.from', { from: listed(edges) })
}
