import { ArrowDown, ArrowLeft, ArrowRight, ArrowUp, Maximize, Minus, Plus } from 'lucide-react'
import { memo, useEffect, useMemo } from 'react'
import type { Piece, Sized } from '@/api/client'
import { useSize } from '@/ui/useSize'
import { listed, words } from '@/words'
import { pieceName } from '@/ui/pieceName'
import { Labels } from './Labels'
import { placeLabels } from './labels'
import { labelsOf } from './labelsOf'
import { light, NOTHING_LIT, useLit, type Lit } from '../lit'
import { through, viewsOf } from './layout'
import { PieceDrawing } from './PieceDrawing'
import { useLens } from './useLens'

interface BoardProps {
  design: Sized
  pieces: Piece[]
  isToOneScale?: boolean
  /** Pixels to a millimetre, where it must be the same as elsewhere. */
  scale?: number
  lit?: Lit
  /** A panel was pressed: as the request names it, and where. */
  onPanel?: (on: string, x: number, y: number) => void
  /** Whether it can be looked at more closely. */
  hasLens?: boolean
  onLight?: (lit: Lit) => void
}

/** The board on which whatever is pointed at lights up. */
export function LitBoard(props: Omit<BoardProps, 'lit' | 'onLight'>) {
  return <Board {...props} lit={useLit()} onLight={light} />
}

const nothing = () => undefined

/** The sheets on the table, to scale, with everything that is set, cut, folded and glued. */
export const Board = memo(function Board({
  design,
  pieces,
  isToOneScale = true,
  scale,
  lit = NOTHING_LIT,
  onPanel,
  hasLens = true,
  onLight = nothing,
}: BoardProps) {
  const [ref, size] = useSize<HTMLDivElement>()
  const { lens, attach, by, reset, pan, keepWithin } = useLens()
  const { width, height } = size
  useEffect(() => keepWithin(width, height), [keepWithin, width, height])
  const views = useMemo(
    () => viewsOf(pieces, width, height, isToOneScale, scale).map((view) => through(view, lens)),
    [pieces, width, height, isToOneScale, scale, lens],
  )
  const litOn = (piece: Piece) => (piece.id === lit.piece ? lit.measures : [])
  const labels = placeLabels(
    pieces.flatMap((piece, i) => {
      const view = views[i]
      return view ? labelsOf(design, piece, view, litOn(piece)) : []
    }),
    width,
    height,
  )
  const label = listed(
    pieces.map((piece) =>
      words('sheet.label', { piece: pieceName(piece), width: piece.sheet.text.width, height: piece.sheet.text.height }),
    ),
  )

  return (
    <div ref={ref} className="absolute inset-0 overflow-hidden">
      {width > 0 && (
        <>
          <svg
            ref={hasLens ? attach : undefined}
            width={width}
            height={height}
            role="img"
            aria-label={label}
            data-closer={lens.k}
            className={`block select-none ${lens.k > 1 ? 'cursor-grab active:cursor-grabbing' : ''} ${hasLens ? (lens.k > 1 ? 'touch-none' : 'touch-pan-y') : ''}`}
          >
            <defs>
              <pattern id="glue-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                <line x1="0" y1="0" x2="0" y2="7" className="stroke-glue" strokeWidth="1.6" />
              </pattern>
              <pattern id="emboss-dots" width="9" height="9" patternUnits="userSpaceOnUse">
                <circle cx="2.5" cy="2.5" r="1.2" className="fill-soft" />
                <circle cx="7" cy="7" r="1.2" className="fill-soft" />
              </pattern>
              <filter id="sheet-shadow" x="-5%" y="-5%" width="110%" height="112%">
                <feDropShadow dx="0" dy="3" stdDeviation="5" floodColor="#0a2a33" floodOpacity="0.18" />
              </filter>
            </defs>
            {pieces.map((piece, i) => {
              const view = views[i]
              if (!view) return null
              return (
                <PieceDrawing
                  key={piece.id}
                  {...{ design, piece, view }}
                  onPanel={piece.role === 'made' ? onPanel : undefined}
                  lit={litOn(piece)}
                  onLight={(measures) => onLight({ piece: piece.id, measures })}
                />
              )
            })}
          </svg>
          <Labels labels={labels} />
          {hasLens && (
            <div
              role="group"
              aria-label={words('lens.label')}
              className="absolute right-0 bottom-0 flex max-w-full flex-wrap justify-end rounded-lg bg-table/85"
            >
              {lens.k > 1 &&
                (
                  [
                    ['lens.left', ArrowLeft, -1, 0],
                    ['lens.right', ArrowRight, 1, 0],
                    ['lens.up', ArrowUp, 0, -1],
                    ['lens.down', ArrowDown, 0, 1],
                  ] as const
                ).map(([key, Icon, right, down]) => (
                  <button
                    key={key}
                    type="button"
                    className="quiet-button"
                    aria-label={words(key)}
                    onClick={() => pan(right, down)}
                  >
                    <Icon aria-hidden="true" className="size-5" />
                  </button>
                ))}
              {(
                [
                  ['lens.closer', Plus, () => by(1), false],
                  ['lens.farther', Minus, () => by(-1), lens.k <= 1],
                  ['lens.all', Maximize, reset, lens.k <= 1],
                ] as const
              ).map(([key, Icon, act, isOff]) => (
                <button
                  key={key}
                  type="button"
                  className="quiet-button"
                  aria-label={words(key)}
                  disabled={isOff}
                  onClick={act}
                >
                  <Icon aria-hidden="true" className="size-5" />
                </button>
              ))}
            </div>
          )}
        </>
      )}
    </div>
  )
})
