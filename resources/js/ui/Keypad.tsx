import { ChevronDown, ChevronUp, Check, Delete, Keyboard } from 'lucide-react'
import { useLayoutEffect, type ReactNode } from 'react'
import { createPortal } from 'react-dom'
import { words } from '@/words'
import { useTouch, withKey, withoutLast, withPart, withUnit, writeWithLetters } from './touch'

const PARTS = [
  [2, '½'],
  [4, '¼'],
  [8, '⅛'],
  [16, '1/16'],
] as const

/** Keys for lengths, for who writes by hand: they take a place of their own and cover nothing. */
export function Keypad() {
  const { isHand, wantsLetters, field } = useTouch()
  const dock = dockOf(field)
  const isOpen = isHand && !wantsLetters && field !== null
  useLayoutEffect(() => {
    if (!isOpen) return
    const timer = setTimeout(() => field.scrollIntoView({ block: 'nearest', behavior: 'instant' }), 50)
    return () => clearTimeout(timer)
  }, [field, isOpen])
  return (
    <>
      <div data-keypad-dock />
      {isOpen && dock && createPortal(<Keys field={field} />, dock)}
    </>
  )
}

/** Where the keys stand: in the sheet the field is on, else under the page. */
const dockOf = (field: Element | null) =>
  (field?.closest('.sheet') ?? document.getElementById('app'))?.querySelector(':scope > [data-keypad-dock]') ?? null

/** Puts a text in a field as if it had been typed. */
function write(field: HTMLInputElement, text: string) {
  field.setRangeText(text, 0, field.value.length, 'end')
  field.dispatchEvent(new Event('input', { bubbles: true }))
}

function Keys({ field }: { field: HTMLInputElement }) {
  const isCount = field.dataset.keypad === 'count'
  const hasSteps = field.closest('.part') !== null
  /** What is selected as a whole is written over. */
  const text = () =>
    field.value !== '' && field.selectionStart === 0 && field.selectionEnd === field.value.length ? '' : field.value
  const press = (key: string) => write(field, withKey(text(), key))
  const step = (key: string) =>
    field.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
  const digit = (key: string) => (
    <Key key={key} area={key === '.' ? 'dot' : `d${key}`} onPress={() => press(key)}>
      {key}
    </Key>
  )
  return (
    <div
      role="group"
      aria-label={words('keypad.label')}
      className="keypad"
      data-kind={isCount ? 'count' : 'length'}
      // The field keeps the keyboard, and what is selected in it.
      onPointerDown={(event) => event.preventDefault()}
      onMouseDown={(event) => event.preventDefault()}
    >
      {['7', '8', '9', '4', '5', '6', '1', '2', '3', '0', ...(isCount ? [] : ['.'])].map(digit)}
      {!isCount && (
        <>
          {PARTS.map(([under, face]) => (
            <Key
              key={under}
              area={`p${under}`}
              isMeasure
              label={words(`keypad.part.${under}`)}
              onPress={() => write(field, withPart(text(), under))}
            >
              {face}
            </Key>
          ))}
          {['in', 'mm', 'cm'].map((unit) => (
            <Key key={unit} area={unit} isMeasure onPress={() => write(field, withUnit(field.value, unit))}>
              {unit}
            </Key>
          ))}
        </>
      )}
      <Key
        area="back"
        label={words('keypad.back')}
        onPress={() => write(field, text() === '' ? '' : withoutLast(text()))}
      >
        <Delete aria-hidden="true" className="size-6" />
      </Key>
      {hasSteps && (
        <>
          <Key area="up" label={words('keypad.up')} onPress={() => step('ArrowUp')}>
            <ChevronUp aria-hidden="true" className="size-6" />
          </Key>
          <Key area="down" label={words('keypad.down')} onPress={() => step('ArrowDown')}>
            <ChevronDown aria-hidden="true" className="size-6" />
          </Key>
        </>
      )}
      <Key area="abc" label={words('keypad.letters')} onPress={() => writeWithLetters(field)}>
        <Keyboard aria-hidden="true" className="size-6" />
      </Key>
      <Key area="done" label={words('keypad.done')} onPress={() => field.blur()}>
        <Check aria-hidden="true" className="size-6" />
      </Key>
    </div>
  )
}

interface KeyProps {
  area: string
  /** A part of a number, or a unit. */
  isMeasure?: boolean
  label?: string
  children: ReactNode
  onPress: () => void
}

function Key({ area, label, children, onPress, isMeasure = false }: KeyProps) {
  return (
    <button
      type="button"
      tabIndex={-1}
      className="key"
      data-measure={isMeasure || undefined}
      style={{ gridArea: area }}
      aria-label={label}
      onClick={onPress}
    >
      {children}
    </button>
  )
}
