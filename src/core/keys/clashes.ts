import type { KeyPlace } from '@/core/model/kinds/binding'
import type { State } from '@/core/model/state'
import { type Bound, bindings } from './bindings'
import { KEPT, type Platform } from './kept'
import { KEYS, MIDDLE } from './keyboard'
import { CALL_LETTERS } from './letters'
import { bindingsIn } from './places'
import { isMouse, isTyped, readKeys, type Stroke, writeStroke } from './strokes'

/** What is wrong with keys for a command, in words, and whether they could be used all the same. */
export interface Clash {
  kind: 'malformed' | 'typed' | 'taken' | 'hidden' | 'hides' | 'kept' | 'types' | 'edits' | 'letter'
  why: string
}

type Keyed = Pick<State, 'order' | 'desktops' | 'bindings'>

interface Asked {
  keys: string
  /** Where they are to be heard, if not everywhere. */
  place?: KeyPlace | undefined
  /** The command they are for: what has them already is no clash with itself. */
  command: string
  args?: object
  platform: Platform
  /** What a command is called. */
  named(bound: Bound): string
}

const same = (bound: Bound, { command, args }: Asked): boolean =>
  bound.command === command && JSON.stringify(bound.args ?? {}) === JSON.stringify(args ?? {})

/** All that speaks against binding keys to a command, the worst first. */
export function clashes(state: Keyed, asked: Asked): Clash[] {
  const strokes = readKeys(asked.keys)
  if (!strokes) return [{ kind: 'malformed', why: `“${asked.keys}” cannot be pressed.` }]
  const [first, ...rest] = strokes as [Stroke, ...Stroke[]]
  return [
    ...taken(state, asked),
    ...hidden(state, asked, strokes),
    // Where plain keys do the work nothing is typed, and letters were said to be taken.
    ...(asked.place ? chord(state, asked, first) : types(first)),
    ...(asked.place ? [] : letter(state, asked, first, rest.length > 0)),
    ...(asked.place ? [] : edits(first)),
    ...kept(asked, first),
  ]
}

/** What is bound where keys are to be heard. */
const boundAt = (state: Keyed, { place }: Asked): ReadonlyMap<string, Bound> =>
  place ? bindingsIn(state, place) : bindings(state)

/** Chords of the desktop are heard before the keys of a place. */
function chord(state: Keyed, asked: Asked, first: Stroke): Clash[] {
  const bound = bindings(state).get(writeStroke(first))
  if (bound) return [{ kind: 'taken', why: `Already used everywhere for: ${asked.named(bound)}.` }]
  return first.alt ? [{ kind: 'types', why: 'In places keys are pressed without Alt.' }] : []
}

function taken(state: Keyed, asked: Asked): Clash[] {
  const bound = boundAt(state, asked).get(asked.keys)
  if (!bound || same(bound, asked)) return []
  return [{ kind: 'taken', why: `Already used for: ${asked.named(bound)}.` }]
}

/** A sequence cannot be heard when its beginning is a command by itself. */
function hidden(state: Keyed, asked: Asked, strokes: Stroke[]): Clash[] {
  const all = boundAt(state, asked)
  const found: Clash[] = []
  for (let length = 1; length < strokes.length; length++) {
    const beginning = strokes.slice(0, length).map(writeStroke).join(' ')
    const bound = all.get(beginning)
    if (bound)
      found.push({
        kind: 'hidden',
        why: `They would never be heard: ${beginning} does ${asked.named(bound)} at once.`,
      })
  }
  const longer = [...all.values()].filter(
    (bound) => bound.keys.startsWith(`${asked.keys} `) && !same(bound, asked),
  )
  if (longer.length > 0)
    found.push({
      kind: 'hides',
      why: `${longer.length === 1 ? 'A sequence begins' : `${longer.length} sequences begin`} with them, which would never be heard again.`,
    })
  return found
}

/** What buttons of the mouse do alone. */
const ALONE: Record<string, string> = {
  MouseMiddle: 'The middle button alone scrolls, pastes and opens links. Add a modifier.',
  MouseBack: 'The side buttons alone are among the pointer’s ways, in the settings.',
  MouseForward: 'The side buttons alone are among the pointer’s ways, in the settings.',
}

/** Without Ctrl or Alt a key types, but for those that type nothing. */
function types(stroke: Stroke): Clash[] {
  const { ctrl, alt, shift, key } = stroke
  if (isMouse(stroke)) {
    if (ctrl || alt || shift) return []
    return [{ kind: 'types', why: ALONE[key] ?? '' }]
  }
  if (ctrl && alt && key.length === 1)
    return [
      {
        kind: 'types',
        why: 'Ctrl and Alt together type characters on many layouts, as the right Alt key does.',
      },
    ]
  if (!isTyped(stroke)) return []
  return [{ kind: 'typed', why: `${key} alone is typed into windows. Add Alt or Ctrl.` }]
}

/** What keys do wherever something is typed. */
const EDITS: Record<string, string> = {
  'Ctrl+A': 'selects everything',
  'Ctrl+C': 'copies',
  'Ctrl+V': 'pastes',
  'Ctrl+X': 'cuts',
  'Ctrl+Y': 'redoes what was typed',
  'Ctrl+Z': 'undoes what was typed',
  'Ctrl+Shift+Z': 'redoes what was typed',
  Backspace: 'deletes what was typed',
  Delete: 'deletes what was typed',
}

function edits(stroke: Stroke): Clash[] {
  const keys = writeStroke(stroke)
  const does = EDITS[keys]
  return does ? [{ kind: 'edits', why: `${keys} ${does} in windows, which would end.` }] : []
}

/** Alt and a letter are the desktops’. */
function letter(state: Keyed, asked: Asked, { ctrl, alt, key }: Stroke, longer: boolean): Clash[] {
  if (ctrl || !alt || !CALL_LETTERS.includes(key)) return []
  const owner = state.order.map((id) => state.desktops[id]).find((one) => one?.letter === key)
  const bound = bindings(state).get(asked.keys)
  // That it is taken was said, where nothing follows.
  if (bound && !longer && !same(bound, asked)) return []
  return [
    {
      kind: 'letter',
      why: owner
        ? `${key} is the letter of ${owner.name}.`
        : `${key} may become the letter of a desktop; these keys would then win.`,
    },
  ]
}

const FREED = {
  'full screen': ' In full screen the page has it, in browsers that can.',
  installed: ' Installed as a window of its own the page has it.',
}

function kept({ platform }: Asked, first: Stroke): Clash[] {
  const beginning = writeStroke(first)
  const found = KEPT.find((one) => one.keys === beginning && one.on.includes(platform))
  if (!found) return []
  const who = found.sure === 'always' ? 'The browser or the system keeps' : 'Some browsers keep'
  const freed = found.freed ? FREED[found.freed] : ''
  return [{ kind: 'kept', why: `${who} ${beginning}: it ${found.does}.${freed}` }]
}

/**
 * Free keys near by: the same modifiers, if possible the same hand, as near on the keyboard as there
 * are. @returns keys nothing speaks against, or null where none are left
 */
export function proposal(state: Keyed, asked: Asked): string | null {
  const strokes = readKeys(asked.keys)
  const last = strokes?.at(-1)
  const from = KEYS.get(last?.key ?? '') ?? KEYS.get('G')
  if (!strokes || !last || !from) return null
  const before = strokes.slice(0, -1).map(writeStroke)
  let best: string | null = null
  let least = Number.POSITIVE_INFINITY
  for (const shift of [last.shift, !last.shift])
    for (const [key, { x, y }] of KEYS) {
      const hand = x < MIDDLE === from.x < MIDDLE ? 0 : 4
      const cost = Math.hypot(x - from.x, y - from.y) + hand + (shift === last.shift ? 0 : 8)
      if (cost >= least) continue
      const keys = [...before, writeStroke({ ...last, shift, key })].join(' ')
      // What it has already speaks against nothing, and is no proposal.
      if (keys === asked.keys || boundAt(state, asked).has(keys)) continue
      if (clashes(state, { ...asked, keys }).length > 0) continue
      least = cost
      best = keys
    }
  return best
}
