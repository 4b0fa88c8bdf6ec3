import { X } from 'lucide-react'
import { memo, type ReactNode } from 'react'
import { ChoicePart } from '@/ui/ChoicePart'
import { words, wordsAround } from '@/words'
import { Field } from '../Field'
import type { PartProps } from '../sentence/part'
import { AddMenu } from './AddMenu'
import { additionsOf, middleOf, panelsOf, placeName, punchesIn, reshaped, shapeOf, type Addition } from './additions'
import { PaperPart } from './PaperPart'
import { TextPart } from './TextPart'

/** What goes with it as a second sentence: each thing a phrase, changed where it stands. */
export function With({ book, view }: PartProps) {
  const additions = additionsOf(view)
  if (additions.length === 0) return null
  const shared = sharedBy(view)
  return (
    <div className="sentence with-sentence scroller" role="group" aria-label={words('with.group')}>
      <AddMenu book={book} view={view} /> <span>{words('with.begins')} </span>
      {additions.map((addition, i) => (
        <span key={addition.id} data-with={addition.id} className="with-phrase">
          <Phrase {...{ book, view, addition, i }} told={`${shared} ${toldOf(view, i)}`} />
          <button
            type="button"
            className="with-out"
            aria-label={words('with.out', { what: words(`with.role.${addition.role}`) })}
            onClick={() => book.set([{ at: `/with/${i}`, to: null }])}
          >
            <X aria-hidden="true" className="size-4" />
          </button>
          {i < additions.length - 1 && '; '}
        </span>
      ))}
    </div>
  )
}

/** What every phrase hangs on: the papers and the panels there are, and what lies on which. */
const sharedBy = (view: PartProps['view']) =>
  JSON.stringify([
    view.design.system,
    view.design.papers.map(({ id, name }) => [id, name]),
    panelsOf(view.design).map(({ on, isHidden }) => [on, isHidden]),
    additionsOf(view).map(({ id, role, on }) => [id, role, on]),
    punchesIn(view),
  ])

/** What one phrase says. */
const toldOf = (view: PartProps['view'], i: number) =>
  JSON.stringify([additionsOf(view)[i], Object.entries(view.fields).filter(([at]) => at.startsWith(`/with/${i}/`))])

interface PhraseProps extends PartProps {
  addition: Addition
  i: number
  /** All that it says and hangs on: while that is the same, it stays as it is. */
  told: string
}

const Phrase = memo(
  Told,
  (before, after) => before.told === after.told && before.i === after.i && before.book === after.book,
)

function Told({ book, view, addition, i }: PhraseProps) {
  const at = `/with/${i}`
  const punches = punchesIn(view)
  const field = (name: string) => <Field {...{ book, view }} at={`${at}/${name}`} />
  const choice = (name: string, value: string, values: string[], to = (one: string): unknown => one) => (
    <ChoicePart
      label={words(`with.${name}`)}
      value={value}
      face={words(`with.${name}.${value}`)}
      groups={[{ choices: values.map((one) => ({ value: one, label: words(`with.${name}.${one}`) })) }]}
      onChoose={(one) => book.set([{ at: `${at}/${name}`, to: to(one) }])}
    />
  )
  const paper = (name: string, id: string | undefined) => (
    <PaperPart {...{ book, view }} at={`${at}/${name}`} paper={id} />
  )
  const slots: Record<string, () => ReactNode> = {
    paper: () => paper('paper', addition.paper),
    on: () => <Place {...{ book, view, addition, at }} />,
    border: () =>
      typeof addition.border === 'object' ? (
        <span className="whitespace-nowrap">
          {field('border/width')} × {field('border/height')}
        </span>
      ) : (
        field('border')
      ),
    alike: () => (
      <button
        type="button"
        className="with-word"
        onClick={() => {
          const { text = '' } = view.fields[`${at}/border`] ?? view.fields[`${at}/border/width`] ?? {}
          book.set([
            { at: `${at}/border`, to: typeof addition.border === 'object' ? text : { width: text, height: text } },
          ])
        }}
      >
        {words(typeof addition.border === 'object' ? 'with.border.alike' : 'with.border.each')}
      </button>
    ),
    width: () => field('width'),
    height: () => field('height'),
    size: () => (view.fields[`${at}/size`] ? field('size') : null),
    bow: () => (view.fields[`${at}/bow`] ? field('bow') : null),
    way: () =>
      addition.role === 'ribbon'
        ? choice('way', addition.way ?? 'once', ['once', 'both', 'behind'])
        : choice('way', addition.way ?? 'across', ['across', 'upright']),
    by: () => choice('by', addition.by ?? 'dot', ['dot', 'string', 'slit', 'catch']),
    shape: () =>
      choice('shape', shapeOf(addition.shape), ['circle', 'oval', 'rect', 'rounded'], (to) =>
        reshaped(addition.shape, to),
      ),
    sizes: () => (
      <span className="whitespace-nowrap">
        {addition.shape?.circle ? (
          <>
            {field('shape/circle')}
            {punches.circles && (
              <ChoicePart
                label={words('with.punched')}
                value={typeof addition.shape.circle === 'string' ? addition.shape.circle : ''}
                face="▾"
                groups={[{ choices: punches.circles.map((size) => ({ value: size, label: size })) }]}
                onChoose={(size) => book.set([{ at: `${at}/shape/circle`, to: size }])}
              />
            )}
          </>
        ) : null}
        {(['rect', 'oval'] as const).map((kind) =>
          addition.shape?.[kind] ? (
            <span key={kind}>
              {field(`shape/${kind}/0`)} × {field(`shape/${kind}/1`)}
            </span>
          ) : null,
        )}
      </span>
    ),
    backing: () => <WindowPart {...{ book, view, at }} part="backing" of={addition.backing} />,
    frame: () => <WindowPart {...{ book, view, at }} part="frame" of={addition.frame} />,
    corners: () => (
      <>
        <ChoicePart
          label={words('with.corners')}
          value={addition.radius === undefined ? 'square' : 'round'}
          face={words(`with.corners.${addition.radius === undefined ? 'square' : 'round'}`)}
          groups={[{ choices: ['square', 'round'].map((value) => ({ value, label: words(`with.corners.${value}`) })) }]}
          onChoose={(one) =>
            book.set([{ at: `${at}/radius`, to: one === 'square' ? null : (punches.corners?.[0] ?? usual(view)) }])
          }
        />
        {addition.radius !== undefined && <> {field('radius')}</>}
      </>
    ),
    edge: () =>
      punches.repeat || (addition.edge && addition.edge !== 'none') ? (
        <>, {choice('edge', addition.edge ?? 'none', ['none', 'bottom', 'top', 'both'])}</>
      ) : null,
    at: () => (
      <>
        <ChoicePart
          label={words('with.at')}
          value={addition.at ? 'place' : 'middle'}
          face={words(`with.at.${addition.at ? 'place' : 'middle'}`)}
          groups={[{ choices: ['middle', 'place'].map((value) => ({ value, label: words(`with.at.${value}`) })) }]}
          onChoose={(one) => book.set([{ at: `${at}/at`, to: one === 'middle' ? null : middleOf(view, addition.on) }])}
        />
        {addition.at && (
          <span className="whitespace-nowrap">
            {' '}
            {field('at/left')} · {field('at/bottom')}
          </span>
        )}
      </>
    ),
    count: () => field('count'),
    text: () => (
      <TextPart
        label={words('with.text')}
        value={addition.text ?? ''}
        onChange={(to) => book.set([{ at: `${at}/text`, to }])}
      />
    ),
  }
  return wordsAround(`with.${addition.role}`).map((part, n) => (
    <span key={n}>{'text' in part ? part.text : slots[part.slot]?.()}</span>
  ))
}

function Place({ book, view, addition, at }: PartProps & { addition: Addition; at: string }) {
  const seen = panelsOf(view.design).filter((panel) => !panel.isHidden)
  const mats = additionsOf(view).filter(({ id, role }) => role === 'mat' && id !== addition.id)
  const before = additionsOf(view).findIndex(({ id }) => id === addition.id)
  const isLayer = addition.role === 'mat'
  return (
    <ChoicePart
      label={words('with.on')}
      value={addition.on ?? ''}
      face={placeName(view, addition.on)}
      groups={[
        {
          choices: [
            ...(isLayer ? [{ value: '*', label: words('with.everywhere') }] : []),
            ...seen.map(({ on, name }) => ({ value: on, label: name })),
          ],
        },
        ...(isLayer && mats.length > 0
          ? [
              {
                label: words('with.on-a-mat'),
                choices: mats
                  .filter(({ id }) => additionsOf(view).findIndex((one) => one.id === id) < before)
                  .map((mat) => ({ value: mat.id, label: words('with.that-mat', { place: placeName(view, mat.on) }) })),
              },
            ]
          : []),
      ]}
      onChoose={(on) => book.set([{ at: `${at}/on`, to: on }])}
    />
  )
}

/** What lies behind a window, or round it: nothing, or a paper. */
function WindowPart({
  book,
  view,
  at,
  part,
  of,
}: PartProps & { at: string; part: 'backing' | 'frame'; of: { paper?: string } | undefined }) {
  return (
    <>
      <ChoicePart
        label={words(`with.${part}`)}
        value={of ? 'yes' : 'no'}
        face={words(`with.${part}.${of ? 'yes' : 'no'}`)}
        groups={[{ choices: ['no', 'yes'].map((one) => ({ value: one, label: words(`with.${part}.${one}`) })) }]}
        onChoose={(one) =>
          book.set([
            {
              at: `${at}/${part}`,
              to: one === 'no' ? null : part === 'backing' ? { margin: usual(view) } : { width: usual(view) },
            },
          ])
        }
      />
      {of && (
        <>
          {' '}
          <PaperPart {...{ book, view }} at={`${at}/${part}/paper`} paper={of.paper} />{' '}
          <Field {...{ book, view }} at={`${at}/${part}/${part === 'backing' ? 'margin' : 'width'}`} />
        </>
      )}
    </>
  )
}

const usual = (view: PartProps['view']) => (view.design.system === 'metric' ? '6 mm' : '1/4 in')
