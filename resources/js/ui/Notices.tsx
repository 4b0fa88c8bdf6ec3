import { X } from 'lucide-react'
import { words } from '@/words'
import { IconButton } from './IconButton'
import { notice, useNotice } from './notices'

/** What was to be said, what can be done about it, and the way to close it. */
export function Notices() {
  const { text, action } = useNotice()
  if (text === null) return null
  return (
    <div role="alert" className="said-note">
      <span className="min-w-0">{text}</span>
      {action && (
        <button
          type="button"
          className="quiet-button font-semibold text-live"
          onClick={() => {
            notice(null)
            action.act()
          }}
        >
          {action.label}
        </button>
      )}
      <IconButton icon={X} label={words('sheet.close')} onClick={() => notice(null)} />
    </div>
  )
}
