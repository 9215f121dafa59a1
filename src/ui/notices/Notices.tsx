import { type Notice, putAwayNotice, useNotices } from '@/store/notices'
import { useShelf } from '@/store/useShelf'
import { Digest } from '@/ui/attention/Waits'
import { Works } from '@/ui/line/Works'

/** What the person has to know, above the Line until they have put it away. */
export function Notices() {
  const list = useNotices()
  return (
    <section
      aria-label="Notices"
      className="pointer-events-none *:pointer-events-auto fixed right-[calc(var(--rack-right)+8px)] bottom-[44px] left-[calc(var(--rack-left)+8px)] z-30 flex max-h-[50vh] max-w-[680px] flex-col gap-2 overflow-auto"
    >
      <Works />
      <Digest />
      {list.map((notice) => (
        <One key={notice.id} notice={notice} />
      ))}
    </section>
  )
}

function One({ notice: { id, text, offers } }: { notice: Notice }) {
  const shelf = useShelf()
  return (
    <div
      role="alert"
      className="rise flex items-center gap-3 border-2 border-ink bg-panel px-3 py-2 max-[760px]:flex-col"
    >
      <p className="min-w-0 flex-1">{text}</p>
      <p className="flex shrink-0 justify-end gap-2">
        {offers ? (
          <button
            type="button"
            className="btn"
            onClick={() => shelf.dispatchAny(offers.command, offers.args)}
          >
            {offers.label}
          </button>
        ) : null}
        <button type="button" className="btn" onClick={() => putAwayNotice(shelf, id)}>
          Put away
        </button>
      </p>
    </div>
  )
}
