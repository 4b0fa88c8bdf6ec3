import type { Trial } from '@/api/client'
import { Figure } from '@/ui/Figure'
import { words } from '@/words'

interface FoundProps {
  /** Null until everything is measured. */
  trial: Trial | null
  said: string
  onUse: (value: string) => void
}

/** What a trial came to, to be used or measured again. */
export function Found({ trial, said, onUse }: FoundProps) {
  return (
    <div role="status" className="mt-3 flex min-h-11 flex-wrap items-center justify-between gap-3">
      {trial && (
        <>
          <span className={trial.isSure ? '' : 'text-warn'}>
            {trial.isSure ? said : words('trial.not-sure')}{' '}
            <Figure text={trial.isSure ? trial.value : trial.spread} className="text-xl font-semibold" />
          </span>
          <button type="button" className="quiet-button font-semibold text-live" onClick={() => onUse(trial.value)}>
            {words('trial.use')}
          </button>
        </>
      )}
    </div>
  )
}
