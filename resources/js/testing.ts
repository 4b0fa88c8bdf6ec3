import { cleanup } from '@testing-library/react'
import { afterEach } from 'vitest'

/** jsdom lays nothing out: sizes stay as they are at first. */
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
}

afterEach(() => {
  cleanup()
  localStorage.clear()
})

// A browser that has no such screen.
globalThis.matchMedia ??= (media: string) =>
  ({
    media,
    matches: false,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }) as unknown as MediaQueryList
