import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { FoldedPiece, Whole } from '@/api/client'
import { assemblyOf, partAt } from './assembly'
import { foldedAt, type XYZ } from './folded'

/** Whole results of the core, kept there against unseen change: what the browser folds must come to the same. */
const GOLDEN = 'core/tests/Golden'
const designs = readdirSync(GOLDEN, { withFileTypes: true })
  .filter((entry) => entry.isDirectory())
  .map(({ name }): [string, Whole] => [
    name,
    JSON.parse(readFileSync(`${GOLDEN}/${name}/result.json`, 'utf8')) as Whole,
  ])

const apart = (a: XYZ, b: XYZ) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])
const withoutLifts = (piece: FoldedPiece): FoldedPiece => ({
  ...piece,
  folding: { ...piece.folding, lifts: piece.folding.lifts.map(() => [0, 0, 0]) },
})

/** Extents along the standing face's own frame, the largest first. */
function extents(piece: FoldedPiece, points: XYZ[]): number[] {
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
    // What goes with a make is flat: its box is its sheet.
    for (const piece of design.pieces.filter(({ role }) => role === 'made')) {
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

const ofMake = (make: string): Whole => {
  const found = designs.find(([, design]) => design.make === make)
  if (!found) throw new Error(`no ${make} among the kept results`)
  return found[1]
}
const firstOf = (design: Whole): FoldedPiece => {
  const [piece] = design.pieces
  if (!piece) throw new Error('no piece')
  return piece
}
const faceOf = (piece: FoldedPiece, faces: XYZ[][], name: string): XYZ[] =>
  faces[piece.fold['faces_gimbo:name'].indexOf(name)] ?? []
const zs = (points: readonly XYZ[]) => points.map(([, , z]) => z)

describe('which way it folds', () => {
  it('walls stand up towards whoever looks at the inside, none hangs down', () => {
    const piece = firstOf(ofMake('tray-and-lid'))
    const { faces } = foldedAt(withoutLifts(piece), piece.folding.stages.length)
    expect(Math.min(...zs(faces.flat()))).toBeCloseTo(0, 3)
    expect(Math.max(...zs(faces.flat()))).toBeCloseTo(piece.folded.depth, 3)
  })

  it('half way over a flap is above the sheet, not below it', () => {
    const piece = firstOf(ofMake('diagonal-envelope'))
    const first = piece.folding.stages[0] ?? []
    const { faces } = foldedAt(withoutLifts(piece), 0.5)
    for (const name of first) expect(Math.max(...zs(faceOf(piece, faces, name)))).toBeGreaterThan(1)
    for (const z of zs(faces.flat())) expect(z).toBeGreaterThan(-0.001)
  })

  it('each layer comes to lie as far above the front as the core says, the contents between', () => {
    const piece = firstOf(ofMake('diagonal-envelope'))
    const { folding, fold } = piece
    const { faces, contents } = foldedAt(piece, folding.stages.length)
    fold['faces_gimbo:name'].forEach((_, f) => {
      for (const z of zs(faces[f] ?? [])) expect(z).toBeCloseTo(folding.lifts[f]?.[2] ?? 0, 3)
    })
    const at = (name: string) => zs(faceOf(piece, faces, name))[0] ?? 0
    expect(at('front')).toBe(0)
    expect(at('left-flap')).toBeGreaterThan(folding.contents?.depth ?? 99)
    expect(at('bottom-flap')).toBeGreaterThan(at('right-flap'))
    expect(at('top-flap')).toBeGreaterThan(at('bottom-flap'))
    const [under, top] = [zs(contents?.under ?? []), zs(contents?.top ?? [])]
    expect(Math.min(...under)).toBeGreaterThan(at('front'))
    expect(Math.min(...top)).toBeGreaterThan(Math.max(...under))
    expect(Math.max(...top)).toBeLessThan(at('left-flap'))
  })
})

describe('the assembly', () => {
  it('turns the lid over its long way and does not mirror it', () => {
    const tray = ofMake('tray-and-lid')
    const { parts, stages } = assemblyOf(tray.pieces, null)
    const [base, lid] = parts.map((part) => ({ piece: part.piece, ...partAt(part, stages, stages.length) }))
    if (!base || !lid) throw new Error('two parts')
    const flat = (lid.piece.fold.faces_vertices[lid.piece.folding.root] ?? []).map(
      (v): [number, number] => lid.piece.fold.vertices_coords[v] ?? [0, 0],
    )
    const turned = lid.faces[lid.piece.folding.root] ?? []
    flat.forEach(([x, y], i) => {
      const [[x0, y0], from] = [flat[0] ?? [0, 0], turned[0] ?? [0, 0, 0]]
      // What lies to the right stays to the right; what lies above comes to lie below.
      expect((turned[i]?.[0] ?? 0) - from[0]).toBeCloseTo(x - x0, 3)
      expect((turned[i]?.[1] ?? 0) - from[1]).toBeCloseTo(y0 - y, 3)
    })
    // Its base on top, its walls hanging down over the tray's.
    expect(Math.min(...zs(turned))).toBeGreaterThan(Math.max(...zs(base.faces.flat())))
    expect(Math.min(...zs(lid.faces.flat()))).toBeLessThan(Math.max(...zs(base.faces.flat())))
  })

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
