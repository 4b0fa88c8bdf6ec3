import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { DesignView, PaperStock, Sized } from '@/api/client'
import { begun, freeId, middleOf, panelsOf, paperFrom, placeName, reshaped, shapeOf } from './additions'

const sized = (name: string): Sized => {
  const design = JSON.parse(readFileSync(`core/tests/Golden/${name}/result.json`, 'utf8')) as Sized
  return { ...design, pieces: design.pieces.map((piece) => ({ ...piece, name: piece.id })) }
}

const view = (spec: object, design = sized('shaker-tray-doubled')) =>
  ({ id: 'd', spec, design }) as unknown as DesignView

describe('what goes with a make', () => {
  it('takes an id that neither an entry nor a piece has', () => {
    const of = (with_: object[]) => freeId(view({ with: with_ }), 'mat')
    expect(of([])).toBe('mat-1')
    expect(of([{ id: 'mat-1', role: 'mat' }])).toBe('mat-2')
    expect(of([{ id: 'mat-2', role: 'mat' }])).toBe('mat-1')
    const design = sized('shaker-tray-doubled')
    const [first] = design.pieces
    if (!first) throw new Error('a piece')
    const taken = { ...design, pieces: [...design.pieces, { ...first, id: 'mat-1', role: 'mat' }] }
    expect(freeId(view({ with: [] }, taken), 'mat')).toBe('mat-2')
  })

  it('begins with what cannot be left unsaid, and no more', () => {
    const inches = view({})
    expect(begun(inches, 'mat', 'lid/base')).toEqual({ id: 'mat-1', role: 'mat', on: 'lid/base' })
    expect(begun(inches, 'band')).toEqual({ id: 'band-1', role: 'band' })
    expect(begun(inches, 'label')).toHaveProperty('text')
    const round = (system: 'imperial' | 'metric') =>
      begun(view({}, { ...sized('shaker-tray-doubled'), system }), 'window', 'lid/base').shape
    expect(round('imperial')).toEqual({ circle: '1 1/4 in' })
    expect(round('metric')).toEqual({ circle: '30 mm' })
  })

  it('keeps a window as large as it was when its shape is another', () => {
    expect(reshaped({ circle: '2 in' }, 'rect')).toEqual({ rect: ['2 in', '2 in'] })
    expect(reshaped({ rect: ['3 in', '2 in'] }, 'oval')).toEqual({ oval: ['3 in', '2 in'] })
    expect(reshaped({ oval: ['3 in', '2 in'] }, 'rounded')).toEqual({ rect: ['3 in', '2 in'], radius: '6 mm' })
    expect(reshaped({ rect: ['3 in', '2 in'], radius: '1 mm' }, 'circle')).toEqual({ circle: '3 in' })
    for (const to of ['circle', 'oval', 'rounded', 'rect']) expect(shapeOf(reshaped({ circle: '2 in' }, to))).toBe(to)
    expect(shapeOf({ ring: [[0, 0]] })).toBe('ring')
  })

  it('names every panel once, the parts of an opened one as that one, and hides what nobody sees', () => {
    const design = sized('shaker-tray-doubled')
    const panels = panelsOf(design)
    expect(new Set(panels.map(({ on }) => on)).size).toBe(panels.length)
    const names = design.pieces.flatMap(({ id, fold }) => fold['faces_gimbo:name'].map((name) => `${id}/${name}`))
    expect(panels.map(({ on }) => on)).toEqual(names)
    expect(panels.find(({ on }) => on === 'tray/base')?.isHidden).toBe(false)
    expect(panels.filter(({ isHidden }) => isHidden).length).toBeGreaterThan(0)
    for (const { on, twin } of panels)
      if (twin !== null) expect(panels.find((other) => other.on === twin)?.twin).toBe(on)
    const [first] = design.pieces
    if (!first) throw new Error('a piece')
    const fold = {
      ...first.fold,
      'faces_gimbo:name': first.fold['faces_gimbo:name'].map((n, i) => (i === 1 ? 'base-part-2' : n)),
    }
    expect(panelsOf({ ...design, pieces: [{ ...first, fold }] }).map(({ face }) => face)).not.toContain('base-part-2')
  })

  it('says where something lies, through what it lies on', () => {
    const all = view({ with: [{ id: 'm', role: 'mat', on: 'lid/base' }] })
    const on = placeName(all, 'lid/base')
    expect(on).not.toBe('lid/base')
    expect(placeName(all, 'm')).toContain(on)
    expect(placeName(all, 'nowhere')).toBe('nowhere')
    expect(placeName(all, undefined)).toBe('')
  })

  it('finds the middle of a panel to the millimetre or the eighth', () => {
    const design = sized('shaker-tray-doubled')
    const fold = design.pieces.find(({ id }) => id === 'lid')?.fold
    const ring = (fold?.faces_vertices[fold['faces_gimbo:name'].indexOf('base')] ?? []).map(
      (v): [number, number] => fold?.vertices_coords[v] ?? [0, 0],
    )
    const half = (axis: 0 | 1) => (Math.max(...ring.map((p) => p[axis])) - Math.min(...ring.map((p) => p[axis]))) / 2
    const metric = middleOf(view({}, { ...design, system: 'metric' }), 'lid/base')
    expect(Math.abs(parseFloat(metric.left) - half(0))).toBeLessThanOrEqual(0.5)
    expect(Math.abs(parseFloat(metric.bottom) - half(1))).toBeLessThanOrEqual(0.5)
    const inches = middleOf(view({}, { ...design, system: 'imperial' }), 'lid/base')
    expect(Math.abs(parseFloat(inches.left) * 25.4 - half(0))).toBeLessThanOrEqual(25.4 / 16 + 1e-9)
  })

  it('puts a paper of the drawer in once, under an id that no other has', () => {
    const paper = (name: string) => ({ name, caliper: '0.2 mm', colour: '#aabbcc' }) as PaperStock
    const design = sized('shaker-tray-doubled')
    const [main] = design.papers
    if (!main) throw new Error('a paper')
    const having = (...papers: Array<[string, string]>) =>
      view({}, { ...design, papers: [main, ...papers.map(([id, name]) => ({ ...main, id, name }))] })
    expect(paperFrom(having(), paper('Low tide, print'))).toEqual({
      id: 'low-tide-print',
      changes: [
        { at: '/papers/low-tide-print', to: { name: 'Low tide, print', caliper: '0.2 mm', colour: '#aabbcc' } },
      ],
    })
    expect(paperFrom(having(['low-tide-print', 'Another']), paper('Low tide, print')).id).toBe('low-tide-print-2')
    expect(paperFrom(having(['sand', 'Low tide, print']), paper('Low tide, print')).id).toBe('sand')
    expect(paperFrom(having(), paper('砂')).id).toBe('paper')
  })
})
