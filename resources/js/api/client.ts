import { words } from '@/words'
import type { components } from './schema'

type Schemas = components['schemas']
export type DesignView = Schemas['DesignView']
export type Sized = Schemas['Design']
export type Piece = Schemas['Piece']
export type Measure = Schemas['Measure']
export type Check = Schemas['Check']
export type Term = Schemas['Term']
export type Step = Schemas['Step']
export type Catalogue = Schemas['Catalogue']
export type NamedSize = Schemas['NamedSize']
export type ShelfCard = Schemas['ShelfCard']
export type Library = Schemas['Library']
export type OwnSize = Schemas['OwnSize']
export type ToolSet = Schemas['ToolSet']
export type PaperStock = Schemas['PaperStock']
export type SizesPreview = Schemas['SizesPreview']
export type Cutting = Schemas['Cutting']
export type CuttingJob = Schemas['CuttingJob']
export type Trial = Schemas['Trial']
export type History = Schemas['History']
export type Alternative = Schemas['Alternative']
export type Thumbnail = Schemas['Thumbnail']
export type Still = Schemas['Still']
export type Outline = Schemas['Outline']
export type Missed = Schemas['Missed']
export type Problem = Schemas['Problem']
export type System = Schemas['System']
export type Change = { at: string; to: unknown } | { at: string; nudge: number }

/** The server read the request and refused it, with a reason for each field. Asking again will not help. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly problems: Problem[],
  ) {
    super(problems[0]?.message ?? `status ${status}`)
  }
}

/** The server did not answer, or answered that it could not. The same request may go through later. */
export class Unanswered extends Error {}

const PATIENCE_MS = 10_000

/** What is taken in is no larger, in bytes; more is not even sent. */
export const LARGEST_FILE = 1024 * 1024

async function ask<T>(method: string, path: string, body?: unknown): Promise<T> {
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers: { Accept: 'application/json', ...(body === undefined ? {} : { 'Content-Type': 'application/json' }) },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
      signal: AbortSignal.timeout(PATIENCE_MS),
    })
    if (response.status >= 500) throw new Unanswered(`status ${response.status}`)
    const answer: unknown = await response.json()
    if (response.ok) return answer as T
    throw new Refused(response.status, (answer as { errors?: Problem[] }).errors ?? [])
  } catch (error) {
    if (error instanceof Refused) throw error
    throw new Unanswered(String(error))
  }
}

const design = (id: string) => `/designs/${encodeURIComponent(id)}`

export const api = {
  catalogue: () => ask<Catalogue>('GET', '/catalogue'),
  shelf: () => ask<{ designs: ShelfCard[] }>('GET', '/designs'),
  start: (name: string, spec: unknown) => ask<DesignView>('POST', '/designs', { name, spec }),
  /** Everything that could be made for what is held, sized and drawn. */
  starts: (holds: Record<string, string>, shown: unknown, system: System | null, usual: System) =>
    ask<Schemas['Starts']>('POST', '/starts', { holds, shown, usual, ...(system === null ? {} : { system }) }),
  outline: (file: string, unit: string | null) =>
    ask<Outline>('POST', '/outlines', { file, ...(unit === null ? {} : { unit }) }),
  /** The file as it is: the server says what is wrong with it, line or field. */
  takeIn: (file: string) => ask<DesignView>('POST', '/designs/import', file),
  design: (id: string) => ask<DesignView>('GET', design(id)),
  picture: (id: string) => ask<Still>('GET', `${design(id)}/picture`),
  /** How the sheet lies for each step, drawn. */
  pictures: (id: string, order: 'by-piece' | 'by-tool', hand: 'right' | 'left') =>
    ask<Schemas['WorkPictures']>('GET', `${design(id)}/work?order=${order}&hand=${hand}`),
  alternatives: (id: string) => ask<Schemas['Alternatives']>('GET', `${design(id)}/alternatives`),
  archive: () => ask<{ designs: ShelfCard[] }>('GET', '/designs/archive'),
  /** Another name, or another group; a name is a change that can be undone. */
  put: (id: string, change: { name?: string; group?: string }) => ask<ShelfCard>('PATCH', design(id), change),
  history: (id: string) => ask<History>('GET', `${design(id)}/history`),
  go: (id: string, revision: number, to: number) => ask<DesignView>('POST', `${design(id)}/go`, { revision, to }),
  namePoint: (id: string, name: string) => ask<Schemas['Point']>('POST', `${design(id)}/points`, { name }),
  returnTo: (id: string, point: string) => ask<DesignView>('POST', `${design(id)}/points/${point}/return`),
  forgetPoint: (id: string, point: string) => ask<object>('DELETE', `${design(id)}/points/${point}`),
  variants: (id: string) => ask<Schemas['Variants']>('GET', `${design(id)}/variants`),
  addVariant: (id: string) => ask<DesignView>('POST', `${design(id)}/variants`),
  keepVariant: (id: string, variant: string) => ask<DesignView>('POST', `${design(id)}/variants/${variant}/keep`),
  dropVariant: (id: string, variant: string) => ask<object>('DELETE', `${design(id)}/variants/${variant}`),
  library: () => ask<Library>('GET', '/library'),
  addEntry: (kind: keyof Library, entry: object) => ask<object>('POST', `/library/${kind}`, entry),
  changeEntry: (kind: keyof Library, id: string, entry: object) => ask<object>('PUT', `/library/${kind}/${id}`, entry),
  dropEntry: (kind: keyof Library, id: string) => ask<object>('DELETE', `/library/${kind}/${id}`),
  previewSizes: (csv: string) => ask<SizesPreview>('POST', '/library/sizes/preview', { csv }),
  takeSizes: (csv: string) => ask<{ taken: number }>('POST', '/library/sizes/take', { csv }),
  trial: (of: 'notch' | 'caliper', measured: object) => ask<Trial>('POST', `/trials/${of}`, measured),
  cutting: () => ask<Cutting>('GET', '/cutting'),
  cut: (id: string, order: { cutter: string; pieces: string[] }) =>
    ask<Schemas['CuttingJobs']>('POST', `${design(id)}/cutting`, order),
  cutAgain: (job: string) => ask<CuttingJob>('POST', `/cutting/${job}/again`),
  dropCut: (job: string) => ask<object>('DELETE', `/cutting/${job}`),
  copy: (id: string, name: string) => ask<DesignView>('POST', `${design(id)}/copy`, { name }),
  takeOff: (id: string) => ask<object>('DELETE', design(id)),
  putBack: (id: string) => ask<ShelfCard>('POST', `${design(id)}/restore`),
  missed: (id: string, piece: string, measure: number, at: string) =>
    ask<Missed>('POST', `${design(id)}/missed`, { piece, measure, at }),
  edit: (id: string, edit: { id: string; gesture: string | null; changes: Change[] }) =>
    ask<DesignView>('POST', `${design(id)}/edits`, edit),
  undo: (id: string, revision: number) => ask<DesignView>('POST', `${design(id)}/undo`, { revision }),
  redo: (id: string, revision: number) => ask<DesignView>('POST', `${design(id)}/redo`, { revision }),
  /** Sizes a spec without keeping it, after some changes to it. */
  size: (spec: unknown, changes: Change[]) => ask<Sized>('POST', '/size', { spec, changes }),
}

/** What was wrong, in words: at which field, or what to do when nobody answered. */
export function problemsOf(error: unknown): Problem[] {
  if (error instanceof Refused && error.problems.length > 0) return error.problems
  return [{ at: '', message: words('saving.try-again') }]
}

/** Where a browser downloads a design or one of its pieces. */
export const files = {
  design: (id: string) => `/api${design(id)}/design.json`,
  sizes: () => '/api/library/sizes.csv',
  template: (id: string, paper: 'a4' | 'letter') => `/api${design(id)}/template.pdf?paper=${paper}`,
  dxf: (id: string, piece: string) => `/api${design(id)}/${piece}.dxf`,
  hpgl: (id: string, piece: string) => `/api${design(id)}/${piece}.hpgl`,
  cuttingList: (id: string) => `/api${design(id)}/cutting-list.csv`,
  everything: (id: string, paper: 'a4' | 'letter') => `/api${design(id)}/everything.zip?paper=${paper}`,
  step: (id: string, number: number, order: string, hand: string) =>
    `/api${design(id)}/steps/${number}.svg?order=${order}&hand=${hand}`,
  measures: (id: string) => `/api${design(id)}/measures.svg`,
  recipe: (id: string) => `/api${design(id)}/recipe.txt`,
  /** Everything of these designs, or of all on the shelf where none is named. */
  several: (ids: string[]) => `/api/handed-on.zip${ids.length > 0 ? `?designs=${ids.join(',')}` : ''}`,
  svg: (id: string, piece: string) => `/api${design(id)}/${piece}.svg`,
  fold: (id: string, piece: string) => `/api${design(id)}/${piece}.fold`,
}
