import { boolean, string } from 'yup'
import { forget, settleFocus, settleFull, takeKeys, takeOff } from '@/core/commands/change'
import { command, no, type Result, refused } from '@/core/commands/command'
import { lookingAt, meant, onFramed, quoted, which } from '@/core/commands/meant'
import { openWindow, visit } from '@/core/commands/opening'
import { DIRECTIONS, type Direction, nearest, WHERE } from '@/core/geometry/direction'
import { besideDisplay, standsOn } from '@/core/model/displays'
import { CLOSED_KEPT } from '@/core/model/kinds/closed'
import type { Window } from '@/core/model/kinds/window'
import { peek } from '@/core/model/peek'
import {
  byUse,
  currentId,
  focusedWindow,
  isVisible,
  placeOf,
  summary,
  window,
} from '@/core/model/selectors'
import { unstacked } from '@/core/model/stacking'
import type { State } from '@/core/model/state'

const group = 'Windows' as const
const focus = command({
  id: 'window.focus',
  title: 'Go to window',
  group,
  unlisted: true,
  args: which,
  plan: lookingAt((draft, found) => visit(draft, found.id)),
})

/** Whether nobody would see any more what was changed in it and not saved. */
const losesChanges = ({ windows, documents }: State, { id, document }: Window): boolean =>
  peek(documents, document)?.unsaved === true &&
  !Object.keys(windows).some((one) => one !== id && peek(windows, one)?.document === document)

const close = command({
  id: 'window.close',
  title: 'Close window',
  group,
  args: { ...which, discard: boolean() },
  plan: (draft, args, env) => {
    const found = meant(draft, args.window)
    if (refused(found)) return found
    if (!args.discard && losesChanges(draft, found))
      return no(`${quoted(draft, found)} has changes that are not saved.`, {
        view: 'unsaved',
        window: found.id,
      })
    const say = `Closed ${quoted(draft, found)}`
    const lives = found.desktop
    // Out of a solo or a pair it is reopened where it came from.
    const returns = draft.desktops[lives]?.origins?.[found.id]?.desktop ?? lives
    takeOff(draft, found.id)
    for (const other of Object.values(draft.desktops)) forget(other, found.id)
    delete draft.windows[found.id]
    unstacked(draft, found.id)
    settleFull(draft, lives)
    draft.closed = [{ window: { ...found, desktop: returns }, at: env.now }, ...draft.closed].slice(
      0,
      CLOSED_KEPT,
    )
    const document = draft.documents[found.document]
    if (document && args.discard) document.unsaved = false
    settleFocus(draft)
    return { say, journal: [{ kind: 'close', window: found.id, app: found.app }] }
  },
})

const reopen = command({
  id: 'window.reopen',
  title: 'Reopen closed window',
  group,
  args: which,
  plan: (draft, args) => {
    if (draft.closed.length === 0) return no('No window was closed.')
    const closed = draft.closed.find(({ window: { id } }) => !args.window || id === args.window)
    if (!closed) return no('That window is not among the last 25 closed.')
    const { window: back } = closed
    draft.closed = draft.closed.filter((other) => other !== closed)
    const display = draft.displays[back.display] ? back.display : draft.display
    openWindow(draft, { ...back, display })
    const { journal = [] } = visit(draft, back.id)
    return {
      say: `Reopened ${quoted(draft, window(draft, back.id))}`,
      journal: [
        { kind: 'open', window: back.id, app: back.app, to: currentId(draft) },
        ...journal.filter(({ kind }) => kind === 'switch'),
      ],
    }
  },
})

const focusToward = command({
  id: 'window.focusToward',
  title: 'Focus the nearest window',
  group,
  unlisted: true,
  step: false,
  args: { to: string().oneOf(DIRECTIONS).required() },
  plan: (draft, { to }) => {
    const next = toward(draft, to)
    if (!next) return no(`There is no window ${WHERE[to]}.`)
    if ('window' in next) return visit(draft, next.window)
    takeKeys(draft, next.display)
    settleFocus(draft)
    const { name } = draft.displays[next.display] ?? {}
    return { announce: `${name}: ${summary(draft, currentId(draft))}` }
  },
})

/**
 * The nearest window seen in a direction from the focused one, also beyond the edge of its display;
 * a display without one; the topmost window when none has focus.
 */
function toward(
  state: State,
  direction: Direction,
): { window: string } | { display: string } | undefined {
  const seen = byUse(state).filter((other) => isVisible(state, other))
  const from = focusedWindow(state)
  const here = state.displays[state.display]
  const first = seen.find((other) => standsOn(state, other) === state.display)
  if (!from && first) return { window: first.id }
  const others = seen.filter(({ id }) => id !== from?.id)
  const start = from ? placeOf(state, from) : here
  if (!start) return
  const at = nearest(
    start,
    others.map((other) => placeOf(state, other)),
    direction,
  )
  const found = at === null ? undefined : others[at]
  if (found) return { window: found.id }
  const beyond = here && besideDisplay(state, here, direction)
  return beyond && { display: beyond.id }
}

const pad = command({
  id: 'window.pad',
  title: 'Place window on the pad',
  group,
  step: false,
  args: which,
  // Where a window fills its desktop there is nothing to place.
  plan: onFramed((_draft, found) => ({ show: { view: 'pad', window: found.id } })),
})

/** Commands about the document that a window shows. */
const aboutDocument = <Id extends string>(
  id: Id,
  commandTitle: string,
  does: (found: Window) => Result,
) =>
  command({
    id,
    title: commandTitle,
    group,
    step: false,
    args: which,
    plan: lookingAt((_draft, found) => does(found)),
  })

export const windowCommands = [
  focus,
  focusToward,
  pad,
  close,
  reopen,
  aboutDocument('window.save', 'Save document', ({ document }) => ({
    effect: { does: 'save document', document },
  })),
  aboutDocument('window.saveTo', 'Save document to a file…', ({ document }) => ({
    effect: { does: 'save to file', document },
  })),
  aboutDocument('window.compareFile', 'Compare document with its file…', ({ document }) => ({
    show: { view: 'file', document },
  })),
  aboutDocument('window.leaveFile', 'Keep document only in the shelf', ({ document }) => ({
    effect: { does: 'leave file', document },
  })),
  aboutDocument('window.find', 'Find in this window', ({ id }) => ({
    effect: { does: 'find', window: id },
  })),
  aboutDocument('window.askTitle', 'Rename document…', ({ document }) => ({
    show: { view: 'title', document },
  })),
  aboutDocument('window.export', 'Export document to a file', ({ document }) => ({
    show: { view: 'export document', document },
  })),
  aboutDocument('window.copyReference', 'Copy reference to this document', ({ document }) => ({
    effect: { does: 'copy reference', document },
  })),
  command({
    id: 'window.copyLink',
    title: 'Copy link to this document',
    group,
    step: false,
    args: which,
    plan: lookingAt((draft, { document: to }) => ({
      effect: { does: 'copy link', to, name: draft.documents[to]?.title ?? '' },
    })),
  }),
]
