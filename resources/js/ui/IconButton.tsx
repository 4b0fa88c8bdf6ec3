import type { LucideIcon } from 'lucide-react'

interface IconButtonProps {
  icon: LucideIcon
  label: string
  disabled?: boolean
  onClick: () => void
}

/** A button that is only a picture: its words are read out, and shown to who rests on it. */
export function IconButton({ icon: Icon, label, disabled, onClick }: IconButtonProps) {
  return (
    <button
      type="button"
      className="quiet-button"
      disabled={disabled}
      title={label}
      aria-label={label}
      onClick={onClick}
    >
      <Icon aria-hidden="true" className="size-5" />
    </button>
  )
}
