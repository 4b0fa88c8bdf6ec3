import { X } from 'lucide-react'
import { useNotice, notice } from './notices'

/** What was to be said, and the way to put it away. */
export function Notices() {
  const text = useNotice((state) => state.text)
  if (text === null) return null
  return (
    <button type="button" role="alert" className="said-note" onClick={() => notice(null)}>
      {text}
      <X aria-hidden="true" className="size-4" />
    </button>
  )
}
