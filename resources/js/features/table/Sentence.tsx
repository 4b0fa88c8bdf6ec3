import { ChevronsUpDown, Layers as LayersIcon, SlidersHorizontal } from 'lucide-react'
import { Popover } from 'radix-ui'
import type { Catalogue, Change, DesignView, PaperStock, ToolSet } from '@/api/client'
import { useLibrary } from '@/api/useLibrary'
import { ChoicePart } from '@/ui/ChoicePart'
import { Figure } from '@/ui/Figure'
import { hasWords, words, wordsAround } from '@/words'
import type { DraftBook } from './draftBook'
import { Field } from './Field'

interface SentenceProps {
  book: DraftBook
  view: DesignView
  catalogue: Catalogue
}

/** The request as a sentence whose parts are changed where they stand. */
export function Sentence({ book, view, catalogue }: SentenceProps) {
  const options = catalogue.makes.find((make) => make.id === view.choices['/make'])?.options ?? []
  const shown = options.filter(
    (option) => !option.when || view.choices[`/options/${option.when.option}`] === option.when.choice,
  )
  const slots: Record<string, React.ReactNode> = {
    make: <Choose {...{ book, view }} at="/make" values={catalogue.makes.map((make) => make.id)} faces="make" />,
    count: <Field {...{ book, view }} at="/holds/count" />,
    items: words(view.fields['/holds/count']?.text === '1' ? 'sentence.item' : 'sentence.items'),
    width: <Field {...{ book, view }} at="/holds/width" />,
    height: <Field {...{ book, view }} at="/holds/height" />,
    named: <NamedSizes {...{ book, view, catalogue }} />,
    thickness: (
      <>
        <Field {...{ book, view }} at="/holds/thickness" /> <Layers {...{ book, view }} />
      </>
    ),
    'clearance-width': <Field {...{ book, view }} at="/clearance/width" />,
    'clearance-height': <Field {...{ book, view }} at="/clearance/height" />,
    sheet: <PaperSheet {...{ book, view, catalogue }} />,
    caliper: <Field {...{ book, view }} at="/paper/caliper" />,
    options: shown
      .filter((option) => hasWords(`option.${option.id}`))
      .map((option) => (
        <span key={option.id}>
          {wordsAround(`option.${option.id}`).map((part, i) =>
            'text' in part ? (
              <span key={i}>{part.text}</span>
            ) : option.kind === 'choice' ? (
              <Choose key={i} {...{ book, view }} at={`/options/${option.id}`} values={option.choices} faces="choice" />
            ) : (
              <Field key={i} {...{ book, view }} at={`/options/${option.id}`} />
            ),
          )}
        </span>
      )),
    system: <Choose {...{ book, view }} at="/system" values={['imperial', 'metric']} faces="system" />,
    tools: (
      <Details
        {...{ book, view }}
        more={shown.filter((option) => !hasWords(`option.${option.id}`)).map((option) => `/options/${option.id}`)}
      />
    ),
  }
  return (
    <div className="sentence" aria-label={words('sentence.label')} role="group">
      {wordsAround(
        hasWords(`sentence.${view.choices['/make']}`) ? `sentence.${view.choices['/make']}` : 'sentence',
      ).map((part, i) => (
        <span key={i}>{'text' in part ? part.text : slots[part.slot]}</span>
      ))}
    </div>
  )
}

type PartProps = Pick<SentenceProps, 'book' | 'view'> & { at: string }

function Choose({ book, view, at, values, faces }: PartProps & { values: string[]; faces: string }) {
  const value = view.choices[at] ?? ''
  return (
    <ChoicePart
      label={words(`field${at.replaceAll('/', '.')}`)}
      value={value}
      face={words(`${faces}.${value}`)}
      groups={[{ choices: values.map((one) => ({ value: one, label: words(`${faces}.${one}`) })) }]}
      onChoose={(to) => book.set([{ at, to }])}
    />
  )
}

const sizeAside = (size: { width: string; height: string }) => (
  <>
    <Figure text={size.width} unit={false} /> × <Figure text={size.height} />
  </>
)

/** A card or an envelope by its name, published or the maker's own, instead of its two lengths. */
function NamedSizes({ book, view, catalogue }: SentenceProps) {
  const own = useLibrary().library?.sizes ?? []
  const isNow = (size: { width: string; height: string }) =>
    size.width === view.fields['/holds/width']?.text && size.height === view.fields['/holds/height']?.text
  const now = catalogue.sizes.find((size) => size.kind !== 'sheet' && isNow(size))
  const group = (kind: string) => ({
    label: words(`sizes.${kind}`),
    choices: catalogue.sizes
      .filter((size) => size.kind === kind)
      .map((size) => ({ value: size.id, label: words(`size.${size.id}`), aside: sizeAside(size) })),
  })
  return (
    <ChoicePart
      className="icon-part"
      label={words('field.size-by-name')}
      value={now?.id ?? ''}
      face={<ChevronsUpDown aria-hidden="true" className="size-5" />}
      groups={[
        ...(own.length > 0
          ? [
              {
                label: words('sizes.own'),
                choices: own.map((size) => ({ value: size.id, label: size.name, aside: sizeAside(size) })),
              },
            ]
          : []),
        group('card'),
        group('envelope'),
      ]}
      onChoose={(id) => {
        const size = [...catalogue.sizes, ...own].find((one) => one.id === id)
        if (size)
          book.set([
            { at: '/holds/width', to: size.width },
            { at: '/holds/height', to: size.height },
          ])
      }}
    />
  )
}

/** The paper from the drawer or the sheet it must come out of, if any. */
function PaperSheet({ book, view, catalogue }: SentenceProps) {
  const papers = useLibrary().library?.papers ?? []
  const paper = view.choices['/paper/name']
  const [width, height] = [view.fields['/paper/sheet/width'], view.fields['/paper/sheet/height']]
  const sheets = catalogue.sizes.filter((size) => size.kind === 'sheet')
  const now = sheets.find((size) => size.width === width?.text && size.height === height?.text)
  const choose = (id: string) => {
    const kept = papers.find((one) => one.id === id)
    if (kept) return book.set(paperChanges(kept))
    const size = sheets.find((one) => one.id === id)
    book.set(
      size
        ? [
            { at: '/paper/sheet/width', to: size.width },
            { at: '/paper/sheet/height', to: size.height },
          ]
        : [{ at: '/paper/sheet', to: null }],
    )
  }
  return (
    <>
      <ChoicePart
        label={words('field.paper.sheet')}
        value={now?.id ?? (width ? 'own' : 'any')}
        face={paper ?? (width ? (now ? words(`size.${now.id}`) : words('sheet.own')) : words('sheet.any'))}
        groups={[
          { choices: [{ value: 'any', label: words('sheet.any') }] },
          ...(papers.length > 0
            ? [
                {
                  label: words('papers.title'),
                  choices: papers.map((one) => ({
                    value: one.id,
                    label: one.name,
                    aside:
                      one.width && one.height ? (
                        sizeAside({ width: one.width, height: one.height })
                      ) : (
                        <Figure text={one.caliper} />
                      ),
                  })),
                },
              ]
            : []),
          {
            label: words('sizes.sheet'),
            choices: sheets.map((size) => ({
              value: size.id,
              label: words(`size.${size.id}`),
              aside: sizeAside(size),
            })),
          },
        ]}
        onChoose={choose}
      />
      {width && (
        <>
          {' '}
          <span className="whitespace-nowrap">
            (<Field {...{ book, view }} at="/paper/sheet/width" /> ×{' '}
            <Field {...{ book, view }} at="/paper/sheet/height" />)
          </span>
        </>
      )}
    </>
  )
}

const LAYERS = ['card', 'mats', 'mat', 'decoration', 'envelope', 'liner']

/** What a card with mats and flowers on it is usually made of: what is asked for first. */
const USUAL_LAYERS = { card: '0.3 mm', mats: 1, mat: '0.3 mm' }

/** The thickness from what the card is made of, where nobody has measured it. */
function Layers({ book, view }: Pick<SentenceProps, 'book' | 'view'>) {
  const isLayered = view.fields['/holds/layers/card'] !== undefined
  return (
    <Popover.Root>
      <Popover.Trigger className="icon-part" aria-label={words('layers.open')}>
        <LayersIcon aria-hidden="true" className="size-5" />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={words('layers.title')}
          className="menu sentence p-4!"
          align="start"
          sideOffset={6}
          collisionPadding={12}
        >
          <h2 className="mb-1 text-lg leading-snug">{words('layers.title')}</h2>
          {!isLayered && <p className="max-w-72 font-sans text-base leading-snug text-soft">{words('layers.why')}</p>}
          <dl className="grid grid-cols-[1fr_auto] items-center gap-x-6 text-[1.05rem]">
            {LAYERS.filter((layer) => view.fields[`/holds/layers/${layer}`]).map((layer) => (
              <div key={layer} className="contents">
                <dt className="font-sans text-soft">{words(`field.holds.layers.${layer}`)}</dt>
                <dd className="text-right">
                  <Field {...{ book, view }} at={`/holds/layers/${layer}`} />
                </dd>
              </div>
            ))}
          </dl>
          <button
            type="button"
            className="quiet-button -ml-3 font-sans text-base font-semibold text-live"
            onClick={() =>
              book.set(
                isLayered
                  ? [
                      { at: '/holds/thickness', to: view.fields['/holds/thickness']?.text ?? null },
                      { at: '/holds/layers', to: null },
                    ]
                  : [
                      { at: '/holds/thickness', to: null },
                      { at: '/holds/layers', to: USUAL_LAYERS },
                    ],
              )
            }
          >
            {words(isLayered ? 'layers.measured' : 'layers.use')}
          </button>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

/** A design that uses a paper takes its caliper, its sheet and its colour. */
function paperChanges(paper: PaperStock): Change[] {
  return [
    { at: '/paper/name', to: paper.name },
    { at: '/paper/colour', to: paper.colour },
    { at: '/paper/grammage', to: paper.grammage },
    { at: '/paper/caliper', to: paper.caliper },
    { at: '/paper/sheet', to: paper.width && paper.height ? { width: paper.width, height: paper.height } : null },
  ]
}

/** A design that uses a set of tools is rounded to them, in their system. */
function toolChanges(tools: ToolSet): Change[] {
  return [
    { at: '/system', to: tools.system },
    { at: '/tools/name', to: tools.name },
    { at: '/tools/cut', to: tools.cut },
    { at: '/tools/score', to: tools.score },
    { at: '/tools/punch', to: tools.punch },
    { at: '/tools/notch', to: tools.notch },
    { at: '/tools/reach', to: tools.reach },
  ]
}

const USUAL_TOOLS: Change[] = [{ at: '/tools', to: null }]

/** The set of tools by its name. */
function Tools({ book, view }: Pick<SentenceProps, 'book' | 'view'>) {
  const sets = useLibrary().library?.tools ?? []
  const now = sets.find((set) => set.name === view.choices['/tools/name'])
  if (sets.length === 0) return null
  return (
    <p className="mb-2 text-[1.1rem]">
      {words('tools.with')}{' '}
      <ChoicePart
        label={words('place.tools')}
        value={now?.id ?? ''}
        face={view.choices['/tools/name'] ?? words('tools.usual-set')}
        groups={[
          {
            choices: [
              { value: '', label: words('tools.usual-set') },
              ...sets.map((set) => ({ value: set.id, label: set.name })),
            ],
          },
        ]}
        onChoose={(id) => {
          const set = sets.find((one) => one.id === id)
          book.set(set ? toolChanges(set) : USUAL_TOOLS)
        }}
      />
    </p>
  )
}

const DETAILS = ['/tools/cut', '/tools/score', '/tools/punch', '/tools/notch', '/tools/reach', '/clearance/depth']

/** What most boards and trimmers reach. */
const USUAL_REACH = { imperial: '12 in', metric: '305 mm' }

/** What matters seldom: a make's finer lengths, the tools' own steps, the notch, room in depth. One step away. */
function Details({ book, view, more }: Pick<SentenceProps, 'book' | 'view'> & { more: string[] }) {
  const drafts = book.use((state) => state.drafts)
  const fields = [...more, ...DETAILS].filter((at) => view.fields[at])
  const isWrong = fields.some((at) => drafts[at]?.problem !== undefined)
  const isOwn = fields.some((at) => view.fields[at]?.given)
  return (
    <Popover.Root>
      <Popover.Trigger className="part" data-wrong={isWrong} data-default={!isOwn}>
        <span className="part-face inline-flex items-center gap-1.5">
          <SlidersHorizontal aria-hidden="true" className="size-4" />
          {view.choices['/tools/name'] ?? words(isOwn ? 'tools.own' : 'tools.usual')}
        </span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={words('tools.title')}
          className="menu sentence p-4!"
          align="end"
          sideOffset={6}
          collisionPadding={12}
        >
          <h2 className="mb-1 text-lg leading-snug">{words('tools.title')}</h2>
          <Tools book={book} view={view} />
          <dl className="grid grid-cols-[1fr_auto] items-center gap-x-6 text-[1.05rem]">
            {fields.map((at) => (
              <div key={at} className="contents">
                <dt className="font-sans text-soft">{words(`field${at.replaceAll('/', '.')}`)}</dt>
                <dd className="text-right">
                  <Field {...{ book, view }} at={at} />
                </dd>
              </div>
            ))}
          </dl>
          <button
            type="button"
            className="quiet-button -ml-3 font-sans text-base font-semibold text-live"
            onClick={() =>
              book.set([
                { at: '/tools/reach', to: view.fields['/tools/reach'] ? null : USUAL_REACH[view.design.system] },
              ])
            }
          >
            {words(view.fields['/tools/reach'] ? 'tools.forget-reach' : 'tools.say-reach')}
          </button>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
