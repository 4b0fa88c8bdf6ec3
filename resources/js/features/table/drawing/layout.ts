import type { Piece } from '@/api/client'
import { viewOf, type Room, type View } from './geometry'

/** Room around each sheet for its rulers and dimensions, in pixels. */
export const AROUND = { left: 76, top: 52, right: 68, bottom: 48 }

/** What zooming and panning do to a fitted picture. */
export interface Lens {
  k: number
  x: number
  y: number
}

export const PLAIN: Lens = { k: 1, x: 0, y: 0 }

/** How large a piece lies there: its sheet as it lies on its tool, in millimetres. */
function extent(piece: Piece): { wide: number; high: number } {
  const view = viewOf(piece, { left: 0, top: 0, width: 1, height: 1 })
  return { wide: view.reach[0], high: view.reach[1] }
}

/** A view of each piece, all in one picture: to one scale, or each as large as its place allows. */
/** Pixels to a millimetre at which each of them, by itself, goes into a picture of that size. */
export function commonScale(pieces: readonly Piece[], width: number, height: number): number {
  return Math.min(...pieces.map((piece) => columnsFor([extent(piece)], width, height).scale), 20)
}

export function viewsOf(
  pieces: readonly Piece[],
  width: number,
  height: number,
  isToOneScale: boolean,
  given?: number,
): View[] {
  const sizes = pieces.map(extent)
  const found = columnsFor(sizes, width, height)
  const best = { ...found, scale: given ?? found.scale }
  const rows = Math.ceil(pieces.length / best.columns)
  const cell = { width: width / best.columns, height: height / rows }
  const heights = rowHeights(sizes, best.columns)
  const spare = isToOneScale
    ? Math.max(0, height - heights.reduce((sum, high) => sum + high * best.scale + AROUND.top + AROUND.bottom, 0)) /
      rows
    : 0
  let top = 0
  return pieces.map((piece, i) => {
    const [column, row] = [i % best.columns, Math.floor(i / best.columns)]
    const rowHeight = isToOneScale ? (heights[row] ?? 0) * best.scale + AROUND.top + AROUND.bottom + spare : cell.height
    if (column === 0 && i > 0)
      top += isToOneScale ? (heights[row - 1] ?? 0) * best.scale + AROUND.top + AROUND.bottom + spare : cell.height
    const room: Room = isToOneScale
      ? roomIn(rowRoom(sizes, i, best, width), top, rowHeight)
      : roomIn({ left: column * cell.width, width: cell.width }, row * cell.height, cell.height)
    return viewOf(piece, room, isToOneScale ? best.scale : undefined)
  })
}

interface Columns {
  columns: number
  scale: number
}

/** So many columns that the scale common to all is the largest. */
function columnsFor(sizes: Array<{ wide: number; high: number }>, width: number, height: number): Columns {
  let best: Columns = { columns: 1, scale: 0 }
  for (let columns = 1; columns <= Math.max(1, sizes.length); columns++) {
    const heights = rowHeights(sizes, columns)
    const widest = Math.max(
      ...heights.map((_, row) =>
        sizes.slice(row * columns, (row + 1) * columns).reduce((sum, size) => sum + size.wide, 0),
      ),
    )
    const across = (width - columns * (AROUND.left + AROUND.right)) / Math.max(widest, 1)
    const down =
      (height - heights.length * (AROUND.top + AROUND.bottom)) /
      Math.max(
        heights.reduce((sum, high) => sum + high, 0),
        1,
      )
    const scale = Math.min(across, down)
    if (scale > best.scale) best = { columns, scale }
  }
  return best.scale > 0 ? best : { columns: 1, scale: 0.05 }
}

function rowHeights(sizes: Array<{ high: number }>, columns: number): number[] {
  const rows = Math.ceil(sizes.length / columns)
  return Array.from({ length: rows }, (_, row) =>
    Math.max(...sizes.slice(row * columns, (row + 1) * columns).map((size) => size.high)),
  )
}

/** The column of a piece in its row: as wide as the piece needs, the row in the middle of the picture. */
function rowRoom(
  sizes: Array<{ wide: number }>,
  i: number,
  { columns, scale }: Columns,
  width: number,
): { left: number; width: number } {
  const first = i - (i % columns)
  const row = sizes.slice(first, first + columns).map((size) => size.wide * scale + AROUND.left + AROUND.right)
  const free = Math.max(0, width - row.reduce((sum, wide) => sum + wide, 0)) / row.length
  const left = row.slice(0, i - first).reduce((sum, wide) => sum + wide + free, 0)
  return { left, width: (row[i - first] ?? width) + free }
}

const roomIn = (across: { left: number; width: number }, top: number, height: number): Room => ({
  left: across.left + AROUND.left,
  top: top + AROUND.top,
  width: Math.max(10, across.width - AROUND.left - AROUND.right),
  height: Math.max(10, height - AROUND.top - AROUND.bottom),
})

/** A view seen through the lens: labels stay as large as they are, the sheet grows. */
export function through(view: View, lens: Lens): View {
  return {
    scale: view.scale * lens.k,
    at: (point) => {
      const [x, y] = view.at(point)
      return [x * lens.k + lens.x, y * lens.k + lens.y]
    },
    zero: [view.zero[0] * lens.k + lens.x, view.zero[1] * lens.k + lens.y],
    reach: view.reach,
  }
}
