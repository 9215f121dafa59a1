import { currentId } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import type { PageState } from '@/store/page'

/** What is looked at to see whether a step was done. */
type Seen = PageState

interface Step {
  does: string
  /** The command whose keys are shown, or keys that are no command's. */
  command: string
  args?: object
  /** What is pressed after it. */
  next?: string
  /** The same by pointer. */
  pointer: string
  /** @param then how it was when the step began */
  done(now: Seen, then: Seen): boolean
}

const stateOf = ({ session }: Seen): State => session.state
const count = (state: State): number => Object.keys(state.windows).length
const moved = (now: State, then: State): boolean =>
  Object.values(now.windows).some(
    ({ id, desktop }) => then.windows[id] && then.windows[id].desktop !== desktop,
  )
const at = (seen: Seen): string => currentId(stateOf(seen))

/** A view is opened. */
const opens =
  (view: NonNullable<PageState['view']>['view']) =>
  (now: Seen): boolean =>
    now.view?.view === view

/** The first five minutes, in the order of a day: look, sort, work, keep, find. */
export const STEPS: Step[] = [
  {
    does: 'Open Document. Number keys open apps, or go to them.',
    command: 'app.launch',
    args: { slot: 1 },
    pointer: 'push Document in the rack',
    done: (now, then) => count(stateOf(now)) > count(stateOf(then)),
  },
  {
    does: 'See everything in the loft. Arrows walk, Enter goes.',
    command: 'loft.open',
    next: 'Enter',
    pointer: 'push “loft” in the rack',
    done: ({ loft }, then) => !loft && then.loft,
  },
  {
    does: 'Make another desktop, type a name, and Enter.',
    command: 'desktop.create',
    next: 'Enter',
    pointer: 'push “new desktop” in the rack',
    done: (now, then) =>
      stateOf(now).order.length > stateOf(then).order.length && now.view === null,
  },
  {
    does: 'Give it its own look. Escape closes the panel.',
    command: 'desktop.askLook',
    pointer: 'choose “Look…” in the menu of its row',
    done: opens('look'),
  },
  {
    does: 'Go back to the desktop before this one.',
    command: 'desktop.go',
    args: { to: 'last' },
    pointer: 'push its row in the rack',
    done: (now, then) => at(now) !== at(then),
  },
  {
    does: 'Take the window along to the next desktop. Shift takes it with you.',
    command: 'window.carry',
    args: { to: 'next' },
    pointer: 'drag it to the edge of the page and hold it there',
    done: (now, then) => moved(stateOf(now), stateOf(then)) && at(now) !== at(then),
  },
  {
    does: 'Send it back while you stay here.',
    command: 'window.send',
    args: { to: 'previous' },
    pointer: 'drag it onto a row of the rack',
    done: (now, then) => moved(stateOf(now), stateOf(then)) && at(now) === at(then),
  },
  {
    does: 'Undo that.',
    command: 'history.undo',
    pointer: 'push “undo” in the line',
    done: (now, then) => now.session.history.future.length > then.session.history.future.length,
  },
  {
    does: 'Place the window: one letter is a ninth, two span. Enter keeps it.',
    command: 'window.pad',
    next: 'Q A Enter',
    pointer: 'push “Place” on its hem',
    done: (now, then) =>
      now.view === null &&
      Object.values(stateOf(now).windows).some(
        ({ id, placed }) => placed && placed !== stateOf(then).windows[id]?.placed,
      ),
  },
  {
    does: 'Show it alone. Press the same keys again to bring it back.',
    command: 'window.solo',
    pointer: 'push “Solo” on its hem, then “Bring it back”',
    done: (now, then) =>
      now.session.history.count > then.session.history.count + 1 &&
      Object.values(stateOf(now).desktops).every(({ kind }) => kind === 'open'),
  },
  {
    does: 'Give windows like this one a home. From now on they open there.',
    command: 'home.ask',
    next: 'Enter',
    pointer: 'choose “Home” in its menu',
    done: (now, then) => stateOf(now).homes.length > stateOf(then).homes.length,
  },
  {
    does: 'See what is waiting for you. Escape closes the list.',
    command: 'attention.list',
    pointer: 'when something is waiting, push its number in the line',
    done: opens('waiting'),
  },
  {
    does: 'Fold a desktop. First you see where each window goes; Escape cancels.',
    command: 'desktop.previewFold',
    pointer: 'choose “Fold this desktop…” in the menu of its row',
    done: opens('fold'),
  },
  {
    does: 'Find anything: a window, a word in a text, a command.',
    command: 'line.open',
    next: 'Escape',
    pointer: 'push “find” in the line',
    done: ({ view }, then) => view === null && then.view?.view === 'line',
  },
  {
    does: 'Look at all keys. They are made from what is bound now.',
    command: 'shelf.keys',
    pointer: 'push “keys” in the line',
    done: opens('keys'),
  },
]
