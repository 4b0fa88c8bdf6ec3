import { useEffect, useState } from 'react'
import { api, problemsOf, type Trial } from '@/api/client'
import { filled } from './useEntryForm'

const SETTLED_MS = 150

/** What was measured so far, and what it comes to once all of it is there. */
export function useTrial(
  of: 'notch' | 'caliper',
  blank: Record<string, string>,
  /** Which its bare numbers are in, where that is not always the same. */
  system?: string,
) {
  const [typed, setTyped] = useState(blank)
  const [found, setFound] = useState<{
    typed: typeof typed
    trial: Trial | null
    problems: Record<string, string>
  } | null>(null)
  const isComplete = Object.values(typed).every((value) => value.trim() !== '')
  useEffect(() => {
    if (!isComplete) return
    let isOver = false
    const timer = setTimeout(() => {
      api.trial(of, { ...filled('sheets')(typed), ...(system === undefined ? {} : { system }) }).then(
        (trial) => !isOver && setFound({ typed, trial, problems: {} }),
        (error: unknown) =>
          !isOver &&
          setFound({
            typed,
            trial: null,
            problems: Object.fromEntries(problemsOf(error).map(({ at, message }) => [at.slice(1), message])),
          }),
      )
    }, SETTLED_MS)
    return () => {
      isOver = true
      clearTimeout(timer)
    }
  }, [of, system, typed, isComplete])
  const isCurrent = found?.typed === typed
  return {
    typed,
    put: (field: string) => (value: string) => setTyped((now) => ({ ...now, [field]: value })),
    trial: isCurrent ? found.trial : null,
    problems: isCurrent ? found.problems : {},
  }
}
