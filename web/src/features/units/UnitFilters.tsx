import type { UnitFilter, UnitPage } from '../../shared/api/units'
import { Field } from '../../shared/ui/Field'
import { ORDERS, type Order } from './board/orders'
import { TextField } from '../../shared/ui/TextField'

const STATES: Record<NonNullable<UnitFilter['state']>, string> = {
  down: 'With an open job',
  held: 'Held',
  watched: 'Watched',
  temporary: 'Temporary repair',
  batteries: 'With a battery to mind',
  retired: 'Retired',
}

interface Props {
  page: UnitPage
  filter: UnitFilter
  onFilter: (next: UnitFilter) => void
}

/** What the list is narrowed to: yard, class, state, part of a number or name. */
export function UnitFilters({ page, filter, onFilter }: Props) {
  return (
    <form
      role="search"
      aria-label="Narrow the list"
      className="grid grid-cols-[repeat(auto-fit,minmax(min(10rem,100%),1fr))] gap-4 pb-6"
      onSubmit={(event) => {
        event.preventDefault()
      }}
    >
      <Field label="Yard">
        {(wiring) => (
          <select
            {...wiring}
            value={filter.yard ?? ''}
            onChange={(event) => {
              onFilter({ ...filter, yard: event.target.value })
            }}
          >
            <option value="">All yards</option>
            {page.yards.map((yard) => (
              <option key={yard.id} value={yard.id}>
                {yard.name} ({yard.count})
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label="Class">
        {(wiring) => (
          <select
            {...wiring}
            value={filter.class ?? ''}
            onChange={(event) => {
              onFilter({ ...filter, class: event.target.value })
            }}
          >
            <option value="">All classes</option>
            {page.classes.map((one) => (
              <option key={one.id} value={one.id}>
                {one.label} ({one.count})
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label="State">
        {(wiring) => (
          <select
            {...wiring}
            value={filter.state ?? ''}
            onChange={(event) => {
              onFilter({ ...filter, state: event.target.value as NonNullable<UnitFilter['state']> })
            }}
          >
            <option value="">In service</option>
            {Object.entries(STATES).map(([key, label]) => (
              <option key={key} value={key}>
                {label}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label="Order">
        {(wiring) => (
          <select
            {...wiring}
            value={filter.order ?? 'yard'}
            onChange={(event) => {
              onFilter({ ...filter, order: event.target.value as Order })
            }}
          >
            {Object.entries(ORDERS).map(([key, label]) => (
              <option key={key} value={key}>
                {label}
              </option>
            ))}
          </select>
        )}
      </Field>
      <TextField
        label="Number or name"
        type="search"
        value={filter.q ?? ''}
        onText={(text) => {
          onFilter({ ...filter, q: text })
        }}
      />
    </form>
  )
}
