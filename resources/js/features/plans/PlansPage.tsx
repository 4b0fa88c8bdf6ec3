import { Plus } from 'lucide-react'
import { useEffect, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { api, problemsOf } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { Header } from '@/ui/Header'
import { Page } from '@/ui/Main'
import { words } from '@/words'

type Plans = Awaited<ReturnType<typeof api.plans>>['plans']

/** Every cutting plan there is, the latest first. */
export function PlansPage() {
  const navigate = useNavigate()
  const [plans, setPlans] = useState<Plans | null>(null)
  const [trouble, setTrouble] = useState<string | null>(null)
  const say = (error: unknown) => setTrouble(problemsOf(error)[0]?.message ?? '')
  useEffect(() => {
    api.plans().then(({ plans: all }) => setPlans(all), say)
  }, [])
  const begin = () => {
    api.addPlan(words('plans.new-name'), { items: [] }).then(({ id }) => void navigate(`/plans/${id}`), say)
  }
  const drop = (id: string) => {
    api.dropPlan(id).then(() => setPlans((all) => all?.filter((one) => one.id !== id) ?? null), say)
  }
  return (
    <div className="flex h-full flex-col">
      <Header />
      <Page title={words('plans.title')}>
        <div className="mx-auto max-w-5xl">
          <div className="mb-3 flex flex-wrap items-center gap-2">
            <h1 className="mr-auto text-2xl">{words('plans.title')}</h1>
            <button type="button" className="full-button" onClick={begin}>
              <Plus aria-hidden="true" className="size-5" />
              {words('plans.add')}
            </button>
          </div>
          <p className="mb-4 max-w-2xl text-soft">{words('plans.why')}</p>
          {trouble && <ErrorNote>{trouble}</ErrorNote>}
          {plans?.length === 0 && <p className="rounded-xl border border-line bg-panel p-5">{words('plans.none')}</p>}
          <ul className="grid gap-3 md:grid-cols-2">
            {plans?.map((plan) => (
              <li key={plan.id} className="flex items-center gap-3 rounded-xl border border-line bg-panel px-5 py-3">
                <Link to={`/plans/${plan.id}`} className="min-w-0 flex-1 py-1">
                  <span className="block truncate font-serif text-lg font-semibold">{plan.name}</span>
                  <span className="text-soft">{words('plans.designs', { count: plan.items })}</span>
                </Link>
                <button
                  type="button"
                  className="quiet-button text-soft"
                  onClick={() => drop(plan.id)}
                  aria-label={words('form.remove-named', { name: plan.name })}
                >
                  {words('form.remove')}
                </button>
              </li>
            ))}
          </ul>
        </div>
      </Page>
    </div>
  )
}
