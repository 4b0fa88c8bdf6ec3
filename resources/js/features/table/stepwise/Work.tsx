import { X } from 'lucide-react'
import { useEffect, useMemo } from 'react'
import { Link, useNavigate } from 'react-router'
import { files } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { Main } from '@/ui/Main'
import { words } from '@/words'
import { openDraftBook } from '../draftBook'
import { useTold } from '../useLooked'
import { Changed } from './Changed'
import { MissedHelp } from './MissedHelp'
import { openRecord } from './record'
import { savePng } from './savePng'
import { Stepwise } from './Stepwise'
import { useHand, usePictures, type WorkOrder } from './usePictures'
import { useWakeLock } from './useWakeLock'

/** The work at the table: one step at a time, kept where it is when the tablet sleeps, going on while the server is away. */
export function Work({ designId }: { designId: string }) {
  const book = useMemo(() => openDraftBook(designId), [designId])
  const record = useMemo(() => openRecord(designId), [designId])
  const view = book.use((state) => state.view)
  const trouble = book.use((state) => state.trouble)
  const isGone = book.use((state) => state.isGone)
  const isUnanswered = book.use((state) => state.saving === 'unanswered')
  const said = book.use((state) => state.said)
  const ticked = record.use((state) => Object.keys(state.ticks).length > 0 || state.isHeard)
  useEffect(() => {
    void book.load()
    return book.watch()
  }, [book])
  useEffect(() => record.watch(), [record])
  useWakeLock()
  const [hand, setHand] = useHand()
  const [{ pictures, spoken }, setOrder] = usePictures(designId, view?.mark ?? null, hand)
  const told = useTold(view)
  const navigate = useNavigate()
  if (!view) {
    const why = trouble ?? (isUnanswered ? (said ?? words('saving.waiting')) : null)
    return (
      why !== null && (
        <Main title="" className="space-y-4 p-[max(1rem,3vw)]">
          <ErrorNote
            action={
              <button type="button" className="quiet-button" onClick={() => location.reload()}>
                {words('unkept.again')}
              </button>
            }
          >
            {why}
          </ErrorNote>
          <Link to="/" className="full-button">
            {words('table.to-shelf')}
          </Link>
        </Main>
      )
    )
  }
  // Where she is hangs on what is done.
  if (!ticked || !told) return null
  return (
    <div className="flex h-full flex-col bg-panel">
      {isGone && (
        <div className="px-5 pt-2">
          <ErrorNote
            action={
              <button type="button" className="quiet-button" onClick={() => void book.putBack()}>
                {words('unkept.put-back')}
              </button>
            }
          >
            {words('work.gone')}
          </ErrorNote>
        </div>
      )}
      <Changed view={view} />
      <Stepwise
        {...{ view, told, record, pictures, spoken, hand }}
        onHand={setHand}
        onOrder={setOrder}
        onLast={() => void navigate(`/designs/${view.id}`)}
        leave={
          <Link to={`/designs/${view.id}`} className="quiet-button" aria-label={words('work.leave')}>
            <X aria-hidden="true" className="size-6" />
          </Link>
        }
        underPicture={(index, order: WorkOrder, picture) => (
          <p className="flex flex-wrap gap-2 text-soft max-sm:hidden">
            <a className="quiet-button" href={files.step(view.id, index + 1, order, hand)} download>
              {words('work.picture.svg')}
            </a>
            <button
              type="button"
              className="quiet-button"
              onClick={() => void savePng(picture, `${view.name} ${index + 1}.png`)}
            >
              {words('work.picture.png')}
            </button>
          </p>
        )}
        missed={(piece, step, onDone) => (
          <MissedHelp
            designId={view.id}
            piece={piece}
            pieces={view.design.pieces}
            measures={step.measures}
            onDone={onDone}
          />
        )}
      />
    </div>
  )
}
