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

/** The first five minutes: what is done most all day, each told by what it does. */
export const STEPS: Step[] = [
  {
    does: 'Open Document. Number keys open apps, or go to them.',
    command: 'app.launch',
    args: { slot: 1 },
    done: (now, then) => count(stateOf(now)) > count(stateOf(then)),
  },
  {
    does: 'Make another desktop, type a name, and Enter.',
    command: 'desktop.create',
    next: 'Enter',
    done: (now, then) =>
      stateOf(now).order.length > stateOf(then).order.length && now.view === null,
  },
  {
    does: 'Go back to the desktop before this one.',
    command: 'desktop.go',
    args: { to: 'last' },
    done: (now, then) => at(now) !== at(then),
  },
  {
    does: 'Take the window along to the next desktop. Shift takes it with you.',
    command: 'window.carry',
    args: { to: 'next' },
    done: (now, then) => moved(stateOf(now), stateOf(then)) && at(now) !== at(then),
  },
  {
    does: 'Take that back.',
    command: 'history.undo',
    done: (now, then) => now.session.history.future.length > then.session.history.future.length,
  },
  {
    does: 'Place the window: one letter is a ninth, two span. Enter keeps it.',
    command: 'window.pad',
    next: 'Q A Enter',
    done: (now, then) =>
      now.view === null &&
      Object.values(stateOf(now).windows).some(
        ({ id, placed }) => placed && placed !== stateOf(then).windows[id]?.placed,
      ),
  },
  {
    does: 'See everything in the loft. Arrows walk, Enter goes.',
    command: 'loft.open',
    next: 'Enter',
    done: ({ loft }, then) => !loft && then.loft,
  },
  {
    does: 'Find anything: a window, a word in a text, a command.',
    command: 'line.open',
    next: 'Escape',
    done: ({ view }, then) => view === null && then.view?.view === 'line',
  },
  {
    does: 'Look at all keys. They are made from what is bound now.',
    command: 'shelf.keys',
    done: ({ view }) => view?.view === 'keys',
  },
]
