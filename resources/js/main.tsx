import '../css/app.css'
import { lazy, StrictMode, Suspense, useEffect, useState } from 'react'
import { createRoot } from 'react-dom/client'
import { BrowserRouter, Route, Routes, useParams } from 'react-router'
import { api, type Catalogue } from './api/client'
import { Shelf } from './features/shelf/Shelf'
import { Table } from './features/table/Table'
import { Keys } from './ui/Keys'
import { catchDownloads } from './ui/downloads'
import { Asking } from './ui/Asking'
import { ErrorNote } from './ui/ErrorNote'
import { Notices } from './ui/Notices'
import { watchFocus } from './ui/focus'
import { Keypad } from './ui/Keypad'
import { watchTouch } from './ui/touch'
import { Main } from './ui/Main'
import { followTheme } from './ui/theme'
import { speak, words } from './words'

// What is not needed to begin is fetched when it is gone to.
const Compare = lazy(() => import('./features/table/Compare').then((it) => ({ default: it.Compare })))
const Work = lazy(() => import('./features/table/stepwise/Work').then((it) => ({ default: it.Work })))
const CuttingPage = lazy(() => import('./features/cutting/CuttingPage').then((it) => ({ default: it.CuttingPage })))
const PlansPage = lazy(() => import('./features/plans/PlansPage').then((it) => ({ default: it.PlansPage })))
const PlanPage = lazy(() => import('./features/plans/PlanPage').then((it) => ({ default: it.PlanPage })))
const BackupsPage = lazy(() => import('./features/backups/BackupsPage').then((it) => ({ default: it.BackupsPage })))
const LibraryPage = lazy(() => import('./features/library/LibraryPage').then((it) => ({ default: it.LibraryPage })))

const RETRY_MS = 1000

function App() {
  const [catalogue, setCatalogue] = useState<Catalogue | null>(null)
  const [isWaiting, setWaiting] = useState(false)

  useEffect(() => {
    let isOver = false
    const load = async () => {
      try {
        const found = await api.catalogue()
        if (!isOver) setCatalogue(found)
      } catch {
        if (isOver) return
        setWaiting(true)
        setTimeout(() => void load(), RETRY_MS)
      }
    }
    void load()
    return () => {
      isOver = true
    }
  }, [])

  if (!catalogue)
    return isWaiting ? (
      <Main title="" className="p-[max(1rem,3vw)]">
        <ErrorNote>{words('saving.waiting')}</ErrorNote>
      </Main>
    ) : null
  return (
    <Suspense>
      <Routes>
        <Route path="/" element={<Shelf catalogue={catalogue} />} />
        <Route path="/designs/:id" element={<TablePage catalogue={catalogue} />} />
        <Route path="/designs/:id/compare" element={<ComparePage catalogue={catalogue} />} />
        <Route path="/designs/:id/work" element={<WorkPage />} />
        <Route path="/library/:kind" element={<Kept catalogue={catalogue} />} />
        <Route path="/backups" element={<BackupsPage />} />
        <Route path="/plans" element={<PlansPage />} />
        <Route path="/plans/:id" element={<OnePlan />} />
        <Route path="/cutting" element={<CuttingPage />} />
        <Route path="/cutting/machines" element={<LibraryPage kind="cutters" catalogue={catalogue} />} />
        <Route path="*" element={<Shelf catalogue={catalogue} />} />
      </Routes>
    </Suspense>
  )
}

function TablePage({ catalogue }: { catalogue: Catalogue }) {
  const { id = '' } = useParams()
  return <Table key={id} designId={id} catalogue={catalogue} />
}

function OnePlan() {
  const { id = '' } = useParams()
  return <PlanPage key={id} id={id} />
}

function Kept({ catalogue }: { catalogue: Catalogue }) {
  const { kind = 'sizes' } = useParams()
  return <LibraryPage kind={kind} catalogue={catalogue} />
}

function ComparePage({ catalogue }: { catalogue: Catalogue }) {
  const { id = '' } = useParams()
  return <Compare key={id} designId={id} catalogue={catalogue} />
}

function WorkPage() {
  const { id = '' } = useParams()
  return <Work key={id} designId={id} />
}

followTheme()
watchFocus()
watchTouch()
catchDownloads()
await speak(document.documentElement.lang)
createRoot(document.getElementById('app') as HTMLElement).render(
  <StrictMode>
    <BrowserRouter>
      <div className="app-page">
        <App />
      </div>
      <Keypad />
      <Keys />
      <Notices />
      <Asking />
    </BrowserRouter>
  </StrictMode>,
)
