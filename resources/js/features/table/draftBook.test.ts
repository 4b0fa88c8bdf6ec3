import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { openDraftBook } from './draftBook'

/** A server that answers when it is told to, with the texts it has been sent. */
class FakeServer {
  requests: Array<{ path: string; key: string; body: Record<string, unknown> }> = []
  isDown = false
  refuse: { at: string; message: string } | null = null
  refuseWith = 422
  failsAt: string | null = null
  losesAnswers = false
  isGone = false
  private waiting: Array<() => void> = []
  private revision = 1
  isHolding = false

  fetch = vi.fn(async (path: string, init: RequestInit) => {
    const body = JSON.parse((init.body as string | undefined) ?? '{}') as Record<string, unknown>
    if (this.isDown) throw new TypeError('refused')
    if (init.method === 'POST') {
      const key = (init.headers as Record<string, string>)['Idempotency-Key'] ?? ''
      this.requests.push({ path, key, body })
    }
    if (this.isHolding) await new Promise<void>((go) => this.waiting.push(go))
    if (init.method === 'POST' && this.failsAt && JSON.stringify(body).includes(this.failsAt)) return answer(500, {})
    if (path.endsWith('/restore')) this.isGone = false
    if (this.isGone) return answer(404, { errors: [{ at: '', message: 'No such design.' }] })
    if (this.refuse && init.method === 'POST') return answer(this.refuseWith, { errors: [this.refuse] })
    if (init.method === 'POST') this.revision++
    if (this.losesAnswers && init.method === 'POST') throw new TypeError('lost')
    return answer(200, { id: 'd', revision: this.revision, mark: String(this.revision), fields: {}, choices: {} })
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
    localStorage.clear()
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

  /** The page loaded anew: another tab, as far as the browser's storage knows. */
  const reloaded = async (id = 'd') => {
    vi.resetModules()
    const { openDraftBook: open } = await import('./draftBook')
    const book = open(id)
    await book.load()
    return book
  }

  it('goes on after a reload where it was', async () => {
    const before = await opened()
    server.isDown = true
    before.type('/holds/width', '4', 'g')
    await vi.waitFor(() => expect(before.use.getState().saving).toBe('unanswered'))
    const [waiting] = before.use.getState().pending
    server.isDown = false
    const after = await reloaded()
    await settled(after)
    expect(server.requests[0]?.body).toMatchObject({ id: waiting?.id, changes: [{ at: '/holds/width', to: '4' }] })
  })

  it('keeps what two tabs could not send, each its own', async () => {
    const [one, two] = [await reloaded(), await reloaded()]
    server.isDown = true
    one.type('/holds/width', '4', 'g')
    two.set([{ at: '/system', to: 'metric' }])
    await vi.waitFor(() => expect(one.use.getState().saving).toBe('unanswered'))
    await vi.waitFor(() => expect(two.use.getState().saving).toBe('unanswered'))
    const wanted = [...one.use.getState().pending, ...two.use.getState().pending].map(({ id }) => id)
    server.isDown = false
    const after = await reloaded()
    expect(after.use.getState().pending.length + server.requests.length).toBeGreaterThanOrEqual(2)
    await settled(after)
    expect(new Set(server.requests.map(({ body }) => body.id))).toEqual(new Set(wanted))
  })

  it('undoes from the revision it sees, and the same undo whose answer was lost is the same request after a reload', async () => {
    const book = await opened()
    book.set([{ at: '/system', to: 'metric' }])
    await settled(book)
    server.losesAnswers = true
    book.undo()
    await vi.waitFor(() => expect(book.use.getState().saving).toBe('unanswered'))
    server.losesAnswers = false
    const after = await reloaded()
    await settled(after)
    const undone = server.requests.filter(({ path }) => path.endsWith('/undo'))
    expect(undone.length).toBeGreaterThan(1)
    expect(new Set(undone.map(({ key, body }) => `${key} ${String(body.revision)}`)).size).toBe(1)
    expect(undone[0]?.body.revision).toBe(2)
  })

  it('sets aside what the server fails at again and again, and keeps all else', async () => {
    const book = await opened()
    server.failsAt = '/notes'
    book.set([{ at: '/notes', to: 'terns' }])
    book.set([{ at: '/system', to: 'metric' }])
    await vi.advanceTimersByTimeAsync(5000)
    await settled(book)
    expect(book.use.getState().setAside).toHaveLength(1)
    expect(server.requests.at(-1)?.body).toMatchObject({ changes: [{ at: '/system', to: 'metric' }] })
    server.failsAt = null
    book.again()
    await settled(book)
    expect(book.use.getState().setAside).toEqual([])
    expect(server.requests.at(-1)?.body).toMatchObject({ changes: [{ at: '/notes', to: 'terns' }] })
  })

  it('keeps what was typed when the design was taken off the shelf elsewhere, and sends it once it is back', async () => {
    const book = await opened()
    server.isGone = true
    book.type('/holds/width', '4', 'g')
    await vi.waitFor(() => expect(book.use.getState().isGone).toBe(true))
    expect(book.use.getState().pending).toHaveLength(1)
    await book.putBack()
    await settled(book)
    expect(server.requests.at(-1)?.body).toMatchObject({ changes: [{ at: '/holds/width', to: '4' }] })
  })

  it('goes on where the browser keeps nothing, and says so while something waits', async () => {
    const full = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    const book = await opened()
    server.isHolding = true
    book.type('/holds/width', '4', 'g')
    expect(book.use.getState().isOnlyHere).toBe(true)
    server.release()
    await settled(book)
    expect(server.requests).toHaveLength(1)
    full.mockRestore()
  })

  it('says that it waits when no answer comes', async () => {
    const book = await opened()
    server.isHolding = true
    book.type('/holds/width', '4', 'g')
    await vi.advanceTimersByTimeAsync(3000)
    expect(book.use.getState().saving).toBe('slow')
    server.release()
    await settled(book)
  })

  it('keeps a text that was overtaken by an undo elsewhere, with the reason, and shows what the design is now', async () => {
    const book = await opened()
    server.refuse = { at: '', message: 'Taken back elsewhere.' }
    server.refuseWith = 409
    book.focus('/holds/width')
    book.type('/holds/width', '4', 'g')
    await settled(book)
    expect(book.use.getState().drafts).toEqual({ '/holds/width': { text: '4', problem: 'Taken back elsewhere.' } })
  })
})
