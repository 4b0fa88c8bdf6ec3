import { Undo2 } from 'lucide-react'
import type { Plan, PlanAsked } from '@/api/client'
import { useLibrary } from '@/api/useLibrary'
import { Figure } from '@/ui/Figure'
import { words } from '@/words'
import { Buy } from './Buy'
import { Meetings } from './Meetings'
import { Runs } from './Runs'

interface PlanListsProps {
  plan: Plan
  onUndo: (cut: number) => void
  onAsk: (asked: PlanAsked) => Promise<boolean>
  onEnvelopes: (entry: string) => void
  onMeet: (meeting: number) => Promise<boolean>
}

/** What is counted beside the sheets: cut already, pieces, prints that run on, papers, envelopes, what is missing, bought and left. */
export function PlanLists({ plan, onUndo, onAsk, onEnvelopes, onMeet }: PlanListsProps) {
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
                {piece.says && <span className="block text-soft">{piece.says}</span>}
              </span>
              <span className="font-semibold whitespace-nowrap">{words('plan.times', { count: piece.count })}</span>
            </li>
          ))}
        </ul>
      </section>
      {plan.envelopes.length > 0 && (
        <section aria-label={words('plan.envelopes')}>
          <h2 className="mb-1 text-lg">{words('plan.envelopes')}</h2>
          <ul className="space-y-2">
            {plan.envelopes.map((one) => (
              <li key={one.entry} data-envelopes={one.name}>
                {one.name}, <Figure text={one.width} /> × <Figure text={one.height} />
                {one.place && <span className="text-soft"> · {one.place}</span>}
                <span className={`block ${one.isTight ? 'text-warn' : 'text-soft'}`}>{one.says.join(' ')}</span>
                <span className="block">
                  {one.left > 0
                    ? words('plan.envelopes-left', { left: one.left, there: one.there })
                    : words('plan.envelopes-taken')}
                  {one.packs > 0 && ` ${words('plan.envelopes-buy', { packs: one.packs, pack: one.pack })}`}
                </span>
                {Math.min(one.left, one.there) > 0 && (
                  <button type="button" className="quiet-button -ml-3 text-live" onClick={() => onEnvelopes(one.entry)}>
                    {words('plan.envelopes-take', { count: Math.min(one.left, one.there) })}
                  </button>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
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
      {plan.nesting.length > 0 && (
        <details open={plan.nesting.some(({ isDone }) => isDone)}>
          <summary className="min-h-11 cursor-pointer py-2 font-serif text-lg font-semibold">
            {words('plan.nest')}
          </summary>
          <ul className="space-y-1">
            {plan.nesting.map((one) => {
              const ids = plan.asked[one.kind] ?? []
              return (
                <li key={`${one.kind} ${one.piece}`} data-nest={one.kind}>
                  {one.says}{' '}
                  <button
                    type="button"
                    className="with-word"
                    onClick={() =>
                      void onAsk({
                        [one.kind]: one.isDone ? ids.filter((id) => id !== one.piece) : [...ids, one.piece],
                      })
                    }
                  >
                    {words(one.isDone ? 'plan.nest.undo' : `plan.nest.do.${one.kind}`)}
                  </button>
                </li>
              )
            })}
          </ul>
        </details>
      )}
      <Runs plan={plan} onAsk={onAsk} />
      {plan.items.length > 1 && <Meetings key={plan.laid} id={plan.id} onMeet={onMeet} />}
    </aside>
  )
}
