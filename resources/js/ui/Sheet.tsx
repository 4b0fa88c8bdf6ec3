import { X } from 'lucide-react'
import { Dialog } from 'radix-ui'
import type { ReactNode } from 'react'
import { words } from '@/words'

interface SheetProps {
  title: string
  isOpen: boolean
  onOpenChange: (isOpen: boolean) => void
  children: ReactNode
  isWide?: boolean
}

/** Something that lies over the page until it is done with. */
export function Sheet({ title, isOpen, onOpenChange, children, isWide = false }: SheetProps) {
  return (
    <Dialog.Root open={isOpen} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className={`fixed top-1/2 left-1/2 z-50 flex max-h-[94vh] -translate-x-1/2 -translate-y-1/2 flex-col rounded-2xl bg-panel shadow-2xl ${
            isWide ? 'w-[min(72rem,96vw)]' : 'w-[min(36rem,94vw)]'
          }`}
        >
          <div className="flex items-center justify-between border-b border-line py-2 pr-3 pl-6">
            <Dialog.Title className="text-xl">{title}</Dialog.Title>
            <Dialog.Close className="quiet-button" aria-label={words('sheet.put-away')}>
              <X aria-hidden="true" className="size-5" />
            </Dialog.Close>
          </div>
          <div className="min-h-0 overflow-y-auto px-6 py-5">{children}</div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
