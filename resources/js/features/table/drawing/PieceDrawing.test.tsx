import { render } from '@testing-library/react'
import { readFileSync } from 'node:fs'
import { expect, it, vi } from 'vitest'
import type { Sized } from '@/api/client'
import { viewOf } from './geometry'
import { PieceDrawing } from './PieceDrawing'

const design = JSON.parse(readFileSync('core/tests/Golden/shaker-tray-doubled/result.json', 'utf8')) as Sized
const [piece] = design.pieces
if (!piece) throw new Error('no piece')
const view = viewOf(piece, { left: 0, top: 0, width: 800, height: 600 })

/** The edges that are drawn thicker than they are with nothing pointed at. */
function litEdges(lit: number[]): number[] {
  const widths = (some: number[]) => {
    const { container, unmount } = render(
      <svg>
        <PieceDrawing {...{ design, piece: piece!, view }} lit={some} onLight={() => undefined} />
      </svg>,
    )
    const drawn = [...container.querySelectorAll('g[data-edge]')].map((edge) =>
      Number(edge.querySelector('line')?.getAttribute('stroke-width')),
    )
    unmount()
    return drawn
  }
  const [plain, shown] = [widths([]), widths(lit)]
  return shown.flatMap((width, i) => (width > (plain[i] ?? 0) ? [i] : []))
}

it('lights the very edges of the measure that is pointed at', () => {
  expect(piece.measures.filter((measure) => measure.kind === 'score').length).toBe(4)
  piece.measures.forEach((measure, i) => {
    expect(litEdges([i])).toEqual([...measure.edges].sort((a, b) => a - b))
  })
})

it('says which measure a line belongs to when it is pointed at', () => {
  const onLight = vi.fn<(measures: number[]) => void>()
  const { container } = render(
    <svg>
      <PieceDrawing {...{ design, piece, view }} lit={[]} onLight={onLight} />
    </svg>,
  )
  const score = piece.measures.findIndex((measure) => measure.kind === 'score')
  const edge = piece.measures[score]?.edges[0] ?? -1
  const wide = container.querySelectorAll('g[data-edge]')[edge]?.querySelector('line[stroke="transparent"]')
  wide?.dispatchEvent(new MouseEvent('click', { bubbles: true }))
  expect(onLight).toHaveBeenCalledWith([score])
})
