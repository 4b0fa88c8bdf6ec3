import { useState } from 'react'
import { api } from '@/api/client'
import { notice } from '@/ui/notices'
import { words } from '@/words'

/** Where pieces of the designs could be cut at one size; looked for when that is asked. */
export function Meetings({ id, onMeet }: { id: string; onMeet: (meeting: number) => Promise<boolean> }) {
  const [meetings, setMeetings] = useState<Awaited<ReturnType<typeof api.meetings>>['meetings'] | null>(null)
  const [isBusy, setBusy] = useState(false)
  const look = () => {
    setBusy(true)
    api
      .meetings(id)
      .then(
        ({ meetings: all }) => setMeetings(all),
        () => notice(words('saving.try-again')),
      )
      .finally(() => setBusy(false))
  }
  return (
    <section aria-label={words('plan.meet')}>
      {meetings === null && (
        <button type="button" className="quiet-button -ml-3 text-live" disabled={isBusy} onClick={look}>
          {words('plan.meet.look')}
        </button>
      )}
      {meetings && <h2 className="mb-1 text-lg">{words('plan.meet')}</h2>}
      {meetings?.length === 0 && <p role="status">{words('plan.meet.none')}</p>}
      {meetings?.map((one, i) => (
        <div key={i} className="mb-2" data-meeting>
          <p>{words('plan.meet.at', { width: one.width, height: one.height })}</p>
          <ul className="ml-4 list-disc">
            {one.changes.map((change) => (
              <li key={change}>{change}</li>
            ))}
          </ul>
          <button
            type="button"
            className="quiet-button -ml-3 text-live"
            disabled={isBusy}
            onClick={() => {
              setBusy(true)
              void onMeet(i).finally(() => setBusy(false))
            }}
          >
            {words('plan.meet.do')}
          </button>
        </div>
      ))}
    </section>
  )
}
