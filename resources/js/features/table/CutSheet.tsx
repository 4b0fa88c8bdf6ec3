import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import { api, problemsOf, type Cutting, type DesignView } from '@/api/client'
import { SelectField } from '@/ui/SelectField'
import { Sheet } from '@/ui/Sheet'
import { words } from '@/words'
import { pieceName } from '@/ui/pieceName'
import { kept } from '@/ui/kept'

const LAST_USED = 'gimbo.cutter'

/** Which pieces go to which cutting machine. */
export function CutSheet({ view, onDone }: { view: DesignView; onDone: () => void }) {
  const navigate = useNavigate()
  const { pieces } = view.design
  const [chosen, setChosen] = useState(() => pieces.map(({ id }) => id))
  const [machines, setMachines] = useState<Cutting['machines']>([])
  const [cutter, setCutter] = useState('')
  const [problem, setProblem] = useState('')

  useEffect(() => {
    api.cutting().then(
      (found) => {
        const last = kept.get(LAST_USED)
        setMachines(found.machines)
        setCutter(found.machines.find(({ id }) => id === last)?.id ?? found.machines[0]?.id ?? '')
      },
      (error: unknown) => setProblem(problemsOf(error)[0]?.message ?? ''),
    )
  }, [])

  const send = async () => {
    try {
      await api.cut(view.id, { cutter, pieces: chosen })
      kept.set(LAST_USED, cutter)
      await navigate('/cutting')
    } catch (error) {
      setProblem(problemsOf(error)[0]?.message ?? '')
    }
  }
  return (
    <Sheet title={words('hand-on.cut')} isOpen onOpenChange={(isOpen) => !isOpen && onDone()}>
      <form
        className="space-y-5"
        onSubmit={(event) => {
          event.preventDefault()
          void send()
        }}
      >
        <fieldset>
          <legend className="mb-1 text-[0.98rem] text-soft">{words('cut.pieces')}</legend>
          {pieces.map((piece) => (
            <label key={piece.id} className="flex min-h-11 cursor-pointer items-center gap-3">
              <input
                type="checkbox"
                className="size-5 accent-live"
                checked={chosen.includes(piece.id)}
                onChange={(event) => {
                  setProblem('')
                  setChosen((now) =>
                    event.target.checked ? [...now, piece.id] : now.filter((one) => one !== piece.id),
                  )
                }}
              />
              {pieceName(piece)}
            </label>
          ))}
        </fieldset>
        <SelectField
          label={words('cut.cutter')}
          value={cutter}
          choices={machines.map(({ id, name, address }) => ({ value: id, label: `${name} (${address})` }))}
          onChange={(to) => {
            setProblem('')
            setCutter(to)
          }}
        />
        {problem && (
          <p role="alert" className="text-warn">
            {problem}
          </p>
        )}
        <div className="flex justify-end gap-2 pt-2">
          <button type="button" className="quiet-button" onClick={onDone}>
            {words('form.leave')}
          </button>
          <button type="submit" className="full-button" disabled={cutter === ''}>
            {words('cut.send')}
          </button>
        </div>
      </form>
    </Sheet>
  )
}
