import { useLayoutEffect, useRef, useState } from 'react'

/** The size of an element in pixels, kept current. */
export function useSize<E extends Element>() {
  const ref = useRef<E>(null)
  const [size, setSize] = useState({ width: 0, height: 0 })
  useLayoutEffect(() => {
    const element = ref.current
    if (!element) return
    const read = () => setSize({ width: element.clientWidth, height: element.clientHeight })
    const watcher = new ResizeObserver(read)
    watcher.observe(element)
    read()
    return () => watcher.disconnect()
  }, [])
  return [ref, size] as const
}
