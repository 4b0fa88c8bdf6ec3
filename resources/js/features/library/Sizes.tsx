import { Download } from 'lucide-react'
import { useState, type ReactNode } from 'react'
import { files, LARGEST_FILE, type Catalogue, type NamedSize, type OwnSize } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { FileButton } from '@/ui/FileButton'
import { Pair } from '@/ui/Pair'
import { SelectField } from '@/ui/SelectField'
import { words } from '@/words'
import { EntryField, EntryForm, NameAndSystem, PageHead, RowButtons } from './EntryForm'
import { SizesFile } from './SizesFile'
import { filled, useEntryForm } from './useEntryForm'

const KINDS = ['card', 'envelope', 'sheet'] as const
const BLANK = { name: '', system: 'imperial', kind: 'card', width: '', height: '' }

/** Cards, envelopes and sheets by published standard, and the maker's own. */
export function Sizes({ own, published }: { own: OwnSize[]; published: Catalogue['sizes'] }) {
  const form = useEntryForm('sizes', BLANK, filled())
  const [csv, setCsv] = useState<string | null>(null)
  const [isTooLarge, setTooLarge] = useState(false)
  const { draft, put } = form
  return (
    <>
      <PageHead title={words('sizes.title')} addLabel={words('sizes.add')} form={form}>
        <FileButton
          label={words('sizes.take-in')}
          accept=".csv,text/csv"
          onFile={(file) => {
            setTooLarge(file.size > LARGEST_FILE)
            if (file.size <= LARGEST_FILE) void file.text().then(setCsv)
          }}
        />
        <a className="quiet-button" href={files.sizes()} download>
          <Download aria-hidden="true" className="size-5" />
          {words('sizes.hand-on')}
        </a>
      </PageHead>
      {isTooLarge && <ErrorNote>{words('reason.request.too-large')}</ErrorNote>}
      <section className="mb-7">
        <h2 className="mb-1 text-lg">{words('sizes.own')}</h2>
        {own.length === 0 && <p className="text-soft">{words('sizes.none')}</p>}
        <table className="w-full">
          <tbody>
            {own.map((size) => (
              <tr key={size.id} className="row border-b border-line">
                <SizeCells name={size.name} size={size} aside={words(`sizes.kind.${size.kind}`)} />
                <td>
                  <RowButtons form={form} entry={size} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      {KINDS.map((kind) => (
        <section key={kind} className="mb-7">
          <h2 className="mb-1 text-lg">{words(`sizes.${kind}`)}</h2>
          <table className="w-full">
            <tbody>
              {published
                .filter((size) => size.kind === kind)
                .map((size) => (
                  <tr key={size.id} className="row border-b border-line">
                    <SizeCells
                      name={words(`size.${size.id}`)}
                      size={size}
                      aside={size.source === null ? words('sizes.no-source') : <span data-own>{size.source}</span>}
                    />
                  </tr>
                ))}
            </tbody>
          </table>
        </section>
      ))}
      <EntryForm title={words(form.isNew ? 'sizes.add' : 'sizes.change')} form={form}>
        {draft && (
          <div className="form-grid">
            <NameAndSystem form={form} />
            <SelectField
              label={words('entry.kind')}
              value={draft.kind ?? 'card'}
              choices={KINDS.map((value) => ({ value, label: words(`sizes.kind.${value}`) }))}
              onChange={put('kind')}
            />
            <EntryField form={form} field="width" data-keypad="length" label={words('entry.width')} />
            <EntryField form={form} field="height" data-keypad="length" label={words('entry.height')} />
          </div>
        )}
      </EntryForm>
      <SizesFile csv={csv} onDone={() => setCsv(null)} />
    </>
  )
}

function SizeCells({
  name,
  size,
  aside,
}: {
  name: string
  size: Pick<NamedSize, 'width' | 'height'>
  aside: ReactNode
}) {
  return (
    <>
      <th scope="row" className="w-[34%] py-2 pr-3 text-left font-semibold">
        {name}
      </th>
      <td className="w-[26%] py-2 text-lg whitespace-nowrap">
        <Pair width={size.width} height={size.height} />
      </td>
      <td className="py-2 text-soft">{aside}</td>
    </>
  )
}
