import { ChevronDown } from 'lucide-react'
import type { DesignView, Piece, Still as Picture } from '@/api/client'
import { ChoicePart } from '@/ui/ChoicePart'
import { Figure } from '@/ui/Figure'
import type { Room } from '@/ui/room'
import { Still } from '@/ui/Still'
import { pieceName } from '@/ui/pieceName'
import { words } from '@/words'
import { PieceTabs } from './PieceTabs'
import type { Shown } from './useShown'

/** Thinner than this, nobody asks how thick it is. */
const THICK_MM = 6

/** More pieces than these stand in a list; those with long names too. */
const FEW = 4

interface ViewBarProps {
  view: DesignView
  shown: Shown
  /** Null until it is known. */
  picture: Picture | null
  room: Room
}

const pieceFace = (pieces: Piece[], id: string | null) => {
  const piece = pieces.find((one) => one.id === id)
  return piece ? pieceName(piece) : words('pieces.all')
}

/** Flat or folding, which piece, and how large the finished thing is. */
export function ViewBar({ view, shown, picture, room }: ViewBarProps) {
  const isTight = room === 'narrow' || room === 'short'
  const isMany = view.design.pieces.length > FEW || view.design.pieces.filter(({ role }) => role !== 'made').length > 1
  const { design } = view
  const isSeveral = design.pieces.length > 1
  return (
    <div className="mb-1 flex flex-wrap items-start gap-x-4 gap-y-1">
      <div role="group" aria-label={words('view.label')} className="flex gap-1">
        {(['sheet', 'fold'] as const).map((one) => (
          <button
            key={one}
            type="button"
            className="choice-button"
            aria-pressed={shown.isFold === (one === 'fold')}
            onClick={() => shown.set('view', one === 'fold' ? 'fold' : null)}
          >
            {words(`view.${one}`)}
          </button>
        ))}
      </div>
      {!isSeveral &&
        design.pieces
          .filter(({ count }) => count > 1)
          .map((piece) => (
            <p key={piece.id} className="px-1 font-semibold">
              {pieceName(piece)}
            </p>
          ))}
      {isSeveral && (isTight || isMany) && (
        <ChoicePart
          className="choice-button"
          label={words('pieces.label')}
          value={shown.chosen ?? ''}
          face={
            <>
              {pieceFace(design.pieces, shown.chosen)} <ChevronDown aria-hidden="true" className="inline size-4" />
            </>
          }
          groups={[
            {
              choices: [
                { value: '', label: words('pieces.all') },
                ...design.pieces.map((piece) => ({ value: piece.id, label: pieceName(piece) })),
              ],
            },
          ]}
          onChoose={(id) => shown.set('piece', id === '' ? 'all' : id)}
        />
      )}
      {isSeveral && !isTight && !isMany && (
        <PieceTabs pieces={design.pieces} now={shown.chosen} onChoose={(id) => shown.set('piece', id ?? 'all')} />
      )}
      {isSeveral && !isTight && !shown.isFold && shown.chosen === null && (
        <button
          type="button"
          className="quiet-button text-soft"
          onClick={() => shown.set('scale', shown.isToOneScale ? 'each' : null)}
        >
          {words(shown.isToOneScale ? 'pieces.one-scale' : 'pieces.each-fitted')}
        </button>
      )}
      <figure className="ml-auto flex items-center gap-3">
        {!shown.isFold && !isTight && (
          <button
            type="button"
            className="h-13 w-20 cursor-pointer rounded-lg hover:bg-panel"
            aria-label={words('view.to-fold')}
            onClick={() => shown.set('view', 'fold')}
          >
            {picture && <Still of={picture} />}
          </button>
        )}
        <figcaption className="text-[0.95rem] leading-tight text-soft">
          {words('closed.caption')}
          <span className={`block whitespace-nowrap text-ink ${isTight ? '' : 'text-lg'}`}>
            <Figure text={design.closed.text.width} unit={false} /> ×{' '}
            <Figure text={design.closed.text.height} unit={design.closed.depth < THICK_MM} />
            {design.closed.depth >= THICK_MM && (
              <>
                {' '}
                × <Figure text={design.closed.text.depth} />
              </>
            )}
          </span>
        </figcaption>
      </figure>
    </div>
  )
}
