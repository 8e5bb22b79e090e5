import { useNavigate } from 'react-router'
import { UnitForm } from './UnitForm'

export function NewUnitPage() {
  const navigate = useNavigate()
  return (
    <div className="max-w-4xl">
      <h1 className="pb-6 text-display leading-tight">New unit</h1>
      <UnitForm onSaved={(sheet) => void navigate(`/units/${sheet.id}`)} onWaiting={() => void navigate('/units')} />
    </div>
  )
}
