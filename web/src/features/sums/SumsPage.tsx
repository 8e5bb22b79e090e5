import { useQuery } from '@tanstack/react-query'
import { Link, useParams, useSearchParams } from 'react-router'
import { sums } from '../../shared/api/sums'
import { OneSum } from './OneSum'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'

/** The calculators: each with its formula shown. */
export function SumsPage() {
  const { key } = useParams()
  // The unit that it is worked out for goes along.
  const [params] = useSearchParams()
  const unit = params.get('unit')
  const along = unit ? `?unit=${unit}` : ''
  const asked = useQuery(sums())
  useTitle('Sums')
  return (
    <Shown asked={asked} what="the sums">
      {(data) => {
        const chosen = data.sums.find((sum) => sum.key === key) ?? data.sums[0]
        const groups = [...new Set(data.sums.map((sum) => sum.group))]
        return (
          <div>
            <h1 className="pb-4 text-display leading-tight">Sums</h1>
            <div className="grid gap-8 desk:grid-cols-[15rem_minmax(0,1fr)] desk:gap-12">
              <nav aria-label="Sums" className="order-2 desk:order-1">
                {groups.map((group) => (
                  <section key={group} aria-label={group} className="pb-4">
                    <h2 className="rule-below pb-1 text-lead">{group}</h2>
                    <ul>
                      {data.sums
                        .filter((sum) => sum.group === group)
                        .map((sum) => (
                          <li key={sum.key}>
                            <Link
                              to={`/sums/${sum.key}${along}`}
                              aria-current={sum.key === chosen?.key ? 'page' : undefined}
                              className={`flex min-h-12 items-center dense:min-h-8 ${sum.key === chosen?.key ? 'font-bold no-underline' : 'link-words'}`}
                            >
                              {sum.title}
                            </Link>
                          </li>
                        ))}
                    </ul>
                  </section>
                ))}
              </nav>
              <div className="order-1 desk:order-2">{chosen && <OneSum key={chosen.key} sum={chosen} />}</div>
            </div>
          </div>
        )
      }}
    </Shown>
  )
}
