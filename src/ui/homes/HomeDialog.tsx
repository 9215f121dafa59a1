import type { FormEvent } from 'react'
import { appOf } from '@/apps/list'
import { twinOf } from '@/core/homes/clashes'
import type { AppId, WindowId } from '@/core/model/ids'
import type { Home } from '@/core/model/kinds/home'
import { currentId, openDesktop, title, window as windowOf } from '@/core/model/selectors'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { HomeFields } from './HomeFields'
import { type HomeDraft, useHomeDraft } from './useHomeDraft'

/** A home for windows like one. */
export function HomeDialog({ id }: { id: WindowId }) {
  const state = useShelf().state()
  const window = windowOf(state, id)
  const { app, desktop, placed } = window
  const first = { ...freshHome(app, desktop), title: patternOf(title(state, window)) }
  return <Asked of={id} first={placed ? { ...first, place: placed } : first} />
}

/** A home for all windows of an app, which may have none yet. */
export function AppHomeDialog({ app }: { app: AppId }) {
  const state = useShelf().state()
  return <Asked of={app} first={freshHome(app, openDesktop(state, currentId(state)))} />
}

/** A home to begin with. */
export const freshHome = (app: AppId, desktop: string): HomeDraft => ({
  app,
  desktop,
  follow: true,
  on: true,
  titled: false,
  from: '',
  to: '',
})

/** What will happen in words, and one Enter to have it so. */
function Asked({ of, first }: { of: WindowId | AppId; first: HomeDraft }) {
  const shelf = useShelf()
  const plural = appOf(shelf, first.app)?.plural ?? 'windows'
  const { draft, set, forget, home } = useHomeDraft(first, undefined, of)
  const keep = (event: FormEvent) => {
    event.preventDefault()
    if (typeof home === 'string') return
    // A second home for the same windows would never have an effect.
    if (!keepHome(shelf, home, twinOf(shelf.state().homes, home)?.id)) return
    forget()
    shelf.closeView()
  }
  return (
    <Dialog
      title={`A home for ${plural}`}
      intro="From now on they open there. Windows that are open stay until you put them right."
      width={560}
    >
      <form onSubmit={keep} onReset={forget}>
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
