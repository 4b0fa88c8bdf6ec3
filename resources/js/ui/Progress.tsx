import { X } from 'lucide-react'
import { words } from '@/words'

interface ProgressProps {
  label: string
  /** How much of it is done, from 0 to 1; null while that is not known. */
  share: number | null
  onStop?: () => void
}

/** Long work: how far it is, and the way to stop it. */
export function Progress({ label, share, onStop }: ProgressProps) {
  return (
    <div className="flex flex-wrap items-center gap-3 rounded-lg border border-line bg-panel px-4 py-2">
      <span className="min-w-0">{label}</span>
      <div
        role="progressbar"
        aria-label={label}
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={share === null ? undefined : Math.round(100 * share)}
        className="h-3 min-w-32 flex-1 overflow-hidden rounded-full bg-line"
      >
        <div
          className={`h-full rounded-full bg-live ${share === null ? 'w-1/3 animate-pulse' : ''}`}
          style={share === null ? undefined : { width: `${100 * share}%` }}
        />
      </div>
      {onStop && (
        <button type="button" className="quiet-button" onClick={onStop}>
          <X aria-hidden="true" className="size-5" />
          {words('progress.stop')}
        </button>
      )}
    </div>
  )
}
