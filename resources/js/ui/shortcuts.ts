import { useEffect } from 'react'
import { create } from 'zustand'
import { isTyping } from './isTyping'
import { kept } from './kept'

const KEY = 'gimbo.single-keys'

/** Whether keys that write a character do something by themselves; who speaks to her machine puts them off (WCAG 2.1.4). */
export const useSingleKeys = create<{ areOn: boolean }>(() => ({ areOn: kept.get(KEY) !== 'off' }))

export function setSingleKeys(areOn: boolean) {
  kept.set(KEY, areOn ? 'on' : 'off')
  useSingleKeys.setState({ areOn })
}

const isCharacter = (key: string) => key.length === 1 && key !== ' '

type Acts = (event: KeyboardEvent) => (() => void) | undefined

/** What keys do here, unless they are pressed where something is typed. */
export function useShortcuts(actOf: Acts) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return
      if (isCharacter(event.key) && !useSingleKeys.getState().areOn) return
      const act = actOf(event)
      if (!act) return
      event.preventDefault()
      act()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })
}
