import '../css/onefile.css'
import { FileText, Footprints } from 'lucide-react'
import { StrictMode, useMemo, useState } from 'react'
import { createRoot } from 'react-dom/client'
import { MemoryRouter } from 'react-router'
import type { DesignView, Told } from './api/client'
import type { Hand } from './features/table/stepwise/hand'
import { openRecord } from './features/table/stepwise/record'
import { Stepwise } from './features/table/stepwise/Stepwise'
import type { Order } from './features/table/stepwise/usePlace'
import { useWakeLock } from './features/table/stepwise/useWakeLock'
import { watchFocus } from './ui/focus'
import { followTheme } from './ui/theme'
import { speakBy, words } from './words'

/** What the file holds: a design, its steps' pictures for each order and hand, how each is said, and the handout. */
interface Held {
  view: DesignView
  told: Told
  pictures: Record<`${Order} ${Hand}`, string[]>
  spoken: string[]
  handout: string
  sentences: Record<string, string>
}

/** The step view of one design by itself: nothing is asked of anywhere, what is ticked is kept in this browser. */
function OneFile({ held }: { held: Held }) {
  const { view, told } = held
  const record = useMemo(() => openRecord(`${view.id}.${view.revision}`, false), [view])
  const [order, setOrder] = useState<Order>('by-piece')
  const [hand, setHand] = useState<Hand>('right')
  const [showsHandout, setShowsHandout] = useState(false)
  useWakeLock()
  const [Icon, face] = showsHandout ? [Footprints, 'onefile.steps'] : [FileText, 'onefile.handout']
  const swap = (
    <button
      type="button"
      className="quiet-button"
      aria-label={words(face)}
      title={words(face)}
      onClick={() => setShowsHandout(!showsHandout)}
    >
      <Icon aria-hidden="true" className="size-6" />
    </button>
  )
  if (showsHandout)
    return (
      <div className="flex h-full flex-col bg-panel">
        <div className="flex items-center gap-2 px-2 py-1">
          {swap}
          <h1 className="truncate text-xl">{view.name}</h1>
        </div>
        <iframe className="handout-frame min-h-0 flex-1" title={words('onefile.handout')} srcDoc={held.handout} />
      </div>
    )
  return (
    <div className="flex h-full flex-col bg-panel">
      <Stepwise
        {...{ view, told, record, hand }}
        pictures={held.pictures[`${order} ${hand}`]}
        spoken={held.spoken}
        onHand={setHand}
        onOrder={setOrder}
        leave={swap}
      />
    </div>
  )
}

const held = JSON.parse(document.getElementById('held')?.textContent ?? '') as Held
speakBy(held.sentences)
followTheme()
watchFocus()
createRoot(document.getElementById('app') as HTMLElement).render(
  <StrictMode>
    <MemoryRouter>
      <div className="app-page">
        <OneFile held={held} />
      </div>
    </MemoryRouter>
  </StrictMode>,
)
