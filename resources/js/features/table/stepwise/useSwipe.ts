import { useRef, type PointerEvent } from 'react'

/** So far a finger goes before it is meant, in pixels, and so much more across than down. */
const FAR = 56
const FLAT = 1.8

/** A finger drawn across: −1 to what came before, 1 to what comes. */
export function useSwipe(onSwipe: (by: 1 | -1) => void) {
  const from = useRef<{ id: number; x: number; y: number } | null>(null)
  return {
    onPointerDown: ({ pointerType, pointerId, clientX, clientY }: PointerEvent) => {
      from.current = pointerType === 'mouse' ? null : { id: pointerId, x: clientX, y: clientY }
    },
    onPointerUp: ({ pointerId, clientX, clientY }: PointerEvent) => {
      const begun = from.current
      from.current = null
      if (begun?.id !== pointerId) return
      const [across, down] = [clientX - begun.x, clientY - begun.y]
      if (Math.abs(across) >= FAR && Math.abs(across) > FLAT * Math.abs(down)) onSwipe(across < 0 ? 1 : -1)
    },
    onPointerCancel: () => {
      from.current = null
    },
  }
}
