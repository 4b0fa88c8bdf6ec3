import type { Piece, Sized } from '@/api/client'
import { words } from '@/words'
import { Figure } from '@/ui/Figure'
import { useSize } from '@/ui/useSize'
import { Rulers } from './Rulers'
import { pieceName } from './pieceName'
import { centroid, isInside, middle, path, viewOf, type View, type XY } from './geometry'

const RULER_PX = 74
const TOP_PX = 46
const EDGE_PX = 20

/** Room on the right for the closed picture. */
const ASIDE_PX = 130

const STROKES: Record<string, { className: string; dash?: string; width: number }> = {
  B: { className: 'stroke-ink', width: 1.7 },
  C: { className: 'stroke-ink', width: 1.7 },
  M: { className: 'stroke-mountain', dash: '14 4 2.5 4', width: 2 },
  V: { className: 'stroke-valley', dash: '10 6', width: 2 },
}

interface SheetProps {
  design: Sized
  piece: Piece
  /** The measures that are pointed at, as indexes into the piece's. */
  lit: number[]
  /** Whether to leave room for a picture beside it. */
  hasAside?: boolean
  onLight: (measures: number[]) => void
}

/** The sheet as it lies on its tool, to scale: cuts, scores, glue, and what it holds. */
export function Sheet({ design, piece, lit, hasAside = false, onLight }: SheetProps) {
  const aside = hasAside ? ASIDE_PX : 0
  const [ref, size] = useSize<HTMLDivElement>()
  const room = {
    left: RULER_PX,
    top: TOP_PX,
    width: Math.max(10, size.width - RULER_PX - aside - EDGE_PX),
    height: Math.max(10, size.height - TOP_PX - EDGE_PX),
  }
  const view = viewOf(piece, room)
  const { fold } = piece
  const vertex = (i: number): XY => view.at((fold.vertices_coords[i] ?? [0, 0]) as unknown as XY)
  const litEdges = new Set(lit.flatMap((measure) => piece.measures[measure]?.edges ?? []))
  const measureOf = (edge: number) => {
    const found = piece.measures.findIndex((measure) => measure.edges.includes(edge))
    return found < 0 ? null : found
  }
  const label = words('sheet.label', {
    piece: pieceName(piece),
    width: piece.sheet.text.width,
    height: piece.sheet.text.height,
  })

  return (
    <div ref={ref} className="absolute inset-0">
      {size.width > 0 && (
        <svg width={size.width} height={size.height} role="img" aria-label={label} className="block select-none">
          <defs>
            <pattern id="glue-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <line x1="0" y1="0" x2="0" y2="7" className="stroke-glue" strokeWidth="1.6" />
            </pattern>
            <filter id="sheet-shadow" x="-5%" y="-5%" width="110%" height="112%">
              <feDropShadow dx="0" dy="3" stdDeviation="5" floodColor="#0a2a33" floodOpacity="0.18" />
            </filter>
          </defs>
          <g filter="url(#sheet-shadow)">
            {fold.faces_vertices.map((face, i) => (
              <polygon key={i} points={path(face.map(vertex))} className="fill-paper" />
            ))}
          </g>
          {piece.glue.map((ring, i) => (
            <polygon
              key={i}
              points={path((ring as unknown as XY[]).map(view.at))}
              fill="url(#glue-hatch)"
              opacity="0.75"
              data-layer="glue"
            />
          ))}
          {piece.mats.map((mat) => (
            <polygon
              key={mat.face}
              points={path((mat.ring as unknown as XY[]).map(view.at))}
              className="fill-live/12 stroke-live"
              strokeWidth="1"
              data-layer="mat"
            />
          ))}
          {piece.contents && piece.mats.length === 0 && (
            <Contents design={design} ring={(piece.contents as unknown as XY[]).map(view.at)} scale={view.scale} />
          )}
          {piece.liner && (
            <polygon
              points={path((piece.liner as unknown as XY[]).map(view.at))}
              className="fill-none stroke-soft"
              strokeWidth="1"
              strokeDasharray="2 3"
              data-layer="liner"
            />
          )}
          <Rulers view={view} design={design} piece={piece} lit={lit} onLight={onLight} />
          {fold.edges_vertices.map(([from, to], i) => {
            const stroke = STROKES[fold.edges_assignment[i] ?? 'B']
            if (!stroke) return null
            const [[x1, y1], [x2, y2]] = [vertex(from as number), vertex(to as number)]
            const measure = measureOf(i)
            const isLit = litEdges.has(i)
            return (
              <g key={i} data-edge={fold.edges_assignment[i]}>
                <line
                  {...{ x1, y1, x2, y2 }}
                  className={stroke.className}
                  strokeWidth={isLit ? stroke.width + 2.2 : stroke.width}
                  strokeDasharray={stroke.dash}
                  strokeLinecap={stroke.dash ? 'butt' : 'round'}
                />
                {measure !== null && (
                  <line
                    {...{ x1, y1, x2, y2 }}
                    stroke="transparent"
                    strokeWidth="22"
                    className="cursor-pointer"
                    onPointerEnter={() => onLight([measure])}
                    onPointerLeave={() => onLight([])}
                    onClick={() => onLight([measure])}
                  />
                )}
              </g>
            )
          })}
          {piece.closure && <ClosureMarks closure={piece.closure} view={view} />}
          <FlapNames piece={piece} at={view.at} />
        </svg>
      )}
    </div>
  )
}

/** The contents where they lie, their size written along their own width: a card that goes in turned is read turned. */
function Contents({ design, ring, scale }: { design: Sized; ring: XY[]; scale: number }) {
  const [x, y] = middle(ring)
  const sides = [0, 1].map((i) => {
    const [a, b] = [ring[i] ?? [0, 0], ring[i + 1] ?? [0, 0]]
    return { along: Math.hypot(b[0] - a[0], b[1] - a[1]), turn: (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI }
  })
  const misses = sides.map((side) => Math.abs(side.along - design.holds.width * scale))
  const { along, turn } = (misses[0] ?? 0) <= (misses[1] ?? 0) ? sides[0]! : sides[1]!
  const { width, height } = design.holds.text
  return (
    <g data-layer="contents">
      <polygon points={path(ring)} className="fill-live-wash stroke-soft" strokeWidth="1.2" strokeDasharray="1.5 4" />
      {along > 120 && (
        <foreignObject x={x - 110} y={y - 26} width="220" height="52" transform={`rotate(${turn} ${x} ${y})`}>
          <div className="flex h-full items-center justify-center gap-1.5 text-lg text-ink">
            <Figure text={width} unit={false} />
            <span aria-hidden="true">×</span>
            <Figure text={height} />
          </div>
        </foreignObject>
      )}
    </g>
  )
}

/** Each flap's name in its middle, where there is room for it. */
function FlapNames({ piece, at }: { piece: Piece; at: (point: XY) => XY }) {
  const { fold } = piece
  return fold.faces_vertices.slice(1).map((face, i) => {
    const corners = face.map((v) => at((fold.vertices_coords[v] ?? [0, 0]) as unknown as XY))
    const name = words(`face.${fold['faces_gimbo:name'][i + 1]}`)
    const [x, y] = centroid(corners)
    const reach = name.length * 3.7 + 8
    const box: XY[] = [
      [x - reach, y - 12],
      [x + reach, y - 12],
      [x + reach, y + 12],
      [x - reach, y + 12],
    ]
    if (!box.every((corner) => isInside(corner, corners))) return null
    return (
      <text
        key={i}
        x={x}
        y={y}
        textAnchor="middle"
        dominantBaseline="middle"
        className="fill-soft stroke-paper text-[14px]"
        strokeWidth="5"
        paintOrder="stroke"
        aria-hidden="true"
      >
        {name}
      </text>
    )
  })
}

/** Where what holds the flap goes: a ring on the flap, and one where the flap comes to lie. */
function ClosureMarks({ closure, view }: { closure: NonNullable<Piece['closure']>; view: View }) {
  return [closure.onFlap, closure.onBody].map((place, i) => {
    if (!place) return null
    const [x, y] = view.at(place as unknown as XY)
    return (
      <circle
        key={i}
        cx={x}
        cy={y}
        r={6 * view.scale}
        className="fill-glue/35 stroke-glue"
        strokeWidth="1.5"
        data-layer="closure"
      />
    )
  })
}
