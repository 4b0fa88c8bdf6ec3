import { useEffect, useState } from 'react'
import { api, problemsOf, type Missed, type Piece } from '@/api/client'
import { Figure } from '@/ui/Figure'
import { Said } from '@/ui/Said'
import { SelectField } from '@/ui/SelectField'
import { TextField } from '@/ui/TextField'
import { hasWords, words } from '@/words'
import { pieceName } from '@/ui/pieceName'
import { measureRows } from '../measureRows'

const SETTLED_MS = 120

interface MissedHelpProps {
  designId: string
  piece: Piece
  /** All of the design's: others may have to follow. */
  pieces: Piece[]
  /** What is set in this step: a sheet that is cut has two. */
  measures: number[]
  onDone: () => void
}

/** A figure was set wrong: what it was really set to, what is still good, and what would save it. */
export function MissedHelp({ designId, piece, pieces, measures, onDone }: MissedHelpProps) {
  const rows = measureRows(piece).filter((row) => row.measures.some((one) => measures.includes(one)))
  const [which, setWhich] = useState(0)
  const measure = rows[which]?.measures[0] ?? -1
  const [typed, setTyped] = useState('')
  const [missed, setMissed] = useState<Missed | null>(null)
  const [problem, setProblem] = useState<string>()

  useEffect(() => {
    if (typed.trim() === '') return
    let isOver = false
    const timer = setTimeout(() => {
      api.missed(designId, piece.id, measure, typed).then(
        (found) => {
          if (isOver) return
          setMissed(found)
          setProblem(undefined)
        },
        (error: unknown) => {
          if (isOver) return
          setMissed(null)
          setProblem(problemsOf(error)[0]?.message)
        },
      )
    }, SETTLED_MS)
    return () => {
      isOver = true
      clearTimeout(timer)
    }
  }, [typed, designId, piece.id, measure])

  const uses = rows[which]?.measures.length ?? 1
  return (
    <section aria-label={words('missed.ask')} className="mt-5 rounded-xl border border-line bg-table/60 p-5 text-xl">
      {rows.length > 1 && (
        <SelectField
          label={words('missed.which')}
          value={String(which)}
          choices={rows.map((row, i) => ({ value: String(i), label: words(row.key) }))}
          className="mb-3"
          onChange={(value) => setWhich(Number(value))}
        />
      )}
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          label={words('missed.what')}
          value={typed}
          problem={typed.trim() === '' ? undefined : problem}
          className="min-w-40 flex-1 [&_input]:text-2xl"
          autoFocus
          data-keypad="length"
          onChange={setTyped}
        />
        <button type="button" className="quiet-button" onClick={onDone}>
          {words('missed.done')}
        </button>
      </div>
      {missed && typed.trim() !== '' && problem === undefined && (
        <Verdict missed={missed} piece={piece} pieces={pieces} />
      )}
      {missed && uses > 1 && <p className="mt-3 text-base text-soft">{words('missed.all', { count: uses })}</p>}
    </section>
  )
}

function Verdict({ missed, piece, pieces }: { missed: Missed; piece: Piece; pieces: Piece[] }) {
  const gone = missed.fits.filter((fit) => fit.isGone)
  const saves = [
    ...(missed.redo ? [{ of: `missed.${missed.redo}`, params: { at: missed.right } }] : []),
    ...missed.rescues.map(({ measures, text }) => ({
      of: 'missed.rescue',
      params: { what: settingName(piece, measures), at: text },
    })),
    ...(missed.smaller && missed.verdict === 'bad' ? [{ of: 'missed.smaller', params: { ...missed.smaller } }] : []),
  ]
  const isWrong = missed.verdict === 'bad' || missed.verdict === 'nothing-left'
  return (
    <div role="status" className="mt-4 space-y-3 leading-snug">
      {missed.fromOtherEdge && (
        <p>
          <Said of="missed.from-other-edge" params={{ at: missed.text }} />
        </p>
      )}
      <div>
        <p className={isWrong ? 'text-warn' : 'font-semibold text-good'}>
          {words(missed.verdict === 'good' && missed.follow.length > 0 ? 'missed.good-if' : `missed.${missed.verdict}`)}
        </p>
        <ul>
          {gone.map((fit) => (
            <li key={fit.id + (fit.piece ?? '')} className="flex justify-between gap-4">
              <span>{words(`check.${fit.id}`)}</span>
              <span className={`whitespace-nowrap ${fit.stillGoes ? '' : 'text-warn'}`}>
                {fit.state && hasWords(`check.${fit.id}.${fit.state}`) ? (
                  words(`check.${fit.id}.${fit.state}`)
                ) : fit.stillGoes ? (
                  <Said of="missed.to-spare" params={{ spare: fit.spare }} />
                ) : (
                  <>
                    {words('missed.fails')} <Figure text={fit.short} />
                  </>
                )}
              </span>
            </li>
          ))}
        </ul>
        {missed.takes !== null && <p className="mt-1">{words('missed.takes', { count: missed.takes })}</p>}
      </div>
      {missed.follow.map(({ piece: id, figures }) => (
        <Follow key={id} piece={pieces.find((one) => one.id === id)} figures={figures} />
      ))}
      {(isWrong || (saves.length > 0 && missed.verdict === 'tighter')) && (
        <div>
          <p className="font-semibold">
            {words(saves.length === 0 ? 'missed.new-sheet' : isWrong ? 'missed.save' : 'missed.restore')}
          </p>
          <ul className="list-disc pl-6">
            {saves.map((save: { of: string; params: Record<string, string> }) => (
              <li key={save.of + (save.params.at ?? '')}>
                <Said {...save} />
              </li>
            ))}
          </ul>
        </div>
      )}
      {missed.verdict === 'good' && missed.redo && (
        <p className="text-base text-soft">
          <Said of={`missed.${missed.redo}`} params={{ at: missed.right }} />
        </p>
      )}
    </div>
  )
}

/** A piece that is not cut yet and must be another now: its new figures, and what they were. */
function Follow({ piece, figures }: { piece: Piece | undefined; figures: { measure: number; text: string }[] }) {
  if (!piece) return null
  const rows = measureRows(piece).flatMap((row) => {
    const now = figures.find(({ measure }) => row.measures.includes(measure))
    return now ? [{ row, now: now.text }] : []
  })
  return (
    <div>
      <p className="font-semibold">{words('missed.follows', { piece: pieceName(piece) })}</p>
      <ul className="list-disc pl-6">
        {rows.map(({ row, now }) => (
          <li key={row.key + String(row.measures[0])}>
            <Said of="missed.follow" params={{ what: words(row.key), at: now, was: row.text }} />
          </li>
        ))}
      </ul>
    </div>
  )
}

/** A setting by the row it stands in. */
function settingName(piece: Piece, measures: number[]): string {
  const row = measureRows(piece).find((one) => one.measures.some((measure) => measures.includes(measure)))
  return row ? words(row.key) : ''
}
