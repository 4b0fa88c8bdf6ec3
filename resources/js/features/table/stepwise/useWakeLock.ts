import { useEffect } from 'react'

/** Keeps the screen awake while it is shown, where the browser can; asked for again when the page comes back into sight. */
export function useWakeLock() {
  useEffect(() => {
    if (!('wakeLock' in navigator)) return
    let lock: WakeLockSentinel | null = null
    let isOver = false
    const hold = () => {
      if (document.visibilityState !== 'visible') return
      navigator.wakeLock.request('screen').then(
        (held) => {
          if (isOver) void held.release()
          else lock = held
        },
        // A low battery may refuse it: the work goes on all the same.
        () => undefined,
      )
    }
    hold()
    document.addEventListener('visibilitychange', hold)
    return () => {
      isOver = true
      document.removeEventListener('visibilitychange', hold)
      void lock?.release()
    }
  }, [])
}
