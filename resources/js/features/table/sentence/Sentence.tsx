import type { Catalogue } from '@/api/client'
import { ChoicePart } from '@/ui/ChoicePart'
import { hasWords, words, wordsAround } from '@/words'
import { fieldName } from '@/ui/fieldName'
import { Field } from '../Field'
import { Details } from './Details'
import { Layers } from './Layers'
import { NamedSizes } from './NamedSizes'
import { PaperSheet } from './PaperSheet'
import { AddMenu } from '../with/AddMenu'
import { additionsOf } from '../with/additions'
import type { PartProps } from './part'

/** The request as a sentence whose parts are changed where they stand. */
export function Sentence({ book, view, catalogue }: PartProps & { catalogue: Catalogue }) {
  const options = catalogue.makes.find((make) => make.id === view.choices['/make'])?.options ?? []
  const { thickness, count } = view.design.holds
  const chosen = (option: string) => view.choices[`/options/${option}`] ?? view.fields[`/options/${option}`]?.text
  const shown = options.filter(
    ({ when, thickerThan }) =>
      (!when || when.options.some((option) => chosen(option) === when.choice)) &&
      (thickerThan === null || thickness * count > thickerThan),
  )
  const slots: Record<string, React.ReactNode> = {
    make: <Choose {...{ book, view }} at="/make" values={catalogue.makes.map((make) => make.id)} faces="make" />,
    count: <Field {...{ book, view }} at="/holds/count" />,
    items: words('sentence.items', { count }),
    width: <Field {...{ book, view }} at="/holds/width" />,
    height: <Field {...{ book, view }} at="/holds/height" />,
    named: <NamedSizes {...{ book, view, catalogue }} />,
    thickness: (
      <>
        <Field {...{ book, view }} at="/holds/thickness" /> <Layers {...{ book, view }} />
      </>
    ),
    clearanceWidth: <Field {...{ book, view }} at="/clearance/width" />,
    clearanceHeight: <Field {...{ book, view }} at="/clearance/height" />,
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
      ))}{' '}
      {additionsOf(view).length === 0 && <AddMenu {...{ book, view }} />}
    </div>
  )
}

function Choose({ book, view, at, values, faces }: PartProps & { at: string; values: string[]; faces: string }) {
  const value = view.choices[at] ?? ''
  return (
    <ChoicePart
      label={fieldName(at)}
      value={value}
      face={words(`${faces}.${value}`)}
      groups={[{ choices: values.map((one) => ({ value: one, label: words(`${faces}.${one}`) })) }]}
      onChoose={(to) => book.set([{ at, to }])}
    />
  )
}
