import { useEffect, useRef, type ComponentPropsWithoutRef } from 'react'
import { useLocation } from 'react-router'

/** The address the program was opened at: there the browser has put the keyboard itself. */
let opened: string | null = location.pathname

interface MainProps extends ComponentPropsWithoutRef<'main'> {
  /** What the window is called. */
  title: string
}

/** What the page is about; who comes to it by a way on goes on from here, and hears its name. */
export function Main({ title, className = '', ...rest }: MainProps) {
  const ref = useRef<HTMLElement>(null)
  const { pathname } = useLocation()
  useEffect(() => {
    document.title = title === '' ? 'Gimbo' : `${title} · Gimbo`
  }, [title])
  useEffect(() => {
    if (pathname === opened) return
    opened = null
    const isElsewhere = document.activeElement !== null && ref.current?.contains(document.activeElement)
    if (!isElsewhere) ref.current?.focus({ preventScroll: true })
  }, [pathname])
  return <main ref={ref} id="main" tabIndex={-1} className={`outline-none ${className}`} {...rest} />
}

/** A page that scrolls as a whole. */
export function Page({ className = '', ...rest }: MainProps) {
  return (
    <Main
      className={`scroller min-h-0 flex-1 border-t border-line px-[max(0.75rem,min(1.5rem,3vw))] py-5 ${className}`}
      {...rest}
    />
  )
}
