import { Popover } from 'radix-ui'
import type { ReactNode } from 'react'
import { words } from '@/words'
import { Field } from '../Field'
import type { PartProps } from './part'

interface PartPopoverProps {
  /** The part in the sentence that opens it: a Popover.Trigger. */
  trigger: ReactNode
  title: string
  align: 'start' | 'end'
  children: ReactNode
}

/** What is one step away from the sentence: it opens where its part stands. */
export function PartPopover({ trigger, title, align, children }: PartPopoverProps) {
  return (
    <Popover.Root>
      {trigger}
      <Popover.Portal>
        <Popover.Content
          aria-label={title}
          className="menu sentence max-h-(--radix-popover-content-available-height)! p-4!"
          align={align}
          sideOffset={6}
          collisionPadding={12}
        >
          <h2 className="mb-1 text-lg leading-snug">{title}</h2>
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

/** Lengths by their names, one to a row. */
export function FieldRows({ book, view, fields }: PartProps & { fields: string[] }) {
  return (
    <dl className="grid grid-cols-[1fr_auto] items-center gap-x-6 text-[1.05rem]">
      {fields.map((at) => (
        <div key={at} className="contents">
          <dt className="font-sans text-soft">{words(`field${at.replaceAll('/', '.')}`)}</dt>
          <dd className="text-right">
            <Field {...{ book, view }} at={at} />
          </dd>
        </div>
      ))}
    </dl>
  )
}
