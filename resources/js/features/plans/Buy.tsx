import { useState } from 'react'
import type { Plan } from '@/api/client'
import { words } from '@/words'

/** How many sheets to buy, of the size she names. */
export function Buy({
  one,
  onSize,
}: {
  one: Plan['shopping'][number]
  onSize: (width: string, height: string) => Promise<boolean>
}) {
  const [isSizing, setSizing] = useState(false)
  const [width, setWidth] = useState(one.width)
  const [height, setHeight] = useState(one.height)
  return (
    <li data-buy={one.name}>
      {words('plan.buy', {
        count: one.count + one.spare,
        paper: one.name,
        width: one.width,
        height: one.height,
        spare: one.spare,
      })}{' '}
      {!isSizing && (
        <button type="button" className="with-word" onClick={() => setSizing(true)}>
          {words('plan.another-size')}
        </button>
      )}
      {isSizing && (
        <form
          className="mt-1 mb-2 flex flex-wrap items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault()
            void onSize(width, height).then((isDone) => isDone && setSizing(false))
          }}
        >
          <input
            className="field w-28!"
            aria-label={words('papers.width')}
            value={width}
            data-keypad="length"
            onChange={({ target }) => setWidth(target.value)}
          />
          <input
            className="field w-28!"
            aria-label={words('papers.height')}
            value={height}
            data-keypad="length"
            onChange={({ target }) => setHeight(target.value)}
          />
          <button type="submit" className="quiet-button text-live">
            {words('form.keep')}
          </button>
        </form>
      )}
      {one.tooLarge.length > 0 && (
        <span className="block text-warn">{words('plan.too-large-for-it', { pieces: one.tooLarge.join(', ') })}</span>
      )}
    </li>
  )
}
