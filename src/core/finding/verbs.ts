import type { DesktopId } from '@/core/model/ids'
import type { AppFacts } from '@/core/model/kinds/app'
import type { Window } from '@/core/model/kinds/window'
import { byUse, desktop, focusedWindow, title } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { plain } from '@/core/text/plain'
import type { Found } from './find'

/** So many ways to read a sentence are offered. */
const MOST = 3

/** Those whose name is typed, or begins so, or has a word that does; the best first. */
function called<T>(all: readonly T[], nameOf: (one: T) => string, typed: string): T[] {
  const distance = (one: T): number => {
    const name = plain(nameOf(one))
    if (name === typed) return 0
    if (name.startsWith(typed)) return 1
    return ` ${name}`.includes(` ${typed}`) ? 2 : 3
  }
  return all
    .filter((one) => distance(one) < 3)
    .toSorted((a, b) => distance(a) - distance(b))
    .slice(0, MOST)
}

/**
 * A sentence of a verb and what it is about, as it would be done: `send rota`, `fold field into
 * model`, `open table on bulletin`, `solo rota`.
 * @param typed without accents and capitals
 */
export function sentences(state: State, apps: AppFacts[], typed: string): Found[] {
  const [verb = '', ...rest] = typed.split(/\s+/)
  const about = rest.join(' ')
  const say = SAYINGS[verb]
  return say && about ? say({ state, apps, about }).slice(0, MOST) : []
}

interface Said {
  state: State
  apps: AppFacts[]
  about: string
}

const doing = (
  command: string,
  args: Record<string, unknown>,
  words: string,
  more: Partial<Found> = {},
): Found => ({
  kind: 'commands',
  id: `${command} ${JSON.stringify(args)}`,
  title: words,
  command,
  args,
  also: [],
  said: true,
  ...more,
})

const desktops = (state: State, name: string): DesktopId[] =>
  called(state.order, (id) => desktop(state, id).name, name)

const windows = (state: State, name: string): Window[] =>
  called(byUse(state), (window) => title(state, window), name)

const split = (about: string, by: RegExp): [string, string] | null => {
  const at = about.match(by)
  return at?.index ? [about.slice(0, at.index), about.slice(at.index + at[0].length)] : null
}

/** Moves the focused window, or the one that is named, to a desktop. */
const moving =
  (command: 'window.send' | 'window.carry', word: string) =>
  ({ state, about }: Said): Found[] => {
    const two = split(about, / to /)
    const named = two ? windows(state, two[0])[0] : undefined
    const window = two ? named : focusedWindow(state)
    if (!window) return []
    return desktops(state, two ? two[1] : about.replace(/^to /, '')).map((to) =>
      doing(
        command,
        { window: window.id, to },
        `${word} “${title(state, window)}” to ${desktop(state, to).name}`,
        { desktop: to },
      ),
    )
  }

const going = ({ state, about }: Said): Found[] =>
  desktops(state, about.replace(/^to /, '')).map((to) =>
    doing('desktop.go', { to }, `Go to ${desktop(state, to).name}`, { desktop: to }),
  )

const folding = ({ state, about }: Said): Found[] => {
  const two = split(about, / into /)
  return desktops(state, two ? two[0] : about).flatMap((id) => {
    const name = desktop(state, id).name
    if (!two) return doing('desktop.previewFold', { desktop: id }, `Fold ${name}…`, { desktop: id })
    return desktops(state, two[1])
      .filter((into) => into !== id)
      .map((into) =>
        doing(
          'desktop.previewFold',
          { desktop: id, into },
          `Fold ${name} into ${desktop(state, into).name}…`,
          { desktop: id },
        ),
      )
  })
}

const stowing = ({ state, about }: Said): Found[] =>
  desktops(state, about).map((id) =>
    doing('desktop.stow', { desktop: id }, `Stow ${desktop(state, id).name}`, { desktop: id }),
  )

const bringing = ({ state, about }: Said): Found[] =>
  called(state.stowed, (one) => one.desktop.name, about.replace(/^back /, '')).map((one) =>
    doing('desktop.bring', { desktop: one.id }, `Bring ${one.desktop.name} back`),
  )

/** Does something to a window that is named, or to the first of a desktop that is. */
const withWindow =
  (command: string, word: string) =>
  ({ state, about }: Said): Found[] => {
    const named = windows(state, about)
    const [there] = desktops(state, about)
    const onIt = byUse(state).find((window) => window.desktop === there)
    return [...named, ...(named.length === 0 && onIt ? [onIt] : [])].map((window) =>
      doing(command, { window: window.id }, `${word} “${title(state, window)}”`, {
        window: window.id,
        app: window.app,
      }),
    )
  }

const opening = ({ state, apps, about }: Said): Found[] => {
  const two = split(about, / on /)
  return called(apps, ({ name }) => name, two ? two[0] : about).flatMap(({ id, name }) => {
    if (!two) return doing('app.launch', { app: id }, `Open ${name}`, { app: id })
    return desktops(state, two[1]).map((on) =>
      doing('app.openOn', { app: id, on }, `Open ${name} on ${desktop(state, on).name}`, {
        app: id,
        desktop: on,
      }),
    )
  })
}

const minimising = withWindow('window.minimise', 'Minimise')

const SAYINGS: Readonly<Record<string, (said: Said) => Found[]>> = {
  bring: bringing,
  carry: moving('window.carry', 'Carry'),
  close: withWindow('window.close', 'Close'),
  fold: folding,
  go: going,
  launch: opening,
  maximise: withWindow('window.maximise', 'Maximise'),
  maximize: withWindow('window.maximise', 'Maximise'),
  minimise: minimising,
  minimize: minimising,
  move: moving('window.send', 'Send'),
  open: opening,
  remove: folding,
  send: moving('window.send', 'Send'),
  solo: withWindow('window.solo', 'Solo'),
  stow: stowing,
  switch: going,
  take: moving('window.carry', 'Carry'),
}
