import { select } from 'd3-selection'
import { zoom, zoomIdentity, zoomTransform, type D3ZoomEvent } from 'd3-zoom'
import { useCallback, useRef, useState } from 'react'
import { useShortcuts } from '@/ui/shortcuts'
import { PLAIN, type Lens } from './layout'

const CLOSEST = 12
const STEP = 1.4
const PAN = 0.25

/** Zooms with the wheel, two fingers or by steps; drags with the mouse or one finger. */
export function useLens() {
  const [lens, setLens] = useState<Lens>(PLAIN)
  const svg = useRef<SVGSVGElement | null>(null)
  const behaviour = useRef(
    zoom<SVGSVGElement, unknown>()
      .scaleExtent([1, CLOSEST])
      // One finger on a drawing that is seen whole is the page's, to scroll by.
      .filter((event: TouchEvent | MouseEvent) =>
        'touches' in event
          ? event.touches.length > 1 || zoomTransform(event.currentTarget as Element).k > 1
          : !event.ctrlKey || event.type === 'wheel',
      ),
  )

  const attach = useCallback((element: SVGSVGElement | null) => {
    if (svg.current) select(svg.current).on('.zoom', null)
    svg.current = element
    if (!element) return
    behaviour.current.on('zoom', (event: D3ZoomEvent<SVGSVGElement, unknown>) => {
      const { k, x, y } = event.transform
      setLens({ k, x, y })
    })
    select(element).call(behaviour.current).on('dblclick.zoom', null)
  }, [])
  const by = useCallback((steps: number) => {
    if (svg.current) behaviour.current.scaleBy(select(svg.current), STEP ** steps)
  }, [])
  const reset = useCallback(() => {
    if (svg.current) behaviour.current.transform(select(svg.current), zoomIdentity)
  }, [])
  /** What is dragged stays in sight. */
  const keepWithin = useCallback((width: number, height: number) => {
    behaviour.current
      .extent([
        [0, 0],
        [width, height],
      ])
      .translateExtent([
        [0, 0],
        [width, height],
      ])
  }, [])

  /** Moves what is looked at by a share of the window, for who does not drag. */
  const pan = useCallback((right: number, down: number) => {
    const element = svg.current
    if (!element) return
    const { clientWidth, clientHeight } = element
    const { k } = zoomTransform(element)
    behaviour.current.translateBy(select(element), (-right * clientWidth * PAN) / k, (-down * clientHeight * PAN) / k)
  }, [])

  useShortcuts(({ key }) => {
    if (key === '+' || key === '=') return () => by(1)
    if (key === '-') return () => by(-1)
    if (key === '0') return reset
  })

  return { lens, attach, by, reset, pan, keepWithin }
}
