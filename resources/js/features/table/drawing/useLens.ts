import { select } from 'd3-selection'
import { zoom, zoomIdentity, type D3ZoomEvent } from 'd3-zoom'
import { useCallback, useEffect, useRef, useState } from 'react'
import { isTyping } from '@/ui/isTyping'
import { PLAIN, type Lens } from './layout'

const CLOSEST = 12
const STEP = 1.4

/** Zooms with the wheel, two fingers or by steps; drags with the mouse or one finger. */
export function useLens() {
  const [lens, setLens] = useState<Lens>(PLAIN)
  const svg = useRef<SVGSVGElement | null>(null)
  const behaviour = useRef(zoom<SVGSVGElement, unknown>().scaleExtent([1, CLOSEST]))

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

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return
      if (event.key === '+' || event.key === '=') by(1)
      else if (event.key === '-') by(-1)
      else if (event.key === '0') reset()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [by, reset])

  return { lens, attach, by, reset, keepWithin }
}
