import { FileText } from 'lucide-react'
import { useState } from 'react'
import { api, files, type Plan, type PlanAsked } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { Header } from '@/ui/Header'
import { Page } from '@/ui/Main'
import { Progress } from '@/ui/Progress'
import { words } from '@/words'
import { PlanAsking } from './PlanAsking'
import { PlanLists } from './PlanLists'
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
              {total > 1 && plan.mayImprove && plan.hand.length === 0 && searched === null && (
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
          <PlanLists
            plan={plan}
            onUndo={(cut) => void act(() => api.uncut(id, cut))}
            onAsk={ask}
            onEnvelopes={(entry) => void act((seen) => api.takeEnvelopes(id, entry, seen.stamp))}
            onMeet={(meeting) => act((seen) => api.meetPlan(id, meeting, seen.stamp))}
          />
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
