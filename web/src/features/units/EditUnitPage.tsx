import { useQuery } from '@tanstack/react-query'
import { useNavigate, useParams } from 'react-router'
import { unitSheet } from '../../shared/api/units'
import { UnitForm } from './UnitForm'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'

export function EditUnitPage() {
  const { id = '' } = useParams()
  const navigate = useNavigate()
  const asked = useQuery(unitSheet(id))
  useTitle(asked.data ? `Edit ${asked.data.number}` : '')
  return (
    <Shown asked={asked} what="the unit">
      {(data) => {
        return (
          <div className="max-w-4xl">
            <h1 className="pb-6 text-display leading-tight">
              {data.number} {data.name}
            </h1>
            <UnitForm
              key={data.id}
              existing={data}
              onSaved={(sheet) => void navigate(`/units/${sheet.id}`)}
              onWaiting={() => void navigate(`/units/${data.id}`)}
            />
          </div>
        )
      }}
    </Shown>
  )
}
