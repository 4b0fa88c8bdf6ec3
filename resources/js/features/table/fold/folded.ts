import type { FoldedPiece } from '@/api/client'

export type XYZ = readonly [number, number, number]

/** A rigid motion as the rows of its rotation and its shift. */
type Motion = readonly [XYZ, XYZ, XYZ, XYZ]

const STILL: Motion = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
  [0, 0, 0],
]

const dot = (a: XYZ, b: XYZ) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
const plus = (a: XYZ, b: XYZ): XYZ => [a[0] + b[0], a[1] + b[1], a[2] + b[2]]
const times = (a: XYZ, by: number): XYZ => [a[0] * by, a[1] * by, a[2] * by]
const moved = ([x, y, z, shift]: Motion, p: XYZ): XYZ => plus([dot(x, p), dot(y, p), dot(z, p)], shift)

function after(last: Motion, first: Motion): Motion {
  const column = (i: 0 | 1 | 2): XYZ => [first[0][i], first[1][i], first[2][i]]
  const [c0, c1, c2] = [column(0), column(1), column(2)]
  const row = (r: XYZ): XYZ => [dot(r, c0), dot(r, c1), dot(r, c2)]
  return [row(last[0]), row(last[1]), row(last[2]), moved(last, first[3])]
}

/** A turn about the line from one point of the flat sheet to another, right-handed. */
function about([x0, y0]: readonly [number, number], [x1, y1]: readonly [number, number], degrees: number): Motion {
  const length = Math.hypot(x1 - x0, y1 - y0)
  const [u, v] = [(x1 - x0) / length, (y1 - y0) / length]
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
  const rest = 1 - cos
  const rows: readonly [XYZ, XYZ, XYZ] = [
    [cos + u * u * rest, u * v * rest, v * sin],
    [u * v * rest, cos + v * v * rest, -u * sin],
    [-v * sin, u * sin, cos],
  ]
  const from: XYZ = [x0, y0, 0]
  return [...rows, [x0 - dot(rows[0], from), y0 - dot(rows[1], from), -dot(rows[2], from)]]
}

type Bend = FoldedPiece['folding']['bends'][number]

const shareOf = (bend: Bend, moment: number) => Math.max(0, Math.min(1, moment - bend.stage))

/** The angle the core gives for a moment, straight between the ones it lists. */
function degreesAt(bend: Bend, moment: number): number {
  const along = shareOf(bend, moment) * (bend.degrees.length - 1)
  const before = Math.floor(along)
  const at = bend.degrees[before] ?? 0
  return at + ((bend.degrees[before + 1] ?? at) - at) * (along - before)
}

export interface Folded {
  /** The corners of each face, in the pattern's order. */
  faces: XYZ[][]
  /** The paper round the edges of what lies between the layers. */
  edges: XYZ[][]
  /** The underside and the top of what it holds. */
  contents: { under: XYZ[]; top: XYZ[] } | null
  /** A point of a face's part of the flat sheet, so far above it. */
  at: (face: number, point: readonly [number, number], above: number) => XYZ
}

const SEEN_MM = 0.8
const OFF_PAPER_MM = 0.15

/** A piece at a moment of its fold plan: the core's hinges, order and angles, applied. Frame: that of the flat sheet. */
export function foldedAt(piece: Pick<FoldedPiece, 'fold' | 'folding' | 'contents'>, moment: number): Folded {
  const { fold, folding } = piece
  const vertex = (v: number): readonly [number, number] => fold.vertices_coords[v] ?? [0, 0]
  const motions: Motion[] = []
  const shares: number[] = []
  motions[folding.root] = STILL
  shares[folding.root] = 1
  for (const bend of folding.bends) {
    const turn = about(vertex(bend.to), vertex(bend.from), degreesAt(bend, moment))
    motions[bend.face] = after(motions[bend.parent] ?? STILL, turn)
    // All of its place above or below other paper, once it is half way over.
    shares[bend.face] = Math.min(1, 2 * shareOf(bend, moment))
  }
  const place = (face: number, [x, y]: readonly [number, number], z = 0): XYZ =>
    plus(moved(motions[face] ?? STILL, [x, y, z]), times(folding.lifts[face] ?? [0, 0, 0], shares[face] ?? 1))
  const edges = folding.bends.flatMap((bend) => {
    const [a, b] = [place(bend.parent, vertex(bend.from)), place(bend.parent, vertex(bend.to))]
    const [c, d] = [place(bend.face, vertex(bend.to)), place(bend.face, vertex(bend.from))]
    return Math.hypot(a[0] - d[0], a[1] - d[1], a[2] - d[2]) > SEEN_MM ? [[a, b, c, d]] : []
  })
  const { contents } = folding
  const ring = piece.contents ?? []
  return {
    faces: fold.faces_vertices.map((face, f) => face.map((v) => place(f, vertex(v)))),
    edges,
    at: place,
    contents: contents && {
      under: ring.map((point) => place(contents.face, point, OFF_PAPER_MM)),
      top: ring.map((point) => place(contents.face, point, Math.max(contents.depth, 2 * OFF_PAPER_MM))),
    },
  }
}

/** Turned about the x direction through its own middle, then shifted. */
export function placedAt(point: XYZ, middle: XYZ, turnDegrees: number, shift: XYZ): XYZ {
  const [cos, sin] = [Math.cos((turnDegrees * Math.PI) / 180), Math.sin((turnDegrees * Math.PI) / 180)]
  const [x, y, z] = [point[0] - middle[0], point[1] - middle[1], point[2] - middle[2]]
  return [middle[0] + x + shift[0], middle[1] + y * cos - z * sin + shift[1], middle[2] + y * sin + z * cos + shift[2]]
}
