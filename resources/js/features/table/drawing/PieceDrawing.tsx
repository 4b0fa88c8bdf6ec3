import type { Piece, Sized } from '@/api/client'
import { Rulers } from './Rulers'
import { path, type View, type XY } from './geometry'
import { isBehind, laidOn, paperColour, ringsOf } from './laid'

const STROKES: Record<string, { className: string; dash?: string; width: number }> = {
  B: { className: 'stroke-ink', width: 1.7 },
  C: { className: 'stroke-ink', width: 1.7 },
  M: { className: 'stroke-mountain', dash: '14 4 2.5 4', width: 2 },
  V: { className: 'stroke-valley', dash: '10 6', width: 2 },
}

interface PieceDrawingProps {
  design: Sized
  piece: Piece
  view: View
  /** The measures that are pointed at, as indexes into the piece's. */
  lit: number[]
  onLight: (measures: number[]) => void
  /** A panel was pressed: as the request names it, and where. */
  onPanel?: ((on: string, x: number, y: number) => void) | undefined
}

/** One piece as it lies on its tool, to scale: cuts, scores, glue, and what it holds. */
export function PieceDrawing({ design, piece, view, lit, onLight, onPanel }: PieceDrawingProps) {
  const { fold } = piece
  const laid = laidOn(design, piece)
  // Both parts of a face with an opening are one panel.
  const panels = new Map<string, number[][]>()
  fold.faces_vertices.forEach((face, i) => {
    const name = (fold['faces_gimbo:name'][i] ?? '').replace(/-part-\d+$/, '')
    panels.set(name, [...(panels.get(name) ?? []), face])
  })
  const colour = paperColour(design, piece)
  const vertex = (i: number): XY => view.at(fold.vertices_coords[i] ?? [0, 0])
  const litEdges = new Set(lit.flatMap((measure) => piece.measures[measure]?.edges ?? []))
  const measureOf = (edge: number) => {
    const found = piece.measures.findIndex((measure) => measure.edges.includes(edge))
    return found < 0 ? null : found
  }
  return (
    <g data-piece={piece.id}>
      <g filter="url(#sheet-shadow)">
        {fold.faces_vertices.map((face, i) => (
          <polygon
            key={i}
            points={path(face.map(vertex))}
            className="fill-paper stroke-paper"
            style={colour ? { fill: colour, stroke: colour } : undefined}
            strokeWidth="0.8"
          />
        ))}
      </g>
      {piece.glue.map((ring, i) => (
        <polygon key={i} points={path(ring.map(view.at))} fill="url(#glue-hatch)" opacity="0.75" data-layer="glue" />
      ))}
      {[...panels].map(
        ([name, faces]) =>
          piece.embossed?.includes(name) && (
            <path
              key={name}
              d={faces.map((face) => `M${path(face.map(vertex)).replaceAll(' ', 'L')}Z`).join('')}
              fill="url(#emboss-dots)"
              data-layer="embossed"
            />
          ),
      )}
      {piece.contents && laid.length === 0 && (
        <polygon
          points={path(piece.contents.map(view.at))}
          className="fill-live-wash stroke-soft"
          strokeWidth="1.2"
          strokeDasharray="1.5 4"
          data-layer="contents"
        />
      )}
      {piece.outline && laid.length === 0 && (
        <polygon
          points={path(piece.outline.map(view.at))}
          className="fill-none stroke-live"
          strokeWidth="1.4"
          data-layer="outline"
        />
      )}
      {laid.map((one, i) => {
        const d = outlined(one.edges, view)
        return (
          <g key={i} data-layer={one.piece.role} data-laid={one.piece.id}>
            <path
              d={d}
              fillRule="evenodd"
              className={isBehind(one) ? 'fill-none stroke-soft' : 'fill-live/12 stroke-live'}
              style={
                !isBehind(one) && paperColour(design, one.piece)
                  ? { fill: paperColour(design, one.piece), fillOpacity: 0.8 }
                  : undefined
              }
              strokeWidth="1.1"
              strokeDasharray={isBehind(one) ? '3 3' : undefined}
            />
            {one.piece.embossed && <path d={d} fillRule="evenodd" fill="url(#emboss-dots)" data-layer="embossed" />}
          </g>
        )
      })}
      {onPanel &&
        [...panels].map(([name, faces]) => (
          <path
            key={name}
            d={faces.map((face) => `M${path(face.map(vertex)).replaceAll(' ', 'L')}Z`).join('')}
            fill="transparent"
            className="panel-of-sheet"
            data-panel={name}
            onClick={(event) => onPanel(`${piece.id}/${name}`, event.clientX, event.clientY)}
          />
        ))}
      <Rulers view={view} design={design} piece={piece} lit={lit} onLight={onLight} />
      {fold.edges_vertices.map(([from, to], i) => {
        const stroke = STROKES[fold.edges_assignment[i] ?? 'B']
        if (!stroke) return null
        const [[x1, y1], [x2, y2]] = [vertex(from), vertex(to)]
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
      {piece.closure && piece.closure.slit === 0 && <ClosureMarks closure={piece.closure} view={view} />}
    </g>
  )
}

/** Where what holds the flap goes: a ring on the flap, and one where the flap comes to lie. */
function ClosureMarks({ closure, view }: { closure: NonNullable<Piece['closure']>; view: View }) {
  return [closure.onFlap, closure.onBody].map((place, i) => {
    if (!place) return null
    const [x, y] = view.at(place)
    return (
      <circle
        key={i}
        cx={x}
        cy={y}
        r={((closure.size || 12) / 2) * view.scale}
        className="fill-glue/35 stroke-glue"
        strokeWidth="1.5"
        data-layer="closure"
      />
    )
  })
}

/** An outline and its openings as one path. */
const outlined = (edges: Array<[XY, XY]>, view: View) =>
  ringsOf(edges)
    .map(
      (ring) =>
        `M${ring
          .map((point) =>
            view
              .at(point)
              .map((n) => n.toFixed(2))
              .join(),
          )
          .join('L')}Z`,
    )
    .join('')
