import type { components } from '@/api/schema'
import { Figure } from './Figure'

export type Parts = components['schemas']['Sentence']

/** A sentence of the server's, its figures typeset. */
export function Sentence({ parts }: { parts: Parts }) {
  return parts.map((part, i) =>
    typeof part === 'string' ? (
      <span key={i}>{part}</span>
    ) : (
      <Figure key={i} text={part.figure} className="font-semibold" />
    ),
  )
}

/** Sentences one after another. */
export function Sentences({ all }: { all: Parts[] }) {
  return all.map((parts, i) => (
    <span key={i}>
      {i > 0 && ' '}
      <Sentence parts={parts} />
    </span>
  ))
}
