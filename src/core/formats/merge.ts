import { CLOSED_KEPT } from '@/core/model/kinds/closed'
import type { Desktop } from '@/core/model/kinds/desktop'
import { STOWED, type Stowed } from '@/core/model/kinds/stowed'
import { EVERY } from '@/core/model/kinds/window'
import type { State } from '@/core/model/state'

/**
 * The state with a file's brought in. Whatever has the same id becomes as in the file,
 * everything else of the file is added, and nothing that is only here goes away.
 */
export function merge(here: State, file: State): State {
  const windows = { ...here.windows, ...file.windows }
  const stays = (id: string) => !Object.hasOwn(file.windows, id)
  const desktops = { ...file.desktops }
  // What a window fills in the file takes no other: those that are only here go to an open one.
  const open = file.order.find((id) => file.desktops[id]?.kind === 'open') ?? ''
  const lands = (id: string): string =>
    file.desktops[id] && file.desktops[id].kind !== 'open' ? open : id
  for (const desktop of Object.values(here.desktops)) {
    const windowsHere = desktop.windows.filter(stays)
    const theirs = desktops[lands(desktop.id)]
    if (theirs) desktops[theirs.id] = { ...theirs, windows: [...theirs.windows, ...windowsHere] }
    else
      desktops[desktop.id] = { ...desktop, windows: windowsHere, focus: windowsHere.at(-1) ?? null }
    for (const id of windowsHere) {
      const window = windows[id]
      if (window && theirs) windows[id] = { ...window, desktop: theirs.id }
    }
  }
  const letters = new Set(Object.values(file.desktops).map(({ letter }) => letter))
  const onlyHere = here.order.filter((id) => !file.desktops[id])
  for (const id of onlyHere) {
    const desktop = desktops[id]
    if (desktop?.letter && letters.has(desktop.letter))
      desktops[id] = { ...desktop, letter: null, letterByHand: false }
  }
  const closedHere = here.closed.flatMap((closed) => {
    const { window } = closed
    if (windows[window.id] || file.closed.some((other) => other.window.id === window.id)) return []
    return { ...closed, window: { ...window, desktop: lands(window.desktop) } }
  })
  const displays = withSizes(file, here)
  return {
    ...file,
    displays,
    displayOrder: [...new Set([...file.displayOrder, ...here.displayOrder])],
    presence: presences(displays, file, here),
    guide: here.guide,
    // What waits in documents of the file is reported by their apps.
    attention: here.attention,
    answering: here.answering,
    desktops,
    order: [...file.order, ...onlyHere],
    windows,
    everywhere: [...file.everywhere, ...here.everywhere.filter(stays)],
    // Windows only here keep their order among themselves, below those of the file.
    stacking: [...here.stacking.filter(stays), ...file.stacking],
    closed: [...file.closed.filter(({ window }) => !windows[window.id]), ...closedHere].slice(
      0,
      CLOSED_KEPT,
    ),
    exceptions: { ...here.exceptions, ...file.exceptions },
    tethered: { ...here.tethered, ...file.tethered },
    plan: joined(here.plan, file.plan),
    runs: joined(here.runs, file.runs),
    running: here.running,
    patterns: joined(here.patterns, file.patterns),
    sequences: joined(here.sequences, file.sequences),
    declined: [...new Set([...here.declined, ...file.declined])],
    stowed: stowedOf(here, file, windows, desktops),
    homes: joined(here.homes, file.homes),
    apps: { ...here.apps, ...file.apps },
    documents: { ...here.documents, ...file.documents },
  }
}

/**
 * Displays as the file has them, but of the size they physically have here. One that is only here
 * and would show what another shows is left unplugged.
 */
function withSizes(file: State, here: State): State['displays'] {
  const displays = { ...file.displays }
  const shown = new Set(Object.keys(displays).map((id) => file.presence[id]?.shows))
  for (const [id, display] of Object.entries(here.displays))
    displays[id] ??= shown.has(here.presence[id]?.shows)
      ? { ...display, connected: false }
      : display
  for (const [id, { width, height }] of Object.entries(here.displays))
    if (displays[id]) displays[id] = { ...displays[id], width, height }
  return displays
}

/** Where one is as in the file, with what was only visited here after it. */
function presences(displays: State['displays'], file: State, here: State): State['presence'] {
  return Object.fromEntries(
    Object.keys(displays).flatMap((id) => {
      const [theirs, ours] = [file.presence[id], here.presence[id]]
      if (!theirs) return ours ? [[id, ours]] : []
      const others = ours?.visited.filter((visited) => !theirs.visited.includes(visited)) ?? []
      return [[id, { ...theirs, visited: [...theirs.visited, ...others] }]]
    }),
  )
}

export interface Difference {
  desktopsAdded: string[]
  desktopsChanged: string[]
  windowsAdded: number
  windowsMoved: number
  documentsAdded: string[]
  /** Documents that are called something else in the file, with both titles. */
  documentsRenamed: string[]
  /** Windows that are only here; they stay. */
  windowsKept: number
  homesChanged: number
  /** Desktops that are put away in the file, and patterns of it, that are not here. */
  stowedAdded: string[]
  patternsAdded: string[]
  runsAdded: string[]
  blocksAdded: number
  appsChanged: string[]
  /** Settings that are other in the file, by name. */
  settingsChanged: string[]
  keysChanged: boolean
  /** Whether the desktops would stand in another order, or in other rows. */
  reordered: boolean
}

const differ = (a: unknown, b: unknown): boolean => JSON.stringify(a) !== JSON.stringify(b)

/** What of a desktop is known by looking at it. */
const FACE = [
  'name',
  'kind',
  'letter',
  'hue',
  'emblem',
  'backdrop',
  'picture',
  'sign',
  'signed',
] as const

/** What bringing a file in would change, for the preview. Everything but focus and stacking. */
export function difference(here: State, file: State): Difference {
  const { desktops, windows } = file
  const face = (desktop: Desktop) => FACE.map((field) => desktop[field] ?? null)
  const place = ({ desktop, frame, minimised, maximised }: State['windows'][string]) => ({
    desktop,
    frame,
    minimised,
    maximised,
  })
  const settings = Object.keys(file.settings) as (keyof State['settings'])[]
  const order = (one: State, other: State) => one.order.filter((id) => other.desktops[id])
  return {
    desktopsAdded: file.order.flatMap((id) =>
      here.desktops[id] ? [] : (desktops[id]?.name ?? []),
    ),
    desktopsChanged: Object.values(desktops).flatMap((theirs) => {
      const ours = here.desktops[theirs.id]
      return ours && differ(face(ours), face(theirs)) ? [theirs.name] : []
    }),
    windowsAdded: Object.keys(windows).filter((id) => !here.windows[id]).length,
    windowsMoved: Object.values(windows).filter((theirs) => {
      const ours = here.windows[theirs.id]
      return ours && differ(place(ours), place(theirs))
    }).length,
    documentsAdded: Object.values(file.documents).flatMap(({ id, title }) =>
      here.documents[id] ? [] : [title],
    ),
    documentsRenamed: Object.values(file.documents).flatMap(({ id, title }) => {
      const ours = here.documents[id]?.title
      return ours === undefined || ours === title ? [] : [`${ours} to ${title}`]
    }),
    windowsKept: Object.values(here.windows).filter(
      ({ id, desktop }) => !windows[id] && (desktop === EVERY || here.desktops[desktop]),
    ).length,
    homesChanged: file.homes.filter((theirs) =>
      differ(
        here.homes.find(({ id }) => id === theirs.id),
        theirs,
      ),
    ).length,
    stowedAdded: added(here.stowed, file.stowed).map(({ desktop }) => desktop.name),
    patternsAdded: added(here.patterns, file.patterns).map(({ name }) => name),
    runsAdded: added(here.runs, file.runs).map(({ name }) => name),
    blocksAdded: added(here.plan, file.plan).length,
    appsChanged: Object.values(file.apps).flatMap((theirs) =>
      differ(here.apps[theirs.id], theirs) ? [theirs.name] : [],
    ),
    settingsChanged: settings.filter((name) => here.settings[name] !== file.settings[name]),
    keysChanged:
      differ(here.bindings, file.bindings) ||
      differ(joined(here.sequences, file.sequences), here.sequences) ||
      differ(here.slots, file.slots),
    reordered: here.columns !== file.columns || differ(order(here, file), order(file, here)),
  }
}

/** The objects of a file's list that are not here. */
const added = <T extends { id: string }>(here: readonly T[], file: readonly T[]): T[] =>
  file.filter(({ id }) => !here.some((other) => other.id === id))

/** Objects of a list by their ids: those of the file, then those that are only here. */
export const joined = <T extends { id: string }>(here: readonly T[], file: readonly T[]): T[] => [
  ...file,
  ...here.filter(({ id }) => !file.some((other) => other.id === id)),
]

/**
 * What is put away in both: of the same one the file's. What is open is not put away too; a desktop
 * whose id is taken keeps what is left of its windows under another.
 */
function stowedOf(
  here: State,
  file: State,
  windows: State['windows'],
  desktops: State['desktops'],
): Stowed[] {
  const seen = new Set(Object.keys(windows))
  const all = joined(here.stowed, file.stowed)
  const taken = new Set([...Object.keys(desktops), ...all.map(({ id }) => id)])
  return all.flatMap((one) => {
    const left = Object.values(one.windows).filter(({ id }) => !seen.has(id))
    for (const { id } of left) seen.add(id)
    const whole = left.length === Object.keys(one.windows).length
    if (!desktops[one.id] && whole) return one
    if (left.length === 0) return []
    const id = desktops[one.id] ? freeId(one.id, taken) : one.id
    const kept = (window: string) => left.some((other) => other.id === window)
    const rest = {
      ...one,
      desktop: {
        ...one.desktop,
        windows: one.desktop.windows.filter(kept),
        focus: one.desktop.focus && kept(one.desktop.focus) ? one.desktop.focus : null,
      },
      windows: Object.fromEntries(left.map((window) => [window.id, window])),
      stacking: one.stacking.filter(({ item }) => kept(item)),
    }
    return STOWED.ids(rest, (kind, known) => (kind === 'desktop' && known === one.id ? id : known))
  })
}

/** An id like one that is taken; from then on it is taken too. */
function freeId(id: string, taken: Set<string>): string {
  let free = `${id}-stowed`
  while (taken.has(free)) free += '-stowed'
  taken.add(free)
  return free
}
