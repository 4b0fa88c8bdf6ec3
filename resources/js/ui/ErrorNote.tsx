import type { ReactNode } from 'react'

/** Something went wrong that belongs to no field: what it was, and what to do now. */
export function ErrorNote({ children, action }: { children: ReactNode; action?: ReactNode }) {
  return (
    <div
      role="alert"
      className="flex flex-wrap items-center justify-between gap-3 rounded-lg border border-warn bg-warn-wash px-4 py-2 text-warn"
    >
      <span>{children}</span>
      {action}
    </div>
  )
}
