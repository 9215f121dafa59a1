import { array, boolean, number, object, string } from 'yup'
import { maybeId } from '@/core/formats/shape'
import { clamp } from '@/core/geometry/rect'
import { keysFor } from '@/core/keys/bindings'
import { betterLetter, CALL_LETTERS } from '@/core/keys/letters'
import { keepsAwake } from '@/core/model/awake'
import {
  current,
  currentId,
  desktop,
  openDesktop,
  window as windowOf,
} from '@/core/model/selectors'
import { BACKDROPS, type DesktopId, HUES, type State } from '@/core/model/types'
import {
  goTo,
  makeDesktop,
  moveTo,
  nameLetters,
  putBack,
  removeDesktops,
  settleFocus,
} from './change'
import { command, no, type Refusal } from './command'
import { named, nameProblem, refused, resolvePlace, roomFor } from './places'

const group = 'Desktops' as const

const exists = (state: State, place: string | undefined): true | Refusal => {
  const found = named(state, place)
  return refused(found) ? found : true
}

export const create = command({
  id: 'desktop.create',
  title: 'New desktop',
  group,
  args: { name: string(), stay: boolean() },
  can: (state, { name }) => (name !== undefined && nameProblem(name)) || roomFor(state, 1),
  run: (draft, { name, stay }, env) => {
    const from = currentId(draft)
    const made = makeDesktop(draft, env, name?.trim())
    if (!stay) goTo(draft, made.id)
    return {
      say: `Made ${made.name}`,
      ...(!stay && { journal: [{ kind: 'switch', from, to: made.id }] }),
      ...(name === undefined && { show: { view: 'rename', desktop: made.id, fresh: true } }),
    }
  },
})

export const rename = command({
  id: 'desktop.rename',
  title: 'Rename desktop',
  group,
  args: {
    desktop: string(),
    name: string().defined(),
    /** Whether it was only just made, so that nobody knows it by its letter yet. */
    fresh: boolean(),
  },
  can: (state, args) => nameProblem(args.name) ?? exists(state, args.desktop),
  run: (draft, args) => {
    const found = named(draft, args.desktop)
    if (refused(found)) return
    const before = found.name
    found.name = args.name.trim()
    const better = betterLetter(Object.values(draft.desktops), found)
    const renamed = `Renamed ${before} to ${found.name}`
    if (!better || found.letterByHand) return { say: renamed }
    if (args.fresh) {
      found.letter = better
      return { say: renamed }
    }
    const keys = keysFor(draft, 'desktop.askLetter')
    return {
      say: `${renamed}; it keeps ${found.letter}. ${better} is free${keys ? `: ${keys}` : ''}`,
    }
  },
})

export const letter = command({
  id: 'desktop.letter',
  title: 'Set call letter',
  group,
  args: { desktop: string(), letter: string().defined() },
  can: (state, args) => {
    const wanted = args.letter.toUpperCase()
    if (!CALL_LETTERS.includes(wanted))
      return no(`“${args.letter}” cannot be a call letter: use A to Y except X.`)
    const found = named(state, args.desktop)
    if (refused(found)) return found
    const other = Object.values(state.desktops).find(
      (desktop) => desktop.letter === wanted && desktop.letterByHand && desktop.id !== found.id,
    )
    return other ? no(`${wanted} was given to ${other.name} by hand. Choose another.`) : true
  },
  run: (draft, args) => {
    const found = named(draft, args.desktop)
    if (refused(found)) return
    const wanted = args.letter.toUpperCase()
    const other = Object.values(draft.desktops).find(
      ({ id, letter: has }) => has === wanted && id !== found.id,
    )
    if (other) other.letter = null
    found.letter = wanted
    found.letterByHand = true
    nameLetters(draft)
    const also = other ? `, ${other.name} to ${other.letter ?? 'no letter'}` : ''
    return { say: `${found.name} answers to ${wanted}${also}` }
  },
})

export const look = command({
  id: 'desktop.look',
  title: 'Change look',
  group,
  args: {
    desktop: string(),
    hue: string().oneOf([...HUES]),
    backdrop: string().oneOf([...BACKDROPS]),
    sign: boolean(),
  },
  can: (state, args) => exists(state, args.desktop),
  run: (draft, { desktop: place, hue, backdrop, sign }) => {
    const found = named(draft, place)
    if (refused(found)) return
    if (hue) found.hue = hue
    if (backdrop) found.backdrop = backdrop
    if (sign !== undefined) found.sign = sign
    return { say: `Changed the look of ${found.name}` }
  },
})

export const reorder = command({
  id: 'desktop.reorder',
  title: 'Move desktop in the order',
  group,
  args: { desktop: string(), by: number().integer(), to: number().integer() },
  can: (state, args) => {
    const found = named(state, args.desktop)
    if (refused(found)) return found
    const at = state.order.indexOf(found.id)
    if (target(state, found.id, args) !== at) return true
    return no(at === 0 ? `${found.name} stands first already.` : `${found.name} stays where it is.`)
  },
  run: (draft, args) => {
    const found = named(draft, args.desktop)
    if (refused(found)) return
    const at = target(draft, found.id, args)
    draft.order = draft.order.filter((id) => id !== found.id)
    draft.order.splice(at, 0, found.id)
    return { say: `Moved ${found.name} to place ${at + 1} of ${draft.order.length}` }
  },
})

function target(state: State, id: DesktopId, { by, to }: { by?: number; to?: number }): number {
  return clamp(to ?? state.order.indexOf(id) + (by ?? 0), 0, state.order.length - 1)
}

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

const moves = array(object({ window: maybeId().required(), to: maybeId().required() }).noUnknown())

export const fold = command({
  id: 'desktop.fold',
  title: 'Fold desktop',
  group,
  args: {
    desktop: string(),
    desktops: array(string().required()),
    into: string(),
    moves,
    /** How many columns are left, where a column is taken away. */
    columns: number().integer().min(1),
  },
  can: (state, args) => {
    const folded = foldedIds(state, args)
    if (refused(folded)) return folded
    if (!foldTarget(state, folded))
      return no('The only desktop left cannot be folded. Make another first.')
    const into =
      args.into === undefined ? foldTarget(state, folded) : resolvePlace(state, args.into)
    if (refused(into)) return into
    const takes = (id: string | undefined) =>
      state.desktops[id ?? '']?.kind === 'open' && !folded.includes(id ?? '')
    if (!takes(into))
      return no(
        'Windows cannot go to a desktop that is being folded, or that a window fills. Choose another.',
      )
    return (
      (args.moves ?? []).every(({ to }) => takes(to)) ||
      no('A window cannot go to a desktop that is being folded, or that a window fills.')
    )
  },
  run: (draft, args) => {
    const folded = foldedIds(draft, args)
    if (refused(folded)) return
    const into =
      args.into === undefined ? foldTarget(draft, folded) : resolvePlace(draft, args.into)
    if (refused(into) || !into) return
    const names = folded.map((id) => desktop(draft, id).name)
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
    }
    if (folded.includes(currentId(draft))) goTo(draft, into)
    removeDesktops(draft, folded, into)
    if (args.columns) draft.columns = args.columns
    nameLetters(draft)
    settleFocus(draft)
    const count = windows.length === 1 ? '1 window' : `${windows.length} windows`
    return { say: `Folded ${names.join(', ')}: ${count} to ${desktop(draft, into).name}` }
  },
})

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

export const previewFold = command({
  id: 'desktop.previewFold',
  title: 'Fold this desktop…',
  group,
  step: false,
  args: { desktop: string(), into: string() },
  can: (state, args) => {
    const found = named(state, args.desktop)
    if (refused(found)) return found
    return (
      !!foldTarget(state, [found.id]) ||
      no('The only desktop left cannot be folded. Make another first.')
    )
  },
  run: (draft, args) => {
    const found = named(draft, args.desktop)
    if (refused(found)) return
    return { show: { view: 'fold', desktops: [found.id], into: args.into ?? null } }
  },
})

export const previewFoldOthers = command({
  id: 'desktop.previewFoldOthers',
  title: 'Fold all others into this one…',
  group,
  step: false,
  args: { desktop: string() },
  can: (state) => state.order.length > 1 || no('There are no other desktops to fold.'),
  run: (draft, args) => {
    const found = named(draft, args.desktop)
    if (refused(found)) return
    const kept = openDesktop(draft, found.id)
    const desktops = draft.order.filter((id) => id !== kept)
    return { show: { view: 'fold', desktops, into: kept } }
  },
})

export const rest = command({
  id: 'desktop.rest',
  title: 'Put a desktop to rest',
  group,
  step: false,
  args: { desktop: string() },
  can: (state, args, env) => {
    const found = named(state, args.desktop)
    if (refused(found)) return found
    const awake = keepsAwake(state, found.id, env.busy)
    return !awake || no(`${found.name} stays awake: ${awake}.`)
  },
  run: (draft, args) => {
    const found = named(draft, args.desktop)
    if (refused(found)) return
    return {
      say: `${found.name} is at rest; it wakes when you go there`,
      show: { view: 'rest', desktop: found.id },
    }
  },
})

/** Commands that only open the place where something about a desktop is typed or chosen. */
const asking = (
  view: 'rename' | 'letter' | 'look',
  id: string,
  title: string,
): ReturnType<typeof command> =>
  command({
    id,
    title,
    group,
    step: false,
    args: { desktop: string() },
    can: (state, args) => exists(state, args.desktop),
    run: (draft, args) => {
      const found = named(draft, args.desktop)
      return { show: { view, desktop: refused(found) ? current(draft).id : found.id } }
    },
  })

export const desktopCommands = [
  create,
  asking('rename', 'desktop.askName', 'Rename this desktop…'),
  rename,
  asking('letter', 'desktop.askLetter', 'Set the call letter…'),
  letter,
  asking('look', 'desktop.askLook', 'Change the look…'),
  look,
  reorder,
  rest,
  previewFold,
  previewFoldOthers,
  fold,
]
