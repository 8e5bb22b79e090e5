/** While a page's data is on its way. */
export function Waiting({ what }: { what: string }) {
  return (
    <p role="status" className="py-8 text-quiet">
      Reading {what} …
    </p>
  )
}
