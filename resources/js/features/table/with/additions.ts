import type { Change, DesignView, PaperStock, Piece, Sized } from '@/api/client'
import { hasWords, words } from '@/words'

/** One thing that goes with a make, as the request says it. */
export interface Addition {
  id: string
  role: string
  on?: string
  paper?: string
  border?: string | { width?: string; height?: string }
  shape?: Record<string, unknown>
  backing?: { paper?: string }
  frame?: { paper?: string }
  way?: string
  at?: unknown
  radius?: string
  edge?: string
  by?: string
  text?: string
}

export const additionsOf = (view: DesignView): Addition[] => {
  const all = (view.spec as { with?: unknown }).with
  return Array.isArray(all) ? (all as Addition[]) : []
}

/** What is glued over or stands inside is not seen: nothing is laid on it. */
const HIDDEN = new Set(['tab', 'hem', 'gusset'])

export interface Panel {
  /** As the request names it. */
  on: string
  piece: Piece
  face: string
  name: string
  isHidden: boolean
  /** Its mirror image. */
  twin: string | null
}

export const madeOf = (design: Sized) => design.pieces.filter(({ role }) => role === 'made')

/** Every panel of the make's own pieces. */
export function panelsOf(design: Sized): Panel[] {
  const made = madeOf(design)
  return made.flatMap((piece) =>
    piece.fold['faces_gimbo:name'].flatMap((face, i) => {
      // The other parts of a face with an opening are that face.
      if (face === null || /-part-\d+$/.test(face)) return []
      const twin = piece.fold['faces_gimbo:twin'][i] ?? null
      const twinName = twin === null ? null : (piece.fold['faces_gimbo:name'][twin] ?? null)
      return [
        {
          on: `${piece.id}/${face}`,
          piece,
          face,
          name: panelName(made, piece, face),
          isHidden: HIDDEN.has(piece.fold['faces_gimbo:role'][i] ?? ''),
          twin: twinName === null ? null : `${piece.id}/${twinName}`,
        },
      ]
    }),
  )
}

function panelName(made: Piece[], piece: Piece, face: string): string {
  const name = hasWords(`face.${face}`) ? words(`face.${face}`) : face
  return made.length > 1
    ? words('panel.of', { panel: name, piece: (piece.name[0] ?? '').toLowerCase() + piece.name.slice(1) })
    : name
}

/** A place in words: a panel, all of them, or what lies on one. */
export function placeName(view: DesignView, on: string | undefined): string {
  if (on === '*') return words('with.everywhere')
  const panel = panelsOf(view.design).find((one) => one.on === on)
  if (panel) return words('with.the', { panel: panel.name })
  const under = additionsOf(view).find(({ id }) => id === on)
  return under ? words('with.that-mat', { place: placeName(view, under.on) }) : (on ?? '')
}

/** An id that nothing of this design has. */
export function freeId(view: DesignView, role: string): string {
  const taken = new Set([...additionsOf(view).map(({ id }) => id), ...view.design.pieces.map(({ id }) => id)])
  for (let n = 1; ; n++) if (!taken.has(`${role}-${n}`)) return `${role}-${n}`
}

/** What a new one is, before anything is said of it. */
export function begun(view: DesignView, role: string, on?: string): Addition {
  const isMetric = view.design.system === 'metric'
  return {
    id: freeId(view, role),
    role,
    ...(on === undefined ? {} : { on }),
    ...(role === 'window' ? { shape: { circle: isMetric ? '30 mm' : '1 1/4 in' } } : {}),
    ...(role === 'label' ? { text: words('with.label-text') } : {}),
  }
}

/** The same window in another shape, as large as it was. */
export function reshaped(shape: Record<string, unknown> | undefined, to: string): Record<string, unknown> {
  const sizes = [shape?.rect, shape?.oval].find(Array.isArray) as string[] | undefined
  const across = typeof shape?.circle === 'string' ? shape.circle : (sizes?.[0] ?? '30 mm')
  const high = sizes?.[1] ?? across
  if (to === 'circle') return { circle: across }
  if (to === 'oval') return { oval: [across, high] }
  return to === 'rounded' ? { rect: [across, high], radius: '6 mm' } : { rect: [across, high] }
}

export const shapeOf = (shape: Record<string, unknown> | undefined): string =>
  shape?.circle ? 'circle' : shape?.oval ? 'oval' : shape?.ring ? 'ring' : shape?.radius ? 'rounded' : 'rect'

/** Punches and dies the design is worked with. */
export const punchesIn = (view: DesignView): { circles?: string[]; corners?: string[]; repeat?: string } =>
  (view.spec as { tools?: { punches?: object } }).tools?.punches ?? {}

/** Where the middle of a panel lies from its left and its lower edge, to the nearest eighth or millimetre: a place to begin from. */
export function middleOf(view: DesignView, on: string | undefined): { left: string; bottom: string } {
  const panel = panelsOf(view.design).find((one) => one.on === on)
  const fold = panel?.piece.fold
  const ring =
    fold?.faces_vertices[fold['faces_gimbo:name'].indexOf(panel?.face ?? '')]?.map((v) => fold.vertices_coords[v]) ?? []
  const half = (axis: 0 | 1) => {
    const along = ring.map((point) => point?.[axis] ?? 0)
    return ring.length === 0 ? 30 : (Math.max(...along) - Math.min(...along)) / 2
  }
  const isMetric = view.design.system === 'metric'
  const text = (mm: number) => (isMetric ? `${Math.round(mm)} mm` : `${Math.round((mm / 25.4) * 8) / 8} in`)
  return { left: text(half(0)), bottom: text(half(1)) }
}

/** A paper of the drawer, put among those of the design under an id of its own. */
export function paperFrom(view: DesignView, kept: PaperStock): { id: string; changes: Change[] } {
  const known = view.design.papers.find((paper) => paper.id !== '' && paper.name === kept.name)
  const plain =
    kept.name
      .toLowerCase()
      .normalize('NFKD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 36) || 'paper'
  const taken = new Set(view.design.papers.map(({ id }) => id))
  let id = known?.id ?? plain
  for (let n = 2; !known && taken.has(id); n++) id = `${plain}-${n}`
  return {
    id,
    changes: [
      {
        at: `/papers/${id}`,
        to: {
          name: kept.name,
          caliper: kept.caliper,
          ...(kept.colour ? { colour: kept.colour } : {}),
          ...(kept.grammage ? { grammage: kept.grammage } : {}),
          ...(kept.width && kept.height ? { sheet: { width: kept.width, height: kept.height } } : {}),
        },
      },
    ],
  }
}
