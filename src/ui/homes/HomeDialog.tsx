import type { FormEvent } from 'react'
import { appOf } from '@/apps/list'
import { twinOf } from '@/core/homes/clashes'
import { title, window as windowOf } from '@/core/model/selectors'
import { EVERY, type Home, type WindowId } from '@/core/model/types'
import { closeView, dispatchAny, getState } from '@/store/shelf'
import { Answers } from '@/ui/parts/Answers'
import { Dialog } from '@/ui/parts/Dialog'
import { HomeFields } from './HomeFields'
import { useHomeDraft } from './useHomeDraft'

/** A home for windows like one: what will happen in words, and one Enter to have it so. */
export function HomeDialog({ id }: { id: WindowId }) {
  const window = windowOf(getState(), id)
  const app = appOf(window.app)
  const plural = app?.plural ?? 'windows'
  const { draft, set, home } = useHomeDraft(
    {
      app: window.app,
      desktop: window.desktop === EVERY ? EVERY : window.desktop,
      follow: true,
      on: true,
      titled: false,
      title: patternOf(title(getState(), window)),
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
    if (keepHome(home, twinOf(getState().homes, home)?.id)) closeView()
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
export function keepHome(home: Home, id: string | undefined): boolean {
  const { id: _id, ...fields } = home
  const given = Object.fromEntries(
    Object.entries(fields).filter(([, value]) => value !== undefined),
  )
  return dispatchAny('home.set', { ...given, ...(id && { id }) }, 'key').ok
}

/** A pattern to begin with: the first word of the title and anything after it. */
const patternOf = (name: string): string => `${name.split(/[\s,:]/)[0]}*`
