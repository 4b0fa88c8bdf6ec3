import { Check, ChevronLeft } from 'lucide-react'
import { useState } from 'react'
import type { PlanSheet } from '@/api/client'
import { Figure } from '@/ui/Figure'
import { words } from '@/words'
import { SheetDrawing } from './SheetDrawing'

interface SheetWorkProps {
  sheet: PlanSheet
  number: number
  of: number
  /** How many of its cuts are made. */
  made: number
  onMade: (made: number) => void
  onCut: () => Promise<boolean>
  onMissed: (n: number, reading: string) => Promise<boolean>
}

/** A sheet cut step by step: to scale, the cut the hand is at, one press for each, the last one books it. */
export function SheetWork({ sheet, number, of, made, onMade, onCut, onMissed }: SheetWorkProps) {
  const [isMissing, setMissing] = useState(false)
  const [reading, setReading] = useState('')
  const [isBusy, setBusy] = useState(false)
  const step = Math.min(made, Math.max(0, sheet.cuts.length - 1))
  const cut = sheet.cuts[step]
  const name = words('plan.sheet', {
    n: number,
    paper: sheet.paper,
    width: sheet.width,
    height: sheet.height,
    times: sheet.times,
  })
  const isLast = step >= sheet.cuts.length - 1
  const act = (done: Promise<boolean>) => {
    setBusy(true)
    void done.finally(() => setBusy(false))
  }
  return (
    <div className="plan-sheet" data-sheet-number={number}>
      <div className="plan-drawing">
        <SheetDrawing sheet={sheet} label={name} now={cut?.n ?? null} />
      </div>
      <div className="min-w-0">
        <p className="text-soft">{words('plan.sheet-of', { n: number, of })}</p>
        <h3 className="text-lg">
          {sheet.paper}, <Figure text={sheet.width} /> × <Figure text={sheet.height} />
        </h3>
        <p className="text-soft">
          {sheet.isOffcut && `${words('plan.an-offcut')} `}
          {sheet.place && `${words('plan.lies-in', { place: sheet.place })} `}
          {sheet.roll && `${words('plan.of-a-roll', sheet.roll)} `}
          {sheet.times > 1 && words('plan.alike', { count: sheet.times })}
        </p>
        {cut ? (
          <div className="mt-3" aria-live="polite">
            <p className="text-soft">{words('plan.cut-of', { n: step + 1, of: sheet.cuts.length })}</p>
            <p className="text-[1.9rem] leading-tight font-semibold">
              <Figure text={cut.at} />
            </p>
            {sheet.scores
              .filter(({ before }) => before === cut.n)
              .map(({ says }) => (
                <p
                  key={says}
                  className="mt-1 rounded-lg border-l-4 border-live bg-live-wash px-3 py-2"
                  data-score-first
                >
                  {says}
                </p>
              ))}
            <p className="mt-1 text-[1.1rem]">
              {cut.isTurned && `${words('plan.turn')} `}
              {cut.says}
            </p>
            <p className="mt-1">{cut.first}</p>
            <p>{cut.second}</p>
          </div>
        ) : (
          <p className="mt-3 text-[1.1rem]">{words('plan.uncut')}</p>
        )}
        <div className="mt-4 flex flex-wrap items-center gap-2">
          {step > 0 && (
            <button type="button" className="quiet-button" onClick={() => onMade(step - 1)}>
              <ChevronLeft aria-hidden="true" className="size-5" /> {words('plan.one-back')}
            </button>
          )}
          <button
            type="button"
            className="full-button"
            disabled={isBusy}
            onClick={() => (isLast ? act(onCut()) : onMade(step + 1))}
          >
            <Check aria-hidden="true" className="size-5" /> {words(isLast ? 'plan.book' : 'plan.next-cut')}
          </button>
          {!isLast && (
            <button type="button" className="quiet-button" disabled={isBusy} onClick={() => act(onCut())}>
              {words('plan.book-all')}
            </button>
          )}
          {cut && (
            <button
              type="button"
              className="quiet-button text-soft"
              aria-expanded={isMissing}
              onClick={() => setMissing(!isMissing)}
            >
              {words('plan.set-wrong')}
            </button>
          )}
        </div>
        {cut && isMissing && (
          <form
            className="mt-3 rounded-xl border border-line bg-table/50 p-4"
            onSubmit={(event) => {
              event.preventDefault()
              act(onMissed(cut.n, reading))
            }}
          >
            <label className="block">
              <span className="mb-1 block">{words('plan.really-cut-at', { n: cut.n })}</span>
              <input
                className="field"
                data-keypad="length"
                value={reading}
                placeholder={cut.at}
                onChange={({ target }) => setReading(target.value)}
              />
            </label>
            <button type="submit" className="full-button mt-3" disabled={isBusy || reading.trim() === ''}>
              {words('plan.plan-anew')}
            </button>
          </form>
        )}
        <details className="mt-4">
          <summary className="min-h-11 cursor-pointer py-2.5 text-soft">{words('plan.all-cuts')}</summary>
          <ol className="mt-1 space-y-1">
            {sheet.told.map(({ from, to, says }) => (
              <li key={from} className="flex gap-2">
                <span className="w-12 shrink-0 font-semibold">{from === to ? from : `${from}–${to}`}</span>
                <span>{says}</span>
              </li>
            ))}
          </ol>
        </details>
      </div>
    </div>
  )
}
