import type { DesignView, Sized, Step } from '@/api/client'
import { pieceName } from '@/ui/pieceName'
import { Sentence, Sentences } from '@/ui/Sentence'
import { words } from '@/words'
import { light, NOTHING_LIT, useIsLit } from './lit'
import { useTold } from './useLooked'

/** The work in order, in words. */
export function Steps({ view }: { view: DesignView }) {
  const told = useTold(view)
  return told && <StepList design={view.design} steps={told.steps} />
}

interface StepsProps {
  design: Sized
  steps: Step[]
}

export function StepList({ design, steps }: StepsProps) {
  return (
    <ol className="space-y-0.5">
      {steps.map((step, i) => (
        <Row key={step.id} {...{ design, steps, step }} number={i + 1} />
      ))}
    </ol>
  )
}

/** One step; it lights up with the measures it sets. */
function Row({ design, steps, step, number }: StepsProps & { step: Step; number: number }) {
  const piece = design.pieces.find((one) => one.id === step.piece)
  const isLit = useIsLit(step.piece, step.measures)
  return (
    <li
      className={`grid grid-cols-[1.8rem_1fr] rounded-lg px-2 py-1.5 hover:bg-live-wash ${isLit ? 'bg-live-wash' : ''}`}
      onPointerEnter={() => light({ piece: step.piece, measures: step.measures })}
      onPointerLeave={() => light(NOTHING_LIT)}
    >
      <span className="text-right pr-2.5 text-soft">{number}</span>
      <span>
        {piece && design.pieces.length > 1 && steps[number - 2]?.piece !== step.piece && (
          <strong className="mr-1.5 font-serif">{pieceName(piece)}.</strong>
        )}
        {step.quarterTurns > 0 && `${words(`turn.${step.quarterTurns}`)} `}
        <Sentences all={step.says} />
        {[...(step.or ? [step.or] : []), ...step.advice].map((advice, i) => (
          <span key={i} className="block text-[0.95rem] leading-snug text-soft">
            <Sentence parts={advice} />
          </span>
        ))}
      </span>
    </li>
  )
}
