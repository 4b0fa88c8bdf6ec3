import { Link } from 'react-router'

/** The name, and the way back to the shelf. */
export function Wordmark({ label, isShort = false }: { label: string; isShort?: boolean }) {
  return (
    <Link to="/" aria-label={label} className="flex min-h-11 min-w-11 items-center gap-2.5 rounded-lg px-1">
      <svg viewBox="0 0 28 28" className="size-7" aria-hidden="true">
        <path d="M14 2 26 14 14 26 2 14Z" fill="none" stroke="var(--ink)" strokeWidth="1.6" strokeLinejoin="round" />
        <path d="M8 10.5h12v7H8z" fill="var(--live)" />
        <path d="M8 10.5 14 15l6-4.5" fill="none" stroke="var(--panel)" strokeWidth="1.3" />
      </svg>
      {!isShort && <span className="font-serif text-[1.4rem] font-semibold tracking-tight">Gimbo</span>}
    </Link>
  )
}
