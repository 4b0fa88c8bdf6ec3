import { Download } from 'lucide-react'
import { useState } from 'react'
import { api, files, problemsOf, type Problem } from '@/api/client'
import { refreshLibrary } from '@/api/useLibrary'
import { FileButton } from '@/ui/FileButton'
import { notice } from '@/ui/notices'
import { words } from '@/words'

/** What there is in the drawer as a file, out and in; every line of it that is wrong is said. */
export function StockFile() {
  const [wrong, setWrong] = useState<Problem[]>([])
  const take = async (csv: string) => {
    setWrong([])
    try {
      const { taken } = await api.takeStock(csv)
      notice(words('stock.taken', { count: taken }))
    } catch (error) {
      setWrong(problemsOf(error))
    }
    await refreshLibrary()
  }
  return (
    <>
      <a href={files.stock()} download className="quiet-button">
        <Download aria-hidden="true" className="size-5" /> {words('stock.file-out')}
      </a>
      <FileButton
        label={words('stock.file-in')}
        accept=".csv,text/csv"
        onFile={(file) => void file.text().then(take)}
      />
      {wrong.length > 0 && (
        <ul role="alert" className="basis-full text-warn">
          {wrong.map(({ at, message }) => (
            <li key={at}>
              {/^\/csv\/\d+$/.test(at) && `${words('sizes.line', { line: Number(at.slice(5)) })}: `}
              {message}
            </li>
          ))}
        </ul>
      )}
    </>
  )
}
