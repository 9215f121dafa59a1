import { Dialog } from '@/parts/Dialog'
import { PARTS, useHealth } from '@/store/health'
import { when } from '@/store/opening/when'
import { useShelf } from '@/store/useShelf'
import { PART_NAMES, STATE_NAMES } from './words'

/** How it stands with all that is relied on without looking at it: since when, and what to do. */
export function HealthSheet() {
  const shelf = useShelf()
  const all = useHealth()
  return (
    <Dialog
      title="Saving and services"
      intro="What keeps your shelf safe, and how it stands now."
      width={640}
    >
      <table className="mt-3 w-full">
        <thead className="sr-only">
          <tr>
            <th>Part</th>
            <th>State</th>
            <th>Details</th>
          </tr>
        </thead>
        <tbody>
          {PARTS.map((part) => {
            const now = all[part]
            if (!now) return null
            const { is, says, since, last } = now
            return (
              <tr
                key={part}
                data-health={part}
                className="border-seam border-t border-dashed align-top"
              >
                <th scope="row" className="w-40 py-2 pr-3 text-left font-semibold">
                  {PART_NAMES[part]}
                </th>
                <td className="w-32 py-2 pr-3">
                  <span
                    className={`inline-flex items-center gap-1.5 whitespace-nowrap ${is === 'amiss' ? 'font-semibold text-alarm' : is === 'off' ? 'text-soft' : ''}`}
                  >
                    <b aria-hidden className="w-3 text-center font-mono">
                      {is === 'amiss' ? '!' : is === 'off' ? '–' : '✓'}
                    </b>
                    {STATE_NAMES[is]}
                  </span>
                </td>
                <td className="py-2">
                  {says}{' '}
                  <span className="text-soft">
                    {is === 'amiss' ? `Since ${when(since)}.` : ''}
                    {last ? ` Last written ${when(last)}.` : ''}
                  </span>
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <p className="mt-4 flex flex-wrap justify-end gap-2">
        <button type="button" className="btn" onClick={() => shelf.dispatch('shelf.keepFolder')}>
          Keep a copy in a folder…
        </button>
        <button type="button" className="btn" onClick={() => shelf.dispatch('shelf.export')}>
          Export the shelf
        </button>
        {/* biome-ignore lint/a11y/noAutofocus: the answer that changes nothing */}
        <button type="button" className="btn btn-main" autoFocus onClick={shelf.closeView}>
          Done
        </button>
      </p>
    </Dialog>
  )
}
