import { array, number, object, string } from 'yup'
import { PLACES } from '@/core/keys/bindings'
import { eatTyping } from '@/core/keys/strokes'
import { BINDING, type Binding } from '@/core/model/kinds/binding'
import { desktopOfHome, HERE, HOME, type Home, NAMED } from '@/core/model/kinds/home'
import { SEQUENCE, type Sequence } from '@/core/model/kinds/sequence'
import { isObject, problemOf, shortened } from '@/core/model/shaping'
import type { State } from '@/core/model/state'
import { settingsShape } from '@/core/settings/checks'
import { knownSettings, type Settings } from '@/core/settings/table'
import { lineOf } from './json'

const FORMAT = 'kite-shelf-settings'
const VERSION = 1

/** How one wants it, without what one works on. */
export interface Wanted {
  settings: Settings
  homes: Home[]
  bindings: Binding[]
  sequences: Sequence[]
}

interface SettingsFile extends Wanted {
  format: typeof FORMAT
  version: number
  /** ISO time. */
  exportedAt: string
}

/** Settings, homes and keys as a file. Homes name their desktop, which has another id elsewhere. */
export const settingsFile = (state: State, now: number): SettingsFile => ({
  format: FORMAT,
  version: VERSION,
  exportedAt: new Date(now).toISOString(),
  settings: state.settings,
  homes: state.homes.map((home) => {
    const name = state.desktops[home.desktop]?.name
    return name === undefined ? home : { ...home, name }
  }),
  // By name: the desktops of another shelf have other ids.
  bindings: saidOf(state.bindings, (to) => state.desktops[to]?.name),
  sequences: state.sequences,
})

/** Bindings with something else for the desktop they lead to, where there is something. */
const saidOf = (all: Binding[], as: (to: string) => string | undefined): Binding[] =>
  all.map((binding) => BINDING.ids(binding, (_, to) => as(to) ?? to))

/** Bindings of a file for the desktops there are here: by name, where there is one of that name. */
export const bindingsHere = ({ desktops }: Pick<State, 'desktops'>, all: Binding[]): Binding[] =>
  saidOf(all, (to) =>
    // Words for places and call letters mean the same here.
    to.length === 1 || PLACES.some((place) => place.to === to)
      ? undefined
      : Object.values(desktops).find(({ name }) => name === to)?.id,
  )

export class BadSettingsFile extends Error {}

const lists = {
  homes: array(HOME.shape.required()).required().max(1000),
  bindings: array(BINDING.shape.required()).required().max(1000),
  // Files of before had none.
  sequences: array(SEQUENCE.shape.required()).max(100),
}

/** The check of what is brought in. */
export const wantedShape = object({ settings: settingsShape.required(), ...lists })

/** The check of a whole file. */
export const settingsFileShape = object({
  format: string().oneOf([FORMAT]).required(),
  version: number().integer().min(1).required(),
  exportedAt: string().max(40),
  settings: object().required(),
  ...lists,
})

/**
 * Reads a settings file from text.
 * @throws BadSettingsFile with a sentence that says what is wrong and where
 */
export function readSettingsFile(content: string): Wanted {
  let parsed: unknown
  try {
    parsed = JSON.parse(content)
  } catch (error) {
    throw new BadSettingsFile(`it is not JSON${lineOf(content, error)}`)
  }
  if (!isObject(parsed) || parsed.format !== FORMAT)
    throw new BadSettingsFile(
      'it does not say that it is a settings file (“format”: “kite-shelf-settings”)',
    )
  if (typeof parsed.version !== 'number' || parsed.version > VERSION)
    throw new BadSettingsFile(
      `it has version ${shortened(String(parsed.version), 40)}, and this Kite Shelf reads up to version ${VERSION}`,
    )
  const problem = problemOf(parsed, settingsFileShape)
  if (problem) throw new BadSettingsFile(`${problem.path || 'it'} ${problem.why}`)
  const { homes, bindings, sequences = [] } = parsed as unknown as SettingsFile
  const settings = knownSettings(parsed.settings as Record<string, unknown>)
  const wrong = problemOf(settings, settingsShape)
  if (wrong) throw new BadSettingsFile(`settings.${wrong.path} ${wrong.why}`)
  // Keys that windows are typed into with could be bound once.
  const heard = bindings.filter(({ keys, place, app }) => place || app || !eatTyping(keys))
  return { settings: settings as Settings, homes, bindings: heard, sequences }
}

/** Homes of a file for the desktops there are here: by id, else by name, else by that name later. */
export function homesHere(state: State, homes: Home[]): Home[] {
  const isOpen = (id: string) => state.desktops[id]?.kind === 'open'
  return homes.map((home) => {
    const { name, ...rest } = home
    const desktop = desktopOfHome(home)
    if (desktop === null) return home
    if (isOpen(desktop)) return rest
    if (name === undefined) return { ...rest, desktop: HERE }
    const same = Object.values(state.desktops).find((one) => one.name === name && isOpen(one.id))
    return same ? { ...rest, desktop: same.id } : { ...home, desktop: NAMED }
  })
}
