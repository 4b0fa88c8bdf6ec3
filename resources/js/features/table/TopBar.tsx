import { newId } from '@/ui/newId'
import {
  Check,
  ClipboardCopy,
  ClipboardList,
  Clock,
  CloudOff,
  Columns3,
  Ellipsis,
  FileArchive,
  Footprints,
  FileJson,
  History as HistoryIcon,
  Image as ImageIcon,
  Layers2,
  LayoutGrid,
  NotebookPen,
  PencilRuler,
  PenTool,
  Printer,
  Redo2,
  Ruler,
  Scissors,
  Shapes,
  Smartphone,
  Table2,
  Tags,
  Undo2,
  type LucideIcon,
} from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { useEffect, useState, type ReactNode } from 'react'
import { Link, useNavigate } from 'react-router'
import { api, files, problemsOf, type DesignView, type Piece } from '@/api/client'
import { LookButtons, LookItems } from '@/ui/Header'
import type { Room } from '@/ui/room'
import { notice } from '@/ui/notices'
import { IconButton } from '@/ui/IconButton'
import { Wordmark } from '@/ui/Wordmark'
import { words } from '@/words'
import type { DraftBook } from './draftBook'
import { CutSheet } from './CutSheet'
import { HistorySheet } from './HistorySheet'
import { NotesSheet } from './NotesSheet'
import { handWanted } from './stepwise/hand'

interface TopBarProps {
  book: DraftBook
  view: DesignView
  piece: Piece
  room: Room
}

/** The design's name, whether it is kept, the way back and forth, and what can be handed on. */
export function TopBar({ book, view, piece, room }: TopBarProps) {
  const [showsHistory, setShowsHistory] = useState(false)
  const [isCutting, setIsCutting] = useState(false)
  const [isNoting, setIsNoting] = useState(false)
  const hasRoom = room === 'across' || room === 'large'
  const compare = `/designs/${view.id}/compare`
  return (
    <header className="flex flex-wrap items-center gap-x-[max(0rem,min(0.75rem,0.9vw))] px-[max(0.25rem,min(1.25rem,1.6vw))] py-1.5">
      <Wordmark label={words('table.to-shelf')} isShort={!hasRoom} />
      {hasRoom && (
        <span aria-hidden="true" className="text-xl text-soft">
          /
        </span>
      )}
      <NameField book={book} name={view.name} />
      <SavingNote book={book} isShort={!hasRoom} />
      <IconButton icon={Undo2} label={words('action.undo')} disabled={!view.canUndo} onClick={book.undo} />
      <IconButton icon={Redo2} label={words('action.redo')} disabled={!view.canRedo} onClick={book.redo} />
      {hasRoom && (
        <>
          <IconButton icon={HistoryIcon} label={words('action.history')} onClick={() => setShowsHistory(true)} />
          <LookButtons />
          <WayOn to={compare} icon={Columns3} label={words('action.compare')} face={words('action.compare.short')} />
        </>
      )}
      <WayOn
        to={`/designs/${view.id}/work`}
        icon={Footprints}
        label={words('hand-on.work')}
        face={words('hand-on.work.short')}
      />
      <HandOn
        view={view}
        piece={piece}
        isShort={!hasRoom}
        onCut={() => setIsCutting(true)}
        onNotes={() => setIsNoting(true)}
        onSaid={notice}
      >
        {!hasRoom && (
          <>
            <DropdownMenu.Item className="menu-item justify-start!" onSelect={() => setShowsHistory(true)}>
              <HistoryIcon aria-hidden="true" className="size-5 text-soft" />
              {words('action.history')}
            </DropdownMenu.Item>
            <DropdownMenu.Item asChild>
              <Link to={compare} className="menu-item justify-start!">
                <Columns3 aria-hidden="true" className="size-5 text-soft" />
                {words('action.compare')}
              </Link>
            </DropdownMenu.Item>
            <LookItems />
            <DropdownMenu.Separator className="mx-3 my-1 border-t border-line" />
          </>
        )}
      </HandOn>
      {isNoting && <NotesSheet book={book} notes={view.notes} by={view.by} onDone={() => setIsNoting(false)} />}
      {isCutting && <CutSheet view={view} onDone={() => setIsCutting(false)} />}
      {showsHistory && <HistorySheet book={book} view={view} onDone={() => setShowsHistory(false)} />}
    </header>
  )
}

/** To another view of the same design; where there is room, its name stands beside the picture. */
function WayOn({ to, icon: Icon, label, face }: { to: string; icon: LucideIcon; label: string; face: string }) {
  return (
    <Link className="quiet-button" to={to} title={label} aria-label={label}>
      <Icon aria-hidden="true" className="size-5" />
      <span aria-hidden="true" className="max-[77.5rem]:hidden">
        {face}
      </span>
    </Link>
  )
}

function NameField({ book, name }: { book: DraftBook; name: string }) {
  const draft = book.use((state) => state.drafts['/name'])
  const [gesture, setGesture] = useState('')
  return (
    <span className="relative min-w-16 flex-1">
      <input
        className="min-h-11 w-full max-w-96 truncate rounded-md bg-transparent px-2 py-2 font-serif text-lg font-semibold hover:bg-panel focus:bg-panel"
        aria-label={words('field.name')}
        aria-invalid={draft?.problem !== undefined}
        value={draft?.text ?? name}
        maxLength={200}
        onFocus={() => {
          setGesture(newId())
          book.focus('/name')
        }}
        onBlur={() => book.focus(null)}
        onChange={(event) => book.type('/name', event.target.value, gesture)}
      />
      {draft?.problem && (
        <span
          role="alert"
          className="absolute top-full left-0 z-30 w-max max-w-[70vw] rounded-lg border border-warn bg-panel px-3 py-2 text-warn shadow-lg"
        >
          {draft.problem}
        </span>
      )}
    </span>
  )
}

/** Shorter than this, what is being kept is not said to be: it would only flicker. */
const FLICKER_MS = 300

/** What is kept, and what is not: figures that wait look so, too. */
function SavingNote({ book, isShort }: { book: DraftBook; isShort: boolean }) {
  const saving = book.use((state) => state.saving)
  const said = book.use((state) => state.said)
  const isOnlyHere = book.use((state) => state.isOnlyHere && state.pending.length > 0)
  const isElsewhere = book.use((state) => state.isElsewhere)
  const isRefused = book.use(
    (state) => state.setAside.length > 0 || Object.values(state.drafts).some(({ problem }) => problem !== undefined),
  )
  const [showsKeeping, setShowsKeeping] = useState(false)
  const isKeeping = saving === 'saving'
  useEffect(() => {
    const timer = setTimeout(() => setShowsKeeping(isKeeping), isKeeping ? FLICKER_MS : 0)
    return () => clearTimeout(timer)
  }, [isKeeping])
  const isBad = saving === 'unanswered' || saving === 'slow' || isOnlyHere || (saving === 'saved' && isRefused)
  const state = isOnlyHere
    ? 'only-here'
    : saving === 'saving'
      ? showsKeeping
        ? 'keeping'
        : 'saved'
      : saving === 'saved' && isRefused
        ? 'refused'
        : saving === 'saved' && isElsewhere
          ? 'elsewhere'
          : saving
  const Icon = saving === 'unanswered' ? CloudOff : state === 'saved' || state === 'elsewhere' ? Check : Clock
  return (
    <span
      role="status"
      className={`flex items-center gap-1.5 text-[0.95rem] ${
        isBad
          ? // A row of its own: the name and what can be pressed keep their places.
            'order-last my-1 basis-full rounded-lg border border-warn bg-warn-wash px-3 py-1.5 text-warn'
          : isShort
            ? 'text-soft'
            : 'min-w-18 text-soft'
      }`}
    >
      <Icon aria-hidden="true" className="size-4 shrink-0" />
      <span className={isShort && !isBad ? 'sr-only' : ''}>
        {(state === 'unanswered' && said) || words(`saving.${state}`)}
      </span>
    </span>
  )
}

interface HandOnProps {
  view: DesignView
  piece: Piece
  onCut: () => void
  onNotes: () => void
  onSaid: (what: string) => void
  isShort: boolean
  /** What stands first where there is no room for it elsewhere. */
  children?: ReactNode
}

/** Puts the recipe on the clipboard, and says whether that went well. */
async function copyRecipe(id: string): Promise<string> {
  try {
    const answer = await fetch(files.recipe(id))
    if (!answer.ok) return words('saving.unanswered')
    await navigator.clipboard.writeText(await answer.text())
    return words('recipe.copied')
  } catch {
    return words('recipe.not-copied')
  }
}

function HandOn({ view, piece, onCut, onNotes, onSaid, isShort, children }: HandOnProps) {
  const navigate = useNavigate()
  const plan = () =>
    api
      .addPlan(words('plan.of', { name: view.name }), {
        items: [{ design: view.id, count: Number(view.fields['/wanted']?.text ?? 1) }],
      })
      .then(
        ({ id }) => void navigate(`/plans/${id}`),
        (error: unknown) => onSaid(problemsOf(error)[0]?.message ?? ''),
      )
  const paper = view.design.system === 'metric' ? 'a4' : 'letter'
  const other = paper === 'a4' ? 'letter' : 'a4'
  const downloads = [
    { icon: Smartphone, key: 'onefile', href: files.oneFile(view.id) },
    { icon: ClipboardList, key: 'recipe', href: files.recipe(view.id) },
    { icon: ImageIcon, key: 'pictures', href: files.measures(view.id) },
    { icon: Layers2, key: `template.${paper}`, href: files.template(view.id, paper) },
    { icon: Layers2, key: `template.${other}`, href: files.template(view.id, other) },
    ...(view.design.pieces.some(({ role }) => role === 'label')
      ? [{ icon: Tags, key: 'labels', href: files.labels(view.id, paper) }]
      : []),
    { icon: PencilRuler, key: 'svg', href: files.svg(view.id, piece.id) },
    { icon: Ruler, key: 'dxf', href: files.dxf(view.id, piece.id) },
    { icon: PenTool, key: 'hpgl', href: files.hpgl(view.id, piece.id) },
    { icon: Shapes, key: 'fold', href: files.fold(view.id, piece.id) },
    { icon: Table2, key: 'csv', href: files.cuttingList(view.id) },
    { icon: FileJson, key: 'json', href: files.design(view.id) },
    { icon: FileArchive, key: 'zip', href: files.everything(view.id, paper) },
  ]
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger
        className={isShort ? 'quiet-button' : 'full-button'}
        aria-label={isShort ? words('hand-on.more') : undefined}
      >
        {!isShort && words('hand-on.title')}
        <Ellipsis aria-hidden="true" className="size-4" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          className="menu max-h-(--radix-dropdown-menu-content-available-height)!"
          align="end"
          sideOffset={6}
          collisionPadding={8}
        >
          {children}
          <DropdownMenu.Item asChild>
            <a
              href={`/designs/${view.id}/print${handWanted() === 'left' ? '?hand=left' : ''}`}
              className="menu-item justify-start!"
            >
              <Printer aria-hidden="true" className="size-5 text-soft" />
              {words('hand-on.print')}
            </a>
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className="menu-item justify-start!"
            onSelect={() => void copyRecipe(view.id).then(onSaid)}
          >
            <ClipboardCopy aria-hidden="true" className="size-5 text-soft" />
            {words('recipe.copy')}
          </DropdownMenu.Item>
          <DropdownMenu.Item className="menu-item justify-start!" onSelect={onNotes}>
            <NotebookPen aria-hidden="true" className="size-5 text-soft" />
            {words('hand-on.notes')}
          </DropdownMenu.Item>
          <DropdownMenu.Item className="menu-item justify-start!" onSelect={() => void plan()}>
            <LayoutGrid aria-hidden="true" className="size-5 text-soft" />
            {words('hand-on.plan')}
          </DropdownMenu.Item>
          <DropdownMenu.Item className="menu-item justify-start!" onSelect={onCut}>
            <Scissors aria-hidden="true" className="size-5 text-soft" />
            {words('hand-on.cut')}
          </DropdownMenu.Item>
          <DropdownMenu.Separator className="mx-3 my-1 border-t border-line" />
          {downloads.map(({ icon: Icon, key, href }) => (
            <DropdownMenu.Item key={key} asChild>
              <a href={href} download className="menu-item justify-start!">
                <Icon aria-hidden="true" className="size-5 text-soft" />
                {words(`hand-on.${key}`)}
              </a>
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}
