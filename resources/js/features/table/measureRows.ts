import type { Measure, Piece, Term } from '@/api/client'

/** Measures that are one setting of one tool, used one or more times. */
export interface MeasureRow {
  key: string
  measures: number[]
  text: string
  from: string[]
  madeOf: Term[]
}

/**
 * A piece's measures in the order they are set, equal settings of one tool along one direction together.
 * Both cuts of a square are one row.
 */
export function measureRows(piece: Piece): MeasureRow[] {
  const rows: MeasureRow[] = []
  piece.measures.forEach((measure, i) => {
    const key = rowKey(measure, piece)
    const last = rows.at(-1)
    if (last && last.key === key && last.text === measure.text) {
      last.measures.push(i)
      last.from.push(measure.from)
    } else {
      rows.push({ key, measures: [i], text: measure.text, from: [measure.from], madeOf: measure.madeOf })
    }
  })
  return rows
}

function rowKey(measure: Measure, piece: Piece): string {
  const isSquare = piece.sheet.width === piece.sheet.height
  return measure.kind === 'cut' && isSquare ? 'measure.cut.square' : `measure.${measure.kind}.${measure.axis}`
}
