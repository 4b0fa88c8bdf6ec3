import { useState } from 'react'
import type { DesignView } from '@/api/client'
import { Said } from '@/ui/Said'
import { words } from '@/words'
import { changedFigures } from './changedFigures'

const MOST = 4

/** The design was changed while somebody works by it: which figures are others, before the next cut. */
export function Changed({ view }: { view: DesignView }) {
  const [known, setKnown] = useState(view)
  if (known.mark === view.mark) return null
  const changed = changedFigures(known, view)
  return (
    <div role="alert" className="mx-5 mt-2 rounded-lg border border-warn bg-warn-wash px-4 py-3 text-xl text-warn">
      <p className="font-semibold">{words(changed.length > 0 ? 'work.changed' : 'work.changed-words')}</p>
      {changed.length > 0 && (
        <ul className="my-1">
          {changed.slice(0, MOST).map(({ what, before, after }) => (
            <li key={what}>
              <Said of="work.changed-figure" params={{ what, before, after }} />
            </li>
          ))}
          {changed.length > MOST && <li>{words('work.changed-more', { count: changed.length - MOST })}</li>}
        </ul>
      )}
      <button type="button" className="full-button" onClick={() => setKnown(view)}>
        {words('work.changed-seen')}
      </button>
    </div>
  )
}
