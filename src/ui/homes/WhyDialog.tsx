import { appOf } from '@/apps/list'
import { causeInWords, explain } from '@/core/homes/explain'
import { momentOf } from '@/core/homes/matching'
import { misplaced } from '@/core/homes/putRight'
import { homeInWords, where } from '@/core/homes/words'
import type { WindowId } from '@/core/model/ids'
import { EVERY } from '@/core/model/kinds/window'
import { title, window as windowOf } from '@/core/model/selectors'
import { Dialog } from '@/parts/Dialog'
import { useArrangement, useShelf } from '@/store/useShelf'

/** Which home, or what else, put a window where it is; and which other homes lost, and why. */
export function WhyDialog({ id }: { id: WindowId }) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const window = windowOf(state, id)
  const plural = appOf(shelf, window.app)?.plural ?? 'windows'
  const name = title(state, window)
  const now = momentOf(shelf.clock())
  const { home, why, losers, exceptions } = explain(
    state,
    { app: window.app, title: name },
    now,
    plural,
  )
  const away = misplaced(state, window, now)
  const on = window.desktop === EVERY ? 'every desktop' : state.desktops[window.desktop]?.name
  return (
    <Dialog title={`“${name}” is on ${on}`} intro={causeInWords(state, window)} width={540}>
      <dl className="mt-4 grid grid-cols-[96px_1fr] gap-y-2">
        <dt className="text-soft">Its home</dt>
        <dd className="font-semibold">{why}</dd>
        {losers.length ? <dt className="text-soft">Others</dt> : null}
        {losers.length ? (
          <dd>
            <ul>
              {losers.map((loser) => (
                <li key={loser.home.id}>
                  {homeInWords(loser.home, plural, state)}: {loser.why}.
                </li>
              ))}
            </ul>
          </dd>
        ) : null}
        <dt className="text-soft">Its app</dt>
        <dd>
          {exceptions.length ? `${exceptions.join(', ')}. ` : 'Treated as all others. '}
          <span className="text-soft">Changed in the menu of a window.</span>
        </dd>
      </dl>
      <div className="mt-4 flex gap-2">
        <button
          type="button"
          className="btn"
          onClick={() =>
            shelf.page.setState({ view: { view: home ? 'homes' : 'home', window: id } })
          }
        >
          {home ? 'Homes…' : 'Set a home…'}
        </button>
        {away ? (
          <button
            type="button"
            className="btn btn-main ml-auto"
            onClick={() => {
              shelf.closeView()
              shelf.dispatch('window.goHome', { window: id })
            }}
          >
            Send it home, {where(away.home, state)}
          </button>
        ) : (
          <button type="button" className="btn btn-main ml-auto" onClick={shelf.closeView}>
            Done
          </button>
        )}
      </div>
    </Dialog>
  )
}
