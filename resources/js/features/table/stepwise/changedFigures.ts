import type { DesignView } from '@/api/client'
import { pieceName } from '@/ui/pieceName'
import { words } from '@/words'
import { measureRows } from '../measureRows'

export interface ChangedFigure {
  what: string
  before: string
  after: string
}

/** The figures that are others in a design now, as a maker reads them; those that came or went have none on one side. */
export function changedFigures(before: DesignView, after: DesignView): ChangedFigure[] {
  const figures = (view: DesignView) => {
    const all = new Map<string, { what: string; text: string }>()
    for (const piece of view.design.pieces) {
      const where = view.design.pieces.length > 1 ? `${pieceName({ ...piece, count: 1 })}, ` : ''
      for (const row of measureRows(piece))
        all.set(`${piece.id} ${row.key}`, { what: `${where}${words(row.key)}`, text: row.text })
    }
    return all
  }
  const [was, is] = [figures(before), figures(after)]
  return [...new Set([...was.keys(), ...is.keys()])].flatMap((key) => {
    const [old, now] = [was.get(key), is.get(key)]
    if (old?.text === now?.text) return []
    return [{ what: (now ?? old)?.what ?? '', before: old?.text ?? '–', after: now?.text ?? '–' }]
  })
}
