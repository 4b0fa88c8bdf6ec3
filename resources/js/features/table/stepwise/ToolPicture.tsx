import type { Piece, Sized, Step } from '@/api/client'
import { Figure } from '@/ui/Figure'
import { useSize } from '@/ui/useSize'
import { words } from '@/words'
import { path, ticksOf, type XY } from '../drawing/geometry'
import { onTool } from './lying'

const FENCE_PX = 18
const RULER_PX = 64

interface ToolPictureProps {
  design: Sized
  piece: Piece
  step: Step
}

/** The sheet as it lies on the tool now: fence and ruler, what was set before in grey, what is set now in full. */
export function ToolPicture({ design, piece, step }: ToolPictureProps) {
  const [ref, size] = useSize<HTMLDivElement>()
  const measure = piece.measures[step.measures[0] ?? -1]
  const isBoard = step.do === 'score' || step.do === 'punch'
  const room = {
    left: (isBoard ? FENCE_PX : 4) + 30,
    top: RULER_PX + FENCE_PX,
    width: Math.max(10, size.width - FENCE_PX - 70),
    height: Math.max(10, size.height - RULER_PX - FENCE_PX - 24),
  }
  const lies = onTool(piece, step.lying.turn, measure?.standoff ?? 0, room)
  const { fold } = piece
  const vertex = (v: number): XY => (fold.vertices_coords[v] ?? [0, 0]) as unknown as XY
  const { width, height } = piece.sheet
  const isCutYet = !['cut', 'score', 'punch', 'mark', 'try-fit'].includes(step.do)
  const outline = isCutYet
    ? fold.faces_vertices.map((face) => face.map((v) => lies.at(vertex(v))))
    : [
        (
          [
            [0, 0],
            [width, 0],
            [width, height],
            [0, height],
          ] as XY[]
        ).map(lies.at),
      ]
  const lit = new Set(step.faces)
  const before = new Set(step.lying.done.flatMap((m) => piece.measures[m]?.edges ?? []))
  const scored = design.steps.filter(
    (one) => one.piece === step.piece && one.lying.line && one.measures.some((m) => step.lying.done.includes(m)),
  )
  const nowEdges = new Set(step.measures.flatMap((m) => piece.measures[m]?.edges ?? []))
  const isFolding = ['fold', 'glue', 'close', 'fill', 'try-fit'].includes(step.do)
  const fromRight = step.do === 'punch' && measure?.from === 'right'
  const markX =
    measure && isBoard
      ? fromRight
        ? lies.left + lies.width - measure.at * lies.scale
        : lies.left + measure.at * lies.scale
      : null
  return (
    <div
      ref={ref}
      className="relative h-full min-h-0"
      role="img"
      aria-label={words('work.picture', { piece: piece.id })}
    >
      {size.width > 0 && (
        <svg width={size.width} height={size.height} className="absolute inset-0" aria-hidden="true">
          {isBoard && (
            <g>
              {step.do === 'score' && (
                <rect
                  x={lies.left - FENCE_PX - 4}
                  y={room.top - FENCE_PX}
                  width={FENCE_PX}
                  height={lies.height + FENCE_PX}
                  rx="3"
                  className="fill-soft"
                />
              )}
              <rect
                x={lies.left - FENCE_PX - 4}
                y={room.top - FENCE_PX - 4}
                width={lies.width + FENCE_PX + 8}
                height={FENCE_PX}
                rx="3"
                className="fill-soft"
              />
              <g className="stroke-soft" strokeWidth="1.2">
                {ticksOf(lies.width / lies.scale, design.system, lies.scale).map(({ at, size: tick }) => {
                  const x = fromRight ? lies.left + lies.width - at * lies.scale : lies.left + at * lies.scale
                  return (
                    <line
                      key={at}
                      x1={x}
                      x2={x}
                      y1={room.top - FENCE_PX - 5}
                      y2={room.top - FENCE_PX - 5 - [5, 8, 11, 16][tick]!}
                    />
                  )
                })}
              </g>
            </g>
          )}
          {outline.map((ring, i) => (
            <polygon
              key={i}
              points={path(ring)}
              className={
                lit.has(fold['faces_gimbo:name'][i] ?? '') && isCutYet
                  ? 'fill-live-wash stroke-live'
                  : 'fill-paper stroke-ink'
              }
              strokeWidth={lit.has(fold['faces_gimbo:name'][i] ?? '') && isCutYet ? 2.5 : 1.6}
            />
          ))}
          {fold.edges_vertices.map(([from, to], i) => {
            const kind = fold.edges_assignment[i]
            if (kind !== 'M' && kind !== 'V') return null
            if (!isFolding && !isCutYet && (!before.has(i) || scored.length > 0)) return null
            const [[x1, y1], [x2, y2]] = [lies.at(vertex(from as number)), lies.at(vertex(to as number))]
            return (
              <line
                key={i}
                {...{ x1, y1, x2, y2 }}
                className={kind === 'M' ? 'stroke-mountain' : 'stroke-valley'}
                strokeWidth={isFolding ? 2.4 : 1.6}
                strokeDasharray={kind === 'M' ? '14 4 2.5 4' : '10 6'}
                opacity={isFolding ? 1 : 0.45}
              />
            )
          })}
          {!isCutYet &&
            scored.map((one, i) => (
              <polyline
                key={i}
                points={path((one.lying.line as unknown as XY[]).map(lies.at))}
                className="fill-none stroke-soft"
                strokeWidth="1.6"
                strokeDasharray="10 6"
              />
            ))}
          {step.lying.line && (
            <polyline
              points={path((step.lying.line as unknown as XY[]).map(lies.at))}
              className="fill-none stroke-live"
              strokeWidth="4"
            />
          )}
          {!step.lying.line &&
            step.do !== 'punch' &&
            fold.edges_vertices.map(([from, to], i) => {
              if (!nowEdges.has(i)) return null
              const [[x1, y1], [x2, y2]] = [lies.at(vertex(from as number)), lies.at(vertex(to as number))]
              return <line key={i} {...{ x1, y1, x2, y2 }} className="stroke-live" strokeWidth="4" />
            })}
          {step.do === 'punch' && markX !== null && (
            <path
              d={`M${markX - 12} ${room.top} L${markX} ${room.top + 14} L${markX + 12} ${room.top}`}
              className="fill-table stroke-live"
              strokeWidth="3.5"
            />
          )}
          {markX !== null && (
            <polygon
              points={`${markX - 10},${room.top - FENCE_PX - 22} ${markX + 10},${room.top - FENCE_PX - 22} ${markX},${room.top - FENCE_PX - 4}`}
              className="fill-live"
            />
          )}
        </svg>
      )}
      {markX !== null && measure && (
        <span
          className="pointer-events-none absolute top-0 -translate-x-1/2 text-3xl font-semibold text-live"
          style={{ left: Math.max(60, Math.min(markX, size.width - 60)) }}
          aria-hidden="true"
        >
          {fromRight ? '← ' : ''}
          <Figure text={measure.text} unit={false} />
        </span>
      )}
    </div>
  )
}
