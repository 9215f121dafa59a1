import { connected } from '@/core/model/displays'
import type { WindowId } from '@/core/model/ids'
import { desktop, focusId, furls, isPage } from '@/core/model/selectors'
import { CommandItem } from '@/parts/CommandItem'
import { MenuSeam, SubMenu } from '@/parts/Menu'
import { factsOfFile } from '@/store/documents/linked'
import { tethersNow } from '@/store/tethers'
import { useArrangement, useShelf } from '@/store/useShelf'
import { Exceptions } from '@/ui/apps/Exceptions'
import { isTethered } from '@/ui/tethers/list'

const PLACING = ['window.pad', 'window.solo', 'window.pair', 'window.maximise', 'window.minimise']
const HOME = ['window.why', 'home.ask', 'window.goHome', 'shelf.inspector']
const DOCUMENT = [
  'window.save',
  'window.saveTo',
  'window.askTitle',
  'window.export',
  'window.copyReference',
  'window.copyLink',
  'picture.window.png',
  'picture.window.svg',
  'picture.window.clipboard',
]

/** Of one that is kept in a file of the computer. */
const FILE = ['window.compareFile', 'window.leaveFile']

/** Everything that can be done with a window; where several are marked, it is sent with them. */
export function WindowItems({ id }: { id: WindowId }) {
  const shelf = useShelf()
  const elsewhere = shelf.page.getState().loft || focusId(shelf.state()) !== id
  const one = { window: id }
  const linked = factsOfFile(shelf, shelf.state().windows[id]?.document ?? '')
  const several = connected(shelf.state()).length > 1
  const found = shelf.state().windows[id]
  const on: Record<string, boolean> = {
    'window.everywhere': shelf.state().everywhere.includes(id),
    'window.maximise': shelf.state().windows[id]?.maximised === true,
  }
  return (
    <>
      {elsewhere ? <CommandItem command="window.focus" args={one} /> : null}
      <SendItems id={id} />
      {several ? (
        <CommandItem command="window.nextDisplay" args={one} label="Send to the next display" />
      ) : null}
      <MenuSeam />
      {PLACING.map((command) => (
        <CommandItem key={command} command={command} args={one} on={on[command]} />
      ))}
      <MenuSeam />
      <SubMenu label="Keep in sight">
        <CommandItem command="window.everywhere" args={one} on={on['window.everywhere'] ?? false} />
        <TetherItem id={id} />
        {found && isPage(shelf.state(), found) ? (
          <CommandItem command="window.furl" args={one} on={furls(shelf.state(), found)} />
        ) : null}
      </SubMenu>
      <SubMenu label="Home">
        {HOME.map((command) => (
          <CommandItem key={command} command={command} args={one} />
        ))}
      </SubMenu>
      <Exceptions app={shelf.state().windows[id]?.app ?? ''} />
      <SubMenu label="Document">
        {[...DOCUMENT, ...(linked ? FILE : [])].map((command) => (
          <CommandItem key={command} command={command} args={one} />
        ))}
      </SubMenu>
      <MenuSeam />
      <CommandItem command="window.close" args={one} />
    </>
  )
}

/** The other way than it is now: one that offers itself is let go in one act. */
function TetherItem({ id }: { id: WindowId }) {
  const shelf = useShelf()
  const state = shelf.state()
  const found = state.windows[id]
  if (!found) return null
  const tethered = isTethered(state, found, tethersNow(shelf))
  const offered = tethered && state.tethered[id] === undefined
  return (
    <CommandItem
      command="window.tether"
      args={{ window: id, ...(offered && { on: false }) }}
      label={tethered ? 'Let its tether go' : 'Tether: keep it in the line'}
    />
  )
}

function SendItems({ id }: { id: WindowId }) {
  const shelf = useShelf()
  const order = useArrangement((state) => state.order)
  const state = shelf.state()
  const { marked } = shelf.page.getState()
  const lives = state.windows[id]?.desktop
  const others = order.filter((desktopId) => desktopId !== lives)
  const several = marked.includes(id) && marked.length > 1
  const verbs = [
    several
      ? { label: `Send the ${marked.length} marked to`, command: 'window.sendAll' }
      : { label: 'Send to', command: 'window.send' },
    { label: 'Carry to', command: 'window.carry' },
  ]
  return verbs.map(({ label, command }) => {
    const about = command === 'window.sendAll' ? { windows: marked } : { window: id }
    return (
      <SubMenu key={command} label={label}>
        {others.map((to) => (
          <CommandItem
            key={to}
            command={command}
            args={{ ...about, to }}
            label={desktop(state, to).name}
          />
        ))}
        <CommandItem command={command} args={{ ...about, to: 'new' }} label="A new desktop" />
      </SubMenu>
    )
  })
}
