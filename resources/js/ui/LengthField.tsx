import { useId, useLayoutEffect, useRef, useState, type KeyboardEvent } from 'react'
import { Figure } from './Figure'

interface LengthFieldProps {
  label: string
  /** The value that is kept, as it was written. */
  value: string
  /** What is being typed, while that is not the value that is kept. */
  draft?: string | undefined
  /** Why the draft is not taken, in words. */
  problem?: string | undefined
  isDefault?: boolean
  unit?: boolean
  onType: (text: string, gesture: string) => void
  onNudge: (steps: number, gesture: string) => void
  onFocusChange: (isFocused: boolean) => void
}

/**
 * A length set in running text: typeset until it is entered, then plain text in any notation.
 *
 * Draft, value and commit are three things: what is typed is sent as it changes and kept apart from the value;
 * nothing is snapped. Arrow keys move by the tool's step (with Shift by ten), Escape brings back what stood there.
 */
export function LengthField(props: LengthFieldProps) {
  const { label, value, draft, problem, isDefault = false, unit = true } = props
  const [isFocused, setFocused] = useState(false)
  const gesture = useRef('')
  const before = useRef(value)
  const input = useRef<HTMLInputElement>(null)
  const wasNudged = useRef(false)
  const errorId = useId()
  const shown = draft ?? value

  // After a step by arrow key the whole figure is selected, so that typing replaces it.
  useLayoutEffect(() => {
    if (wasNudged.current && document.activeElement === input.current) input.current?.select()
    wasNudged.current = false
  }, [value])

  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault()
      wasNudged.current = true
      props.onNudge((event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1), gesture.current)
    } else if (event.key === 'Escape') {
      event.preventDefault()
      props.onType(before.current, gesture.current)
    } else if (event.key === 'Enter') {
      event.currentTarget.select()
    }
  }

  return (
    <span className="part" data-wrong={problem !== undefined} data-default={isDefault}>
      <span className="part-face inline-grid items-center">
        <span className="invisible col-start-1 row-start-1 whitespace-pre px-px" aria-hidden="true">
          {isFocused || draft !== undefined ? shown || ' ' : <Figure text={shown} unit={unit} />}
        </span>
        {!isFocused && draft === undefined && (
          <span className="pointer-events-none col-start-1 row-start-1" aria-hidden="true">
            <Figure text={shown} unit={unit} />
          </span>
        )}
        <input
          ref={input}
          className={`col-start-1 row-start-1 w-0 min-w-full bg-transparent font-[inherit] outline-none ${
            !isFocused && draft === undefined ? 'opacity-0' : ''
          }`}
          aria-label={label}
          aria-invalid={problem !== undefined}
          aria-describedby={problem === undefined ? undefined : errorId}
          size={1}
          autoComplete="off"
          spellCheck={false}
          inputMode="text"
          value={shown}
          onChange={(event) => props.onType(event.target.value, gesture.current)}
          onKeyDown={onKeyDown}
          onFocus={(event) => {
            gesture.current = crypto.randomUUID()
            before.current = value
            setFocused(true)
            props.onFocusChange(true)
            event.target.select()
          }}
          onBlur={() => {
            setFocused(false)
            props.onFocusChange(false)
          }}
        />
      </span>
      {problem !== undefined && (
        <span
          id={errorId}
          role="alert"
          className="absolute top-full left-0 z-30 mt-1 w-max max-w-80 rounded-lg border border-warn bg-panel px-3 py-2 font-sans text-base leading-snug font-normal whitespace-normal text-warn shadow-lg"
        >
          {problem}
        </span>
      )}
    </span>
  )
}
