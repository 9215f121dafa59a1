import { isQuiet } from '@/core/attention/waiting'
import type { DesktopId } from '@/core/model/ids'
import { currentId, isPage, window as windowOf } from '@/core/model/selectors'
import { CommandItem } from '@/parts/CommandItem'
import { MenuSeam, SubMenu } from '@/parts/Menu'
import { folderBy } from '@/store/documents/folders'
import { useArrangement, useShelf } from '@/store/useShelf'

const FACE = ['desktop.askLook', 'desktop.askCopyLook', 'desktop.askLetter']
const ARRANGING = [
  ['arrange.columns', 'In columns'],
  ['arrange.rows', 'In rows'],
  ['arrange.large', 'One large, the rest beside it'],
  ['arrange.cells', 'In cells'],
  ['arrange.back', 'Back to how they stood'],
] as const
const PICTURES = [
  'picture.desktop.png',
  'picture.desktop.svg',
  'picture.display.png',
  'picture.display.svg',
  'picture.area.png',
  'picture.area.clipboard',
]
const KEPT = [
  ...['desktop.stow', 'pattern.keep', 'desktop.export', 'desktop.copyLink', 'desktop.rest'],
]
const FOLDING = ['desktop.previewFold', 'desktop.previewFoldOthers']

/** Everything that can be done with a desktop. */
export function DesktopItems({ id }: { id: DesktopId }) {
  const shelf = useShelf()
  const quiet = useArrangement(({ desktops }) => isQuiet(desktops[id] ?? {}, shelf.clock()))
  const here = useArrangement((state) => currentId(state) === id)
  const furls = useArrangement(({ desktops }) => desktops[id]?.furls === true)
  const outside = useArrangement((state) =>
    (state.desktops[id]?.windows ?? []).some((one) => isPage(state, windowOf(state, one))),
  )
  const one = { desktop: id }
  return (
    <>
      {here ? null : (
        <>
          <CommandItem command="desktop.go" args={{ to: id }} />
          <CommandItem command="desktop.glance" args={{ to: id }} label="Glance at it" />
        </>
      )}
      <CommandItem command="unstack.desktop" args={one} label="Unstack its windows" />
      <MenuSeam />
      <CommandItem command="desktop.askName" args={one} />
      <SubMenu label="Look and letter">
        {FACE.map((command) => (
          <CommandItem key={command} command={command} args={one} />
        ))}
      </SubMenu>
      <CommandItem command="desktop.reorder" args={{ ...one, by: -1 }} label="Move earlier" />
      <CommandItem command="desktop.reorder" args={{ ...one, by: 1 }} label="Move later" />
      <CommandItem command="desktop.quiet" args={one} on={quiet} />
      <CommandItem command="desktop.askQuiet" args={one} />
      <CommandItem command="desktop.notes" args={one} />
      {outside || furls ? <CommandItem command="desktop.furl" args={one} on={furls} /> : null}
      {/* Only of what is on screen. */}
      {here ? (
        <SubMenu label="Arrange all">
          {ARRANGING.map(([command, label]) => (
            <CommandItem key={command} command={command} label={label} />
          ))}
        </SubMenu>
      ) : null}
      <MenuSeam />
      <CommandItem command="desktop.create" />
      <SubMenu label="Keep or put away">
        {KEPT.map((command) => (
          <CommandItem key={command} command={command} args={one} />
        ))}
        <CommandItem
          command={folderBy(shelf, id) ? 'desktop.leaveFolder' : 'desktop.folder'}
          args={one}
        />
        {here ? PICTURES.map((command) => <CommandItem key={command} command={command} />) : null}
      </SubMenu>
      {FOLDING.map((command) => (
        <CommandItem key={command} command={command} args={one} />
      ))}
    </>
  )
}
