import { useLayoutEffect, useRef, useState, type KeyboardEvent } from 'react'
import { Figure } from './Figure'
import { newId } from './newId'

interface LengthFieldProps {
  label: string
  /** The value that is kept, as it was written. */
  value: string
  /** What is being typed, while that is not the value that is kept. */
  draft?: string | undefined
  /** Whether the draft is not taken. */
  isWrong?: boolean
  /** The id of what says why. */
  saidBy?: string | undefined
  /** What the program's own keys offer for it. */
  keypad?: 'length' | 'count'
  isDefault?: boolean
  unit?: boolean
  onType: (text: string, gesture: string) => void
  onNudge: (steps: number, gesture: string) => void
  /** Back to what stood there when it was entered; null where that was the usual. */
  onRestore: (text: string | null, gesture: string) => void
  onFocusChange: (isFocused: boolean) => void
}

/**
 * A length set in running text: typeset until it is entered, then plain text in any notation.
 *
 * Draft, value and commit are three things: what is typed is sent as it changes and kept apart from the value;
 * nothing is snapped. Arrow keys move by the tool's step (with Shift by ten), Escape brings back what stood there.
 */
export function LengthField(props: LengthFieldProps) {
  const { label, value, draft, isWrong = false, saidBy, isDefault = false, unit = true, keypad = 'length' } = props
  const [isFocused, setFocused] = useState(false)
  const gesture = useRef('')
  /** What stood there when it was entered; null for the usual. */
  const [before, setBefore] = useState<string | null>(value)
  const input = useRef<HTMLInputElement>(null)
  const wasNudged = useRef(false)
  const shown = draft ?? value

  // After a step by arrow key the whole figure is selected, so that typing replaces it.
  useLayoutEffect(() => {
    if (wasNudged.current && document.activeElement === input.current) input.current?.select()
    wasNudged.current = false
  }, [value])

  const hasChanged =
    isFocused && (draft !== undefined || (before ?? value) !== value || (before === null) !== isDefault)

  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault()
      wasNudged.current = true
      props.onNudge((event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1), gesture.current)
    } else if (event.key === 'Escape') {
      event.preventDefault()
      if (hasChanged) props.onRestore(before, gesture.current)
    } else if (event.key === 'Enter') {
      event.currentTarget.select()
    }
  }

  return (
    <span className="part" data-wrong={isWrong} data-default={isDefault} data-changed={hasChanged}>
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
          aria-invalid={isWrong}
          aria-describedby={isWrong ? saidBy : undefined}
          size={1}
          autoComplete="off"
          spellCheck={false}
          data-keypad={keypad}
          value={shown}
          onChange={(event) => props.onType(event.target.value, gesture.current)}
          onKeyDown={onKeyDown}
          onFocus={(event) => {
            gesture.current = newId()
            setBefore(isDefault ? null : value)
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
    </span>
  )
}
