import { Keyboard, Menu, Monitor, Moon, Sun } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import type { ReactNode } from 'react'
import { Link, NavLink, useLocation } from 'react-router'
import { IconButton } from '@/ui/IconButton'
import { openKeys } from '@/ui/Keys'
import { useRoom } from '@/ui/room'
import { useTheme, type Theme } from '@/ui/theme'
import { Wordmark } from '@/ui/Wordmark'
import { words } from '@/words'

const PLACES = [
  { to: '/', key: 'place.shelf' },
  { to: '/library/sizes', key: 'place.sizes' },
  { to: '/library/tools', key: 'place.tools' },
  { to: '/library/papers', key: 'place.papers' },
  { to: '/plans', key: 'place.plans' },
  { to: '/cutting', key: 'place.cutting' },
  { to: '/backups', key: 'place.backups' },
] as const

/** The name, the places one can go to, and what belongs to this one. */
export function Header({ children }: { children?: ReactNode }) {
  const room = useRoom()
  const hasRoom = room === 'across' || room === 'large'
  return (
    <header className="flex flex-wrap items-center gap-x-3 px-[max(0.5rem,min(1.25rem,2vw))] py-1.5">
      <Wordmark label={words('table.to-shelf')} />
      {hasRoom ? <Places /> : <PlacesMenu />}
      <span className="flex-1" />
      {hasRoom && <LookButtons />}
      {children}
    </header>
  )
}

function Places() {
  return (
    <nav aria-label={words('place.label')} className="ml-2 flex flex-wrap">
      {PLACES.map(({ to, key }) => (
        <NavLink
          key={to}
          to={to}
          end={to === '/'}
          className="flex min-h-11 min-w-11 items-center justify-center rounded-lg px-3 text-soft hover:text-ink aria-[current=page]:font-semibold aria-[current=page]:text-ink aria-[current=page]:underline aria-[current=page]:decoration-live aria-[current=page]:decoration-[3px] aria-[current=page]:underline-offset-8"
        >
          {words(key)}
        </NavLink>
      ))}
    </nav>
  )
}

/** The same where there is no room for them in a row. */
function PlacesMenu() {
  const { pathname } = useLocation()
  return (
    <nav aria-label={words('place.label')}>
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger className="quiet-button" aria-label={words('place.menu')}>
          <Menu aria-hidden="true" className="size-6" />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content className="menu" align="start" sideOffset={6} collisionPadding={8}>
            {PLACES.map(({ to, key }) => (
              <DropdownMenu.Item key={to} asChild>
                <Link to={to} className="menu-item" aria-current={pathname === to ? 'page' : undefined}>
                  {words(key)}
                </Link>
              </DropdownMenu.Item>
            ))}
            <DropdownMenu.Separator className="mx-3 my-1 border-t border-line" />
            <LookItems />
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </nav>
  )
}

const THEMES = { system: Monitor, light: Sun, dark: Moon } as const
const NEXT: Record<Theme, Theme> = { system: 'light', light: 'dark', dark: 'system' }

/** The keyboard map, and light or dark. */
export function LookButtons() {
  const [theme, setTheme] = useTheme()
  return (
    <>
      <IconButton icon={Keyboard} label={words('keys.open')} onClick={openKeys} />
      <IconButton icon={THEMES[theme]} label={words(`theme.${theme}`)} onClick={() => setTheme(NEXT[theme])} />
    </>
  )
}

/** The same as lines of a menu. */
export function LookItems() {
  const [theme, setTheme] = useTheme()
  const Icon = THEMES[theme]
  return (
    <>
      <DropdownMenu.Item className="menu-item justify-start!" onSelect={openKeys}>
        <Keyboard aria-hidden="true" className="size-5 text-soft" />
        {words('keys.open')}
      </DropdownMenu.Item>
      <DropdownMenu.Item
        className="menu-item justify-start!"
        onSelect={(event) => {
          event.preventDefault()
          setTheme(NEXT[theme])
        }}
      >
        <Icon aria-hidden="true" className="size-5 text-soft" />
        {words(`theme.${theme}`)}
      </DropdownMenu.Item>
    </>
  )
}
