import { useEffect, useState } from 'react'
import type { Sized } from '@/api/client'
import { listed, words } from '@/words'
import { pieceName } from '@/ui/pieceName'

/** So long after the last change, that typing is not talked over. */
const SETTLED_MS = 900

/** Read out, not seen: what the figures are once they have changed, and whether it fits. */
export function Changes({ design }: { design: Sized }) {
  const [first] = useState(design)
  const [said, setSaid] = useState('')
  useEffect(() => {
    if (design === first) return
    const timer = setTimeout(() => {
      const sheets = design.pieces.map((piece) =>
        words('sheet.label', {
          piece: pieceName(piece),
          width: piece.sheet.text.width,
          height: piece.sheet.text.height,
        }),
      )
      const failing = design.checks.filter(({ ok, hint }) => !ok && !hint).map(({ id }) => words(`check.${id}`))
      setSaid(
        words('fits.changed', {
          sheets: listed(sheets),
          fits: words('fits.said', { count: failing.length, which: listed(failing) }),
        }),
      )
    }, SETTLED_MS)
    return () => clearTimeout(timer)
  }, [design, first])
  return (
    <p aria-live="polite" className="sr-only" data-changes>
      {said}
    </p>
  )
}
