import { currentId } from '@/core/model/selectors'
import type { DesktopId } from '@/core/model/types'
import { useArrangement } from '@/store/shelf'
import { CommandItem } from '@/ui/parts/CommandItem'
import { MenuSeam } from '@/ui/parts/Menu'

const FACE = ['desktop.askName', 'desktop.askLook', 'desktop.askLetter']
const PICTURES = ['picture.desktop.png', 'picture.desktop.svg']
const FOLDING = ['desktop.previewFold', 'desktop.previewFoldOthers']

/** Of the one that is on screen. */
function Pictures({ id }: { id: DesktopId }) {
  const here = useArrangement((state) => currentId(state) === id)
  if (!here) return null
  return PICTURES.map((command) => <CommandItem key={command} command={command} />)
}

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
      <Pictures id={id} />
      <MenuSeam />
      {FOLDING.map((command) => (
        <CommandItem key={command} command={command} args={one} />
      ))}
    </>
  )
}
