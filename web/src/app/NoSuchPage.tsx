import { PageHead } from '../shared/page/PageHead'
import { useTitle } from '../shared/page/useTitle'

/** An address that leads nowhere. */
export function NoSuchPage() {
  useTitle('Nothing here')
  return (
    <PageHead
      title="Nothing here"
      words="Nothing is kept under this address. Part of it may be lost: look the thing up by its number."
    />
  )
}
