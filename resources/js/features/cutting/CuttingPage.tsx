import { OctagonX, Pause, Play, RotateCcw, StepForward, Trash2 } from 'lucide-react'
import { useState } from 'react'
import { Link } from 'react-router'
import { api, problemsOf, type CuttingJob } from '@/api/client'
import { Thumbnail } from '@/ui/Thumbnail'
import { pieceName } from '@/ui/pieceName'
import { ErrorNote } from '@/ui/ErrorNote'
import { Header } from '@/ui/Header'
import { Page } from '@/ui/Main'
import { words } from '@/words'
import { useCutting } from './useCutting'

/** What goes to the cutting machine: how far each job is, what went wrong, and the machines. */
export function CuttingPage() {
  const { cutting, isFailing, refresh } = useCutting()
  return (
    <div className="flex h-full flex-col">
      <Header />
      <Page title={words('cutting.title')}>
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
      </Page>
    </div>
  )
}

/** What it does, and what was asked of it that it does not do yet. */
function sayingOf(job: CuttingJob): string {
  if (job.state !== 'sending' || job.wish === null || job.wish === 'go-on') return job.state
  return job.wish === 'stop' ? 'stopping' : 'paused'
}

function Job({ job, onChange }: { job: CuttingJob; onChange: () => void }) {
  const piece = pieceName({ id: job.piece, count: 1 })
  const title = `${job.name}, ${piece}`
  const isUnderWay = job.state === 'waiting' || job.state === 'sending'
  const percent = Math.round(job.share * 100)
  const [failed, setFailed] = useState<string | null>(null)
  const act = (done: Promise<unknown>) => {
    setFailed(null)
    void done.catch((error: unknown) => setFailed(problemsOf(error)[0]?.message ?? '')).finally(onChange)
  }
  return (
    <li
      className="flex flex-wrap gap-x-5 gap-y-2 rounded-xl border border-line bg-panel p-4"
      aria-label={title}
      data-state={job.state}
    >
      <span className="h-28 w-32 shrink-0 max-sm:h-20 max-sm:w-20">
        <Thumbnail drawing={job.drawing} />
      </span>
      <div className="min-w-48 flex-1">
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
          {job.trouble ?? words(`cutting.${sayingOf(job)}`, { percent })}
        </p>
        {failed !== null && <ErrorNote>{failed}</ErrorNote>}
      </div>
      <span className="flex flex-col items-stretch justify-center gap-2 max-md:basis-full md:w-44">
        {job.state === 'sending' && (
          <button
            type="button"
            className="quiet-button"
            onClick={() => act(api.wishOfCut(job.id, job.wish === 'pause' ? 'go-on' : 'pause'))}
          >
            {job.wish === 'pause' ? (
              <Play aria-hidden="true" className="size-5" />
            ) : (
              <Pause aria-hidden="true" className="size-5" />
            )}
            {words(job.wish === 'pause' ? 'cutting.resume' : 'cutting.pause')}
          </button>
        )}
        {isUnderWay && (
          <button
            type="button"
            className="full-button"
            disabled={job.wish === 'stop'}
            onClick={() => act(api.wishOfCut(job.id, 'stop'))}
          >
            <OctagonX aria-hidden="true" className="size-5" />
            {words('cutting.stop')}
          </button>
        )}
        {job.canGoOn && (
          <button type="button" className="full-button" onClick={() => act(api.cutOn(job.id))}>
            <StepForward aria-hidden="true" className="size-5" />
            {words('cutting.go-on')}
          </button>
        )}
        {!isUnderWay && (
          <button
            type="button"
            className={job.state !== 'done' && !job.canGoOn ? 'full-button' : 'quiet-button'}
            onClick={() => act(api.cutAgain(job.id))}
          >
            <RotateCcw aria-hidden="true" className="size-5" />
            {words(job.state === 'done' ? 'cutting.once-more' : 'cutting.send-again')}
          </button>
        )}
        {job.state !== 'sending' && (
          <button
            type="button"
            className="quiet-button text-soft"
            aria-label={words('form.remove-named', { name: title })}
            onClick={() => act(api.dropCut(job.id))}
          >
            <Trash2 aria-hidden="true" className="size-5" />
            {words('form.remove')}
          </button>
        )}
      </span>
    </li>
  )
}
