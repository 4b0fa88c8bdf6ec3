import { TextField } from '@/ui/TextField'
import { words } from '@/words'
import { Found } from './Found'
import { useTrial } from './useTrial'

const USUAL = { imperial: { side: '6 in', mark: '3 in' }, metric: { side: '150 mm', mark: '75 mm' } }

interface NotchTrialProps {
  system: string
  onFound: (notch: string) => void
}

/** A guided trial: punch a square, fold it, measure the face, and the notch of this very board is known. */
export function NotchTrial({ system, onFound }: NotchTrialProps) {
  const usual = system === 'metric' ? USUAL.metric : USUAL.imperial
  const { typed, put, trial, problems } = useTrial('notch', { ...usual, long: '', short: '' }, system)
  return (
    <section aria-label={words('trial.notch')} className="rounded-xl border border-line bg-table/50 p-4">
      <ol className="mb-3 list-decimal space-y-1 pl-5">
        {[1, 2, 3].map((step) => (
          <li key={step}>{words(`trial.notch.${step}`)}</li>
        ))}
      </ol>
      <div className="flex flex-wrap gap-5">
        <TrialSquare />
        <div className="form-grid min-w-40 flex-1">
          {(['side', 'mark', 'long', 'short'] as const).map((field) => (
            <TextField
              key={field}
              label={words(`trial.${field}`)}
              value={typed[field] ?? ''}
              problem={problems[field]}
              data-keypad="length"
              onChange={put(field)}
            />
          ))}
        </div>
      </div>
      <Found trial={trial} said={words('trial.notch-is')} onUse={onFound} />
    </section>
  )
}

/** The square as it lies folded open: where the mark is, and which sides are measured. */
function TrialSquare() {
  return (
    <svg viewBox="0 0 120 120" className="size-32 shrink-0" aria-hidden="true">
      <rect x="6" y="6" width="108" height="108" className="fill-paper stroke-ink" strokeWidth="1.6" />
      <path
        d="M52 6 60 14 68 6M6 52 14 60 6 68M52 114 60 106 68 114M114 52 106 60 114 68"
        className="fill-none stroke-ink"
        strokeWidth="1.4"
      />
      <path
        d="M60 14 106 60 60 106 14 60Z"
        className="fill-live-wash stroke-valley"
        strokeWidth="1.8"
        strokeDasharray="6 4"
      />
      <path d="M65 22 98 55M22 65 55 98" className="stroke-live" strokeWidth="2.2" />
    </svg>
  )
}
