import { words } from '@/words'

/** How a form ends: left as it was, or kept. */
export function FormButtons({ onLeave }: { onLeave: () => void }) {
  return (
    <div className="flex justify-end gap-2 pt-3">
      <button type="button" className="quiet-button" onClick={onLeave}>
        {words('form.leave')}
      </button>
      <button type="submit" className="full-button">
        {words('form.keep')}
      </button>
    </div>
  )
}
