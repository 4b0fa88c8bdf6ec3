import type { Piece, Sized, Step } from '@/api/client'
import { path, type XY } from '../drawing/geometry'
import type { OnTool } from './lying'

const FOLDING = ['fold', 'glue', 'close', 'fill']

const asLine = (points: Piece['contents'], lies: OnTool) => path((points as unknown as XY[]).map(lies.at))

interface LyingSheetProps {
  design: Sized
  piece: Piece
  step: Step
  lies: OnTool
}

/** The sheet as it is at this step: its edge, what was scored before in grey, what is done now in full. */
export function LyingSheet({ design, piece, step, lies }: LyingSheetProps) {
  const { isWhole } = step.lying
  const edgesOf = (measures: readonly number[]) => new Set(measures.flatMap((m) => piece.measures[m]?.edges ?? []))
  const readings = design.steps.filter(
    (one) => one.piece === step.piece && one.lying.line && one.measures.some((m) => step.lying.done.includes(m)),
  )
  // Where earlier readings are lines of their own, they are drawn and not the creases they make.
  const before = readings.length > 0 ? new Set<number>() : edgesOf(step.lying.done)
  const isShown = (edge: number) => FOLDING.includes(step.do) || !isWhole || before.has(edge)
  return (
    <>
      <Outline piece={piece} step={step} lies={lies} isWhole={isWhole} />
      <Creases piece={piece} lies={lies} isFolding={FOLDING.includes(step.do)} isShown={isShown} />
      {isWhole &&
        readings.map((one, i) =>
          one.do === 'slant' ? (
            <CutOff key={i} piece={piece} step={one} lies={lies} />
          ) : (
            <polyline
              key={i}
              points={asLine(one.lying.line, lies)}
              className="fill-none stroke-soft"
              strokeWidth="1.6"
              strokeDasharray="10 6"
            />
          ),
        )}
      {step.do === 'try-fit' && piece.contents && (
        <polygon
          points={asLine(piece.contents, lies)}
          className="fill-live-wash/60 stroke-live"
          strokeWidth="2.4"
          strokeDasharray="1.5 4.5"
          strokeLinecap="round"
        />
      )}
      {step.do === 'mark' && <Marks piece={piece} step={step} lies={lies} />}
      {step.lying.line ? (
        <polyline points={asLine(step.lying.line, lies)} className="fill-none stroke-live" strokeWidth="4" />
      ) : (
        !['punch', 'mark'].includes(step.do) &&
        [...edgesOf(step.measures)].map((edge) => (
          <line key={edge} {...ends(piece, edge, lies)} className="stroke-live" strokeWidth="4" />
        ))
      )}
    </>
  )
}

interface PartProps {
  piece: Piece
  lies: OnTool
}

function Outline({ piece, step, lies, isWhole }: PartProps & { step: Step; isWhole: boolean }) {
  const { width, height } = piece.sheet
  const { faces_vertices: faces, 'faces_gimbo:name': names } = piece.fold
  const whole: XY[] = [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ]
  if (isWhole) return <polygon points={path(whole.map(lies.at))} className="fill-paper stroke-ink" strokeWidth="1.6" />
  return (
    <>
      {faces.map((face, i) => {
        const isLit = step.faces.includes(names[i] ?? '')
        return (
          <polygon
            key={i}
            points={path(face.map((v) => lies.at(vertex(piece, v))))}
            className={isLit ? 'fill-live-wash' : 'fill-paper'}
          />
        )
      })}
      {piece.fold.edges_assignment.map(
        (kind, edge) =>
          (kind === 'B' || kind === 'C') && (
            <line key={edge} {...ends(piece, edge, lies)} className="stroke-ink" strokeWidth="1.6" />
          ),
      )}
    </>
  )
}

const MARK_PX = 16

/** Pencil marks, so far from either end, on the top and the bottom edge. */
function Marks({ piece, step, lies }: PartProps & { step: Step }) {
  const { width, height } = piece.sheet
  return step.measures.flatMap((m) => {
    const { from, at } = piece.measures[m] ?? { from: '', at: 0 }
    return [0, height].map((y) => {
      const [x, onEdge] = lies.at([from === 'right' ? width - at : at, y])
      const inward = y === 0 ? -MARK_PX : MARK_PX
      return (
        <line
          key={`${m} ${y}`}
          x1={x}
          x2={x}
          y1={onEdge}
          y2={onEdge + inward}
          className="stroke-live"
          strokeWidth="4"
          strokeLinecap="round"
        />
      )
    })
  })
}

/** A corner that a slanted cut has taken off. */
function CutOff({ piece, step, lies }: PartProps & { step: Step }) {
  const ends = step.lying.line as unknown as XY[]
  const corner = (piece.measures[step.measures[0] ?? -1]?.corner ?? ends[0]) as unknown as XY
  return (
    <>
      <polygon points={path([...ends, corner].map(lies.at))} className="fill-panel stroke-panel" strokeWidth="4" />
      <polyline points={path(ends.map(lies.at))} className="fill-none stroke-ink" strokeWidth="1.6" />
    </>
  )
}

interface CreasesProps extends PartProps {
  isFolding: boolean
  isShown: (edge: number) => boolean
}

/** Mountain dash-dot, valley dash. */
function Creases({ piece, lies, isFolding, isShown }: CreasesProps) {
  return piece.fold.edges_assignment.map((kind, edge) => {
    if ((kind !== 'M' && kind !== 'V') || !isShown(edge)) return null
    return (
      <line
        key={edge}
        {...ends(piece, edge, lies)}
        className={kind === 'M' ? 'stroke-mountain' : 'stroke-valley'}
        strokeWidth={isFolding ? 2.4 : 1.6}
        strokeDasharray={kind === 'M' ? '14 4 2.5 4' : '10 6'}
        opacity={isFolding ? 1 : 0.6}
      />
    )
  })
}

const vertex = (piece: Piece, v: number) => (piece.fold.vertices_coords[v] ?? [0, 0]) as unknown as XY

function ends(piece: Piece, edge: number, lies: OnTool) {
  const [from, to] = piece.fold.edges_vertices[edge] as unknown as [number, number]
  const [[x1, y1], [x2, y2]] = [lies.at(vertex(piece, from)), lies.at(vertex(piece, to))]
  return { x1, y1, x2, y2 }
}
