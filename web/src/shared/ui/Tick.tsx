/** A line that is ticked or not. */
export function Tick({ label, on, onTick }: { label: string; on: boolean; onTick: (on: boolean) => void }) {
  return (
    <label className="flex min-h-12 items-center gap-2 font-bold">
      <input
        type="checkbox"
        checked={on}
        onChange={(event) => {
          onTick(event.target.checked)
        }}
      />
      {label}
    </label>
  )
}
