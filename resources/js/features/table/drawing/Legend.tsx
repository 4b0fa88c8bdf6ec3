import type { Piece, Sized } from '@/api/client'
import { isBehind, laidOn } from './laid'
import { words } from '@/words'

const LINES = [
  { key: 'B', stroke: 'stroke-ink', dash: undefined },
  { key: 'V', stroke: 'stroke-valley', dash: '8 4' },
  { key: 'M', stroke: 'stroke-mountain', dash: '10 3 2 3' },
] as const

/** What the lines of these sheets mean; only those that are on it. */
export function Legend({ design, pieces }: { design: Sized; pieces: Piece[] }) {
  const there = new Set(pieces.flatMap((piece) => piece.fold.edges_assignment))
  const laid = pieces.flatMap((piece) => laidOn(design, piece))
  const hasLaid = laid.length > 0
  return (
    <ul
      data-legend
      aria-label={words('legend.label')}
      className="flex flex-wrap gap-x-5 gap-y-1 text-[0.95rem] text-soft"
    >
      {LINES.filter((line) => there.has(line.key)).map((line) => (
        <li key={line.key} className="flex items-center gap-2">
          <svg width="34" height="8" aria-hidden="true">
            <line x1="0" x2="34" y1="4" y2="4" className={line.stroke} strokeWidth="2" strokeDasharray={line.dash} />
          </svg>
          {words(`legend.${line.key}`)}
        </li>
      ))}
      {pieces.some((piece) => piece.glue.length > 0) && (
        <li className="flex items-center gap-2">
          <svg width="22" height="14" aria-hidden="true">
            <rect width="22" height="14" fill="url(#glue-hatch)" />
          </svg>
          {words('legend.glue')}
        </li>
      )}
      {[...pieces, ...laid.map(({ piece }) => piece)].some(({ embossed }) => embossed) && (
        <li className="flex items-center gap-2">
          <svg width="22" height="14" aria-hidden="true">
            <rect width="22" height="14" fill="url(#emboss-dots)" className="stroke-soft" />
          </svg>
          {words('legend.embossed')}
        </li>
      )}
      {laid.some((one) => !isBehind(one)) && (
        <li className="flex items-center gap-2">
          <svg width="22" height="14" aria-hidden="true">
            <rect x="1" y="1" width="20" height="12" className="fill-live/12 stroke-live" />
          </svg>
          {words('legend.laid')}
        </li>
      )}
      {laid.some(isBehind) && (
        <li className="flex items-center gap-2">
          <svg width="22" height="14" aria-hidden="true">
            <rect x="1" y="1" width="20" height="12" className="fill-none stroke-soft" strokeDasharray="2 3" />
          </svg>
          {words('legend.behind')}
        </li>
      )}
      {!hasLaid && pieces.some((piece) => piece.outline) && (
        <li className="flex items-center gap-2">
          <svg width="22" height="14" aria-hidden="true">
            <path d="M2 12V4l4-3h14v11z" className="fill-none stroke-live" strokeWidth="1.4" />
          </svg>
          {words('legend.outline')}
        </li>
      )}
      {!hasLaid && pieces.some((piece) => piece.contents) && (
        <li className="flex items-center gap-2">
          <svg width="22" height="14" aria-hidden="true">
            <rect x="1" y="1" width="20" height="12" className="fill-live-wash stroke-soft" strokeDasharray="1.5 3" />
          </svg>
          {words('legend.contents')}
        </li>
      )}
    </ul>
  )
}
