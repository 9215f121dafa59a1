import type { DesktopId, WindowId } from '@/core/model/ids'
import { desktop, openDesktop, title, window as windowOf } from '@/core/model/selectors'
import { Dialog } from '@/parts/Dialog'
import { useShelf } from '@/store/useShelf'

/** A solo or a pair takes no other window: what would work instead. */
export function FullDialog({
  id,
  to,
  along = false,
}: {
  id: WindowId
  to: DesktopId
  /** Whether one goes there with it. */
  along?: boolean | undefined
}) {
  const shelf = useShelf()
  const state = shelf.state()
  const { name, kind, windows } = desktop(state, to)
  const origin = openDesktop(state, to)
  const sent = windowOf(state, id)
  const run = (command: string, args: object) => {
    shelf.closeView()
    shelf.dispatchAny(command, args, 'key')
  }
  return (
    <Dialog
      title={`${name} has no room`}
      intro={`${kind === 'solo' ? 'One window fills' : 'Two windows fill'} it. “${title(state, sent)}” stays where it is unless you choose:`}
      width={460}
    >
      <div className="mt-4 flex flex-col gap-2">
        {kind === 'solo' && windows[0] ? (
          <button
            type="button"
            className="btn"
            onClick={() => run('window.pair', { window: windows[0], with: id })}
          >
            Make them a pair
          </button>
        ) : null}
        {origin !== sent.desktop ? (
          <button
            type="button"
            className="btn"
            onClick={() => run(along ? 'window.carry' : 'window.send', { window: id, to: origin })}
          >
            {along ? 'Carry' : 'Send'} it to {desktop(state, origin).name}, where {name} came from
          </button>
        ) : null}
        <button type="button" className="btn" onClick={shelf.closeView}>
          Leave it where it is
        </button>
      </div>
    </Dialog>
  )
}
