import type { Sized } from '@/api/client'
import { words } from '@/words'
import { measureRows } from './measureRows'
import { nameOfPiece, pieceName } from '@/ui/pieceName'

export interface ComparedRow {
  key: string
  label: string
  heading?: boolean
  differs: boolean
  cells: Array<{ texts: string[]; isBad: boolean }>
}

type Cells = Map<string, { label: string; heading: string; texts: string[]; isBad: boolean }>

/** Every figure of several designs, row by row, and whether it differs; a figure only some of them have differs too. */
export function compared(designs: readonly Sized[]): ComparedRow[] {
  const columns = designs.map(cellsOf)
  const keys = [...new Set(columns.flatMap((column) => [...column.keys()]))]
  const rows: ComparedRow[] = []
  let heading = ''
  for (const key of ordered(keys, columns)) {
    const cells = columns.map((column) => column.get(key))
    const known = cells.find((cell) => cell !== undefined)
    if (!known) continue
    if (known.heading !== heading) {
      heading = known.heading
      rows.push({ key: `heading ${heading}`, label: heading, heading: true, differs: false, cells: [] })
    }
    const texts = cells.map((cell) => cell?.texts.join(' × ') ?? '')
    rows.push({
      key,
      label: known.label,
      differs: new Set(texts).size > 1,
      cells: cells.map((cell) => ({ texts: cell?.texts ?? [], isBad: cell?.isBad ?? false })),
    })
  }
  return rows
}

/** Rows of one heading together, in the order in which the first design has them. */
function ordered(keys: string[], columns: Cells[]): string[] {
  const headingOf = (key: string) => columns.find((column) => column.has(key))?.get(key)?.heading ?? ''
  const headings = [...new Set(keys.map(headingOf))]
  return headings.flatMap((heading) => keys.filter((key) => headingOf(key) === heading))
}

function cellsOf(design: Sized): Cells {
  const cells: Cells = new Map()
  const put = (key: string, heading: string, label: string, texts: string[], isBad = false) =>
    cells.set(key, { label, heading, texts, isBad })
  const whole = words('compare.whole')
  put('closed', whole, words('closed.caption'), Object.values(design.closed.text))
  put('inside', whole, words('print.inside'), Object.values(design.inside.text))
  if (design.takes !== null) put('takes', whole, words('goes-with.takes'), [String(design.takes)])
  for (const check of design.checks) {
    const name = words(`check.${check.id}`)
    const label =
      check.piece && design.pieces.length > 1 ? `${name} (${nameOfPiece(design.pieces, check.piece)})` : name
    put(
      `check ${check.id} ${check.piece}`,
      words('fits.title'),
      label,
      [check.ok ? check.text.spare : check.text.slack],
      !check.ok,
    )
  }
  for (const piece of design.pieces) {
    const times = new Map<string, number>()
    for (const row of measureRows(piece)) {
      const nth = (times.get(row.key) ?? 0) + 1
      times.set(row.key, nth)
      put(`measure ${piece.id} ${row.key} ${nth}`, pieceName(piece), words(row.key), [row.text])
    }
  }
  return cells
}
