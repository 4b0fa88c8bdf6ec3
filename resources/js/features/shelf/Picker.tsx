import { Plus, X } from 'lucide-react'
import { Dialog } from 'radix-ui'
import type { Catalogue } from '@/api/client'
import { words } from '@/words'
import { Thumbnail } from './Thumbnail'

interface PickerProps {
  makes: Catalogue['makes']
  onPick: (make: string) => void
}

/** What can be made, by pictures that the core itself drew. */
export function Picker({ makes, onPick }: PickerProps) {
  return (
    <Dialog.Root>
      <Dialog.Trigger className="full-button">
        <Plus aria-hidden="true" className="size-5" />
        {words('shelf.new-picker')}
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[min(66rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-2xl bg-panel p-6 shadow-2xl"
        >
          <div className="mb-4 flex items-center justify-between">
            <Dialog.Title className="text-2xl">{words('shelf.pick')}</Dialog.Title>
            <Dialog.Close className="quiet-button" aria-label={words('shelf.pick-close')}>
              <X aria-hidden="true" className="size-5" />
            </Dialog.Close>
          </div>
          <MakeGrid makes={makes} onPick={onPick} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

export function MakeGrid({ makes, onPick }: PickerProps) {
  return (
    <ul className="grid grid-cols-[repeat(auto-fill,minmax(13rem,1fr))] gap-3">
      {makes.map((make) => (
        <li key={make.id}>
          <button
            type="button"
            className="flex w-full cursor-pointer flex-col items-center gap-2 rounded-xl border border-line bg-table/60 p-3 hover:border-live hover:bg-live-wash"
            onClick={() => onPick(make.id)}
          >
            <span className="block h-32 w-full">
              <Thumbnail drawing={make.drawing} />
            </span>
            <span className="font-serif text-lg font-semibold">{words(`make.${make.id}.noun`)}</span>
          </button>
        </li>
      ))}
    </ul>
  )
}
