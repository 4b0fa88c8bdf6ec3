import { Popover } from 'radix-ui'
import { useState, type ComponentProps, type ReactNode } from 'react'
import { useTouch } from '@/ui/touch'
import { useRoom } from '@/ui/room'
import { Sheet } from '@/ui/Sheet'
import { fieldName } from '@/ui/fieldName'
import { Field } from '../Field'
import type { PartProps } from './part'

interface PartPopoverProps {
  /** The part in the sentence that opens it. */
  part: ComponentProps<'button'>
  title: string
  align: 'start' | 'end'
  children: ReactNode
}

/** What is one step away from the sentence: it opens where its part stands, and takes the screen where a hand needs the room. */
export function PartPopover({ part, title, align, children }: PartPopoverProps) {
  const [isOpen, setOpen] = useState(false)
  const room = useRoom()
  const isHand = useTouch((state) => state.isHand)
  const [isSheet, setSheet] = useState(false)
  const open = (to: boolean) => {
    // What is open stays as it is, whatever presses next.
    if (to) setSheet(isHand || room === 'narrow' || room === 'short')
    setOpen(to)
  }
  if (isSheet)
    return (
      <>
        <button type="button" {...part} onClick={() => open(true)} />
        <Sheet title={title} isOpen={isOpen} onOpenChange={open}>
          <div className="sentence">{children}</div>
        </Sheet>
      </>
    )
  return (
    <Popover.Root open={isOpen} onOpenChange={open}>
      <Popover.Trigger {...part} />
      <Popover.Portal>
        <Popover.Content
          aria-label={title}
          className="menu sentence scroller max-h-(--radix-popover-content-available-height)! w-max p-4!"
          align={align}
          sideOffset={6}
          collisionPadding={12}
          onEscapeKeyDown={(event) => {
            // First it brings back what stood in the field.
            if (document.activeElement?.closest('[data-changed=true]')) event.preventDefault()
          }}
        >
          <h2 className="mb-1 text-lg leading-snug">{title}</h2>
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

/** Lengths by their names, one to a row; what is wrong with one stands under it. */
export function FieldRows({ book, view, fields }: PartProps & { fields: string[] }) {
  const drafts = book.use((state) => state.drafts)
  return (
    <dl className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-6 text-[1.05rem]">
      {fields.map((at) => (
        <div key={at} className="contents">
          <dt className="font-sans leading-tight text-soft">{fieldName(at)}</dt>
          <dd className="text-right">
            <Field {...{ book, view }} at={at} />
          </dd>
          {drafts[at]?.problem && (
            <dd data-said className="col-span-2 max-w-96 pb-1 font-sans text-base leading-snug text-warn">
              {drafts[at].problem}
            </dd>
          )}
        </div>
      ))}
    </dl>
  )
}
