import { useEffect, useState } from 'react'
import { api, type Alternative, type DesignView, type SheetYield } from '@/api/client'

const SETTLED_MS = 250

interface Known {
  alternatives: Alternative[] | null
  yields: SheetYield[]
}

const UNKNOWN: Known = { alternatives: null, yields: [] }

/**
 * What each figure would do a step up and down, and how often each piece comes out of a sheet, fetched once the maker has
 * stopped changing things.
 */
export function useAlternatives(view: DesignView | null, isSaved: boolean): Known {
  const [known, setKnown] = useState<(Known & { spec: unknown }) | null>(null)
  const id = view?.id
  const spec = view?.spec
  useEffect(() => {
    if (!id || !isSaved) return
    let isOver = false
    const timer = setTimeout(() => {
      api.alternatives(id).then(
        ({ alternatives, yields }) => !isOver && setKnown({ spec, alternatives, yields }),
        // Nothing is lost without them: the next change asks again.
        () => undefined,
      )
    }, SETTLED_MS)
    return () => {
      isOver = true
      clearTimeout(timer)
    }
  }, [id, spec, isSaved])
  return known !== null && known.spec === spec ? known : UNKNOWN
}

/** The fits that change with any of these measures, by the key fitKey gives. */
export function fitsOf(alternatives: Alternative[] | null, piece: string, measures: number[]): Set<string> {
  const ofThese = (alternatives ?? []).filter(
    (one) => one.piece === piece && one.measures.some((m) => measures.includes(m)),
  )
  return new Set(ofThese.flatMap((one) => one.fits.map(fitKey)))
}

/** The measures of a piece that a fit hangs on. */
export function measuresOf(alternatives: Alternative[] | null, piece: string, fit: string): number[] {
  const ofThese = (alternatives ?? []).filter(
    (one) => one.piece === piece && one.fits.some((other) => fitKey(other) === fit),
  )
  return [...new Set(ofThese.flatMap((one) => one.measures))]
}

export const fitKey = (fit: { id: string; piece: string | null }) => `${fit.id} ${fit.piece ?? ''}`
