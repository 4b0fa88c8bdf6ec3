/**
 * What this browser keeps. It may refuse to, or be full: then it is kept as long as the page is open, and said to be only that.
 */
const here = new Map<string, string>()

export const kept = {
  get(key: string): string | null {
    try {
      return here.get(key) ?? localStorage.getItem(key)
    } catch {
      return here.get(key) ?? null
    }
  },
  /** Whether it stays when the page is closed. */
  set(key: string, value: string): boolean {
    try {
      localStorage.setItem(key, value)
      here.delete(key)
      return true
    } catch {
      here.set(key, value)
      return false
    }
  },
  remove(key: string) {
    here.delete(key)
    try {
      localStorage.removeItem(key)
    } catch {
      // Nothing is kept there then.
    }
  },
  /** The keys that begin so. */
  keys(begin: string): string[] {
    const found = new Set(here.keys())
    try {
      for (let i = 0; i < localStorage.length; i++) found.add(localStorage.key(i) ?? '')
    } catch {
      // Nothing is kept there then.
    }
    return [...found].filter((key) => key.startsWith(begin))
  },
}
