import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { openDraftBook } from './draftBook'

/** A server that answers when it is told to, with the texts it has been sent. */
class FakeServer {
  requests: Array<{ path: string; body: Record<string, unknown> }> = []
  isDown = false
  refuse: { at: string; message: string } | null = null
  private waiting: Array<() => void> = []
  private revision = 1
  isHolding = false

  fetch = vi.fn(async (path: string, init: RequestInit) => {
    const body = JSON.parse((init.body as string | undefined) ?? '{}') as Record<string, unknown>
    if (this.isDown) throw new TypeError('refused')
    if (init.method === 'POST') this.requests.push({ path, body })
    if (this.isHolding) await new Promise<void>((go) => this.waiting.push(go))
    if (this.refuse && init.method === 'POST') return answer(422, { errors: [this.refuse] })
    if (init.method === 'POST') this.revision++
    return answer(200, { id: 'd', revision: this.revision, fields: {}, choices: {} })
  })

  release() {
    this.isHolding = false
    this.waiting.splice(0).forEach((go) => go())
  }
}

const answer = (status: number, body: unknown) =>
  ({ ok: status < 400, status, json: () => Promise.resolve(body) }) as Response

describe('a draft book', () => {
  let server: FakeServer

  beforeEach(() => {
    vi.useFakeTimers({ shouldAdvanceTime: true })
    server = new FakeServer()
    vi.stubGlobal('fetch', server.fetch)
  })
  afterEach(() => {
    vi.useRealTimers()
    vi.unstubAllGlobals()
  })

  const opened = async () => {
    const book = openDraftBook('d')
    await book.load()
    return book
  }
  const settled = (book: ReturnType<typeof openDraftBook>) =>
    vi.waitFor(() => expect(book.use.getState()).toMatchObject({ saving: 'saved', pending: [] }))

  it('sends what is typed and forgets the draft once the field is left', async () => {
    const book = await opened()
    book.focus('/holds/width')
    book.type('/holds/width', '4 1/4', 'g')
    await settled(book)
    expect(server.requests[0]?.body).toMatchObject({ changes: [{ at: '/holds/width', to: '4 1/4' }] })
    expect(book.use.getState().drafts).toEqual({ '/holds/width': { text: '4 1/4' } })
    book.focus(null)
    expect(book.use.getState().drafts).toEqual({})
  })

  it('runs typing together while an answer is awaited, so that it never queues up', async () => {
    const book = await opened()
    server.isHolding = true
    book.focus('/holds/width')
    for (const text of ['4', '4 ', '4 1', '4 1/', '4 1/4']) book.type('/holds/width', text, 'g')
    server.release()
    await settled(book)
    expect(server.requests.map(({ body }) => (body.changes as Array<{ to: string }>)[0]?.to)).toEqual(['4', '4 1/4'])
  })

  it('adds up nudges that wait, and keeps those of another field apart', async () => {
    const book = await opened()
    server.isHolding = true
    for (let i = 0; i < 4; i++) book.nudge('/holds/width', 1, 'g')
    book.nudge('/holds/height', -1, 'h')
    server.release()
    await settled(book)
    expect(server.requests.map(({ body }) => body.changes)).toEqual([
      [{ at: '/holds/width', nudge: 1 }],
      [{ at: '/holds/width', nudge: 3 }],
      [{ at: '/holds/height', nudge: -1 }],
    ])
  })

  it('keeps a refused draft with its reason, until another is taken', async () => {
    const book = await opened()
    server.refuse = { at: '/holds/width', message: 'Not a length.' }
    book.focus('/holds/width')
    book.type('/holds/width', 'wide', 'g')
    await settled(book)
    book.focus(null)
    expect(book.use.getState().drafts).toEqual({ '/holds/width': { text: 'wide', problem: 'Not a length.' } })
    server.refuse = null
    book.type('/holds/width', '4', 'h')
    await settled(book)
    expect(book.use.getState().drafts).toEqual({})
  })

  it('says so when the server does not answer, tries again with the same edit, and loses nothing', async () => {
    const book = await opened()
    server.isDown = true
    book.type('/holds/width', '4', 'g')
    await vi.waitFor(() => expect(book.use.getState().saving).toBe('unanswered'))
    const [waiting] = book.use.getState().pending
    server.isDown = false
    await vi.advanceTimersByTimeAsync(5000)
    await settled(book)
    expect(server.requests).toHaveLength(1)
    expect(server.requests[0]?.body.id).toBe((waiting as { id: string }).id)
  })

  it('goes on after a reload where it was', async () => {
    const before = await opened()
    server.isDown = true
    before.type('/holds/width', '4', 'g')
    await vi.waitFor(() => expect(before.use.getState().saving).toBe('unanswered'))
    const kept = localStorage.getItem('gimbo.pending.d')
    expect(kept).toContain('"to":"4"')
    server.isDown = false
    const after = await opened()
    await settled(after)
    expect(server.requests[0]?.body).toMatchObject({ changes: [{ at: '/holds/width', to: '4' }] })
  })

  it('undoes from the revision it sees', async () => {
    const book = await opened()
    book.set([{ at: '/system', to: 'metric' }])
    book.undo()
    await settled(book)
    expect(server.requests.map(({ path, body }) => [path, body.revision])).toEqual([
      ['/api/designs/d/edits', undefined],
      ['/api/designs/d/undo', 2],
    ])
  })
})
