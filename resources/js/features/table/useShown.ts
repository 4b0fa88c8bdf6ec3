import { useCallback, useMemo } from 'react'
import { useSearchParams } from 'react-router'
import type { Piece } from '@/api/client'
import { useShortcuts } from '@/ui/shortcuts'

export type Shown = ReturnType<typeof useShown>

/** What lies on the table: one piece or all, flat or folding; kept in the address, so that a reload shows the same. */
export function useShown(all: Piece[]) {
  const [params, setParams] = useSearchParams()
  const isFold = params.get('view') === 'fold'
  const asked = params.get('piece')
  const set = useCallback(
    (name: string, value: string | null) =>
      setParams(
        (before) => {
          const after = new URLSearchParams(before)
          if (value === null) after.delete(name)
          else after.set(name, value)
          return after
        },
        { replace: true },
      ),
    [setParams],
  )
  const only = all.find((piece) => piece.id === asked)
  const isAll = asked === 'all' && all.length > 1
  const chosen = isAll ? null : (only?.id ?? null)
  const made = useMemo(() => all.filter(({ role }) => role === 'made'), [all])
  // What goes with it lies on it, unless it is asked for alone. The fold shows what belongs together unless one piece is asked for; the table shows one sheet unless all are.
  const sheets = useMemo(
    () => (isAll ? made : all.filter((piece) => piece.id === (only?.id ?? all[0]?.id))),
    [all, made, isAll, only?.id],
  )
  return {
    pieces: sheets,
    isFold,
    chosen: chosen ?? (isFold || isAll ? null : (all[0]?.id ?? null)),
    isToOneScale: params.get('scale') !== 'each',
    set,
  }
}

/** S shows the sheet, F the fold. */
export function useViewKeys(set: (name: string, value: string | null) => void) {
  useShortcuts(({ key }) => {
    if (key.toLowerCase() === 's') return () => set('view', null)
    if (key.toLowerCase() === 'f') return () => set('view', 'fold')
  })
}
