import type { PlanPart, PlanSheet } from '@/api/client'
import { placed, type Placed } from './placed'

interface SheetDrawingProps {
  sheet: PlanSheet
  label: string
  /** The cut the hand is at; all of them where it is at none. */
  now: number | null
}

/** A sheet to scale: what it is cut into, cuts numbered in the order of the hand, offcuts in their own tint. */
export function SheetDrawing({ sheet, label, now }: SheetDrawingProps) {
  const { width, height } = sheet.tree
  const { leaves, cuts } = placed(sheet.tree)
  const seen = windowOf(
    sheet.tree,
    cuts.find(({ part }) => part.n === now),
  )
  const unit = Math.max(width, seen.height) / 100
  return (
    <svg
      viewBox={`${-2 * unit} ${seen.top - 2 * unit} ${width + 4 * unit} ${seen.height + 4 * unit}`}
      role="img"
      aria-label={label}
      className="size-full"
      data-sheet
    >
      <rect {...{ width, height }} className="fill-paper" style={sheet.colour ? { fill: sheet.colour } : undefined} />
      {leaves.map((leaf, i) => (
        <Leaf key={i} leaf={leaf} unit={unit} />
      ))}
      <rect {...{ width, height }} fill="none" className="stroke-ink" strokeWidth={unit * 0.5} />
      {cuts.map(({ part, x, y }) => {
        const at = part.at ?? 0
        const isNow = now === null || part.n === now
        const isDone = now !== null && (part.n ?? 0) < now
        const [x1, y1, x2, y2] = part.isUpright
          ? [x + at, y - part.height, x + at, y]
          : [x, y - at, x + part.width, y - at]
        const [cx, cy] = part.isUpright
          ? [x1, y1 + Math.min(4 * unit, part.height / 2)]
          : [x1 + Math.min(4 * unit, part.width / 2), y1]
        return (
          <g key={part.n} data-cut={part.n} opacity={isNow ? 1 : isDone ? 0.55 : 0.25}>
            <line {...{ x1, y1, x2, y2 }} className="stroke-live" strokeWidth={isNow ? unit : unit * 0.5} />
            <circle {...{ cx, cy }} r={2.6 * unit} className="fill-live" />
            <text
              x={cx}
              y={cy + 1.15 * unit}
              textAnchor="middle"
              fontSize={3.3 * unit}
              className="fill-panel font-semibold"
            >
              {part.n}
            </text>
          </g>
        )
      })}
    </svg>
  )
}

/** Of what is much longer than wide, a roll, only so much is seen as lies about the cut. */
const LONGEST = 2.2

function windowOf({ width, height }: PlanPart, cut: Placed | undefined) {
  const seen = Math.min(height, LONGEST * width)
  const middle = cut ? cut.y - (cut.part.isUpright ? cut.part.height / 2 : (cut.part.at ?? 0)) : height
  return { top: Math.max(0, Math.min(height - seen, middle - seen / 2)), height: seen }
}

function Leaf({ leaf: { part, x, y }, unit }: { leaf: Placed; unit: number }) {
  const { width, height } = part
  const size = Math.min(7 * unit, Math.min(width, height) * 0.5)
  return (
    <g>
      <rect
        x={x}
        y={y - height}
        {...{ width, height }}
        className={fillOf(part)}
        strokeWidth={unit * 0.25}
        data-part={part.letter ?? (part.isOffcut ? 'offcut' : 'waste')}
      />
      {part.slant && <Slant slant={part.slant} x={x} y={y} unit={unit} />}
      {part.letter && (
        <>
          <text
            x={x + width / 2}
            y={y - height / 2 + size * 0.2}
            textAnchor="middle"
            fontSize={size}
            className="fill-ink font-serif font-semibold"
          >
            {part.letter}
          </text>
          {width > 22 * unit && height > 14 * unit && (
            <text
              x={x + width / 2}
              y={y - height / 2 + size * 0.2 + 4.4 * unit}
              textAnchor="middle"
              fontSize={3.2 * unit}
              className="fill-ink"
            >
              {part.text}
            </text>
          )}
        </>
      )}
      {part.isOffcut && width > 26 * unit && height > 6 * unit && (
        <text
          x={x + width / 2}
          y={y - height / 2 + 1.1 * unit}
          textAnchor="middle"
          fontSize={3.2 * unit}
          className="fill-ink"
        >
          {part.text}
        </text>
      )}
    </g>
  )
}

/** The cut that parts two that lie head to tail, made when all others are. */
function Slant({ slant, x, y, unit }: { slant: number[]; x: number; y: number; unit: number }) {
  const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = slant
  return (
    <line
      x1={x + x1}
      y1={y - y1}
      x2={x + x2}
      y2={y - y2}
      className="stroke-live"
      strokeWidth={unit * 0.4}
      strokeDasharray={`${unit} ${unit * 0.6}`}
      data-slant
    />
  )
}

const fillOf = (part: PlanPart) =>
  part.letter ? 'fill-live-wash/80 stroke-ink' : part.isOffcut ? 'plan-offcut stroke-ink' : 'plan-waste stroke-ink'
