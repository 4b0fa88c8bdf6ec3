import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { Piece, Sized } from '@/api/client'
import { assemblyOf, partAt } from './assembly'
import { foldedAt, type XYZ } from './folded'

/** Whole results of the core, kept there against unseen change: what the browser folds must come to the same. */
const GOLDEN = 'core/tests/Golden'
const designs = readdirSync(GOLDEN, { withFileTypes: true })
  .filter((entry) => entry.isDirectory())
  .map(({ name }): [string, Sized] => [
    name,
    JSON.parse(readFileSync(`${GOLDEN}/${name}/result.json`, 'utf8')) as Sized,
  ])

const apart = (a: XYZ, b: XYZ) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])
const withoutLifts = (piece: Piece): Piece => ({
  ...piece,
  folding: { ...piece.folding, lifts: piece.folding.lifts.map(() => [0, 0, 0]) },
})

/** Extents along the standing face's own frame, the largest first. */
function extents(piece: Piece, points: XYZ[]): number[] {
  const [a, b] = (piece.fold.faces_vertices[piece.folding.root] ?? []).map(
    (v) => piece.fold.vertices_coords[v] ?? [0, 0],
  )
  const turn = Math.atan2((b?.[1] ?? 0) - (a?.[1] ?? 0), (b?.[0] ?? 0) - (a?.[0] ?? 0))
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)]
  const along = (of: (p: XYZ) => number) => Math.max(...points.map(of)) - Math.min(...points.map(of))
  return [along(([x, y]) => x * cos + y * sin), along(([x, y]) => y * cos - x * sin), along(([, , z]) => z)].sort(
    (p, q) => q - p,
  )
}

describe('the fold', () => {
  it.each(designs)('of %s ends in the box the core says, and begins flat', (_, design) => {
    for (const piece of design.pieces) {
      const { folding, folded } = piece
      const finished = foldedAt(withoutLifts(piece), folding.stages.length).faces.flat()
      const box = [folded.width, folded.height, folded.depth].sort((p, q) => q - p)
      // A slanted edge can give a box that is smaller than the one along the standing face.
      const ours = extents(piece, finished)
      if (ours.reduce((p, q) => p * q, 1) < 1.0001 * box.reduce((p, q) => p * q, 1) + 1)
        ours.forEach((extent, i) => expect(extent).toBeCloseTo(box[i] ?? 0, 2))
      expect(Math.min(...ours)).toBeGreaterThanOrEqual(Math.min(...box) - 0.01)
      for (const [, , z] of foldedAt(piece, 0).faces.flat()) expect(z).toBeCloseTo(0, 6)
    }
  })

  it.each(designs)('of %s stretches no paper on the way', (_, design) => {
    for (const piece of design.pieces) {
      for (const share of [0.17, 0.5, 0.83]) {
        const { faces } = foldedAt(piece, share * piece.folding.stages.length)
        piece.fold.faces_vertices.forEach((face, f) => {
          face.forEach((v, i) => {
            const [a, b] = [v, face[(i + 1) % face.length] ?? v].map((at) => piece.fold.vertices_coords[at] ?? [0, 0])
            const flat = Math.hypot((a?.[0] ?? 0) - (b?.[0] ?? 0), (a?.[1] ?? 0) - (b?.[1] ?? 0))
            const [p, q] = [faces[f]?.[i], faces[f]?.[(i + 1) % face.length]]
            expect(p && q && apart(p, q)).toBeCloseTo(flat, 3)
          })
        })
      }
    }
  })
})

describe('the assembly', () => {
  const tray = designs.find(([, design]) => design.make === 'tray-and-lid')?.[1]

  it('folds piece after piece and puts the lid over the tray last', () => {
    if (!tray) throw new Error('no tray among the kept results')
    const { parts, stages } = assemblyOf(tray.pieces, null)
    expect(stages.at(-1)).toBe('together')
    expect(parts.map((part) => part.begins)).toEqual([0, tray.pieces[0]?.folding.stages.length])
    const [base, lid] = parts.map((part) => partAt(part, stages, stages.length).faces.flat())
    if (!base || !lid) throw new Error('two parts')
    for (const axis of [0, 1] as const) {
      const of = (points: XYZ[]) => points.map((point) => point[axis])
      expect(Math.min(...of(lid))).toBeLessThan(Math.min(...of(base)))
      expect(Math.max(...of(lid))).toBeGreaterThan(Math.max(...of(base)))
    }
  })

  it('shows one piece by itself when that is asked for', () => {
    if (!tray) throw new Error('no tray among the kept results')
    const { parts, stages } = assemblyOf(tray.pieces, 'lid')
    expect(parts.map((part) => part.piece.id)).toEqual(['lid'])
    expect(stages).not.toContain('together')
  })
})
