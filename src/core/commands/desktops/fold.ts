import { array, boolean, number, object, string } from 'yup'
import {
  goTo,
  moveTo,
  nameLetters,
  putBack,
  removeDesktops,
  settleFocus,
} from '@/core/commands/change'
import { command, no, type Refusal, type Result, refused } from '@/core/commands/command'
import { standClear } from '@/core/commands/opening'
import { named, resolvePlace } from '@/core/commands/places'
import { connected } from '@/core/model/displays'
import type { DesktopId } from '@/core/model/ids'
import { currentId, desktop, openDesktop, window as windowOf } from '@/core/model/selectors'
import { maybeId } from '@/core/model/shaping'
import type { State } from '@/core/model/state'

const group = 'Desktops' as const

/** The open desktop before the folded ones takes their windows; for the first, the one after. */
export function foldTarget(state: State, folded: DesktopId[]): DesktopId | undefined {
  const takes = (id: DesktopId) => !folded.includes(id) && state.desktops[id]?.kind === 'open'
  const first = state.order.findIndex((id) => folded.includes(id))
  return state.order.slice(0, first).findLast(takes) ?? state.order.slice(first).find(takes)
}

/** Where a window goes by itself when its desktop is folded: out of a solo or a pair, back. */
export function foldOrigin(state: State, id: string, folded: DesktopId[]): DesktopId | undefined {
  const origin = state.desktops[windowOf(state, id).desktop]?.origins?.[id]?.desktop
  return origin && !folded.includes(origin) ? origin : undefined
}

/** Some desktop has to take the windows, and each display has one to show: why not, or null. */
export function leavesTooFew(state: State, folded: DesktopId[]): Refusal | null {
  if (!foldTarget(state, folded)) return no('You can’t fold your only desktop. Make another first.')
  const left = Object.values(state.desktops).filter(
    ({ id, kind }) => kind === 'open' && !folded.includes(id),
  )
  const shown = connected(state).length
  if (!state.apart || left.length >= shown) return null
  return no(
    `Each of the ${shown} displays shows a desktop of its own. Put them together, or unplug one, first.`,
  )
}

const moves = array(object({ window: maybeId().required(), to: maybeId().required() }).noUnknown())

const fold = command({
  id: 'desktop.fold',
  title: 'Fold desktop',
  group,
  unlisted: true,
  args: {
    desktop: string(),
    desktops: array(string().required()),
    into: string(),
    moves,
    /** How many columns are left, where a column is taken away. */
    columns: number().integer().min(1),
    /** Whether the windows are laid out where they go, clear of what stands there. */
    clear: boolean(),
  },
  plan: doFold,
})

interface Fold {
  desktop?: string
  desktops?: string[]
  into?: string
  moves?: { window: string; to: DesktopId }[]
  columns?: number
  clear?: boolean
}

/** Folds desktops, and what is on them goes where it is to go. */
function doFold(draft: State, args: Fold): Result | Refusal {
  const folded = foldedIds(draft, args)
  if (refused(folded)) return folded
  const refusal = leavesTooFew(draft, folded)
  if (refusal) return refusal
  const into = args.into === undefined ? foldTarget(draft, folded) : resolvePlace(draft, args.into)
  if (refused(into)) return into
  const takes = (id: string) => draft.desktops[id]?.kind === 'open' && !folded.includes(id)
  if (!into || !takes(into))
    return no(
      'Windows cannot go to a desktop that is being folded, or that a window fills. Choose another.',
    )
  if (args.moves?.some(({ to }) => !takes(to)))
    return no('A window cannot go to a desktop that is being folded, or that a window fills.')
  const names =
    folded.length > 3
      ? `${folded.length} desktops`
      : folded.map((id) => desktop(draft, id).name).join(', ')
  const windows = folded.flatMap((id) => [...desktop(draft, id).windows])
  for (const id of windows) {
    const moved = windowOf(draft, id)
    const { name } = desktop(draft, moved.desktop)
    const chosen = args.moves?.find(({ window }) => window === id)?.to
    const origin = foldOrigin(draft, id, folded)
    if (origin && (chosen ?? args.into ?? origin) === origin) {
      putBack(draft, id)
      continue
    }
    moveTo(draft, id, chosen ?? into)
    moved.cause = { by: 'fold', name }
    if (args.clear) standClear(draft, moved)
  }
  if (folded.includes(currentId(draft))) goTo(draft, into)
  removeDesktops(draft, folded, into)
  if (args.columns) draft.columns = args.columns
  nameLetters(draft)
  settleFocus(draft)
  if (windows.length === 0) return { say: `Folded ${names}` }
  const count = windows.length === 1 ? '1 window' : `${windows.length} windows`
  return { say: `Folded ${names}: ${count} to ${desktop(draft, into).name}` }
}

function foldedIds(
  state: State,
  args: { desktop?: string; desktops?: string[] },
): DesktopId[] | Refusal {
  const ids: DesktopId[] = []
  for (const place of args.desktops ?? [args.desktop]) {
    const found = named(state, place)
    if (refused(found)) return found
    if (!ids.includes(found.id)) ids.push(found.id)
  }
  return ids
}

const previewFold = command({
  id: 'desktop.previewFold',
  title: 'Fold this desktop…',
  group,
  args: { desktop: string(), into: string() },
  plan: (draft, args) => {
    const found = named(draft, args.desktop)
    if (refused(found)) return found
    const refusal = leavesTooFew(draft, [found.id])
    if (refusal) return refusal
    // Of an empty one nothing has to be decided.
    if (found.windows.length === 0) return doFold(draft, { desktop: found.id, into: args.into })
    return { show: { view: 'fold', desktops: [found.id], into: args.into ?? null } }
  },
})

const previewFoldOthers = command({
  id: 'desktop.previewFoldOthers',
  title: 'Fold all others into this one…',
  group,
  step: false,
  args: { desktop: string() },
  plan: (draft, args) => {
    if (draft.order.length === 1) return no('There are no other desktops to fold.')
    const found = named(draft, args.desktop)
    if (refused(found)) return found
    const kept = openDesktop(draft, found.id)
    const desktops = draft.order.filter((id) => id !== kept)
    const refusal = leavesTooFew(draft, desktops)
    if (refusal) return refusal
    return { show: { view: 'fold', desktops, into: kept } }
  },
})

export const foldCommands = [fold, previewFold, previewFoldOthers]
