import type { Piece, Sized } from '@/api/client'
import type { XY } from './geometry'

type Place = NonNullable<Piece['places']>[number]

/** A piece that lies on another, on that one's flat sheet. */
export interface Laid {
  piece: Piece
  side: 'inside' | 'outside'
  /** The face of the other on which each of its own lies. */
  faces: Array<{ on: string; ring: XY[] }>
  /** Its outline and its openings, line by line. */
  edges: Array<[XY, XY]>
}

const moved = ({ at, turn }: Place, [x, y]: XY): XY => {
  const [cos, sin] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)]
  return [(at[0] ?? 0) + x * cos - y * sin, (at[1] ?? 0) + x * sin + y * cos]
}

/** Everything that lies on a copy of a piece, the lowest first: mats, mats on those, what is behind a window. */
export function laidOn(design: Pick<Sized, 'pieces'>, piece: Piece, copy?: number): Laid[] {
  return design.pieces.flatMap((one) =>
    (one.places ?? []).flatMap((_, n): Laid[] => {
      const chain = chainOf(design, one, n)
      const root = chain.at(-1)
      if (!root || root.piece !== piece.id || (copy !== undefined && root.copy !== copy)) return []
      const there = (point: XY) => chain.reduce((at, place) => moved(place, at), point)
      const vertex = (v: number) => there(one.fold.vertices_coords[v] ?? [0, 0])
      const own = one.fold['faces_gimbo:name']
      return [
        {
          piece: one,
          side: root.side,
          faces: one.fold.faces_vertices.map((face, f) => ({
            on: root.faces[own[f] ?? ''] ?? root.face,
            ring: face.map(vertex),
          })),
          edges: one.fold.edges_vertices.flatMap(([from, to], e): Array<[XY, XY]> =>
            one.fold.edges_assignment[e] === 'B' ? [[vertex(from), vertex(to)]] : [],
          ),
        },
      ]
    }),
  )
}

/** Where the n-th copy of a piece lies, and what it lies on, down to the make's own sheet. */
function chainOf(design: Pick<Sized, 'pieces'>, piece: Piece, n: number): Place[] {
  const place = piece.places?.[n]
  if (!place) return []
  const under = design.pieces.find(({ id }) => id === place.piece)
  return [place, ...(under?.places?.length ? chainOf(design, under, Math.max(0, place.copy - 1)) : [])]
}

/** The colour of what a piece is cut from, where it is known. */
export const paperColour = (design: Pick<Sized, 'papers'>, piece: Piece): string | undefined =>
  design.papers.find(({ id }) => id === piece.paper)?.colour ?? undefined

/** Lines that meet end to end, as closed rings: an outline and its openings. */
export function ringsOf(edges: Array<[XY, XY]>): XY[][] {
  const left = [...edges]
  const rings: XY[][] = []
  const isSame = (a: XY | undefined, b: XY) => a !== undefined && Math.hypot(a[0] - b[0], a[1] - b[1]) < 1e-3
  for (let first = left.shift(); first; first = left.shift()) {
    const ring: XY[] = [...first]
    for (;;) {
      const end = ring.at(-1)
      const next = left.findIndex(([from, to]) => isSame(end, from) || isSame(end, to))
      const edge = left[next]
      if (!edge) break
      left.splice(next, 1)
      ring.push(isSame(end, edge[0]) ? edge[1] : edge[0])
    }
    rings.push(isSame(ring.at(-1), ring[0] ?? [0, 0]) ? ring.slice(0, -1) : ring)
  }
  return rings
}

/** How many layers lie between a piece and the panel at the bottom of it. */
export function layersUnder(design: Pick<Sized, 'pieces'>, piece: Piece): number {
  const under = design.pieces.find(({ id }) => id === piece.places?.[0]?.piece)
  return under?.places?.length ? 1 + layersUnder(design, under) : 0
}

/** Lies behind the panel or lines it: seen through an opening, or not at all. */
export const isBehind = ({ piece }: Laid): boolean => ['backing', 'rim', 'liner'].includes(piece.role)
