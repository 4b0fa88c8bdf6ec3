import { useEffect, useState } from 'react'

export type Theme = 'light' | 'dark'

const KEY = 'gimbo.theme'

export function rememberedTheme(): Theme {
  return localStorage.getItem(KEY) === 'dark' ? 'dark' : 'light'
}

/** Light by day, dark for the evening; what was chosen is kept in this browser. */
export function useTheme(): [Theme, () => void] {
  const [theme, setTheme] = useState<Theme>(rememberedTheme)
  useEffect(() => {
    document.documentElement.dataset.theme = theme
    localStorage.setItem(KEY, theme)
  }, [theme])
  return [theme, () => setTheme((now) => (now === 'dark' ? 'light' : 'dark'))]
}
