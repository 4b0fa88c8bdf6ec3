import type { Piece, Sized } from '@/api/client'
import { words } from '@/words'
import { centroid, isInside, marksOf, middle, ticksOf, type View, type XY } from './geometry'
import { laidOn } from './laid'
import { heightOf, widthOf, type Label } from './labels'

/** From the sheet's edge to the line of its rulers. */
export const RULER_GAP_PX = 8
/** From the sheet's edge to its dimension lines. */
export const DIMENSION_PX = 16

const RANK = { lit: 0, mark: 1, contents: 2, dimension: 3, face: 4, tick: 5 }

/** Everything that is written on one piece, in the order of its weight. */
export function labelsOf(design: Sized, piece: Piece, view: View, lit: number[]): Label[] {
  return [
    ...markLabels(design, piece, view, lit),
    ...contentsLabel(design, piece, view),
    ...dimensionLabels(piece, view),
    ...faceLabels(piece, view, laidOn(design, piece).length > 0),
    ...tickLabels(design, view),
  ].map((label) => ({ ...label, id: `${piece.id} ${label.id}` }))
}

function markLabels(design: Sized, piece: Piece, view: View, lit: number[]): Label[] {
  const [x0, y0] = view.zero
  return marksOf(piece).map(({ measure, ruler, at, from }): Label => {
    const isLit = lit.includes(measure)
    // A tool with a scale of its own says its unit beside the ruler's.
    const unit = piece.measures[measure]?.scale.unit
    const other = unit && unit !== (design.system === 'imperial' ? 'in' : 'mm') ? ` ${unit}` : ''
    const label = {
      id: `mark ${measure}`,
      text: piece.measures[measure]?.text ?? '',
      kind: 'mark' as const,
      px: 17,
      rank: isLit ? RANK.lit : RANK.mark,
      isLit,
      ...(from === 'bottom' ? { before: '↑ ' } : {}),
      ...(from === 'right' || other ? { after: `${other}${from === 'right' ? ' ←' : ''}` } : {}),
      ...(from ? { aside: words(`sheet.aside.${from}`) } : {}),
    }
    const [x, y] = [x0 + at * view.scale, y0 + at * view.scale]
    const places: XY[] =
      ruler === 'top'
        ? [
            [x, y0 - RULER_GAP_PX - 26],
            [x - widthOf(label) * 0.55, y0 - RULER_GAP_PX - 26],
            [x + widthOf(label) * 0.55, y0 - RULER_GAP_PX - 26],
          ]
        : [
            [x0 - RULER_GAP_PX - 14 - widthOf(label) / 2, y],
            [x0 - RULER_GAP_PX - 14 - widthOf(label) / 2, y - heightOf(label) * 0.6],
            [x0 - RULER_GAP_PX - 14 - widthOf(label) / 2, y + heightOf(label) * 0.6],
          ]
    return { ...label, places }
  })
}

function tickLabels(design: Sized, view: View): Label[] {
  const [x0, y0] = view.zero
  const on = (ruler: 'top' | 'left', reach: number) =>
    ticksOf(reach, design.system, view.scale).flatMap(({ at, label }): Label[] => {
      if (label === undefined) return []
      const tick = { id: `tick ${ruler} ${at}`, text: label, kind: 'tick' as const, px: 13, rank: RANK.tick }
      const place: XY =
        ruler === 'top'
          ? [x0 + at * view.scale, y0 - RULER_GAP_PX - 24]
          : [x0 - RULER_GAP_PX - 20 - widthOf(tick) / 2, y0 + at * view.scale]
      return [{ ...tick, places: [place] }]
    })
  return [...on('top', view.reach[0]), ...on('left', view.reach[1])]
}

/** The contents' size written along their own width: a card that goes in turned is read turned. */
function contentsLabel(design: Sized, piece: Piece, view: View): Label[] {
  if (!piece.contents || laidOn(design, piece).length > 0) return []
  const ring = piece.contents.map(view.at)
  const sides = [0, 1].map((i) => {
    const [a, b] = [ring[i] ?? [0, 0], ring[i + 1] ?? [0, 0]]
    return { along: Math.hypot(b[0] - a[0], b[1] - a[1]), turn: (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI }
  })
  const misses = sides.map((side) => Math.abs(side.along - design.holds.width * view.scale))
  const side = (misses[0] ?? 0) <= (misses[1] ?? 0) ? sides[0] : sides[1]
  const { width, height } = design.holds.text
  const label = { id: 'contents', text: width, by: height, kind: 'contents' as const, px: 18, rank: RANK.contents }
  if (!side || widthOf(label) > side.along) return []
  return [{ ...label, turn: side.turn, places: [middle(ring)] }]
}

/** A face's name in its middle, where there is room for it. */
function faceLabels(piece: Piece, view: View, isLaid: boolean): Label[] {
  const { fold } = piece
  return fold.faces_vertices.flatMap((face, f): Label[] => {
    const name = fold['faces_gimbo:name'][f]
    // The contents' own size is written where they lie.
    if (
      !name ||
      (f === piece.contentsFace && !isLaid) ||
      fold['faces_gimbo:name'].some((other) => other?.startsWith(`${name}-part-`)) ||
      /-part-\d+$/.test(name)
    )
      return []
    const corners = face.map((v) => view.at(fold.vertices_coords[v] ?? [0, 0]))
    const label = { id: `face ${f}`, text: words(`face.${name}`), kind: 'face' as const, px: 14, rank: RANK.face }
    const [w, h] = [widthOf(label) / 2, heightOf(label) / 2]
    const [x, y] = centroid(corners)
    const places = (
      [
        [x, y],
        [x, y - 16],
        [x, y + 16],
      ] as XY[]
    ).filter(([px, py]) =>
      (
        [
          [px - w, py - h],
          [px + w, py - h],
          [px + w, py + h],
          [px - w, py + h],
        ] as XY[]
      ).every((corner) => isInside(corner, corners)),
    )
    return places.length > 0 ? [{ ...label, places }] : []
  })
}

export interface Dimension {
  from: XY
  to: XY
  /** Outwards, one pixel long. */
  out: XY
  text: string
}

/** The sheet's width along its lower edge and its height along its right one. */
export function dimensionsOf(piece: Piece, view: View): Dimension[] {
  const { width, height, text } = piece.sheet
  const edges: Array<[XY, XY, string]> = [
    [[0, 0], [width, 0], text.width],
    [[width, 0], [width, height], text.height],
  ]
  return edges.map(([a, b, figure]) => {
    const [from, to] = [view.at(a), view.at(b)]
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1
    // Walking anticlockwise round the sheet, outside is on the right; y runs down on the screen.
    return { from, to, out: [-(to[1] - from[1]) / length, (to[0] - from[0]) / length], text: figure }
  })
}

function dimensionLabels(piece: Piece, view: View): Label[] {
  return dimensionsOf(piece, view).map(({ from, to, out, text }, i): Label => {
    const label = { id: `dimension ${i}`, text, unit: true, kind: 'dimension' as const, px: 15, rank: RANK.dimension }
    const away = DIMENSION_PX + 4 + Math.abs(out[0]) * (widthOf(label) / 2) + Math.abs(out[1]) * (heightOf(label) / 2)
    const at = (share: number): XY => [
      from[0] + (to[0] - from[0]) * share + out[0] * away,
      from[1] + (to[1] - from[1]) * share + out[1] * away,
    ]
    return { ...label, places: [at(0.5), at(0.35), at(0.65)] }
  })
}
