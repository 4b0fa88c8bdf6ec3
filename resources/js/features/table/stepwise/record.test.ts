import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api, Refused, Unanswered, type DesignView, type Step, type Tick } from '@/api/client'
import { openRecord, standingOf } from './record'

const told: Tick[][] = []
let isAway = false

beforeEach(() => {
  told.length = 0
  isAway = false
  vi.useFakeTimers({ toFake: ['setTimeout', 'setInterval', 'clearInterval', 'clearTimeout', 'Date'] })
  vi.spyOn(api, 'ticks').mockImplementation(() => Promise.resolve({ ticks: [] }))
  vi.spyOn(api, 'tick').mockImplementation((_, ticks) => {
    if (isAway) return Promise.reject(new Unanswered('gone', null, false))
    told.push(ticks)
    return Promise.resolve({ ticks })
  })
})
afterEach(() => {
  vi.useRealTimers()
  vi.restoreAllMocks()
})

const line = (copy: number, done = true) => ({ step: 'tray/cut', copy, done, revision: 1, figures: '8 in × 6 in' })

it('tells what is ticked, once', async () => {
  const record = openRecord('d')
  record.tick(line(1))
  await vi.advanceTimersByTimeAsync(0)
  expect(told.map((ticks) => ticks.map(({ copy }) => copy))).toEqual([[1]])
  expect(localStorage.getItem('gimbo.ticks.d')).toBeNull()
})

it('keeps what is ticked while the server is away, over a reload, and tells it later', async () => {
  isAway = true
  const record = openRecord('d')
  record.tick(line(1))
  record.tick(line(2))
  await vi.advanceTimersByTimeAsync(5000)
  expect(record.use.getState().isAway).toBe(true)
  const again = openRecord('d')
  expect(Object.keys(again.use.getState().ticks)).toHaveLength(2)
  isAway = false
  await vi.advanceTimersByTimeAsync(5000)
  expect(told.flat().map(({ copy }) => copy)).toEqual([1, 2])
  expect(record.use.getState()).toMatchObject({ isAway: false, waiting: [] })
})

it('lets go of what is refused, and goes on', async () => {
  vi.spyOn(api, 'tick').mockRejectedValueOnce(new Refused(422, []))
  const record = openRecord('d')
  record.tick(line(1))
  await vi.advanceTimersByTimeAsync(0)
  expect(record.use.getState().waiting).toEqual([])
})

it('where there is no server, keeps them for good', () => {
  openRecord('file', false).tick(line(1))
  expect(Object.values(openRecord('file', false).use.getState().ticks)).toMatchObject([{ copy: 1, done: true }])
})

it('tells a step that is done from one that was done at other figures', () => {
  const view = {
    design: { pieces: [{ id: 'tray', sheet: { text: { width: '8 in', height: '6 in' } }, measures: [] }] },
  } as unknown as DesignView
  const step = { id: 'tray/cut', piece: 'tray', do: 'cut', copies: 2, measures: [] } as unknown as Step
  const ticks = (figures: string[]) =>
    Object.fromEntries(figures.map((one, i) => [`tray/cut ${i + 1}`, { ...line(i + 1), figures: one, at: '' }]))
  expect(standingOf({}, view, step).standing).toBe('open')
  expect(standingOf(ticks(['8 in × 6 in']), view, step).standing).toBe('begun')
  expect(standingOf(ticks(['8 in × 6 in', '8 in × 6 in']), view, step).standing).toBe('done')
  expect(standingOf(ticks(['8 in × 6 in', '7 in × 6 in']), view, step)).toMatchObject({
    standing: 'other',
    was: '7 in × 6 in',
  })
})

describe('two ticks of one step', () => {
  const tick = (at: string, done: boolean) => ({ step: 'tray/cut', copy: 1, done, revision: 1, figures: '', at })
  it.each([
    ['heard in order', [tick('2026-05-01T10:00:00.000Z', true), tick('2026-05-01T10:05:00.000Z', false)]],
    ['heard the other way round', [tick('2026-05-01T10:05:00.000Z', false), tick('2026-05-01T10:00:00.000Z', true)]],
  ])('%s: what was ticked later counts', (_, ticks) => {
    localStorage.setItem('gimbo.ticks.later', JSON.stringify(ticks))
    const { ticks: known } = openRecord('later', false).use.getState()
    expect(Object.values(known).map(({ done }) => done)).toEqual([false])
  })
})
