import { FileText, Undo2 } from 'lucide-react'
import { useState } from 'react'
import { api, files, type Plan, type PlanAsked } from '@/api/client'
import { useLibrary } from '@/api/useLibrary'
import { ErrorNote } from '@/ui/ErrorNote'
import { Figure } from '@/ui/Figure'
import { Header } from '@/ui/Header'
import { Page } from '@/ui/Main'
import { Progress } from '@/ui/Progress'
import { words } from '@/words'
import { PlanAsking } from './PlanAsking'
import { SheetWork } from './SheetWork'
import { usePlan } from './usePlan'

/** One cutting plan: what is asked of it in a sentence, its sheets cut by cut, what is missing, left and cut already. */
export function PlanPage({ id }: { id: string }) {
  const { plan, trouble, act, madeOf, makeCuts, search, searched, stopSearch } = usePlan(id)
  const [shown, setShown] = useState(0)
  if (!plan)
    return (
      <div className="flex h-full flex-col">
        <Header />
        <Page title={words('plans.title')}>{trouble && <ErrorNote>{trouble.message}</ErrorNote>}</Page>
      </div>
    )
  const ask = (asked: PlanAsked) => act((seen) => api.putPlan(id, { asked: { ...seen.asked, ...asked } }))
  const at = Math.min(shown, plan.sheets.length - 1)
  const sheet = plan.sheets[at]
  const total = plan.sheets.reduce((sum, { times }) => sum + times, 0)
  return (
    <div className="flex h-full flex-col">
      <Header>
        <a className="quiet-button" href={files.plan(id, 'a4')} download>
          <FileText aria-hidden="true" className="size-5" /> {words('plan.pdf')}
        </a>
      </Header>
      <Page title={plan.name}>
        <PlanAsking
          plan={plan}
          trouble={trouble?.at.startsWith('/asked') ? trouble : null}
          onAsk={ask}
          onName={(name) => act(() => api.putPlan(id, { name }))}
        />
        {trouble && !trouble.at.startsWith('/asked') && <ErrorNote>{trouble.message}</ErrorNote>}
        <div className="plan-columns">
          <section aria-label={words('plan.sheets')} className="min-w-0">
            <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-1">
              <h2 className="text-xl">
                <span role="status">
                  {total > 0 ? words('plan.sheets-in-all', { count: total }) : words(whyNoSheets(plan))}
                </span>
              </h2>
              {total > 1 && plan.mayImprove && searched === null && (
                <button type="button" className="quiet-button text-live" onClick={() => void search()}>
                  {words('plan.look-longer')}
                </button>
              )}
            </div>
            {searched !== null && (
              <div className="mb-3">
                <Progress label={words('plan.looking')} share={searched} onStop={stopSearch} />
              </div>
            )}
            {plan.sheets.length > 1 && (
              <ol className="mb-3 flex flex-wrap gap-2">
                {plan.sheets.map((one, i) => (
                  <li key={i}>
                    <button type="button" className="sheet-chip" aria-pressed={i === at} onClick={() => setShown(i)}>
                      {words('plan.sheet-chip', { n: i + 1, paper: one.paper, times: one.times })}
                      {madeOf(i) > 0 && ` · ${words('plan.in-hand')}`}
                    </button>
                  </li>
                ))}
              </ol>
            )}
            {sheet && (
              <SheetWork
                key={`${plan.laid} ${at}`}
                sheet={sheet}
                number={at + 1}
                of={plan.sheets.length}
                made={madeOf(at)}
                onMade={(made) => makeCuts(at, made)}
                onCut={() => act((seen) => api.cutSheet(id, at, seen.stamp))}
                onMissed={(n, reading) =>
                  act((seen) => api.missSheet(id, { sheet: at, stamp: seen.stamp, n, at: reading }))
                }
              />
            )}
          </section>
          <Lists plan={plan} onUndo={(cut) => void act(() => api.uncut(id, cut))} onAsk={ask} />
        </div>
      </Page>
    </div>
  )
}

function whyNoSheets(plan: Plan) {
  if (plan.items.length === 0) return 'plan.nothing-asked'
  if (plan.papers.some(({ entry }) => entry === null)) return 'plan.no-paper'
  return plan.missing.length > 0 ? 'plan.no-sheets' : 'plan.all-cut'
}

interface ListsProps {
  plan: Plan
  onUndo: (cut: number) => void
  onAsk: (asked: PlanAsked) => Promise<boolean>
}

function Lists({ plan, onUndo, onAsk }: ListsProps) {
  const { library } = useLibrary()
  return (
    <aside aria-label={words('plan.lists')} className="min-w-0 space-y-5">
      {plan.cut.length > 0 && (
        <section>
          <h2 className="mb-1 text-lg">{words('plan.cut-already')}</h2>
          <ul className="divide-y divide-line">
            {[...plan.cut].reverse().map((cut, i) => (
              <li key={cut.id} className="flex items-center gap-3 py-1.5" data-booked={cut.id}>
                <span className="flex-1">
                  {cut.paper}, <Figure text={cut.sheet.width} /> × <Figure text={cut.sheet.height} />
                  <span className="block text-soft">
                    {cut.isMissed && `${words('plan.was-missed')} `}
                    {cut.pieces.map(({ letter, count }) => `${count} × ${letter}`).join(', ') || words('plan.no-piece')}
                  </span>
                </span>
                {i === 0 && (
                  <button type="button" className="quiet-button text-live" onClick={() => onUndo(cut.id)}>
                    <Undo2 aria-hidden="true" className="size-5" /> {words('plan.take-back')}
                  </button>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
      <section>
        <h2 className="mb-1 text-lg">{words('plan.pieces')}</h2>
        <ul className="divide-y divide-line">
          {plan.pieces.map((piece) => (
            <li key={piece.id} className="flex items-baseline gap-3 py-1.5" data-piece={piece.letter}>
              <span className="w-7 font-serif text-lg font-semibold">{piece.letter}</span>
              <span className="flex-1">
                {piece.label}
                <span className="block text-soft">
                  <Figure text={piece.width} /> × <Figure text={piece.height} />
                  {!piece.mayTurn && ` · ${words('plan.not-turned')}`}
                </span>
              </span>
              <span className="font-semibold whitespace-nowrap">{words('plan.times', { count: piece.count })}</span>
            </li>
          ))}
        </ul>
      </section>
      {plan.papers.some(({ entry }) => entry === null) && (
        <section className="rounded-xl border border-warn bg-warn-wash p-4">
          <h2 className="mb-1 text-lg">{words('plan.which-paper')}</h2>
          {plan.papers
            .filter(({ entry }) => entry === null)
            .map(({ named }) => (
              <label key={named} className="mt-2 block">
                <span className="mb-1 block">{named === '' ? words('plan.paper-unnamed') : named}</span>
                <select
                  className="field"
                  value=""
                  onChange={({ target }) => void onAsk({ papers: { ...plan.asked.papers, [named]: target.value } })}
                >
                  <option value="">{words('plan.choose-paper')}</option>
                  {library?.papers.map((paper) => (
                    <option key={paper.id} value={paper.id}>
                      {paper.name}
                    </option>
                  ))}
                </select>
              </label>
            ))}
        </section>
      )}
      {plan.missing.length > 0 && (
        <section aria-label={words('plan.missing')}>
          <h2 className="mb-1 text-lg">{words('plan.missing')}</h2>
          <ul className="text-warn">
            {plan.missing.map((one) => (
              <li key={one.id}>{words(`plan.missing.${one.why}`, { count: one.count, piece: one.label })}</li>
            ))}
          </ul>
          {plan.shopping.length > 0 && <h3 className="mt-3 mb-1 text-lg">{words('plan.shopping')}</h3>}
          <ul>
            {plan.shopping.map((one) => (
              <Buy
                key={one.paper}
                one={one}
                onSize={(width, height) => onAsk({ buy: { ...plan.asked.buy, [one.paper]: { width, height } } })}
              />
            ))}
          </ul>
        </section>
      )}
      {plan.offcuts.length > 0 && (
        <section>
          <h2 className="mb-1 text-lg">{words('plan.left')}</h2>
          <ul>
            {plan.offcuts.map((one, i) => (
              <li key={i}>
                {words('plan.times', { count: one.count })} {one.paper}, <Figure text={one.width} /> ×{' '}
                <Figure text={one.height} />
              </li>
            ))}
          </ul>
        </section>
      )}
    </aside>
  )
}

/** How many sheets to buy, of the size she names. */
function Buy({
  one,
  onSize,
}: {
  one: Plan['shopping'][number]
  onSize: (width: string, height: string) => Promise<boolean>
}) {
  const [isSizing, setSizing] = useState(false)
  const [width, setWidth] = useState(one.width)
  const [height, setHeight] = useState(one.height)
  return (
    <li data-buy={one.name}>
      {words('plan.buy', {
        count: one.count + one.spare,
        paper: one.name,
        width: one.width,
        height: one.height,
        spare: one.spare,
      })}{' '}
      {!isSizing && (
        <button type="button" className="with-word" onClick={() => setSizing(true)}>
          {words('plan.another-size')}
        </button>
      )}
      {isSizing && (
        <form
          className="mt-1 mb-2 flex flex-wrap items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault()
            void onSize(width, height).then((isDone) => isDone && setSizing(false))
          }}
        >
          <input
            className="field w-28!"
            aria-label={words('papers.width')}
            value={width}
            data-keypad="length"
            onChange={({ target }) => setWidth(target.value)}
          />
          <input
            className="field w-28!"
            aria-label={words('papers.height')}
            value={height}
            data-keypad="length"
            onChange={({ target }) => setHeight(target.value)}
          />
          <button type="submit" className="quiet-button text-live">
            {words('form.keep')}
          </button>
        </form>
      )}
      {one.tooLarge.length > 0 && (
        <span className="block text-warn">{words('plan.too-large-for-it', { pieces: one.tooLarge.join(', ') })}</span>
      )}
    </li>
  )
}
