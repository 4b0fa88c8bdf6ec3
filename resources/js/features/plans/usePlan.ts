import { useCallback, useEffect, useRef, useState } from 'react'
import { api, problemsOf, type Plan } from '@/api/client'
import { notice } from '@/ui/notices'
import { words } from '@/words'

/** So many slices of a longer search; each takes some two tenths of a second. */
const SLICES = 60

/** The server counts no further. */
const MOST_SLICES = 1000

const sheetsOf = (plan: Plan | null) => plan?.sheets.reduce((sum, { times }) => sum + times, 0) ?? 0

export interface Trouble {
  at: string
  message: string
}

/** A cutting plan: one change after another, each made to what the last one left. */
export function usePlan(id: string) {
  const [plan, setPlan] = useState<Plan | null>(null)
  const [trouble, setTrouble] = useState<Trouble | null>(null)
  /** Cuts that were made, not answered yet: what is pressed shows at once. */
  const [pressed, setPressed] = useState<{ sheet: number; made: number } | null>(null)
  const [searched, setSearched] = useState<number | null>(null)
  const latest = useRef<Plan | null>(null)
  const line = useRef<Promise<unknown>>(Promise.resolve())
  const stopped = useRef(false)
  /** Slices looked through so far: another search goes on with the next ones. */
  const slices = useRef(0)

  const take = useCallback((next: Plan) => {
    latest.current = next
    setPlan(next)
  }, [])
  const say = useCallback((error: unknown) => setTrouble(problemsOf(error)[0] ?? null), [])
  const load = useCallback(() => api.plan(id).then(take, say), [id, take, say])
  useEffect(() => {
    void load()
    // What is cut or taken in hand in another window is seen as soon as one comes back to this one.
    const back = () => document.visibilityState === 'visible' && void (line.current = line.current.then(load))
    window.addEventListener('focus', back)
    return () => {
      stopped.current = true
      window.removeEventListener('focus', back)
    }
  }, [load])

  /** What was refused because something changed elsewhere is looked at anew; the note stays. */
  const act = useCallback(
    (change: (seen: Plan) => Promise<Plan>): Promise<boolean> => {
      const done = line.current.then(async () => {
        if (!latest.current) return false
        setTrouble(null)
        try {
          take(await change(latest.current))
          return true
        } catch (error) {
          say(error)
          await api.plan(id).then(take, () => undefined)
          return false
        }
      })
      line.current = done
      return done
    },
    [id, take, say],
  )

  const madeOf = (sheet: number) =>
    pressed?.sheet === sheet ? pressed.made : (plan?.hand.find((one) => one.sheet === sheet)?.made ?? 0)

  const makeCuts = (sheet: number, made: number) => {
    const now = { sheet, made }
    setPressed(now)
    void act((seen) => api.handSheet(id, { sheet, made, stamp: seen.stamp })).then(() =>
      setPressed((last) => (last === now ? null : last)),
    )
  }

  /** Looks for fewer sheets, slice after slice, until there can be none, or it is stopped. */
  const search = async () => {
    stopped.current = false
    const before = sheetsOf(latest.current)
    for (let n = 0; n < SLICES && !stopped.current && latest.current?.mayImprove; n++) {
      setSearched(n / SLICES)
      const slice = 1 + (slices.current++ % MOST_SLICES)
      if (!(await act((seen) => api.searchPlan(id, slice, seen.stamp)))) break
    }
    setSearched(null)
    notice(words('plan.looked', { fewer: before - sheetsOf(latest.current) }))
  }

  return { plan, trouble, act, madeOf, makeCuts, search, searched, stopSearch: () => (stopped.current = true) }
}
