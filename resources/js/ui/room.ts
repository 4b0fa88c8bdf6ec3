import { useSyncExternalStore } from 'react'

/**
 * How much room there is, by rule: a hand's breadth, a tablet held upright or across, a screen laid low, a large one.
 * In rem of the browser's own type size, so that larger type gives way as a smaller screen does.
 */
const RULES = {
  short: '(max-height: 33.99rem) and (min-width: 38rem)',
  narrow: '(max-width: 43.99rem)',
  upright: '(max-width: 63.99rem)',
  large: '(min-width: 100rem) and (min-height: 44rem)',
} as const

export type Room = keyof typeof RULES | 'across'

const queries = Object.entries(RULES).map(([room, rule]) => [room as Room, matchMedia(rule)] as const)

const now = (): Room => queries.find(([, query]) => query.matches)?.[0] ?? 'across'

function watch(onChange: () => void) {
  for (const [, query] of queries) query.addEventListener('change', onChange)
  return () => {
    for (const [, query] of queries) query.removeEventListener('change', onChange)
  }
}

export const useRoom = (): Room => useSyncExternalStore(watch, now)
