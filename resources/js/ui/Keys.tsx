import { useEffect, useState } from 'react'
import { Sheet } from '@/ui/Sheet'
import { setSingleKeys, useShortcuts, useSingleKeys } from '@/ui/shortcuts'
import { words } from '@/words'

const OPEN = 'gimbo:keys'

/** The same for a button anywhere. */
export const openKeys = () => window.dispatchEvent(new Event(OPEN))

const MAP: Record<string, string[][]> = {
  anywhere: [['?'], ['Tab'], ['Esc']],
  shelf: [['/'], ['N']],
  field: [['↑', '↓'], ['Shift', '↑ ↓'], ['Enter']],
  table: [['Ctrl', 'Z'], ['Ctrl', 'Shift', 'Z'], ['S'], ['F'], ['+', '−'], ['0']],
  work: [
    ['→', 'Page Down'],
    ['←', 'Page Up'],
    ['Home', 'End'],
  ],
  fold: [['← → ↑ ↓'], ['+', '−'], ['Home'], ['Space']],
}

/** Which key does what; opened with the question mark. */
export function Keys() {
  const [isOpen, setOpen] = useState(false)
  const areOn = useSingleKeys((state) => state.areOn)
  useEffect(() => {
    const open = () => setOpen(true)
    window.addEventListener(OPEN, open)
    return () => window.removeEventListener(OPEN, open)
  }, [])
  useShortcuts(({ key }) => (key === '?' ? () => setOpen(true) : undefined))
  return (
    <Sheet title={words('keys.title')} isOpen={isOpen} onOpenChange={setOpen} isWide>
      <label className="mb-4 flex min-h-11 cursor-pointer items-center gap-3">
        <input
          type="checkbox"
          className="size-6 shrink-0 accent-live"
          checked={areOn}
          onChange={(event) => setSingleKeys(event.target.checked)}
        />
        {words('keys.single')}
      </label>
      <div className="gap-10 md:columns-2">
        {Object.entries(MAP).map(([place, keys]) => (
          <section key={place} className="mb-5 break-inside-avoid">
            <h3 className="mb-1 text-lg">{words(`keys.${place}`)}</h3>
            <dl className="grid grid-cols-[minmax(5rem,9.5rem)_1fr] items-baseline gap-x-4 gap-y-1.5">
              {keys.map((combination, i) => (
                <div key={i} className="contents">
                  <dt className="flex flex-wrap gap-1">
                    {combination.map((key) => (
                      <kbd
                        key={key}
                        className="rounded-md border border-line bg-paper px-1.5 py-0.5 font-sans text-[0.95rem]"
                      >
                        {key}
                      </kbd>
                    ))}
                  </dt>
                  <dd>{words(`keys.${place}.${i}`)}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </Sheet>
  )
}
