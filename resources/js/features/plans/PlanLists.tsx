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

type Ask = PlanListsProps['onAsk']

/** Prints that run on: over which pieces, which way, and what that takes. */
function Runs({ plan, onAsk }: { plan: Plan; onAsk: Ask }) {
  const [from, setFrom] = useState<string | null>(null)
  const asked = plan.asked.runs ?? []
  const first = plan.pieces.find(({ id }) => id === from)
  const put = (i: number, run: (typeof asked)[number]) =>
    void onAsk({ runs: i < asked.length ? asked.map((one, n) => (n === i ? run : one)) : [...asked, run] })
  return (
    <section aria-label={words('plan.runs')}>
      {plan.runs.length > 0 && <h2 className="mb-1 text-lg">{words('plan.runs')}</h2>}
      <ul className="space-y-2">
        {plan.runs.map((run, i) => {
          const one = asked[i]
          return (
            one && (
              <li key={i} data-run={run.letters.join('')}>
                <span className="flex flex-wrap items-center gap-x-2">
                  <span className="font-serif text-lg font-semibold">
                    {run.letters.join(run.along === 'width' ? ' → ' : ' ↑ ')}
                  </span>
                  <ChoicePart
                    className="with-word"
                    label={words('plan.run.way', { letters: run.letters.join(', ') })}
                    value={run.along}
                    face={words(`plan.run.${run.along}`)}
                    groups={[{ choices: WAYS.map((along) => ({ value: along, label: words(`plan.run.${along}`) })) }]}
                    onChoose={(along) => put(i, { ...one, along: along === 'height' ? 'height' : 'width' })}
                  />
                  <Piece
                    label={words('plan.run.into', { letter: run.letters.at(-1) ?? '' })}
                    face={words('plan.run.add')}
                    pieces={matesOf(plan, one.pieces[0])}
                    onChoose={(piece) => put(i, { ...one, pieces: [...one.pieces, piece] })}
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
            )
          )
        })}
      </ul>
      {first ? (
        <span className="flex flex-wrap items-center gap-x-2">
          <span className="font-serif text-lg font-semibold">{first.letter} →</span>
          <Piece
            label={words('plan.run.into', { letter: first.letter })}
            face={words('plan.run.add')}
            pieces={matesOf(plan, first.id)}
            onChoose={(piece) => {
              setFrom(null)
              put(asked.length, { pieces: [first.id, piece], along: 'width' })
            }}
          />
        </span>
      ) : (
        <Piece
          label={words('plan.run.begin')}
          face={words('plan.run.begin')}
          pieces={plan.pieces.filter(({ id }) => matesOf(plan, id).length > 0)}
          onChoose={setFrom}
        />
      )}
    </section>
  )
}

const WAYS = ['width', 'height'] as const

/** What a print may run on into from a piece: others of its paper, or itself where there are several. */
const matesOf = (plan: Plan, id: string | undefined) => {
  const from = plan.pieces.find((piece) => piece.id === id)
  return plan.pieces.filter(
    ({ id: own, paper, count }) => from?.paper != null && paper === from.paper && (own !== from.id || count > 1),
  )
}

interface PieceProps {
  label: string
  face: string
  pieces: Plan['pieces']
  onChoose: (piece: string) => void
}

/** One of the plan's pieces is chosen. */
function Piece({ label, face, pieces, onChoose }: PieceProps) {
  if (pieces.length === 0) return null
  return (
    <ChoicePart
      className="with-word"
      label={label}
      value=""
      face={face}
      groups={[{ choices: pieces.map(({ id, letter, label: name }) => ({ value: id, label: `${letter}, ${name}` })) }]}
      onChoose={onChoose}
    />
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
