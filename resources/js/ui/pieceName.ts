import type { Piece } from '@/api/client'
import { hasWords, words } from '@/words'

/** A piece by its name, numbered ones by their number, and how many are needed where it is more than one. */
export function pieceName(piece: Pick<Piece, 'id' | 'count'>): string {
  const numbered = /^(.*)-(\d+)$/.exec(piece.id)
  const name =
    numbered?.[1] && !hasWords(`piece.${piece.id}`)
      ? `${words(`piece.${numbered[1]}`)} ${numbered[2]}`
      : words(`piece.${piece.id}`)
  return piece.count > 1 ? words('piece.times', { piece: name, count: piece.count }) : name
}
