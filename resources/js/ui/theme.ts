import { useEffect } from 'react'
import { create } from 'zustand'
import { kept } from './kept'

/** As the machine has it, until something else was chosen. */
export type Theme = 'system' | 'light' | 'dark'

const KEY = 'gimbo.theme'
const isDark = matchMedia('(prefers-color-scheme: dark)')

function remembered(): Theme {
  const known = kept.get(KEY)
  return known === 'dark' || known === 'light' ? known : 'system'
}

const useChosen = create<{ theme: Theme; isNight: boolean }>(() => ({ theme: remembered(), isNight: isDark.matches }))

const seen = ({ theme, isNight }: { theme: Theme; isNight: boolean }) =>
  theme === 'system' ? (isNight ? 'dark' : 'light') : theme

/** Puts the page in light or dark, now and whenever it changes. */
export function followTheme() {
  const paint = () => (document.documentElement.dataset.theme = seen(useChosen.getState()))
  isDark.addEventListener('change', () => useChosen.setState({ isNight: isDark.matches }))
  useChosen.subscribe(paint)
  paint()
}

/** What was chosen, and the way to choose otherwise; kept in this browser. */
export function useTheme(): [Theme, (theme: Theme) => void] {
  const theme = useChosen((state) => state.theme)
  useEffect(() => {
    if (theme === 'system') kept.remove(KEY)
    else kept.set(KEY, theme)
  }, [theme])
  return [theme, (to) => useChosen.setState({ theme: to })]
}

/** Whether it is light or dark now. */
export const useLook = () => useChosen(seen)
