import { string } from 'yup'
import { goTo, makeDesktop } from '@/core/commands/change'
import { command, type Env, nameArgument, no, type Refusal, refused } from '@/core/commands/command'
import { openWindow } from '@/core/commands/opening'
import { named, nameProblem, roomFor } from '@/core/commands/places'
import { limited, reachable } from '@/core/geometry/rect'
import { LOOK_PARTS, wear } from '@/core/look/look'
import { displayFor } from '@/core/model/displays'
import type { Desktop } from '@/core/model/kinds/desktop'
import type { Pattern } from '@/core/model/kinds/pattern'
import { currentId } from '@/core/model/selectors'
import type { State } from '@/core/model/state'

const group = 'Desktops' as const

/** More than anyone tells apart. */
const PATTERNS_MOST = 100

/** Stands in names of a pattern for what is typed when a desktop is made from it. */
export const BLANK = '…'

/** A text with the name of the desktop left blank. */
const blank = (text: string, name: string): string => text.replaceAll(name, BLANK)

/** A text of a pattern with its blanks filled in. */
const filled = (text: string, name: string): string => text.replaceAll(BLANK, name)

const patternOf = (state: State, wanted: string): Pattern | Refusal =>
  state.patterns.find(({ id }) => id === wanted) ??
  state.patterns.find(({ name }) => name.toLowerCase() === wanted.toLowerCase()) ??
  no(`There is no pattern “${wanted}”.`)

/** A desktop there is, or one that was put away. */
function source(state: State, place: string | undefined): Desktop | Refusal {
  const stowed = state.stowed.find(({ id }) => id === place)
  return stowed?.desktop ?? named(state, place)
}

const keep = command({
  id: 'pattern.keep',
  title: 'Keep this desktop as a pattern',
  group,
  args: { desktop: string(), name: nameArgument() },
  plan: (draft, { desktop, name }, env) => {
    const found = source(draft, desktop)
    if (refused(found)) return found
    if (found.kind !== 'open') return no('A window fills it. Choose an open desktop.')
    if (draft.patterns.length >= PATTERNS_MOST)
      return no(`There are ${PATTERNS_MOST} patterns, which is the most. Remove some first.`)
    const problem = name === undefined ? null : nameProblem(name)
    if (problem) return problem
    const { windows } = draft.stowed.find(({ id }) => id === found.id) ?? draft
    const { hue, emblem, backdrop, picture, sign, signed } = found
    const pattern: Pattern = JSON.parse(
      JSON.stringify({
        id: env.id('pattern'),
        name: name?.trim() ?? found.name,
        look: { hue, emblem, backdrop, picture, sign, signed },
        windows: found.windows.flatMap((id) => {
          const window = windows[id]
          if (!window) return []
          const { app, frame, placed, minimised, maximised, document } = window
          const title = blank(draft.documents[document]?.title ?? '', found.name)
          return { app, title, frame, placed, minimised, maximised }
        }),
      }),
    )
    draft.patterns.push(pattern)
    return { say: `Kept the pattern ${pattern.name}` }
  },
})

const remove = command({
  id: 'pattern.remove',
  title: 'Remove a pattern',
  group,
  unlisted: true,
  args: { pattern: string().required() },
  plan: (draft, { pattern }) => {
    const found = patternOf(draft, pattern)
    if (refused(found)) return found
    draft.patterns = draft.patterns.filter(({ id }) => id !== found.id)
    return { say: `Removed the pattern ${found.name}` }
  },
})

const make = command({
  id: 'pattern.make',
  title: 'New desktop from a pattern',
  group,
  unlisted: true,
  documents: true,
  args: { pattern: string().required(), name: nameArgument().required() },
  plan: (draft, { pattern, name }, env) => {
    const found = patternOf(draft, pattern)
    if (refused(found)) return found
    const refusal = nameProblem(name) ?? roomFor(draft, 1)
    if (refusal) return refusal
    const from = currentId(draft)
    const made = makeDesktop(draft, env, name.trim())
    wear(made, found.look, LOOK_PARTS)
    const known = found.windows.filter(({ app }) => env.app(app))
    for (const window of known) open(draft, made, window, env)
    goTo(draft, made.id)
    const left = found.windows.length - known.length
    return {
      say: `Made ${made.name} from ${found.name}${left ? `; ${left} of its apps are not here` : ''}`,
      journal: [{ kind: 'switch', from, to: made.id }],
    }
  },
})

/** Opens a window of a pattern with a document of its own. */
function open(draft: State, on: Desktop, given: Pattern['windows'][number], env: Env): void {
  const app = env.app(given.app)
  const display = displayFor(draft, on.id)
  const area = draft.displays[display]
  if (!app || !area) return
  const document = env.id('document')
  const title = filled(given.title, on.name) || app.untitled
  draft.documents[document] = {
    id: document,
    app: app.id,
    title,
    unsaved: false,
    openedAt: env.now,
  }
  openWindow(draft, {
    id: env.id('window'),
    app: app.id,
    document,
    desktop: on.id,
    display,
    frame: reachable({ ...given.frame, ...limited(given.frame, app.limits) }, area),
    minimised: given.minimised,
    maximised: given.maximised,
    placed: given.placed && { ...given.placed },
    limits: app.limits,
    openedAt: env.now,
    cause: { by: 'here' },
  })
}

const list = command({
  id: 'patterns.open',
  title: 'Patterns: desktop templates…',
  group,
  step: false,
  args: { pattern: string() },
  plan: (_draft, { pattern }) => ({ show: { view: 'patterns', ...(pattern && { pattern }) } }),
})

export const patternCommands = [list, keep, make, remove]
