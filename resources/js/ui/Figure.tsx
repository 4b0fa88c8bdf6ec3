import { withDecimalSign } from '@/words'

const SHAPE = /^(≈ )?(-)?(?:(\d+(?:\.\d+)?)(?= |$))?(?: ?(\d+)\/(\d+))?(?: ([a-z]+))?$/

interface FigureProps {
  /** A length as the core writes it: "3 1/2 in", "≈ 8.2 mm". Anything else is shown as it is. */
  text: string
  unit?: boolean
  className?: string
}

/** A length set as makers read it, with a real fraction; screen readers get the plain text. */
export function Figure({ text, unit = true, className = '' }: FigureProps) {
  const parts = SHAPE.exec(text)
  if (!parts) return <span className={className}>{text}</span>
  const [, about, minus, whole, top, bottom, unitName] = parts
  return (
    <span className={`whitespace-nowrap ${className}`}>
      <span className="sr-only">{withDecimalSign(text)}</span>
      <span aria-hidden="true">
        {about}
        {minus && '−'}
        {whole && withDecimalSign(whole)}
        {top && (
          <span className="frac">
            <span>{top}</span>
            <span>{bottom}</span>
          </span>
        )}
        {unit && unitName && <span className="ml-[0.22em] text-[0.78em] font-normal">{unitName}</span>}
      </span>
    </span>
  )
}
