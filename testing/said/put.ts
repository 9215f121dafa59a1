import fc from 'fast-check'
import { alone } from '@/core/formats/desktopFile'
import type { State } from '@/core/model/state'
import { World } from '../world'
import { desktopAt, maybe, nth, type Some } from './choosing'

/** Another shelf to bring in, with a desktop and a window of its own. */
const other = new World()
other.env.id = (kind) => `other-${kind}`
other.desktops('Brought')
other.open('dial')

/** A desktop from a file. */
const away = new World()
away.env.id = (kind) => `away-${kind}`
const [course = ''] = away.desktops('Course')
away.run('desktop.go', { to: course })
away.open()
const file = alone(away.state, course) ?? away.state

/** An earlier session, with a solo, a window on every desktop and a desktop of its own. */
const past = new World()
past.env.id = (kind) => `past-${kind}-${++pastCount}`
let pastCount = 0
past.desktops('Yesterday')
past.open()
past.open('dial')
past.run('window.everywhere')
past.open()
past.run('window.solo')
const earlier = past.state

/** How the shelf may have stood before, at two moments: what is brought back from one is moved from the other. */
const before = new World()
let beforeCount = 0
before.env.id = (kind) => `before-${kind}-${++beforeCount}`
before.desktops('One', 'Two')
for (const app of ['notes', 'dial', 'notes']) before.open(app)
before.run('window.send', { to: 'Two' })
before.open()
before.run('window.everywhere')
const stood = before.state
before.open()
before.run('window.solo')
const stoodLater = before.state

/** What is put away and brought in. */
export const put: Some = [
  maybe.map((at) => ({ id: 'desktop.stow', args: (state: State) => desktopAt(state, at) })),
  fc.nat(3).map((at) => ({
    id: 'desktop.bring',
    args: ({ stowed }: State) => ({ desktop: nth(stowed, at)?.id ?? 'none' }),
  })),
  fc.constant({
    id: 'desktop.import',
    args: () => ({ state: file, desktop: file.stowed[0]?.id ?? '' }),
  }),
  maybe.map((at) => ({
    id: 'pattern.keep',
    args: (state: State) => ({ ...desktopAt(state, at), name: 'Incident' }),
  })),
  fc.constantFrom('Slide', ' ').map((name) => ({
    id: 'pattern.make',
    args: () => ({ pattern: 'Incident', name }),
  })),
  fc.constant({ id: 'pattern.remove', args: () => ({ pattern: 'Incident' }) }),
  fc.constant({
    id: 'start.contexts',
    args: () => ({ names: ['Mail', 'Music', 'Budget'], homes: [{ app: 'notes', name: 'Music' }] }),
  }),
  fc.record({ id: fc.constant('session.reopen'), args: fc.constant(() => ({ state: earlier })) }),
  fc.nat(3).map((at) => ({
    id: 'session.windows',
    args: () => ({ windows: Object.keys(earlier.windows).slice(at % 2), from: earlier }),
  })),
  fc.tuple(fc.nat(9), fc.boolean()).map(([at, late]) => {
    const from = late ? stoodLater : stood
    return { id: 'past.desktop', args: () => ({ desktop: nth(from.order, at), from }) }
  }),
  fc.tuple(fc.nat(9), fc.boolean()).map(([at, late]) => {
    const from = late ? stoodLater : stood
    return { id: 'past.window', args: () => ({ window: nth(Object.keys(from.windows), at), from }) }
  }),
  fc.constantFrom(earlier, other.state).map((state) => ({
    id: 'restore.goBack',
    args: () => ({ state, name: 'Before the move' }),
  })),
  fc.tuple(fc.constantFrom(earlier, other.state), fc.boolean()).map(([state, whole]) => ({
    id: 'shelf.takeOver',
    args: () => ({ state, whole, from: 'Studio' }),
  })),
  fc.record({ id: fc.constant('shelf.merge'), args: fc.constant(() => ({ state: other.state })) }),
  fc.constantFrom('documents.discard', 'documents.putAway').chain((id) =>
    fc.nat(60).map((at) => ({
      id,
      args: ({ documents }: State) => ({ documents: [nth(Object.keys(documents), at) ?? 'none'] }),
    })),
  ),
  fc.nat(60).map((at) => ({
    id: 'documents.bring',
    args: () => ({
      documents: [{ id: `kept-${at}`, app: 'notes', title: 'Kept', unsaved: false, openedAt: at }],
    }),
  })),
  fc.tuple(fc.nat(60), fc.constantFrom('', ' ', '.md', 'Renamed')).map(([at, title]) => ({
    id: 'document.set',
    args: ({ documents }: State) => ({
      document: nth(Object.keys(documents), at) ?? 'none',
      title,
      unsaved: at % 2 === 0,
    }),
  })),
]
