import { create } from 'zustand'
import { words } from '@/words'
import { Sheet } from './Sheet'

interface Question {
  title: string
  /** What follows from it. */
  note: string
  act: string
  answer: (isMeant: boolean) => void
}

const useQuestion = create<{ now: Question | null }>(() => ({ now: null }))

/** Asks before something goes that cannot be brought back; whether it is meant. */
export const ask = (question: Omit<Question, 'answer'>) =>
  new Promise<boolean>((done) => useQuestion.setState({ now: { ...question, answer: done } }))

export function Asking() {
  const now = useQuestion((state) => state.now)
  const answer = (isMeant: boolean) => {
    now?.answer(isMeant)
    useQuestion.setState({ now: null })
  }
  return (
    <Sheet title={now?.title ?? ''} isOpen={now !== null} onOpenChange={(isOpen) => !isOpen && answer(false)}>
      <p className="mb-4">{now?.note}</p>
      <div className="flex flex-wrap justify-end gap-2">
        <button type="button" className="quiet-button" onClick={() => answer(false)}>
          {words('form.leave')}
        </button>
        <button type="button" className="full-button" onClick={() => answer(true)}>
          {now?.act}
        </button>
      </div>
    </Sheet>
  )
}
