import type { FoldedPiece } from '@/api/client'
import { foldedAt, placedAt, type Folded, type XYZ } from './folded'

/** One sheet of paper in the scene: a piece, or one of several copies of it. */
export interface Part {
  piece: FoldedPiece
  /** Which of its copies. */
  copy: number
  /** The moment at which its first fold begins. */
  begins: number
  /** Where it ends among the others; null when it is shown by itself. */
  place: { turn: number; shift: XYZ } | null
  /** Where it lies beside the others while it is folded. */
  beside: XYZ
}

export interface Assembly {
  parts: Part[]
  /** What happens in each stage: the faces that turn on which piece; the last one may put the pieces together. */
  stages: Array<{ piece: string; faces: string[] } | 'together'>
  /** Whether it is all there is, so that what goes round it goes round it at the end. */
  isWhole: boolean
}

const GAP_MM = 18

/** One piece by itself, or all that have a place among one another: folded one after the other, then put together. */
export function assemblyOf(pieces: readonly FoldedPiece[], chosen: string | null): Assembly {
  const placed = pieces.filter((piece) => piece.folding.places.length > 0)
  const shown =
    chosen === null && placed.length > 0 ? placed : pieces.filter((piece) => piece.id === (chosen ?? pieces[0]?.id))
  const isTogether = chosen === null && shown.reduce((sum, piece) => sum + piece.folding.places.length, 0) > 1
  const stages: Assembly['stages'] = []
  const parts: Part[] = []
  let x = 0
  for (const piece of shown) {
    const copies = isTogether ? piece.folding.places : [null]
    for (const [i, place] of copies.entries()) {
      const isStanding = place !== null && place.turn === 90
      parts.push({
        piece,
        copy: i + 1,
        begins: stages.length,
        place: place && { turn: place.turn, shift: place.shift },
        beside: [x, isStanding ? -piece.sheet.height - GAP_MM : 0, 0],
      })
      if (!isStanding) x += piece.sheet.width + GAP_MM
    }
    stages.push(...piece.folding.stages.map((faces) => ({ piece: piece.id, faces })))
  }
  if (isTogether) stages.push('together')
  return { parts, stages, isWhole: chosen === null }
}

const eased = (share: number) => share * share * (3 - 2 * share)

/** A part at a moment, in the scene's frame. */
export function partAt(part: Part, stages: Assembly['stages'], moment: number): Folded {
  const folded = foldedAt(part.piece, moment - part.begins)
  const { sheet } = part.piece
  const middle: XYZ = [sheet.width / 2, sheet.height / 2, 0]
  const share = part.place ? eased(Math.max(0, Math.min(1, moment - (stages.length - 1)))) : 0
  const turn = (part.place?.turn ?? 0) * share
  // Turned about its middle instead of its frame's origin, it comes to the same place with this shift.
  const origin = part.place ? placedAt([0, 0, 0], middle, part.place.turn, [0, 0, 0]) : ([0, 0, 0] as const)
  const end: XYZ = part.place
    ? [part.place.shift[0] - origin[0], part.place.shift[1] - origin[1], part.place.shift[2] - origin[2]]
    : part.beside
  const arc =
    Math.sin(Math.PI * share) *
    0.5 *
    Math.max(sheet.width, sheet.height) *
    (part.place && part.place.turn !== 0 ? 1 : 0)
  const shift: XYZ = [
    part.beside[0] + (end[0] - part.beside[0]) * share,
    part.beside[1] + (end[1] - part.beside[1]) * share,
    part.beside[2] + (end[2] - part.beside[2]) * share + arc,
  ]
  const place = (point: XYZ) => placedAt(point, middle, turn, shift)
  return {
    faces: folded.faces.map((ring) => ring.map(place)),
    edges: folded.edges.map((ring) => ring.map(place)),
    at: (face, point, above) => place(folded.at(face, point, above)),
    contents: folded.contents && { under: folded.contents.under.map(place), top: folded.contents.top.map(place) },
  }
}
