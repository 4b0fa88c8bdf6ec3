import { Undo2, X } from 'lucide-react'
import { useState } from 'react'
import { api, type Plan, type PlanAsked } from '@/api/client'
import { useLibrary } from '@/api/useLibrary'
import { ChoicePart } from '@/ui/ChoicePart'
import { Figure } from '@/ui/Figure'
import { notice } from '@/ui/notices'
import { words } from '@/words'

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
              </span>
              <RunsInto piece={piece} plan={plan} onAsk={onAsk} />
              <span className="font-semibold whitespace-nowrap">{words('plan.times', { count: piece.count })}</span>
            </li>
          ))}
        </ul>
      </section>
      <Runs plan={plan} onAsk={onAsk} />
      {plan.items.length > 1 && <Meetings key={plan.laid} id={plan.id} onMeet={onMeet} />}
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
    </aside>
  )
}

type Ask = PlanListsProps['onAsk']

/** The next piece of a print that runs on from this one. */
function RunsInto({ piece, plan, onAsk }: { piece: Plan['pieces'][number]; plan: Plan; onAsk: Ask }) {
  const others = plan.pieces.filter(
    ({ id, paper, count }) => paper !== null && paper === piece.paper && (id !== piece.id || count > 1),
  )
  const runs = plan.asked.runs ?? []
  if (others.length === 0) return null
  const put = (next: string) => {
    const at = runs.findIndex(({ pieces }) => pieces.at(-1) === piece.id)
    void onAsk({
      runs:
        at < 0
          ? [...runs, { pieces: [piece.id, next], along: 'width' }]
          : runs.map((run, i) => (i === at ? { ...run, pieces: [...run.pieces, next] } : run)),
    })
  }
  return (
    <ChoicePart
      className="with-word shrink-0"
      label={words('plan.run.into', { letter: piece.letter })}
      value=""
      face={words('plan.run.add')}
      groups={[{ choices: others.map(({ id, letter, label }) => ({ value: id, label: `${letter}, ${label}` })) }]}
      onChoose={put}
    />
  )
}

/** Prints that run on: over which pieces, which way, and what that takes. */
function Runs({ plan, onAsk }: { plan: Plan; onAsk: Ask }) {
  const asked = plan.asked.runs ?? []
  if (plan.runs.length === 0) return null
  return (
    <section aria-label={words('plan.runs')}>
      <h2 className="mb-1 text-lg">{words('plan.runs')}</h2>
      <ul className="space-y-2">
        {plan.runs.map((run, i) => (
          <li key={i} data-run={run.letters.join('')}>
            <span className="flex flex-wrap items-center gap-x-2">
              <span className="font-serif text-lg font-semibold">
                {run.letters.join(run.along === 'width' ? ' → ' : ' ↑ ')}
              </span>
              <ChoicePart
                label={words('plan.runs')}
                value={run.along}
                face={words(`plan.run.${run.along}`)}
                groups={[
                  {
                    choices: (['width', 'height'] as const).map((along) => ({
                      value: along,
                      label: words(`plan.run.${along}`),
                    })),
                  },
                ]}
                onChoose={(along) =>
                  void onAsk({
                    runs: asked.map((one, n) =>
                      n === i ? { ...one, along: along === 'height' ? 'height' : 'width' } : one,
                    ),
                  })
                }
              />
              <button
                type="button"
                className="with-out"
                aria-label={words('plan.run.drop')}
                onClick={() => void onAsk({ runs: asked.filter((_, n) => n !== i) })}
              >
                <X aria-hidden="true" className="size-4" />
              </button>
            </span>
            <span className="block text-soft">{run.says}</span>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** Where pieces of the designs could be cut at one size; looked for when that is asked. */
function Meetings({ id, onMeet }: { id: string; onMeet: PlanListsProps['onMeet'] }) {
  const [meetings, setMeetings] = useState<Awaited<ReturnType<typeof api.meetings>>['meetings'] | null>(null)
  const [isBusy, setBusy] = useState(false)
  const look = () => {
    setBusy(true)
    api
      .meetings(id)
      .then(
        ({ meetings: all }) => setMeetings(all),
        () => notice(words('saving.try-again')),
      )
      .finally(() => setBusy(false))
  }
  return (
    <section aria-label={words('plan.meet')}>
      {meetings === null && (
        <button type="button" className="quiet-button -ml-3 text-live" disabled={isBusy} onClick={look}>
          {words('plan.meet.look')}
        </button>
      )}
      {meetings && <h2 className="mb-1 text-lg">{words('plan.meet')}</h2>}
      {meetings?.length === 0 && <p role="status">{words('plan.meet.none')}</p>}
      {meetings?.map((one, i) => (
        <div key={i} className="mb-2" data-meeting>
          <p>{words('plan.meet.at', { width: one.width, height: one.height })}</p>
          <ul className="ml-4 list-disc">
            {one.changes.map((change) => (
              <li key={change}>{change}</li>
            ))}
          </ul>
          <button
            type="button"
            className="quiet-button -ml-3 text-live"
            disabled={isBusy}
            onClick={() => {
              setBusy(true)
              void onMeet(i).finally(() => setBusy(false))
            }}
          >
            {words('plan.meet.do')}
          </button>
        </div>
      ))}
    </section>
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
