import { X } from 'lucide-react'
import { Fragment, useEffect, useState } from 'react'
import { api, type BoughtEnvelopes, type Plan, type PlanAsked, type ShelfCard } from '@/api/client'
import { useLibrary } from '@/api/useLibrary'
import { ChoicePart } from '@/ui/ChoicePart'
import { Pair } from '@/ui/Pair'
import { words } from '@/words'

interface PlanAskingProps {
  plan: Plan
  /** What is wrong with what was typed last, and where. */
  trouble: { at: string; message: string } | null
  onAsk: (asked: PlanAsked) => Promise<boolean>
  onName: (name: string) => Promise<boolean>
}

/** What a plan is asked for, as a sentence: so many of which designs, and how they are cut. */
export function PlanAsking({ plan, trouble, onAsk, onName }: PlanAskingProps) {
  const [cards, setCards] = useState<ShelfCard[]>([])
  useEffect(() => {
    api.shelf().then(
      ({ designs }) => setCards(designs),
      () => undefined,
    )
  }, [])
  const { library } = useLibrary()
  const envelopes = library?.envelopes ?? []
  const items = plan.items.map(({ design, count, envelope }) => ({ design, count, envelope }))
  const others = cards.filter(({ id }) => !items.some(({ design }) => design === id))
  const field = (name: 'kerf' | 'margin' | 'longest' | 'measures', usual: string) => (
    <Typed
      label={words(`plan.field.${name}`)}
      value={plan.asked[name] ?? usual}
      isWrong={trouble?.at === `/asked/${name}`}
      onPut={(text) => onAsk({ [name]: isAny(text) ? undefined : text })}
      keypad="length"
    />
  )
  return (
    <div className="plan-asking">
      <h1 className="mb-1">
        <Typed label={words('plan.name')} value={plan.name} onPut={onName} className="plan-name" />
      </h1>
      <div className="sentence">
        {words('plan.cut')}{' '}
        {plan.items.map((item, i) => (
          <Fragment key={item.design}>
            {i > 0 && '; '}
            <span className="whitespace-nowrap" data-item={item.design}>
              <Typed
                label={words('plan.how-many', { name: item.name ?? words('plan.gone') })}
                value={String(item.count)}
                isWrong={trouble?.at === `/asked/items/${i}/count`}
                onPut={(text) => {
                  const count = /^\d{1,4}$/.test(text.trim()) ? Number(text) : 0
                  return onAsk({ items: items.map((one, n) => (n === i ? { ...one, count } : one)) })
                }}
                keypad="count"
              />{' '}
              × {item.name ?? words('plan.gone')}
              {choicesOf(envelopes, item).length > 0 && (
                <>
                  {' '}
                  <ChoicePart
                    label={words('plan.in-which', { name: item.name ?? words('plan.gone') })}
                    value={item.envelope ?? ''}
                    face={inWhich(envelopes.find(({ id }) => id === item.envelope)?.name)}
                    groups={[
                      {
                        choices: [
                          { value: '', label: words('plan.in-none') },
                          ...choicesOf(envelopes, item).map((one) => ({
                            value: one.id,
                            label: one.name,
                            aside: <Pair width={one.width} height={one.height} />,
                          })),
                        ],
                      },
                    ]}
                    onChoose={(envelope) =>
                      void onAsk({
                        items: items.map((one, n) => (n === i ? { ...one, envelope: envelope || null } : one)),
                      })
                    }
                  />
                </>
              )}
              <button
                type="button"
                className="with-out"
                aria-label={words('with.out', { what: item.name ?? '' })}
                onClick={() => void onAsk({ items: items.filter((_, n) => n !== i) })}
              >
                <X aria-hidden="true" className="size-4" />
              </button>
            </span>
          </Fragment>
        ))}{' '}
        {others.length > 0 && (
          <ChoicePart
            label={words('plan.add-design')}
            value=""
            face={words('plan.add-design')}
            groups={[{ choices: others.map(({ id, name }) => ({ value: id, label: name })) }]}
            onChoose={(design) => void onAsk({ items: [...items, { design, count: 1 }] })}
          />
        )}
        {plan.items.length > 0 && (
          <>
            ; {words('plan.blade')} <span className="whitespace-nowrap">{field('kerf', '0 mm')},</span>{' '}
            {words('plan.rough')} <span className="whitespace-nowrap">{field('margin', '0 mm')},</span>{' '}
            {words('plan.reach')} <span className="whitespace-nowrap">{field('longest', words('plan.any'))},</span>{' '}
            {words('plan.measures')} <span className="whitespace-nowrap">{field('measures', words('plan.any'))}.</span>
          </>
        )}
      </div>
      {trouble && (
        <p role="alert" className="mt-1 text-warn">
          {trouble.message}
        </p>
      )}
    </div>
  )
}

const inWhich = (name: string | undefined) =>
  name === undefined ? words('plan.in-envelope') : words('plan.in-named', { name })

/** What a design goes into, and what was chosen for it whether it does or not. */
const choicesOf = (envelopes: BoughtEnvelopes[], { goesInto, envelope }: Plan['items'][number]) =>
  envelopes.filter(({ id }) => id === envelope || goesInto.includes(id))

/** An empty field, or the word for it, takes back what was said. */
const isAny = (text: string) => ['', words('plan.any')].includes(text.trim())

interface TypedProps {
  label: string
  value: string
  isWrong?: boolean
  keypad?: 'length' | 'count'
  className?: string
  onPut: (text: string) => Promise<boolean>
}

/** A word of the sentence that is typed: what is typed stays until it is taken. */
function Typed({ label, value, isWrong = false, keypad, className = '', onPut }: TypedProps) {
  const [typed, setTyped] = useState<string | null>(null)
  const put = () => {
    if (typed === null || typed === value) return setTyped(null)
    void onPut(typed).then((isDone) => isDone && setTyped(null))
  }
  const shown = typed ?? value
  return (
    <input
      aria-label={label}
      aria-invalid={isWrong}
      className={`plan-typed ${className}`}
      style={{ width: `calc(${Math.max(2, shown.length)}ch + 1.1rem)` }}
      data-keypad={keypad}
      value={shown}
      onFocus={({ target }) => target.select()}
      onChange={({ target }) => setTyped(target.value)}
      onBlur={put}
      onKeyDown={({ key, currentTarget }) => {
        if (key === 'Enter') currentTarget.blur()
        if (key === 'Escape') setTyped(null)
      }}
    />
  )
}
