import type { Piece } from '@/api/client'
import { hasWords, words } from '@/words'

/** A piece by its name, numbered ones by their number, and how many are needed where it is more than one. */
export function pieceName(piece: Pick<Piece, 'id' | 'count'> & { name?: string }): string {
  const name = piece.name ?? madeName(piece.id)
  return piece.count > 1 ? words('piece.times', { piece: name, count: piece.count }) : name
}

/** The same of one of several, by its id. */
export function nameOfPiece(pieces: Array<Pick<Piece, 'id' | 'count'> & { name?: string }>, id: string): string {
  const piece = pieces.find((one) => one.id === id)
  return pieceName(piece ? { ...piece, count: 1 } : { id, count: 1 })
}

/** A piece of a make by its id; what is known by no name goes by that. */
function madeName(id: string): string {
  if (hasWords(`piece.${id}`)) return words(`piece.${id}`)
  const numbered = /^(.*)-(\d+)$/.exec(id)
  return numbered?.[1] && hasWords(`piece.${numbered[1]}`) ? `${words(`piece.${numbered[1]}`)} ${numbered[2]}` : id
}
