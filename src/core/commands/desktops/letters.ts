import { boolean, string } from 'yup'
import { askAbout } from '@/core/commands/asking'
import { nameLetters } from '@/core/commands/change'
import { command, no, refused } from '@/core/commands/command'
import { named } from '@/core/commands/places'
import { asLetter, dealtAgain } from '@/core/keys/letters'
import type { Desktop } from '@/core/model/kinds/desktop'
import type { State } from '@/core/model/state'

const group = 'Desktops' as const

/** The desktop that has a letter. */
const ownerOf = (state: State, letter: string): Desktop | undefined =>
  Object.values(state.desktops).find((one) => one.letter === letter)

/** Desktops that could not be said any more: a letter of two strokes begins with that of another. */
const hiddenBy = (state: State, letter: string, but: Desktop): Desktop[] =>
  Object.values(state.desktops).filter(
    (one) =>
      one.id !== but.id &&
      one.letter &&
      one.letter.length !== letter.length &&
      one.letter[0] === letter[0],
  )

const letter = command({
  id: 'desktop.letter',
  title: 'Set call letter',
  group,
  unlisted: true,
  args: {
    desktop: string(),
    letter: string().defined(),
    /** Whether a desktop that has it gets the one this has. */
    swap: boolean(),
  },
  plan: (draft, { desktop, letter: given, swap }) => {
    const wanted = asLetter(given)
    if (!wanted)
      return no(`“${given}” cannot be a call letter: use one letter but X and Z, or two.`)
    const found = named(draft, desktop)
    if (refused(found)) return found
    if (found.letter === wanted) return no(`${found.name} answers to ${wanted} already.`)
    const [hidden] = hiddenBy(draft, wanted, found)
    if (hidden)
      return no(
        `${hidden.name} answers to ${hidden.letter}: one of the two could not be said. Choose another.`,
      )
    const owner = ownerOf(draft, wanted)
    if (owner?.letterByHand && !swap)
      return no(`${wanted} was given to ${owner.name} by hand. Swap the two, or choose another.`)
    if (owner) owner.letter = swap ? found.letter : null
    found.letter = wanted
    found.letterByHand = true
    nameLetters(draft)
    const also = owner ? `, ${owner.name} to ${owner.letter ?? 'no letter'}` : ''
    return { say: `${found.name} answers to ${wanted}${also}` }
  },
})

/** What dealing again would change. */
export function dealing(state: State): { desktop: Desktop; to: string | null }[] {
  const all = state.order.flatMap((id) => state.desktops[id] ?? [])
  const dealt = dealtAgain(all)
  return all.flatMap((desktop) => {
    const to = dealt[desktop.id] ?? null
    return to === desktop.letter ? [] : { desktop, to }
  })
}

const SAME = 'The letters would stay the same.'

const askDeal = command({
  id: 'letters.askDeal',
  title: 'Reassign call letters…',
  group,
  step: false,
  plan: (draft) => (dealing(draft).length > 0 ? { show: { view: 'deal letters' } } : no(SAME)),
})

const deal = command({
  id: 'letters.deal',
  title: 'Reassign call letters',
  group,
  plan: (draft) => {
    const changed = dealing(draft)
    const [one] = changed
    if (!one) return no(SAME)
    for (const { desktop, to } of changed) desktop.letter = to
    return {
      say:
        changed.length === 1
          ? `${one.desktop.name} answers to ${one.to}`
          : `Reassigned ${changed.length} letters`,
    }
  },
})

export const letterCommands = [
  askAbout('letter', 'desktop.askLetter', 'Set the call letter…'),
  letter,
  askDeal,
  deal,
]
