import { useState, type ReactNode } from 'react'
import type { DesignView, Piece, Step } from '@/api/client'
import { Figure } from '@/ui/Figure'
import { Pair } from '@/ui/Pair'
import { Sentence } from '@/ui/Sentence'
import { pieceName } from '@/ui/pieceName'
import { words } from '@/words'

/** Steps whose figure is read from across the table. */
const BIG = ['score', 'punch', 'mark', 'cut-away']

/** Steps whose figure can be set wrong. */
const SET = ['cut', 'score', 'punch', 'mark', 'cut-away']

interface StepTextProps {
  view: DesignView
  piece: Piece
  step: Step
  /** Quarters of a turn clockwise since the step before. */
  turned: number
  /** What helps where a figure was missed. */
  missed?: ((piece: Piece, step: Step, onDone: () => void) => ReactNode) | undefined
}

/** One step in words and figures that read from a metre away, with help where a figure was set wrong. */
export function StepText({ view, piece, step, turned, missed }: StepTextProps) {
  const [isMissed, setMissed] = useState(false)
  const measure = piece.measures[step.measures[0] ?? -1]
  return (
    <>
      {view.design.pieces.length > 1 && (
        <p className="mb-2 text-[length:clamp(1.2rem,5cqw,1.5rem)]">
          <strong className="font-serif">{pieceName({ ...piece, count: 1 })}</strong>
          {piece.count > 1 && <span className="ml-3 text-live">{words('work.times', { count: piece.count })}</span>}
        </p>
      )}
      {turned > 0 && (
        <p className="mb-2 text-[length:clamp(1.3rem,6cqw,1.9rem)] leading-tight text-live">
          {words(`turn.${turned}`)}
        </p>
      )}
      {step.do === 'score' && step.fence !== null && (
        <p className="mb-2 text-[length:clamp(1.1rem,5cqw,1.5rem)] leading-tight text-soft">
          {words(`work.lies.score.${step.fence}`)}
        </p>
      )}
      {step.says.map((said, i) => (
        <p
          key={i}
          className={
            step.says.length > 1
              ? 'mb-2 text-[length:clamp(1.15rem,5cqw,1.6rem)] leading-snug'
              : 'text-[length:clamp(1.25rem,6cqw,2.1rem)] leading-tight'
          }
        >
          <Sentence parts={said} />
        </p>
      ))}
      {!isMissed && <BigFigure piece={piece} step={step} />}
      {step.do === 'cut' && (
        <p className="mt-4 text-[length:clamp(1.05rem,4.4cqw,1.5rem)] leading-snug text-soft">
          {words('work.pencil', { piece: pieceName({ ...piece, count: 1 }), name: view.name })}
        </p>
      )}
      {measure && measure.standoff > 0 && step.do === 'score' && (
        <p className="mt-4 text-xl leading-snug text-soft">{words('work.standoff')}</p>
      )}
      {[...(step.or ? [step.or] : []), ...step.advice].map((advice, i) => (
        <p key={i} className="mt-3 text-[length:clamp(1.05rem,4.4cqw,1.5rem)] leading-snug text-soft">
          <Sentence parts={advice} />
        </p>
      ))}
      {measure &&
        missed &&
        SET.includes(step.do) &&
        (isMissed ? (
          missed(piece, step, () => setMissed(false))
        ) : (
          <button
            type="button"
            className="quiet-button mt-3 -ml-3 self-start text-lg text-live"
            onClick={() => setMissed(true)}
          >
            {words('missed.ask')}
          </button>
        ))}
    </>
  )
}

function BigFigure({ piece, step }: { piece: Piece; step: Step }) {
  const measure = piece.measures[step.measures[0] ?? -1]
  if (step.do === 'cut')
    return (
      <p
        className="mt-5 text-[length:min(4.6rem,11.5cqw)] leading-none font-semibold whitespace-nowrap text-live"
        data-figure
      >
        <Pair {...piece.sheet.text} />
      </p>
    )
  return (
    measure &&
    BIG.includes(step.do) && (
      <p className="mt-5 text-[length:min(6.5rem,24cqw)] leading-none font-semibold text-live" data-figure>
        <Figure text={measure.text} />
      </p>
    )
  )
}
