import type { DesktopId } from '@/core/model/types'
import { CommandItem } from '@/ui/parts/CommandItem'
import { MenuSeam } from '@/ui/parts/Menu'

const FACE = ['desktop.askName', 'desktop.askLook', 'desktop.askLetter']
const FOLDING = ['desktop.previewFold', 'desktop.previewFoldOthers']

/** Everything that can be done with a desktop. */
export function DesktopItems({ id }: { id: DesktopId }) {
  const one = { desktop: id }
  return (
    <>
      <CommandItem command="desktop.go" args={{ to: id }} />
      <CommandItem command="desktop.glance" args={{ to: id }} label="Look into it" />
      <CommandItem command="unstack.desktop" args={one} label="Unstack its windows" />
      <MenuSeam />
      {FACE.map((command) => (
        <CommandItem key={command} command={command} args={one} />
      ))}
      <MenuSeam />
      <CommandItem command="desktop.reorder" args={{ ...one, by: -1 }} label="Move earlier" />
      <CommandItem command="desktop.reorder" args={{ ...one, by: 1 }} label="Move later" />
      <CommandItem command="desktop.rest" args={one} label="Put to rest" />
      <MenuSeam />
      {FOLDING.map((command) => (
        <CommandItem key={command} command={command} args={one} />
      ))}
    </>
  )
}
