import { Figure } from './Figure'
import { words, wordsAround } from '@/words'

interface SaidProps {
  /** Key of the sentence. */
  of: string
  params?: Record<string, string>
}

/** A sentence whose lengths are typeset like every other figure. */
export function Said({ of, params = {} }: SaidProps) {
  return wordsAround(of).map((part, i) =>
    'text' in part ? part.text : <Figure key={i} text={params[part.slot] ?? words(part.slot)} />,
  )
}
