import type { DesignView, Piece } from '@/api/client'
import { ChoicePart } from '@/ui/ChoicePart'
import { Figure } from '@/ui/Figure'
import { Pair } from '@/ui/Pair'
import { words } from '@/words'
import type { DraftBook } from './draftBook'
import { Field } from './Field'

interface GoesWithProps {
  book: DraftBook
  view: DesignView
  piece: Piece
}

/** What a metric or an imperial maker leaves showing around a mat, until she says otherwise. */
const USUAL_BORDER = { imperial: '1/8 in', metric: '3 mm' }

/** The face that is held shut, by the name the core gives it in every make that has one. */
const CLOSING_FLAP = 'top-flap'
const CLOSURES = ['none', 'dot', 'string', 'tuck']

/** How many it takes, the band round it, and the mats for its panels. */
export function GoesWith({ book, view, piece }: GoesWithProps) {
  const { design } = view
  const hasMats = view.fields['/border'] !== undefined
  return (
    <section className="mt-3 border-t border-line px-2 pt-3">
      <h2 className="mb-1 text-lg">{words('goes-with.title')}</h2>
      <dl className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-4 gap-y-1">
        {design.takes !== null && design.capacities.length === 0 && (
          <>
            <dt>{words('goes-with.takes')}</dt>
            <dd className="text-right font-semibold">{design.takes}</dd>
          </>
        )}
        {design.capacities.length > 0 && <dt className="col-span-2">{words('goes-with.capacity')}</dt>}
        {design.capacities.map(({ of, each, inAll }) => (
          <div key={of} className="contents">
            <dt className="pl-3 text-soft">{words(`capacity.${of}`)}</dt>
            <dd className="text-right font-semibold">
              {words('capacity.counts', { each: String(each), inAll: String(inAll) })}
            </dd>
          </div>
        ))}
        {design.bellyBand && (
          <>
            <dt>{words('goes-with.band')}</dt>
            <dd className="text-right font-semibold">
              {design.bellyBand.strips > 1 && `${design.bellyBand.strips} × `}
              <Pair {...design.bellyBand.text} />
            </dd>
          </>
        )}
        {piece.mats.map((mat) => (
          <div key={mat.face} className="contents">
            <dt>
              {words('goes-with.mat', { face: words(`face.${mat.face}`) })}
              {mat.corners.map((cut) => (
                <span key={cut.corner} className="block pl-3 text-[0.95rem] text-soft">
                  {words(`edge.${cut.corner}`)}: <Figure text={cut.text.along} unit={false} />{' '}
                  {words('goes-with.along')} <Figure text={cut.text.up} />{' '}
                  {cut.text.rail === null ? (
                    words('goes-with.up-square')
                  ) : (
                    <>
                      {words('goes-with.up-slanted')} <Figure text={cut.text.rail} /> {words('goes-with.off-the-rail')}
                    </>
                  )}
                </span>
              ))}
            </dt>
            <dd className="text-right font-semibold">
              <Pair {...mat.rectangle.text} />
            </dd>
          </div>
        ))}
      </dl>
      {piece.mats.some((mat) => mat.mirrors !== null) && (
        <p className="mt-1 text-[0.95rem] text-soft">{words('advice.left-and-right-are-mirror-images')}</p>
      )}
      {piece.fold['faces_gimbo:name'].includes(CLOSING_FLAP) && (
        <p className="sentence text-[1.1rem]!">
          {words('closure.held')}{' '}
          <ChoicePart
            label={words('field.closure')}
            value={view.choices['/closure'] ?? 'none'}
            face={words(`closure.${view.choices['/closure'] ?? 'none'}`)}
            groups={[{ choices: CLOSURES.map((value) => ({ value, label: words(`closure.${value}`) })) }]}
            onChoose={(to) => book.set([{ at: '/closure', to }])}
          />
        </p>
      )}
      {piece.closure && (
        <p className="text-[0.95rem] text-soft">
          {words(
            piece.closure.face === null ? 'closure.nothing-under' : `closure.${piece.closure.kind}.note`,
            piece.closure.text,
          )}
        </p>
      )}
      {hasMats && (
        <p className="sentence text-[1.1rem]!">
          {words('goes-with.border')} <Field book={book} view={view} at="/border" />
        </p>
      )}
      <button
        type="button"
        className="quiet-button -ml-3 font-semibold text-live"
        onClick={() => book.set([{ at: '/border', to: hasMats ? null : USUAL_BORDER[design.system] }])}
      >
        {words(hasMats ? 'goes-with.no-mats' : 'goes-with.mats')}
      </button>
    </section>
  )
}
