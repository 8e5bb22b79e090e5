import { useNavigate } from 'react-router'
import { UnitForm } from './UnitForm'
import { useTitle } from '../../shared/page/useTitle'

export function NewUnitPage() {
  const navigate = useNavigate()
  useTitle('New unit')
  return (
    <div className="max-w-4xl">
      <h1 className="pb-6 text-display leading-tight">New unit</h1>
      <UnitForm onSaved={(sheet) => void navigate(`/units/${sheet.id}`)} onWaiting={() => void navigate('/units')} />
    </div>
  )
}
