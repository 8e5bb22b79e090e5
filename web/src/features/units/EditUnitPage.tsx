import { useQuery } from '@tanstack/react-query'
import { useNavigate, useParams } from 'react-router'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Waiting } from '../../shared/ui/Waiting'
import { unit } from './api'
import { UnitForm } from './UnitForm'

export function EditUnitPage() {
  const { id = '' } = useParams()
  const navigate = useNavigate()
  const { data, error, isPending } = useQuery(unit(id))
  if (isPending) return <Waiting what="the unit" />
  if (error) return <ErrorNote error={error} />

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
}
