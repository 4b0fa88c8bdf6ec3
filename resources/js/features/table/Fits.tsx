import { useState } from 'react'
import type { Alternative, Change, Check, Piece } from '@/api/client'
import { Figure } from '@/ui/Figure'
import { Said } from '@/ui/Said'
import { hasWords, words } from '@/words'
import { nameOfPiece } from '@/ui/pieceName'
import { useLit } from './lit'
import { fitKey, fitsOf } from './useAlternatives'

interface FitsProps {
  checks: Check[]
  /** All of the design: of several, a fit says which it is about. */
  pieces: Piece[]
  /** What each figure would do, so that the fits light up that hang on what is pointed at. */
  alternatives: Alternative[] | null
  onRemedy: (changes: Change[]) => void
  onPoint: (fit: string | null) => void
}

/** Fits of each thing that goes with it: said where they fail, or there would be a row for every mat. */
const QUIET = new Set([
  'mat-shows-border',
  'window-inside-panel',
  'window-inside-mat',
  'backing-inside-panel',
  'label-inside-panel',
  'band-overlaps',
  'closure-clear-of-window',
  'corners-have-room',
  'corner-inside-rounded',
  'edge-has-repeats',
  'seam-is-hidden',
  'hole-within-reach',
])

/** Every fit as a gauge, the worst first. What fails says so in words and offers what mends it. */
export function Fits({ checks, ...rest }: FitsProps) {
  const worstFirst = checks
    .filter(({ hint, id, ok }) => !hint && !(ok && QUIET.has(id)))
    .sort((a, b) => Number(a.ok) - Number(b.ok) || Number(b.critical) - Number(a.critical) || a.slack - b.slack)
  return (
    <ul className="space-y-0.5">
      {worstFirst.map((check) => (
        <Row key={fitKey(check)} check={check} {...rest} />
      ))}
      {checks
        .filter(({ hint }) => hint)
        .map((check) => (
          <li
            key={`${check.id} ${check.piece} ${check.state}`}
            data-hint={check.id}
            className="mx-2 mt-2 border-l-4 border-line pl-3 leading-snug text-soft"
          >
            {check.piece && rest.pieces.length > 1 && `${nameOfPiece(rest.pieces, check.piece)}: `}
            {words(`hint.${check.id}.${check.state}`, { need: check.text.need, have: check.text.have })}
          </li>
        ))}
    </ul>
  )
}

function Row({ check, pieces, alternatives, onRemedy, onPoint }: Omit<FitsProps, 'checks'> & { check: Check }) {
  const isLit = useLit((lit) => fitsOf(alternatives, lit.piece, lit.measures).has(fitKey(check)))
  return (
    <li
      data-check={check.id}
      data-ok={check.ok}
      data-lit={isLit}
      className="rounded-lg data-[lit=true]:bg-live-wash"
      tabIndex={0}
      onPointerEnter={() => onPoint(fitKey(check))}
      onPointerLeave={() => onPoint(null)}
      onFocus={() => onPoint(fitKey(check))}
      onBlur={() => onPoint(null)}
    >
      <div className="fit-row px-2 py-1">
        <span className="leading-tight">
          {words(`check.${check.id}`)}
          {check.piece && pieces.length > 1 && ` (${nameOfPiece(pieces, check.piece)})`}
          {check.state && hasWords(`check.${check.id}.${check.state}`) && (
            <span className="block text-[0.95rem] text-soft">{words(`check.${check.id}.${check.state}`)}</span>
          )}
          {check.ok && check.critical && <Critical slip={check.text.slip} />}
        </span>
        <Gauge check={check} />
        <span className={`text-right text-lg font-semibold ${check.ok ? '' : 'text-warn'}`}>
          {check.have === check.bare && check.ok ? (
            words('check.exact')
          ) : (
            <Figure text={check.most !== null ? check.text.have : check.ok ? check.text.spare : check.text.slack} />
          )}
        </span>
      </div>
      {!check.ok && (
        <div className="mx-2 mb-2 rounded-lg border border-warn bg-warn-wash p-3 text-warn">
          <p className="leading-snug">
            <Said
              of={failsKey(check)}
              params={{ need: check.text.need, have: check.text.have, short: check.text.slack.replace('-', '') }}
            />
          </p>
          {check.remedies.map((remedy) => (
            <button
              key={JSON.stringify(remedy.edits)}
              data-remedy={remedy.id}
              type="button"
              className="mt-2 flex min-h-11 w-full cursor-pointer items-center rounded-lg border border-warn bg-panel px-3 py-1.5 text-left font-semibold hover:bg-paper"
              onClick={() => onRemedy(remedy.edits)}
            >
              <span>
                <Said of={`remedy.${remedy.id}`} params={remedyParams(remedy.params)} />
              </span>
            </button>
          ))}
          {check.remedies.length === 0 && <p className="mt-1">{words('check.no-remedy')}</p>}
        </div>
      )}
    </li>
  )
}

/** A short mark; what it means when it is asked. */
function Critical({ slip }: { slip: string }) {
  const [isAsked, setAsked] = useState(false)
  return (
    <>
      {' '}
      <button
        type="button"
        aria-expanded={isAsked}
        className="relative cursor-pointer rounded-full border border-warn px-2 text-[0.92rem] before:absolute before:-inset-x-1 before:-inset-y-3 font-semibold whitespace-nowrap text-warn hover:bg-warn-wash"
        onClick={() => setAsked(!isAsked)}
      >
        {words('check.critical')}
      </button>
      {isAsked && (
        <span className="mt-1 block text-[0.95rem] text-warn">{words('check.critical.means', { slip })}</span>
      )}
    </>
  )
}

/** What fails because there is too much of it says so in other words. */
const failsKey = ({ id, state }: Check) =>
  state && hasWords(`check.${id}.${state}.fails`) ? `check.${id}.${state}.fails` : `check.${id}.fails`

/** A sheet and a field go by their names in the language, other values are lengths. */
function remedyParams(params: Record<string, string>): Record<string, string> {
  return Object.fromEntries(
    Object.entries(params).map(([name, value]) => [
      name,
      name === 'sheet' ? words(`size.${value}`) : name === 'field' ? words(`field.${value}`) : value,
    ]),
  )
}

/** From the least that would do on the left: what was asked for as a tick, what there is as a bar, what a slip would leave in full strength. */
function Gauge({ check }: { check: Check }) {
  const asked = Math.max(0, check.need - check.bare)
  const have = Math.max(0, check.have - check.bare)
  const afterSlip = Math.max(0, have - check.slip)
  const full =
    check.most === null ? Math.max(asked * 2, have * 1.08, 1) : Math.max((check.most - check.bare) * 1.2, have * 1.08)
  // Nothing asked and nothing to spare is as good as it gets.
  const isExact = check.ok && have === 0
  const share = (value: number) => `${((100 * Math.min(value, full)) / full).toFixed(1)}%`
  return (
    <span
      className="relative block h-4"
      data-gauge
      role="img"
      aria-label={words('check.gauge', {
        asked: check.text.asked,
        spare: check.text.spare,
        left: check.text.afterSlip,
      })}
    >
      <span className="absolute inset-x-0 inset-y-[4px] rounded-full bg-line" />
      <span
        className={`absolute inset-y-[4px] left-0 rounded-full opacity-45 ${check.ok ? 'bg-good' : 'bg-warn'}`}
        style={{ width: isExact ? '100%' : share(have) }}
      />
      <span
        className={`absolute inset-y-[4px] left-0 rounded-full ${check.ok ? 'bg-good' : 'bg-warn'}`}
        style={{ width: share(afterSlip) }}
      />
      {asked > 0 && (
        <span className="absolute inset-y-0 w-[2.5px] -translate-x-1/2 bg-ink" style={{ left: share(asked) }} />
      )}
    </span>
  )
}
