import { Keyboard, Moon, Sun } from 'lucide-react'
import type { ReactNode } from 'react'
import { NavLink } from 'react-router'
import { IconButton } from '@/ui/IconButton'
import { openKeys } from '@/ui/Keys'
import { useTheme } from '@/ui/theme'
import { Wordmark } from '@/ui/Wordmark'
import { words } from '@/words'

const PLACES = [
  { to: '/', key: 'place.shelf' },
  { to: '/library/sizes', key: 'place.sizes' },
  { to: '/library/tools', key: 'place.tools' },
  { to: '/library/papers', key: 'place.papers' },
  { to: '/cutting', key: 'place.cutting' },
  { to: '/backups', key: 'place.backups' },
] as const

/** The name, the places one can go to, and what belongs to this one. */
export function Header({ children }: { children?: ReactNode }) {
  return (
    <header className="flex flex-wrap items-center gap-x-3 px-5 py-1.5">
      <Wordmark label={words('table.to-shelf')} />
      <nav aria-label={words('place.label')} className="ml-2 flex flex-wrap">
        {PLACES.map(({ to, key }) => (
          <NavLink
            key={to}
            to={to}
            end={to === '/'}
            className="flex min-h-11 items-center rounded-lg px-3 text-soft hover:text-ink aria-[current=page]:font-semibold aria-[current=page]:text-ink aria-[current=page]:underline aria-[current=page]:decoration-live aria-[current=page]:decoration-[3px] aria-[current=page]:underline-offset-8"
          >
            {words(key)}
          </NavLink>
        ))}
      </nav>
      <span className="flex-1" />
      <LookButtons />
      {children}
    </header>
  )
}

/** The keyboard map, and light or dark. */
export function LookButtons() {
  const [theme, toggleTheme] = useTheme()
  return (
    <>
      <IconButton icon={Keyboard} label={words('keys.open')} onClick={openKeys} />
      <IconButton icon={theme === 'dark' ? Sun : Moon} label={words(`theme.${theme}`)} onClick={toggleTheme} />
    </>
  )
}
