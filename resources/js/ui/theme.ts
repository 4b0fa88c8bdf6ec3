import { useEffect, useState } from 'react'
import { kept } from './kept'

export type Theme = 'light' | 'dark'

const KEY = 'gimbo.theme'

export function rememberedTheme(): Theme {
  return kept.get(KEY) === 'dark' ? 'dark' : 'light'
}

/** Light by day, dark for the evening; what was chosen is kept in this browser. */
export function useTheme(): [Theme, () => void] {
  const [theme, setTheme] = useState<Theme>(rememberedTheme)
  useEffect(() => {
    document.documentElement.dataset.theme = theme
    kept.set(KEY, theme)
  }, [theme])
  return [theme, () => setTheme((now) => (now === 'dark' ? 'light' : 'dark'))]
}
