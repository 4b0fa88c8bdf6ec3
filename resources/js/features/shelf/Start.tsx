import { useCallback, useEffect, useRef, useState } from 'react'
import {
  api,
  problemsOf,
  type Catalogue,
  type Library,
  type Outline,
  type System,
  type Usual as UsualSpec,
} from '@/api/client'
import { useLibrary } from '@/api/useLibrary'
import { Pair } from '@/ui/Pair'
import { SelectField } from '@/ui/SelectField'
import { Still } from '@/ui/Still'
import { useRoom } from '@/ui/room'
import { TextField } from '@/ui/TextField'
import { words } from '@/words'
import { OutlineTaker } from './OutlineTaker'
import { kept } from '@/ui/kept'
import { asDraft, Usual, usualChanges } from './Usual'

type Held = Catalogue['held'][number]
type Starts = Awaited<ReturnType<typeof api.starts>>

interface StartProps {
  catalogue: Catalogue
  onStart: (make: string, spec: object) => void
}

/** The way in: what is in the maker's hand, its size, and everything that could be made for it, drawn and sized by the core. */
export function Start({ catalogue, onStart }: StartProps) {
  const [held, setHeld] = useState<Held | null>(null)
  if (!held)
    return (
      <section>
        <h2 className="mb-1 text-2xl leading-tight">{words('start.what')}</h2>
        <p className="mb-4 text-soft">{words('start.what-note')}</p>
        <ul className="grid grid-cols-[repeat(auto-fit,minmax(min(100%,9rem),1fr))] sm:grid-cols-[repeat(auto-fit,minmax(11rem,1fr))] gap-3">
          {catalogue.held.map((one) => (
            <li key={one.id}>
              <button type="button" className="picture-button" onClick={() => setHeld(one)}>
                <span className="block h-28 w-full">
                  <Still of={one.picture} />
                </span>
                <span className="font-serif text-lg font-semibold">{words(`held.${one.id}`)}</span>
                <span className="text-[0.95rem] leading-snug text-soft">{words(`held.${one.id}.note`)}</span>
              </button>
            </li>
          ))}
        </ul>
      </section>
    )
  return <WithUsual key={held.id} held={held} catalogue={catalogue} onStart={onStart} onBack={() => setHeld(null)} />
}

type SizedProps = StartProps & { held: Held; onBack: () => void }

/** First what is usually worked with is looked up; where that does not come, it is as everybody has it. */
function WithUsual(props: SizedProps) {
  const { library } = useLibrary()
  const [usual, setUsual] = useState<UsualSpec | null | undefined>(undefined)
  useEffect(() => {
    api.usual().then(
      (answer) => setUsual(answer.usual),
      () => setUsual(null),
    )
  }, [])
  return usual === undefined || !library ? null : <Sized {...props} usual={usual} library={library} />
}

/** The same request, its thing with an outline of its own. */
const withOutline = (spec: Starts['spec'], outline: Outline | null) =>
  outline ? { ...spec, holds: { ...(spec.holds as object), outline: outline.points } } : spec

const FIELDS = ['width', 'height', 'thickness', 'count'] as const
const SETTLED_MS = 60
const SYSTEMS = ['imperial', 'metric'] as const
const LAST_SYSTEM = 'gimbo.system'

const lastSystem = (): System => (kept.get(LAST_SYSTEM) === 'metric' ? 'metric' : 'imperial')

const asText = ({ count, ...lengths }: Held['usual'][System]) => ({ ...lengths, count: String(count) })

function Sized({
  held,
  catalogue,
  onStart,
  onBack,
  usual,
  library,
}: SizedProps & { usual: UsualSpec | null; library: Library }) {
  const isCardToMake = held.id === 'card-to-make'
  const [remembered] = useState(() => usual?.system ?? lastSystem())
  const [draft, setDraft] = useState(() => asDraft(usual, library.papers, library.tools))
  const [system, setSystem] = useState<System | null>(null)
  const [typed, setTyped] = useState<Record<string, string>>(() => asText(held.usual[remembered]))
  const [outline, setOutline] = useState<Outline | null>(null)
  const [found, setFound] = useState<Starts | null>(null)
  const [problems, setProblems] = useState<Record<string, string>>({})
  // What was last understood: a number without a unit is in the one that stood there.
  const shown = useRef<unknown>(typed)

  const given = useCallback((of: System) => usualChanges(draft, of, library), [draft, library])
  const ask = useCallback(
    () => api.starts(typed, shown.current, system, remembered, given(system ?? remembered)),
    [typed, system, remembered, given],
  )
  const refused = (error: unknown) =>
    setProblems(Object.fromEntries(problemsOf(error).map(({ at, message }) => [at.replace('/holds/', ''), message])))
  // What stands in the fields now, though the pictures may be of what stood there a moment ago.
  const start = (make: string) =>
    ask().then(({ spec }) => {
      kept.set(LAST_SYSTEM, spec.system)
      // It is begun with all the same where this cannot be kept now.
      api.sayUsual(given(spec.system)).catch(() => undefined)
      onStart(make, { make, ...withOutline(spec, outline) })
    }, refused)

  useEffect(() => {
    let isOver = false
    const timer = setTimeout(() => {
      ask().then(
        (starts) => {
          if (isOver) return
          shown.current = starts.spec.holds
          setFound(starts)
          setProblems({})
        },
        (error: unknown) => {
          if (!isOver) refused(error)
        },
      )
    }, SETTLED_MS)
    return () => {
      isOver = true
      clearTimeout(timer)
    }
  }, [ask])

  const suits = (make: string) => catalogue.makes.find((one) => one.id === make)?.holds.includes(held.id) ?? false
  const isGood = Object.keys(problems).length === 0
  const room = useRoom()
  const work = <Usual draft={draft} problems={problems} isSaid={usual !== null} onChange={setDraft} />
  const named = catalogue.sizes.filter((size) => size.kind !== 'sheet')
  return (
    <section>
      <h2 className="mb-3 text-2xl">
        {words(`start.size.${isCardToMake ? 'closed' : 'held'}`, { held: words(`held.${held.id}`) })}
      </h2>
      <div className="mb-5 form-grid max-w-5xl">
        {FIELDS.filter((field) => !isCardToMake || field === 'width' || field === 'height').map((field) => (
          <TextField
            key={field}
            label={words(`start.${field}`)}
            value={typed[field] ?? ''}
            problem={problems[field]}
            className="[&_input]:font-serif [&_input]:text-xl"
            autoFocus={field === 'width'}
            data-keypad={field === 'count' ? 'count' : 'length'}
            onFocus={(event) => event.target.select()}
            onChange={(value) => setTyped((now) => ({ ...now, [field]: value }))}
          />
        ))}
        <div>
          <label htmlFor="start-named" className="mb-1 block text-[0.98rem] text-soft">
            {words('start.named')}
          </label>
          <select
            id="start-named"
            className="field cursor-pointer"
            value=""
            onChange={(event) => {
              const size = named.find((one) => one.id === event.target.value)
              if (size) setTyped((now) => ({ ...now, width: size.width, height: size.height }))
            }}
          >
            <option value="">{words('start.own')}</option>
            {named.map((size) => (
              <option key={size.id} value={size.id}>
                {words(`size.${size.id}`)}
              </option>
            ))}
          </select>
        </div>
        <SelectField
          label={words('start.system')}
          value={system ?? found?.spec.system ?? remembered}
          choices={SYSTEMS.map((value) => ({ value, label: words(`system.${value}`) }))}
          onChange={(value) => setSystem(value as System)}
        />
      </div>
      {!isCardToMake && (
        <OutlineTaker
          outline={outline}
          onRead={(read) => {
            setOutline(read)
            if (read) setTyped((now) => ({ ...now, width: read.width, height: read.height }))
          }}
        />
      )}
      {room !== 'narrow' && work}
      {problems[''] && (
        <p role="alert" className="mb-3 text-warn">
          {problems['']}
        </p>
      )}
      <ul
        className={`grid grid-cols-[repeat(auto-fill,minmax(min(100%,9.5rem),1fr))] sm:grid-cols-[repeat(auto-fill,minmax(13.5rem,1fr))] gap-3 ${isGood ? '' : 'opacity-50'}`}
      >
        {found?.starts
          .filter((one) => suits(one.make))
          .map((one) => (
            <li key={one.make}>
              <button type="button" className="picture-button" disabled={!isGood} onClick={() => void start(one.make)}>
                <span className="block h-32 w-full">
                  <Still of={one.picture} />
                </span>
                <span className="font-serif text-lg font-semibold">{words(`make.${one.make}.noun`)}</span>
                <span className="text-[0.95rem] text-soft">
                  {words('start.from')} <Pair {...one.sheet} />
                  {one.sheets !== null && ` · ${words('start.sheets', { count: one.sheets })}`}
                </span>
              </button>
            </li>
          ))}
      </ul>
      {room === 'narrow' && <div className="mt-5">{work}</div>}
      <button type="button" className="quiet-button mt-4 -ml-3 text-live" onClick={onBack}>
        {words('start.back')}
      </button>
    </section>
  )
}
