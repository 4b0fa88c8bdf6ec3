import { RotateCcw, Trash2 } from 'lucide-react'
import { Link } from 'react-router'
import { api, type CuttingJob } from '@/api/client'
import { Thumbnail } from '@/ui/Thumbnail'
import { pieceName } from '@/ui/pieceName'
import { ErrorNote } from '@/ui/ErrorNote'
import { Header } from '@/ui/Header'
import { words } from '@/words'
import { useCutting } from './useCutting'

/** What goes to the cutting machine: how far each job is, what went wrong, and the machines. */
export function CuttingPage() {
  const { cutting, isFailing, refresh } = useCutting()
  return (
    <div className="flex h-full flex-col">
      <Header />
      <main className="min-h-0 flex-1 overflow-y-auto border-t border-line px-6 py-5" tabIndex={-1}>
        <div className="mx-auto max-w-5xl">
          <div className="mb-4 flex items-center">
            <h1 className="mr-auto text-2xl">{words('cutting.title')}</h1>
            <Link to="/cutting/machines" className="quiet-button">
              {words('cutting.machines')}
            </Link>
          </div>
          {isFailing && <ErrorNote>{words('saving.try-again')}</ErrorNote>}
          {cutting?.jobs.length === 0 && (
            <div className="rounded-xl border border-line bg-panel p-5">
              <p className="mb-3">{words('cutting.none')}</p>
              <Link to="/" className="full-button">
                {words('cutting.to-shelf')}
              </Link>
            </div>
          )}
          <ul className="space-y-3">
            {cutting?.jobs.map((job) => (
              <Job key={job.id} job={job} onChange={refresh} />
            ))}
          </ul>
        </div>
      </main>
    </div>
  )
}

function Job({ job, onChange }: { job: CuttingJob; onChange: () => void }) {
  const piece = pieceName({ id: job.piece, count: 1 })
  const title = `${job.name}, ${piece}`
  const isUnderWay = job.state === 'waiting' || job.state === 'sending'
  const percent = Math.round(job.share * 100)
  return (
    <li className="flex gap-5 rounded-xl border border-line bg-panel p-4" aria-label={title} data-state={job.state}>
      <span className="h-28 w-32 shrink-0">
        <Thumbnail drawing={job.drawing} />
      </span>
      <div className="min-w-0 flex-1">
        <h2 className="truncate text-lg">
          {job.name} <span className="text-soft">· {piece}</span>
        </h2>
        <p className="text-soft">
          {job.cutter}, {job.address}
        </p>
        <div
          className="mt-3 h-3 rounded-full bg-line"
          role="progressbar"
          aria-label={words('cutting.progress', { name: title })}
          aria-valuemin={0}
          aria-valuemax={100}
          aria-valuenow={percent}
        >
          <div
            className={`h-full rounded-full ${job.state === 'failed' ? 'bg-warn' : 'bg-live'}`}
            style={{ width: `${percent}%` }}
          />
        </div>
        <p className={`mt-2 leading-snug ${job.state === 'failed' ? 'text-warn' : ''}`} role="status">
          {job.trouble ?? words(`cutting.${job.state}`, { percent })}
        </p>
      </div>
      <span className="flex w-40 flex-col items-stretch justify-center gap-2">
        {!isUnderWay && (
          <button
            type="button"
            className={job.state === 'failed' ? 'full-button' : 'quiet-button'}
            onClick={() => void api.cutAgain(job.id).finally(onChange)}
          >
            <RotateCcw aria-hidden="true" className="size-5" />
            {words(job.state === 'failed' ? 'cutting.send-again' : 'cutting.once-more')}
          </button>
        )}
        {job.state !== 'sending' && (
          <button
            type="button"
            className="quiet-button text-soft"
            aria-label={words('form.remove-named', { name: title })}
            onClick={() => void api.dropCut(job.id).finally(onChange)}
          >
            <Trash2 aria-hidden="true" className="size-5" />
            {words('form.remove')}
          </button>
        )}
      </span>
    </li>
  )
}
