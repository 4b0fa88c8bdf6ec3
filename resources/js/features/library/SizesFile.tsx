import { useEffect, useState } from 'react'
import { api, problemsOf, type SizesPreview } from '@/api/client'
import { refreshLibrary } from '@/api/useLibrary'
import { ErrorNote } from '@/ui/ErrorNote'
import { Pair } from '@/ui/Pair'
import { Sheet } from '@/ui/Sheet'
import { words } from '@/words'

/** What a file of sizes holds, line by line, before anything of it is kept. */
export function SizesFile({ csv, onDone }: { csv: string | null; onDone: () => void }) {
  const [seen, setSeen] = useState<{ csv: string; rows: SizesPreview['rows']; trouble: string | null } | null>(null)
  useEffect(() => {
    if (csv === null) return
    let isOver = false
    api.previewSizes(csv).then(
      ({ rows }) => !isOver && setSeen({ csv, rows, trouble: null }),
      (error: unknown) => !isOver && setSeen({ csv, rows: [], trouble: problemsOf(error)[0]?.message ?? '' }),
    )
    return () => {
      isOver = true
    }
  }, [csv])
  if (csv === null || seen?.csv !== csv) return null
  const good = seen.rows.filter((row) => row.entry !== null).length
  const take = async () => {
    try {
      await api.takeSizes(csv)
      await refreshLibrary()
      onDone()
    } catch (error) {
      setSeen({ ...seen, trouble: problemsOf(error)[0]?.message ?? '' })
    }
  }
  return (
    <Sheet title={words('sizes.file')} isOpen onOpenChange={(isOpen) => !isOpen && onDone()} isWide>
      {seen.trouble !== null && <ErrorNote>{seen.trouble}</ErrorNote>}
      {seen.trouble === null && (
        <p className="mb-3">{words('sizes.file-holds', { good, bad: seen.rows.length - good })}</p>
      )}
      <table className="w-full">
        <tbody>
          {seen.rows.map((row) => (
            <tr
              key={row.line}
              className={`border-b border-line ${row.problem ? 'text-warn' : ''}`}
              data-line={row.line}
            >
              <th scope="row" className="w-20 py-1.5 text-left font-normal whitespace-nowrap">
                {words('sizes.line', { line: row.line })}
              </th>
              <td className="py-1.5 pr-4 font-semibold">{row.entry?.name}</td>
              <td className="py-1.5">
                {row.entry && (
                  <>
                    <Pair width={row.entry.width} height={row.entry.height} />
                  </>
                )}
                {row.problem?.message}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-5 flex justify-end gap-2">
        <button type="button" className="quiet-button" onClick={onDone}>
          {words('form.leave')}
        </button>
        {good > 0 && (
          <button type="button" className="full-button" onClick={() => void take()}>
            {words('sizes.file-take', { good })}
          </button>
        )}
      </div>
    </Sheet>
  )
}
