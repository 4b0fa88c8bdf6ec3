import { useEffect, useState } from 'react'
import { api, type Cutting } from '@/api/client'

const WHILE_AT_WORK_MS = 300
const OTHERWISE_MS = 4000

const isUnderWay = (cutting: Cutting | null) =>
  cutting?.jobs.some(({ state }) => state === 'waiting' || state === 'sending') ?? false

/** Every cutting job and the machines, asked for often while one is under way. */
export function useCutting() {
  const [cutting, setCutting] = useState<Cutting | null>(null)
  const [isFailing, setFailing] = useState(false)
  const [asked, setAsked] = useState(0)
  const pace = isUnderWay(cutting) ? WHILE_AT_WORK_MS : OTHERWISE_MS
  useEffect(() => {
    let isOver = false
    const load = async () => {
      try {
        const found = await api.cutting()
        if (isOver) return
        setCutting(found)
        setFailing(false)
      } catch {
        if (!isOver) setFailing(true)
      }
    }
    void load()
    const timer = setInterval(() => void load(), pace)
    return () => {
      isOver = true
      clearInterval(timer)
    }
  }, [asked, pace])
  return { cutting, isFailing, refresh: () => setAsked((now) => now + 1) }
}
