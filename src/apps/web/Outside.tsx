import { ExternalLink } from 'lucide-react'
import { useState } from 'react'
import type { DocumentId } from '@/core/model/ids'
import { Keys } from '@/parts/Keys'
import { closeOutside, openOutside, useStanding } from '@/store/outside'
import { useArrangement, useShelf } from '@/store/useShelf'

const SAYS = {
  open: 'Open in a browser window of its own. Picking this window brings it forward.',
  furled: 'Closed while you’re away or it’s minimised. Pick this window to open it again.',
  hidden: 'This site hides whether its window is open.',
}

/** Stands for a page that is in a browser window of its own. */
export function Outside({
  id,
  address,
  why,
  onInside,
}: {
  id: DocumentId
  address: string
  /** Why it is not shown here. */
  why: string
  /** Shows it here again; absent where it cannot be. */
  onInside?: () => void
}) {
  const shelf = useShelf()
  const standing = useStanding(id)
  const title = useArrangement(({ documents }) => documents[id]?.title ?? '')
  const [blocked, setBlocked] = useState(false)
  const open = () => setBlocked(!openOutside(shelf, id, address))
  return (
    <section
      aria-label={`Outside window ${title}`}
      className="m-auto flex max-w-full flex-col items-center gap-3 p-4 text-center"
    >
      <ExternalLink size={26} aria-hidden className="text-soft" />
      <h3 dir="auto" className="font-bold font-display text-[17px]">
        {title}
      </h3>
      <p className="max-w-full truncate font-mono text-[12px] text-soft" title={address}>
        {address.replace(location.origin, '').replace(/^https?:\/\//, '')}
      </p>
      <p role="status">{standing ? SAYS[standing] : why}</p>
      <div className="flex flex-wrap justify-center gap-2">
        <button type="button" className="btn btn-main" data-autofocus="" onClick={open}>
          {standing === 'open' ? 'Bring it forward' : 'Open in its own window'}{' '}
          <Keys keys="Enter" />
        </button>
        {onInside ? (
          <button
            type="button"
            className="btn"
            onClick={() => {
              closeOutside(shelf, id)
              onInside()
            }}
          >
            Show it here
          </button>
        ) : null}
      </div>
      {blocked ? (
        <p role="alert" className="max-w-md text-alarm">
          The browser did not open a window. Allow this page to open windows, where the browser asks
          beside its address, and try again.
        </p>
      ) : null}
    </section>
  )
}
