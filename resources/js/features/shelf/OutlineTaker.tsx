import { X } from 'lucide-react'
import { useState } from 'react'
import { api, LARGEST_FILE, problemsOf, type Outline } from '@/api/client'
import { FileButton } from '@/ui/FileButton'
import { Pair } from '@/ui/Pair'
import { SelectField } from '@/ui/SelectField'
import { words } from '@/words'

const UNITS = ['mm', 'cm', 'in', 'pt', 'px'] as const

interface OutlineTakerProps {
  outline: Outline | null
  onRead: (outline: Outline | null) => void
}

/** Takes the outline of what must be held out of a drawing, and asks for its unit where the file does not say. */
export function OutlineTaker({ outline, onRead }: OutlineTakerProps) {
  const [file, setFile] = useState<{ name: string; text: string } | null>(null)
  const [unit, setUnit] = useState('')
  const [problem, setProblem] = useState('')

  const read = async (name: string, text: string, as: string | null) => {
    try {
      const found = await api.outline(text, as)
      setProblem('')
      setFile({ name, text })
      onRead(found)
    } catch (error) {
      const first = problemsOf(error)[0]
      const asksUnit = first?.at === '/unit'
      setFile(asksUnit ? { name, text } : null)
      setProblem(asksUnit ? '' : (first?.message ?? ''))
      onRead(null)
    }
  }
  const take = (picked: File) => {
    setUnit('')
    if (picked.size > LARGEST_FILE) {
      setFile(null)
      setProblem(words('reason.request.too-large'))
      onRead(null)
      return
    }
    void picked.text().then((text) => read(picked.name, text, null))
  }
  const needsUnit = file !== null && (outline === null || outline.unit !== null)
  return (
    <div className="mb-4 flex max-w-4xl flex-wrap items-end gap-x-5 gap-y-2">
      <FileButton label={words('outline.take-in')} accept=".svg,.dxf,.fold,.json,image/svg+xml" onFile={take} />
      {needsUnit && (
        <SelectField
          label={words('outline.unit')}
          value={unit}
          choices={[
            ...(unit === '' ? [{ value: '', label: '…' }] : []),
            ...UNITS.map((value) => ({ value, label: words(`outline.unit.${value}`) })),
          ]}
          onChange={(to) => {
            setUnit(to)
            void read(file.name, file.text, to)
          }}
        />
      )}
      {outline && file && (
        <figure className="flex items-center gap-3">
          <OutlinePicture outline={outline} />
          <figcaption className="leading-snug">
            {words('outline.drawn', { name: file.name })}
            <br />
            <Pair width={outline.width} height={outline.height} />
          </figcaption>
          <button
            type="button"
            className="quiet-button"
            aria-label={words('outline.forget')}
            onClick={() => {
              setFile(null)
              onRead(null)
            }}
          >
            <X aria-hidden="true" className="size-5" />
          </button>
        </figure>
      )}
      {problem && (
        <p role="alert" className="basis-full text-warn">
          {problem}
        </p>
      )}
    </div>
  )
}

function OutlinePicture({ outline }: { outline: Outline }) {
  const wide = Math.max(...outline.points.map(([x]) => x ?? 0))
  const high = Math.max(...outline.points.map(([, y]) => y ?? 0))
  const pad = Math.max(wide, high) * 0.03
  return (
    <svg
      viewBox={`${-pad} ${-pad} ${wide + 2 * pad} ${high + 2 * pad}`}
      className="h-20 max-w-40"
      role="img"
      aria-label={words('outline.title')}
    >
      <polygon
        points={outline.points.map(([x, y]) => `${x},${high - (y ?? 0)}`).join(' ')}
        className="fill-paper stroke-ink"
        strokeWidth="1.5"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  )
}
