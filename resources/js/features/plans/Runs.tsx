import { X } from 'lucide-react'
import { useState } from 'react'
import type { Plan, PlanAsked } from '@/api/client'
import { ChoicePart } from '@/ui/ChoicePart'
import { words } from '@/words'

type Ask = (asked: PlanAsked) => Promise<boolean>

/** Prints that run on: over which pieces, which way, and what that takes. */
export function Runs({ plan, onAsk }: { plan: Plan; onAsk: Ask }) {
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
