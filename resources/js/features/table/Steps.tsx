import type { Piece, Sized, Step } from '@/api/client'
import { Figure } from '@/ui/Figure'
import { isOneUnit } from '@/ui/Pair'
import { pieceName } from '@/ui/pieceName'
import { hasWords, listed, words, wordsAround } from '@/words'
import { light, NOTHING_LIT, useIsLit } from './lit'

/** The work in order, in words. */
interface StepsProps {
  design: Sized
}

export function Steps({ design }: StepsProps) {
  return (
    <ol className="space-y-0.5">
      {design.steps.map((step, i) => (
        <Row key={i} design={design} step={step} number={i + 1} />
      ))}
    </ol>
  )
}

/** One step; it lights up with the measures it sets. */
function Row({ design, step, number }: StepsProps & { step: Step; number: number }) {
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
        {piece && design.pieces.length > 1 && design.steps[number - 2]?.piece !== step.piece && (
          <strong className="mr-1.5 font-serif">{pieceName(piece)}.</strong>
        )}
        <StepWords step={step} piece={piece} />
        {step.advice.map((advice) => (
          <span key={advice} className="block text-[0.95rem] leading-snug text-soft">
            {words(`advice.${advice}`)}
          </span>
        ))}
      </span>
    </li>
  )
}

/** Faces by their names; so many of one name by their number. */
function faceNames(faces: string[]): string[] {
  const names = new Set(faces.map((face) => words(`face.${face}`)))
  return [...names].map((name) => {
    const alike = faces.filter((face) => words(`face.${face}`) === name)
    const many = `faces.${alike[0]?.split('-').at(-1)}`
    return alike.length > 1 && hasWords(many) ? words(many, { count: alike.length }) : name
  })
}

/** One step as a sentence, its figure typeset. */
export function StepWords({ step, piece }: { step: Step; piece: Piece | undefined }) {
  const measure = piece?.measures[step.measures[0] ?? -1]
  const own = [measure?.axis ?? '', step.piece].map((part) => `step.${step.do}.${part}`)
  const key = own.find(hasWords) ?? `step.${step.do}`
  const turn = step.quarterTurns > 0 ? `${words(`turn.${step.quarterTurns}`)} ` : ''
  return (
    <span>
      {turn}
      {wordsAround(key).map((part, i) => {
        if ('text' in part) return <span key={i}>{part.text}</span>
        if (piece && (part.slot === 'width' || part.slot === 'height')) {
          return (
            <Figure
              key={i}
              text={piece.sheet.text[part.slot]}
              className="font-semibold"
              unit={part.slot === 'height' || !isOneUnit(piece.sheet.text.width, piece.sheet.text.height)}
            />
          )
        }
        if (part.slot === 'at' && measure) return <Figure key={i} text={measure.text} className="font-semibold" />
        if (part.slot === 'groove' && measure?.groove) return <Figure key={i} text={measure.groove.text} />
        if (part.slot === 'from' && measure)
          return <span key={i}>{words(`${whereKey(step, measure)}.${measure.from}`)}</span>
        if (part.slot === 'faces') return <span key={i}>{listed(faceNames(step.faces))}</span>
        return null
      })}
      {blade(step, piece)}
    </span>
  )
}

/** An edge of the sheet, a corner that is cut off, or how the sheet lies at the fence. */
function whereKey(step: Step, measure: Piece['measures'][number]): string {
  if (step.do === 'slant') return 'corner'
  return measure.axis === 'width' || measure.axis === 'height' ? 'edge' : 'from'
}

/** Which of the trimmer's blades a step takes, where the piece is made with both. */
function blade(step: Step, piece: Piece | undefined): string {
  const hasBoth = piece?.measures.some(({ tool }) => tool === 'trimmer-score') ?? false
  if (!hasBoth || (step.with !== 'trimmer-score' && step.do !== 'cut')) return ''
  return words(step.with === 'trimmer-score' ? 'step.blade.score' : 'step.blade.cut')
}
