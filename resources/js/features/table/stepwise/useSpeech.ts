import { useEffect, useState } from 'react'
import { kept } from '@/ui/kept'
import { language } from '@/words'

const KEY = 'gimbo.aloud'

/** Whether this browser has a voice. */
export const canSpeak = 'speechSynthesis' in window

/** Reads each step aloud once it is come to, where she wants it; in the browser's own voice. */
export function useSpeech(text: string): [boolean, (isOn: boolean) => void] {
  const [isOn, setOn] = useState(() => canSpeak && kept.get(KEY) === 'on')
  useEffect(() => {
    if (!isOn || text === '') return
    const said = new SpeechSynthesisUtterance(text)
    said.lang = language()
    speechSynthesis.cancel()
    speechSynthesis.speak(said)
    return () => speechSynthesis.cancel()
  }, [isOn, text])
  return [
    isOn,
    (to) => {
      kept.set(KEY, to ? 'on' : 'off')
      setOn(to)
    },
  ]
}
