import type { FormEvent } from 'react'
import { appOf } from '@/apps/list'
import { twinOf } from '@/core/homes/clashes'
import type { WindowId } from '@/core/model/ids'
import type { Home } from '@/core/model/kinds/home'
import { EVERY } from '@/core/model/kinds/window'
import { title, window as windowOf } from '@/core/model/selectors'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { HomeFields } from './HomeFields'
import { useHomeDraft } from './useHomeDraft'

/** A home for windows like one: what will happen in words, and one Enter to have it so. */
export function HomeDialog({ id }: { id: WindowId }) {
  const shelf = useShelf()
  const window = windowOf(shelf.state(), id)
  const app = appOf(shelf, window.app)
  const plural = app?.plural ?? 'windows'
  const { draft, set, home } = useHomeDraft(
    {
      app: window.app,
      desktop: window.desktop === EVERY ? EVERY : window.desktop,
      follow: true,
      on: true,
      titled: false,
      title: patternOf(title(shelf.state(), window)),
      from: '',
      to: '',
      ...(window.placed && { place: window.placed }),
    },
    undefined,
  )
  const keep = (event: FormEvent) => {
    event.preventDefault()
    if (typeof home === 'string') return
    // A second home for the same windows would never have an effect.
    if (keepHome(shelf, home, twinOf(shelf.state().homes, home)?.id)) shelf.closeView()
  }
  return (
    <Dialog
      title={`A home for ${plural}`}
      intro="From now on they open there. Windows that are open stay until you put them right."
      width={560}
    >
      <form onSubmit={keep}>
        <HomeFields draft={draft} home={home} plural={plural} set={set} />
        <Answers ready>Set home</Answers>
      </form>
    </Dialog>
  )
}

/** Sets a home; fields that are not given are left out. */
export function keepHome(shelf: Shelf, home: Home, id: string | undefined): boolean {
  const { id: _id, ...fields } = home
  const given = Object.fromEntries(
    Object.entries(fields).filter(([, value]) => value !== undefined),
  )
  return shelf.dispatchAny('home.set', { ...given, ...(id && { id }) }, 'key').ok
}

/** A pattern to begin with: the first word of the title and anything after it. */
const patternOf = (name: string): string => `${name.split(/[\s,:]/)[0]}*`
