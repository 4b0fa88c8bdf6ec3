import { X } from 'lucide-react'
import { Dialog } from 'radix-ui'
import { useRef, useState, type ReactNode } from 'react'
import { words } from '@/words'
import { seatNow, takeSeat } from './focus'

interface SheetProps {
  title: string
  isOpen: boolean
  onOpenChange: (isOpen: boolean) => void
  children: ReactNode
  isWide?: boolean
}

/** Something that lies over the page until it is done with; on a small screen it takes all of it. */
export function Sheet({ isOpen, onOpenChange, ...rest }: SheetProps) {
  return (
    <Dialog.Root open={isOpen} onOpenChange={onOpenChange}>
      {isOpen && <Lying {...rest} />}
    </Dialog.Root>
  )
}

function Lying({ title, children, isWide = false }: Pick<SheetProps, 'title' | 'children' | 'isWide'>) {
  const [seat] = useState(seatNow)
  const content = useRef<HTMLDivElement>(null)
  return (
    <Dialog.Portal>
      <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
      <Dialog.Content
        ref={content}
        aria-describedby={undefined}
        className={`sheet ${isWide ? 'sheet-wide' : ''}`}
        onCloseAutoFocus={(event) => {
          event.preventDefault()
          takeSeat(seat, content.current)
        }}
      >
        <div className="flex items-center justify-between gap-2 border-b border-line py-2 pr-3 pl-[max(1rem,min(1.5rem,3vw))]">
          <Dialog.Title className="min-w-0 text-xl leading-tight">{title}</Dialog.Title>
          <Dialog.Close className="quiet-button" aria-label={words('sheet.close')}>
            <X aria-hidden="true" className="size-5" />
          </Dialog.Close>
        </div>
        <div className="scroller min-h-0 flex-1 px-[max(1rem,min(1.5rem,3vw))] py-5">{children}</div>
        <div data-keypad-dock />
      </Dialog.Content>
    </Dialog.Portal>
  )
}
