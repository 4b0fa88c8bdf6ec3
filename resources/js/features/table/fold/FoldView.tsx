import { ArrowDown, ArrowLeft, ArrowRight, ArrowUp, Minus, Pause, Play, Plus } from 'lucide-react'
import { useCallback, useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react'
import type { DesignView, FoldedPiece, Piece, Sized, Step, Still as Picture } from '@/api/client'
import { IconButton } from '@/ui/IconButton'
import { Still } from '@/ui/Still'
import { useSize } from '@/ui/useSize'
import { useLook } from '@/ui/theme'
import { listed, words } from '@/words'
import { pieceName } from '@/ui/pieceName'
import { assemblyOf } from './assembly'
import { FoldScene } from './Scene'
import { paperColour } from '../drawing/laid'
import { stepOf } from './stepOf'
import { useFolded, useTold } from '../useLooked'

const STAGE_MS = 1300

const NO_STEPS: Step[] = []

interface FoldViewProps {
  /** The piece shown by itself; null for all that belong together. */
  chosen: string | null
  /** What is shown where the browser draws nothing in space; null until it is known. */
  picture: Picture | null
}

/** The fold as soon as it is known. */
export default function FoldView({ view, ...shown }: FoldViewProps & { view: DesignView }) {
  const folded = useFolded(view)
  const steps = useTold(view)?.steps ?? NO_STEPS
  return folded === null ? (
    <p className="p-6 text-soft">{words('fold.loading')}</p>
  ) : (
    <Fold {...folded} steps={steps} {...shown} />
  )
}

interface FoldProps extends FoldViewProps {
  pieces: FoldedPiece[]
  steps: Step[]
  /** What its papers are, and all that lies on its pieces. */
  design: Sized
}

/** The fold, from the flat sheet to the finished thing: turned by hand, scrubbed, or played stage by stage. */
function Fold({ design, pieces, steps, chosen, picture }: FoldProps) {
  const assembly = useMemo(() => assemblyOf(pieces, chosen), [pieces, chosen])
  const last = assembly.stages.length
  const first = assembly.parts[0]?.piece
  const paper = first && paperColour(design, first)
  const [share, setShare] = useState(0.5)
  const [isPlaying, setPlaying] = useState(false)
  const [showsHeld, setShowsHeld] = useState(true)
  const moment = share * last
  const hasHeld = assembly.parts.some((part) => part.piece.folding.contents !== null)
  const canvas = useRef<HTMLCanvasElement>(null)
  const scene = useRef<FoldScene | null>(null)
  const [isDrawable] = useState(drawsInSpace)
  const [ref, size] = useSize<HTMLDivElement>()
  const isSized = size.width > 0 && size.height > 0
  const theme = useLook()
  const shape = assembly.parts.map((part) => part.piece.id).join()
  const shapeBefore = useRef('')

  useEffect(() => {
    const element = canvas.current
    if (!element) return
    scene.current = new FoldScene(element, (frames) => (element.dataset.frames = String(frames)))
    return () => {
      scene.current?.dispose()
      scene.current = null
      shapeBefore.current = ''
    }
  }, [])
  useEffect(() => {
    if (isSized) scene.current?.resize(size.width, size.height)
  }, [size, isSized])
  useEffect(() => {
    const style = getComputedStyle(document.documentElement)
    const colour = (name: string) => style.getPropertyValue(name).trim()
    scene.current?.paint({
      inside: paper ?? colour('--paper-inside'),
      outside: colour('--paper-outside'),
      held: colour('--held'),
      ink: colour('--ink'),
      laid: colour('--paper-laid'),
    })
  }, [theme, paper])
  useEffect(() => {
    if (!isSized) return
    scene.current?.show(design, assembly, moment, showsHeld, shapeBefore.current !== shape)
    shapeBefore.current = shape
    if (canvas.current) canvas.current.dataset.moment = moment.toFixed(3)
  }, [design, assembly, moment, showsHeld, shape, isSized])

  usePlaying(isPlaying, last, setShare, setPlaying)
  const play = useCallback(() => {
    setShare((now) => (now >= 1 ? 0 : now))
    setPlaying((now) => !now)
  }, [])
  const jump = (to: number) => {
    setPlaying(false)
    setShare(to)
  }
  const onKey = (event: KeyboardEvent) => {
    const turns: Record<string, [number, number]> = {
      ArrowLeft: [-1, 0],
      ArrowRight: [1, 0],
      ArrowUp: [0, 1],
      ArrowDown: [0, -1],
    }
    const turn = turns[event.key]
    if (turn) scene.current?.turn(...turn)
    else if (event.key === '+' || event.key === '=') scene.current?.closer(0.9)
    else if (event.key === '-') scene.current?.closer(1 / 0.9)
    else if (event.key === 'Home') scene.current?.lookAfresh()
    else if (event.key === ' ') play()
    else return
    event.preventDefault()
    event.stopPropagation()
  }

  const now = assembly.stages[Math.min(last - 1, Math.floor(moment))]
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div ref={ref} className="relative min-h-0 flex-1">
        {isDrawable ? (
          <canvas
            ref={canvas}
            tabIndex={0}
            role="img"
            aria-label={words('fold.label')}
            aria-describedby="fold-keys"
            className="absolute inset-0 size-full cursor-grab touch-none rounded-lg active:cursor-grabbing"
            onKeyDown={onKey}
          />
        ) : (
          <figure className="absolute inset-0 flex flex-col items-center justify-center gap-2 p-4">
            <div className="min-h-0 w-full flex-1">{picture && <Still of={picture} label={words('fold.still')} />}</div>
            <figcaption className="text-soft">{words('fold.no-webgl')}</figcaption>
          </figure>
        )}
        {isDrawable && (
          <Turns onTurn={(right, up) => scene.current?.turn(right, up)} onCloser={(by) => scene.current?.closer(by)} />
        )}
      </div>
      <p id="fold-keys" className="sr-only">
        {words('fold.keys')}
      </p>
      {last > 0 && isDrawable && (
        <div className="flex flex-wrap items-center gap-x-3 pb-1">
          <button
            type="button"
            className="quiet-button"
            onClick={play}
            aria-label={words(isPlaying ? 'fold.pause' : 'fold.play')}
          >
            {isPlaying ? (
              <Pause aria-hidden="true" className="size-5" />
            ) : (
              <Play aria-hidden="true" className="size-5" />
            )}
          </button>
          <div className="min-w-40 flex-1">
            <input
              type="range"
              min={0}
              max={1}
              step={0.005}
              value={share}
              onChange={(event) => jump(Number(event.target.value))}
              aria-label={words('fold.scrub')}
              aria-valuetext={stageWords(now, share, pieces, steps)}
              className="scrubber"
              list="fold-stages"
            />
            <datalist id="fold-stages">
              {assembly.stages.map((_, i) => (
                <option key={i} value={i / last} />
              ))}
            </datalist>
            <p className="truncate text-[0.95rem] text-soft" aria-hidden="true">
              {stageWords(now, share, pieces, steps)}
            </p>
          </div>
          <div role="group" aria-label={words('fold.jump')} className="fold-jumps flex flex-wrap gap-1 max-sm:hidden">
            {(['flat', 'half', 'closed'] as const).map((place, i) => (
              <button
                key={place}
                type="button"
                className="quiet-button"
                aria-pressed={share === i / 2}
                onClick={() => jump(i / 2)}
              >
                {words(`fold.${place}`)}
              </button>
            ))}
          </div>
          {hasHeld && (
            <label className="flex min-h-11 cursor-pointer items-center gap-2 pr-1">
              <input
                type="checkbox"
                className="size-5 accent-live"
                checked={showsHeld}
                onChange={(event) => setShowsHeld(event.target.checked)}
              />
              {words('fold.held')}
            </label>
          )}
        </div>
      )}
    </div>
  )
}

const TURNS = [
  ['fold.turn.left', ArrowLeft, -1, 0],
  ['fold.turn.right', ArrowRight, 1, 0],
  ['fold.turn.up', ArrowUp, 0, 1],
  ['fold.turn.down', ArrowDown, 0, -1],
] as const

const CLOSER = 0.85

interface TurnsProps {
  onTurn: (right: number, up: number) => void
  onCloser: (by: number) => void
}

/** What is done by dragging, for who does not drag. */
function Turns({ onTurn, onCloser }: TurnsProps) {
  return (
    <div
      role="group"
      aria-label={words('fold.turn')}
      className="fold-turns absolute right-0 bottom-0 flex max-w-full flex-wrap justify-end rounded-lg bg-table/85"
    >
      {TURNS.map(([key, Icon, right, up]) => (
        <IconButton key={key} icon={Icon} label={words(key)} onClick={() => onTurn(right, up)} />
      ))}
      <IconButton icon={Plus} label={words('lens.closer')} onClick={() => onCloser(CLOSER)} />
      <IconButton icon={Minus} label={words('lens.farther')} onClick={() => onCloser(1 / CLOSER)} />
    </div>
  )
}

/** Whether this browser has WebGL; some have it switched off. */
function drawsInSpace(): boolean {
  return document.createElement('canvas').getContext('webgl2') !== null
}

/** What is being folded now, in words. */
function stageWords(
  stage: ReturnType<typeof assemblyOf>['stages'][number] | undefined,
  share: number,
  pieces: Piece[],
  steps: Step[],
): string {
  if (share === 0) return words('fold.lies-flat')
  if (share === 1) return words('fold.is-closed')
  if (stage === 'together') return words('fold.together')
  if (!stage) return ''
  const faces = [...new Set(stage.faces.map((face) => words(`face.${face}`)))].slice(0, 3)
  const piece = pieces.find((one) => one.id === stage.piece)
  const what =
    pieces.length > 1 && piece
      ? words('fold.stage-of', { piece: pieceName({ ...piece, count: 1 }), faces: listed(faces) })
      : words('fold.stage', { faces: listed(faces) })
  const step = stepOf(stage, steps)
  return step === null ? what : words('fold.step', { number: step, what })
}

/** Carries the share on while it plays; by whole stages, each after a pause, where less motion is asked for. */
function usePlaying(
  isPlaying: boolean,
  stages: number,
  setShare: (next: (now: number) => number) => void,
  setPlaying: (is: boolean) => void,
) {
  useEffect(() => {
    if (!isPlaying || stages === 0) return
    const isCalm = matchMedia('(prefers-reduced-motion: reduce)').matches
    let before = performance.now()
    let share = 0
    const carry = (by: number) =>
      setShare((now) => {
        share = Math.min(1, isCalm ? (Math.floor(now * stages + 1e-6) + 1) / stages : now + by)
        return share
      })
    if (isCalm) {
      const timer = setInterval(() => (share >= 1 ? setPlaying(false) : carry(0)), STAGE_MS)
      return () => clearInterval(timer)
    }
    let frame = requestAnimationFrame(function step(time) {
      carry((time - before) / (STAGE_MS * stages))
      before = time
      if (share < 1) frame = requestAnimationFrame(step)
      else setPlaying(false)
    })
    return () => cancelAnimationFrame(frame)
  }, [isPlaying, stages, setShare, setPlaying])
}
