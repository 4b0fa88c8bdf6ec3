import { Figure } from '@/ui/Figure'
import type { Placed } from './labels'

const LOOK: Record<Placed['kind'], string> = {
  tick: 'text-soft',
  mark: 'font-semibold text-live',
  face: 'text-soft',
  contents: 'text-ink',
  dimension: 'text-ink',
}

/** What is written on the drawing, above it; each label where it was placed. */
export function Labels({ labels }: { labels: Placed[] }) {
  return labels.map(({ id, kind, at, px, turn = 0, text, by, unit = false, before, after, aside, isLit = false }) => (
    <span
      key={id}
      data-label={id}
      className={`pointer-events-none absolute top-0 left-0 leading-tight whitespace-nowrap ${isLit ? 'font-semibold text-ink' : LOOK[kind]}`}
      style={{ fontSize: px, transform: `translate(${at[0]}px, ${at[1]}px) translate(-50%, -50%) rotate(${turn}deg)` }}
      aria-hidden={kind === 'tick' || kind === 'face' ? true : undefined}
    >
      {before}
      <Figure text={text} unit={unit} />
      {by !== undefined && (
        <>
          <span aria-hidden="true"> × </span>
          <Figure text={by} />
        </>
      )}
      {after}
      {aside && <span className="sr-only">{aside}</span>}
    </span>
  ))
}
