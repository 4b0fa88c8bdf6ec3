import { newId } from '@/ui/newId'
import { words } from '@/words'
import type { components } from './schema'

type Schemas = components['schemas']
export type DesignView = Schemas['DesignView']
export type Sized = Schemas['Design']
export type Piece = Schemas['Piece']
/** With its steps and its folds. */
export type Whole = Schemas['WholeDesign']
export type Told = Schemas['Told']
export type Folding = Schemas['FoldPlan']
/** A piece, and how it is folded. */
export type FoldedPiece = Piece & { folding: Folding }
export type Measure = Schemas['Measure']
export type Check = Schemas['Check']
export type Term = Schemas['Term']
export type Usual = Schemas['Usual']
export type Tick = Schemas['Tick']
export type Step = Schemas['Step']
export type Catalogue = Schemas['Catalogue']
export type NamedSize = Schemas['NamedSize']
export type ShelfCard = Schemas['ShelfCard']
export type Library = Schemas['Library']
export type OwnSize = Schemas['OwnSize']
export type ToolSet = Schemas['ToolSet']
export type PaperStock = Schemas['PaperStock']
export type SheetYield = Schemas['Yield']
export type StockRow = Schemas['StockRow']
export type Plan = Schemas['Plan']
export type PlanAsked = Schemas['PlanAsked']
export type PlanSheet = Schemas['PlanSheet']
export type BoughtEnvelopes = Schemas['BoughtEnvelopes']
export type PlanPart = Schemas['PlanPart']
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
export type Backup = Schemas['Backup']
export type BackupLook = Schemas['BackupLook']
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
export class Unanswered extends Error {
  constructor(
    why: string,
    /** What the server says ails it, where it said so. */
    readonly said: string | null = null,
    /** Whether the server is there, and could not do this very thing. */
    readonly isItsOwn = false,
    /** Whether it may have been done all the same. */
    readonly mayBeDone = false,
  ) {
    super(why)
  }
}

const PATIENCE_MS = 10_000

/** What is taken in is no larger, in bytes; more is not even sent. */
export const LARGEST_FILE = 1024 * 1024

/** What only asks, though it is sent like something to be done. */
const ONLY_ASKS = /^\/(size|starts|outlines|trials\/.*|library\/sizes\/preview|designs\/[^/]+\/missed)$/

/** Requests to be done that are under way, and the ids of those that were not answered, by what is asked. */
const underWay = new Map<string, Promise<unknown>>()
const keys = new Map<string, string>()

/**
 * Asks for something to be done, once: pressed again while it is under way it is the same request, and tried again after
 * no answer came it has the same id, by which the server knows that it has been done.
 */
function once<T>(method: string, path: string, body?: unknown): Promise<T> {
  const asked = `${method} ${path} ${JSON.stringify(body) ?? ''}`
  const known = underWay.get(asked)
  if (known) return known as Promise<T>
  const key = keys.get(asked) ?? newId()
  keys.set(asked, key)
  const request = ask<T>(method, path, body, key)
    .then(
      (answer) => {
        keys.delete(asked)
        return answer
      },
      (error: unknown) => {
        if (error instanceof Refused) keys.delete(asked)
        throw error
      },
    )
    .finally(() => underWay.delete(asked))
  underWay.set(asked, request)
  return request
}

function send<T>(method: string, path: string, body?: unknown): Promise<T> {
  return method === 'GET' || ONLY_ASKS.test(path) ? ask<T>(method, path, body) : once<T>(method, path, body)
}

async function ask<T>(method: string, path: string, body?: unknown, key?: string): Promise<T> {
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers: {
        Accept: 'application/json',
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        ...(key === undefined ? {} : { 'Idempotency-Key': key }),
      },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
      signal: AbortSignal.timeout(PATIENCE_MS),
    })
    const answer: unknown = await response.json()
    return understood<T>(response.status, answer)
  } catch (error) {
    if (error instanceof Refused || error instanceof Unanswered) throw error
    throw new Unanswered(String(error), null, false, key !== undefined)
  }
}

/** Sends a large file; fetch does not say how far it is. */
function upload<T>(path: string, body: Blob, onShare: (share: number) => void, signal: AbortSignal): Promise<T> {
  return new Promise((done, fail) => {
    const request = new XMLHttpRequest()
    request.open('POST', `/api${path}`)
    request.setRequestHeader('Accept', 'application/json')
    request.setRequestHeader('Content-Type', 'application/jsonl')
    request.upload.addEventListener('progress', ({ loaded, total }) => onShare(total === 0 ? 0 : loaded / total))
    request.addEventListener('load', () => {
      try {
        done(understood<T>(request.status, JSON.parse(request.responseText)))
      } catch (error) {
        fail(
          error instanceof Refused || error instanceof Unanswered ? error : new Unanswered(String(error), null, false),
        )
      }
    })
    for (const end of ['error', 'abort', 'timeout'] as const)
      request.addEventListener(end, () => fail(new Unanswered(end, null, false, end !== 'abort')))
    signal.addEventListener('abort', () => request.abort())
    request.send(body)
  })
}

/** What an answer says, or why it was none. */
function understood<T>(status: number, answer: unknown): T {
  if (status >= 200 && status < 300) return answer as T
  const problems = (answer as { errors?: Problem[] }).errors ?? []
  if (status >= 500) throw new Unanswered(`status ${status}`, problems[0]?.message ?? null, status === 500)
  throw new Refused(status, problems)
}

const design = (id: string) => `/designs/${encodeURIComponent(id)}`

export const api = {
  catalogue: () => send<Catalogue>('GET', '/catalogue'),
  shelf: () => send<{ designs: ShelfCard[] }>('GET', '/designs'),
  start: (name: string, spec: unknown) => send<DesignView>('POST', '/designs', { name, spec }),
  /** Everything that could be made for what is held, sized and drawn. */
  starts: (holds: Record<string, string>, shown: unknown, system: System | null, usual: System, given: Change[]) =>
    send<Schemas['Starts']>('POST', '/starts', {
      holds,
      shown,
      usual,
      with: given,
      ...(system === null ? {} : { system }),
    }),
  usual: () => send<Schemas['UsualAnswer']>('GET', '/usual'),
  sayUsual: (changes: Change[]) => send<Schemas['UsualAnswer']>('PUT', '/usual', { changes }),
  outline: (file: string, unit: string | null) =>
    send<Outline>('POST', '/outlines', { file, ...(unit === null ? {} : { unit }) }),
  /** The file as it is: the server says what is wrong with it, line or field. */
  takeIn: (file: string) => send<DesignView>('POST', '/designs/import', file),
  design: (id: string) => send<DesignView>('GET', design(id)),
  picture: (id: string) => send<Still>('GET', `${design(id)}/picture`),
  /** Its steps in words. */
  told: (id: string) => send<Told>('GET', `${design(id)}/told`),
  folding: (id: string) => send<Schemas['Foldings']>('GET', `${design(id)}/folding`),
  /** How the sheet lies for each step, drawn. */
  ticks: (id: string) => send<Schemas['Ticks']>('GET', `${design(id)}/ticks`),
  tick: (id: string, ticks: Tick[]) => send<Schemas['Ticks']>('POST', `${design(id)}/ticks`, { ticks }),
  pictures: (id: string, order: 'by-piece' | 'by-tool', hand: 'right' | 'left') =>
    send<Schemas['WorkPictures']>('GET', `${design(id)}/work?order=${order}&hand=${hand}`),
  alternatives: (id: string) => send<Schemas['Alternatives']>('GET', `${design(id)}/alternatives`),
  archive: () => send<{ designs: ShelfCard[] }>('GET', '/designs/archive'),
  /** Another name, or another group; a name is a change that can be undone. */
  put: (id: string, change: { name?: string; group?: string }) => send<ShelfCard>('PATCH', design(id), change),
  history: (id: string) => send<History>('GET', `${design(id)}/history`),
  go: (id: string, revision: number, to: number) => send<DesignView>('POST', `${design(id)}/go`, { revision, to }),
  namePoint: (id: string, name: string) => send<Schemas['Point']>('POST', `${design(id)}/points`, { name }),
  returnTo: (id: string, point: string) => send<DesignView>('POST', `${design(id)}/points/${point}/return`),
  forgetPoint: (id: string, point: string) => send<object>('DELETE', `${design(id)}/points/${point}`),
  variants: (id: string) => send<Schemas['Variants']>('GET', `${design(id)}/variants`),
  addVariant: (id: string) => send<DesignView>('POST', `${design(id)}/variants`),
  keepVariant: (id: string, variant: string) => send<DesignView>('POST', `${design(id)}/variants/${variant}/keep`),
  dropVariant: (id: string, variant: string) => send<object>('DELETE', `${design(id)}/variants/${variant}`),
  library: () => send<Library>('GET', '/library'),
  addEntry: (kind: keyof Library, entry: object) => send<object>('POST', `/library/${kind}`, entry),
  changeEntry: (kind: keyof Library, id: string, entry: object) => send<object>('PUT', `/library/${kind}/${id}`, entry),
  dropEntry: (kind: keyof Library, id: string) => send<object>('DELETE', `/library/${kind}/${id}`),
  previewSizes: (csv: string) => send<SizesPreview>('POST', '/library/sizes/preview', { csv }),
  takeSizes: (csv: string) => send<{ taken: number }>('POST', '/library/sizes/take', { csv }),
  /** What there is of a paper, and what it was when it was looked at. */
  stock: (paper: string, stock: Array<Omit<StockRow, 'id'>>, was: StockRow[]) =>
    send<PaperStock>('PUT', `/library/papers/${paper}/stock`, { stock, was }),
  takeStock: (csv: string) => send<{ taken: number }>('POST', '/library/stock/take', { csv }),
  plans: () => send<Schemas['Plans']>('GET', '/plans'),
  addPlan: (name: string, asked: PlanAsked) => send<Plan>('POST', '/plans', { name, asked }),
  plan: (id: string) => send<Plan>('GET', `/plans/${id}`),
  putPlan: (id: string, said: { name?: string; asked?: PlanAsked }) => send<Plan>('PUT', `/plans/${id}`, said),
  dropPlan: (id: string) => send<object>('DELETE', `/plans/${id}`),
  cutSheet: (id: string, sheet: number, stamp: string) => send<Plan>('POST', `/plans/${id}/cut`, { sheet, stamp }),
  missSheet: (id: string, missed: { sheet: number; stamp: string; n: number; at: string }) =>
    send<Plan>('POST', `/plans/${id}/missed`, missed),
  /** So many cuts of a sheet are made; with none it is laid back. */
  handSheet: (id: string, hand: { sheet: number; made: number; stamp: string }) =>
    send<Plan>('PUT', `/plans/${id}/hand`, hand),
  /** One slice of a longer search for fewer sheets. */
  searchPlan: (id: string, slice: number, stamp: string) =>
    send<Plan>('POST', `/plans/${id}/further`, { slice, stamp }),
  /** As many bought envelopes as are still wanted and there. */
  takeEnvelopes: (id: string, entry: string, stamp: string) =>
    send<Plan>('POST', `/plans/${id}/envelopes`, { entry, stamp }),
  meetings: (id: string) => send<Schemas['PlanMeetings']>('GET', `/plans/${id}/meetings`),
  meetPlan: (id: string, meeting: number, stamp: string) => send<Plan>('POST', `/plans/${id}/meet`, { meeting, stamp }),
  uncut: (id: string, cut: number) => send<Plan>('DELETE', `/plans/${id}/cuts/${cut}`),
  trial: (of: 'notch' | 'caliper', measured: object) => send<Trial>('POST', `/trials/${of}`, measured),
  cutting: () => send<Cutting>('GET', '/cutting'),
  cut: (id: string, order: { cutter: string; pieces: string[] }) =>
    send<Schemas['CuttingJobs']>('POST', `${design(id)}/cutting`, order),
  cutAgain: (job: string) => send<CuttingJob>('POST', `/cutting/${job}/again`),
  cutOn: (job: string) => send<CuttingJob>('POST', `/cutting/${job}/go-on`),
  wishOfCut: (job: string, wish: 'pause' | 'go-on' | 'stop') =>
    send<CuttingJob>('POST', `/cutting/${job}/wish`, { wish }),
  dropCut: (job: string) => send<object>('DELETE', `/cutting/${job}`),
  copy: (id: string, name: string) => send<DesignView>('POST', `${design(id)}/copy`, { name }),
  takeOff: (id: string) => send<object>('DELETE', design(id)),
  putBack: (id: string) => send<ShelfCard>('POST', `${design(id)}/restore`),
  missed: (id: string, piece: string, measure: number, at: string) =>
    send<Missed>('POST', `${design(id)}/missed`, { piece, measure, at }),
  /** These are sent until they are answered, by an id that is kept with them. */
  edit: (id: string, edit: { id: string; revision: number | null; gesture: string | null; changes: Change[] }) =>
    ask<DesignView>('POST', `${design(id)}/edits`, edit, edit.id),
  undo: (id: string, key: string, revision: number) => ask<DesignView>('POST', `${design(id)}/undo`, { revision }, key),
  redo: (id: string, key: string, revision: number) => ask<DesignView>('POST', `${design(id)}/redo`, { revision }, key),
  /** Which state it is in. */
  now: (id: string) => ask<Schemas['Now']>('GET', `${design(id)}/now`),
  /** Sizes a spec without keeping it, after some changes to it. */
  size: (spec: unknown, changes: Change[]) => send<Whole>('POST', '/size', { spec, changes }),
  backups: () => send<Schemas['Backups']>('GET', '/backups'),
  backUp: () => send<Backup>('POST', '/backups'),
  backup: (name: string) => send<BackupLook>('GET', `/backups/${encodeURIComponent(name)}`),
  restore: (name: string) => send<Schemas['Restored']>('POST', `/backups/${encodeURIComponent(name)}/restore`),
  fetchBack: (name: string, id: string) =>
    send<DesignView>('POST', `/backups/${encodeURIComponent(name)}/designs/${encodeURIComponent(id)}`),
  /** A file of everything; it becomes a backup. */
  /** How much of it has gone is told as it goes; it can be stopped. */
  takeInAll: (file: Blob, onShare: (share: number) => void, signal: AbortSignal) =>
    upload<Schemas['TakenIn']>('/backups/take-in', file, onShare, signal),
}

/** What was wrong, in words: at which field, or what to do when nobody answered. */
export function problemsOf(error: unknown): Problem[] {
  if (error instanceof Refused && error.problems.length > 0) return error.problems
  if (error instanceof Unanswered && error.said !== null) return [{ at: '', message: error.said }]
  const mayBeDone = error instanceof Unanswered && error.mayBeDone
  return [{ at: '', message: words(mayBeDone ? 'saving.may-be-done' : 'saving.try-again') }]
}

/** Where a browser downloads a design or one of its pieces. */
export const files = {
  design: (id: string) => `/api${design(id)}/design.json`,
  sizes: () => '/api/library/sizes.csv',
  stock: () => '/api/library/stock.csv',
  plan: (id: string, paper: 'a4' | 'letter') => `/api/plans/${id}/plan.pdf?paper=${paper}`,
  planSheet: (id: string, number: number) => `/api/plans/${id}/sheet-${number}.svg`,
  everythingKept: () => '/api/everything.jsonl',
  labels: (id: string, paper: 'a4' | 'letter') => `/api${design(id)}/labels.pdf?paper=${paper}`,
  template: (id: string, paper: 'a4' | 'letter') => `/api${design(id)}/template.pdf?paper=${paper}`,
  dxf: (id: string, piece: string) => `/api${design(id)}/${piece}.dxf`,
  hpgl: (id: string, piece: string) => `/api${design(id)}/${piece}.hpgl`,
  cuttingList: (id: string) => `/api${design(id)}/cutting-list.csv`,
  everything: (id: string, paper: 'a4' | 'letter') => `/api${design(id)}/everything.zip?paper=${paper}`,
  step: (id: string, number: number, order: string, hand: string) =>
    `/api${design(id)}/steps/${number}.svg?order=${order}&hand=${hand}`,
  measures: (id: string) => `/api${design(id)}/measures.svg`,
  oneFile: (id: string) => `/api${design(id)}/steps.html`,
  recipe: (id: string) => `/api${design(id)}/recipe.txt`,
  /** Everything of these designs, or of all on the shelf where none is named. */
  several: (ids: string[]) => `/api/handed-on.zip${ids.length > 0 ? `?designs=${ids.join(',')}` : ''}`,
  svg: (id: string, piece: string) => `/api${design(id)}/${piece}.svg`,
  fold: (id: string, piece: string) => `/api${design(id)}/${piece}.fold`,
}
