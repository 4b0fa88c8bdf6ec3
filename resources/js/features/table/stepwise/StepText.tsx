import { useState } from 'react'
import type { DesignView, Piece, Step } from '@/api/client'
import { Figure } from '@/ui/Figure'
import { Pair } from '@/ui/Pair'
import { pieceName } from '@/ui/pieceName'
import { words } from '@/words'
import { StepWords } from '../Steps'
import { MissedHelp } from './MissedHelp'

/** Steps whose figure is read from across the table. */
const BIG = ['score', 'punch', 'trim', 'mark', 'slant']

/** Steps whose figure can be set wrong. */
const SET = ['cut', 'score', 'punch', 'mark', 'trim', 'slant']

interface StepTextProps {
  view: DesignView
  piece: Piece
  step: Step
  /** Quarters of a turn clockwise since the step before. */
  turned: number
}

/** One step in words and figures that read from a metre away, with help where a figure was set wrong. */
export function StepText({ view, piece, step, turned }: StepTextProps) {
  const [isMissed, setMissed] = useState(false)
  const measure = piece.measures[step.measures[0] ?? -1]
  return (
    <>
      {view.design.pieces.length > 1 && (
        <p className="mb-3 text-2xl">
          <strong className="font-serif">{pieceName({ id: piece.id, count: 1 })}</strong>
          {piece.count > 1 && <span className="ml-3 text-live">{words('work.times', { count: piece.count })}</span>}
        </p>
      )}
      {turned > 0 && <p className="mb-2 text-3xl leading-tight text-live">{words(`turn.${turned}`)}</p>}
      {measure && (step.do === 'score' || step.do === 'punch') && (
        <p className="mb-2 text-2xl leading-tight text-soft">
          {words(`work.lies.${step.do}.${step.do === 'punch' ? (measure.side ?? 1) : measure.from}`)}
        </p>
      )}
      <p className="text-[2.1rem] leading-tight">
        <StepWords step={{ ...step, quarterTurns: 0 }} piece={piece} />
      </p>
      {!isMissed && <BigFigure piece={piece} step={step} />}
      {step.do === 'cut' && (
        <p className="mt-5 text-2xl leading-snug text-soft">
          {words('work.pencil', { piece: pieceName({ id: piece.id, count: 1 }), name: view.name })}
        </p>
      )}
      {measure && measure.standoff > 0 && step.do === 'score' && (
        <p className="mt-4 text-xl leading-snug text-soft">{words('work.standoff')}</p>
      )}
      {step.advice.map((advice) => (
        <p key={advice} className="mt-4 text-2xl leading-snug text-soft">
          {words(`advice.${advice}`)}
        </p>
      ))}
      {measure &&
        SET.includes(step.do) &&
        (isMissed ? (
          <MissedHelp
            designId={view.id}
            piece={piece}
            pieces={view.design.pieces}
            measures={step.measures}
            onDone={() => setMissed(false)}
          />
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
      <p className="mt-5 text-[min(4.6rem,5.2vw)] leading-none font-semibold whitespace-nowrap text-live" data-figure>
        <Pair {...piece.sheet.text} />
      </p>
    )
  return (
    measure &&
    BIG.includes(step.do) && (
      <p className="mt-5 text-[6.5rem] leading-none font-semibold text-live" data-figure>
        <Figure text={measure.text} />
      </p>
    )
  )
}
