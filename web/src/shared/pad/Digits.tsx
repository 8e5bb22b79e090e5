const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '±', '0', ',']

/** Digits for gloves; a laptop has its own. */
export function Digits({
  text,
  withOverload,
  onText,
}: {
  text: string
  withOverload: boolean
  onText: (next: string) => void
}) {
  const press = (key: string) => {
    if (key === '±') onText(text.startsWith('-') ? text.slice(1) : `-${text}`)
    else if (key === ',' && /[.,]/.test(text)) return
    else onText(text === 'OL' ? key : text + key)
  }
  const face = 'min-h-14 border border-quiet text-reading font-bold'
  return (
    <div role="group" aria-label="Digits" className="grid grid-cols-3 gap-2 desk:not-pointer-coarse:hidden">
      {KEYS.map((key) => (
        <button
          key={key}
          type="button"
          aria-label={key === '±' ? 'Change sign' : key === ',' ? 'Decimal comma' : key}
          className={face}
          onClick={() => {
            press(key)
          }}
        >
          {key}
        </button>
      ))}
      <button
        type="button"
        className={`${face} ${withOverload ? 'col-span-2' : 'col-span-3'}`}
        onClick={() => {
          onText(text === 'OL' ? '' : text.slice(0, -1))
        }}
      >
        Erase
      </button>
      {withOverload && (
        <button
          type="button"
          className={face}
          onClick={() => {
            onText('OL')
          }}
        >
          OL
        </button>
      )}
    </div>
  )
}
