import { boolean, number, string } from 'yup'
import { askAbout } from '@/core/commands/asking'
import { goTo, makeDesktop } from '@/core/commands/change'
import { command, no, refused } from '@/core/commands/command'
import { named, nameProblem, roomFor } from '@/core/commands/places'
import { clamp } from '@/core/geometry/rect'
import { keysFor } from '@/core/keys/bindings'
import { betterLetter } from '@/core/keys/letters'
import { emblemFor } from '@/core/look/emblems'
import { keepsAwake } from '@/core/model/awake'
import type { DesktopId } from '@/core/model/ids'
import { currentId } from '@/core/model/selectors'
import type { State } from '@/core/model/state'

const group = 'Desktops' as const

const create = command({
  id: 'desktop.create',
  title: 'New desktop',
  group,
  args: { name: string(), stay: boolean() },
  plan: (draft, { name, stay }, env) => {
    const refusal = (name === undefined ? null : nameProblem(name)) ?? roomFor(draft, 1)
    if (refusal) return refusal
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

const rename = command({
  id: 'desktop.rename',
  title: 'Rename desktop',
  group,
  unlisted: true,
  args: {
    desktop: string(),
    name: string().defined(),
    /** Whether it was only just made, so that nobody knows it by its letter yet. */
    fresh: boolean(),
  },
  plan: (draft, args) => {
    const found = nameProblem(args.name) ?? named(draft, args.desktop)
    if (refused(found)) return found
    const before = found.name
    found.name = args.name.trim()
    // Nobody knows it by its emblem yet either.
    const spoken = args.fresh ? emblemFor(found.name) : undefined
    const others = Object.values(draft.desktops)
    if (spoken && !others.some(({ emblem }) => emblem === spoken)) found.emblem = spoken
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

const reorder = command({
  id: 'desktop.reorder',
  title: 'Move desktop in the order',
  group,
  unlisted: true,
  args: { desktop: string(), by: number().integer(), to: number().integer() },
  plan: (draft, args) => {
    const found = named(draft, args.desktop)
    if (refused(found)) return found
    const at = target(draft, found.id, args)
    if (at === draft.order.indexOf(found.id))
      return no(at === 0 ? `${found.name} is already first.` : `${found.name} stays where it is.`)
    draft.order = draft.order.filter((id) => id !== found.id)
    draft.order.splice(at, 0, found.id)
    return { say: `Moved ${found.name} to place ${at + 1} of ${draft.order.length}` }
  },
})

function target(state: State, id: DesktopId, { by, to }: { by?: number; to?: number }): number {
  return clamp(to ?? state.order.indexOf(id) + (by ?? 0), 0, state.order.length - 1)
}

const rest = command({
  id: 'desktop.rest',
  title: 'Put a desktop to rest',
  group,
  unlisted: true,
  step: false,
  args: { desktop: string() },
  plan: (draft, args, env) => {
    const found = named(draft, args.desktop)
    if (refused(found)) return found
    const awake = keepsAwake(draft, found.id, env.busy)
    if (awake) return no(`${found.name} stays awake: ${awake}.`)
    return {
      say: `${found.name} is at rest; it wakes when you go there`,
      effect: { does: 'rest', desktop: found.id },
    }
  },
})

export const desktopCommands = [
  create,
  askAbout('rename', 'desktop.askName', 'Rename this desktop…'),
  rename,
  reorder,
  rest,
]
