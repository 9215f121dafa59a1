import { current, isDraft } from 'mutative'
import { boolean, mixed, string } from 'yup'
import { nameLetters, putBack, settleFocus } from '@/core/commands/change'
import { command, no, type Refusal, refused } from '@/core/commands/command'
import { closeUp } from '@/core/commands/displays/displays'
import { merge } from '@/core/formats/merge'
import { BadState, readState } from '@/core/formats/shelfFile'
import { connected } from '@/core/model/displays'
import { DESKTOPS_MOST } from '@/core/model/kinds/desktop'
import { settleShown } from '@/core/model/showing'
import type { State } from '@/core/model/state'

const group = 'Shelf' as const

/** Brings another state in: it adds and changes, and takes no window away. */
export function bringIn(draft: State, theirs: State): void {
  // What fills a desktop here goes back first, so that both shelves agree on where windows live.
  for (const { windows, kind } of Object.values(draft.desktops))
    if (kind !== 'open') for (const id of [...windows]) putBack(draft, id)
  // What is put into a draft as it is would be changed in place, here and in what is kept of before.
  Object.assign(
    draft,
    JSON.parse(JSON.stringify(merge(isDraft(draft) ? current(draft) : draft, theirs))),
  )
  nameLetters(draft)
  // Where there are fewer desktops than displays, not each can show one of its own.
  const open = Object.values(draft.desktops).filter(({ kind }) => kind === 'open').length
  if (open < connected(draft).length) draft.apart = false
  closeUp(draft)
  settleShown(draft)
  settleFocus(draft)
}

/** What was given, where it is a state in which the rules hold. */
export function sound(given: State): State | Refusal {
  try {
    return readState(given)
  } catch (error) {
    if (!(error instanceof BadState)) throw error
    return no(`That is not the state of a shelf: ${error.message}. Nothing was changed.`)
  }
}

/** What was given, where it is sound, and together with what is here not too much. */
export function fitting(here: State, given: State): State | Refusal {
  const theirs = sound(given)
  if (refused(theirs)) return theirs
  // Solos and pairs of this shelf are taken apart for it.
  const stays = here.order.filter(
    (id) => !Object.hasOwn(theirs.desktops, id) && here.desktops[id]?.kind === 'open',
  )
  const over = theirs.order.length + stays.length - DESKTOPS_MOST
  if (over <= 0) return theirs
  return no(
    `There would be ${DESKTOPS_MOST + over} desktops; ${DESKTOPS_MOST} is the most. Nothing was changed. Fold ${over} first.`,
  )
}

/** Brings the state of a shelf file in. */
const mergeFile = command({
  id: 'shelf.merge',
  title: 'Import a shelf file',
  group,
  unlisted: true,
  documents: true,
  args: { state: mixed<State>().required() },
  plan: (draft, { state }) => {
    const theirs = fitting(draft, state)
    if (refused(theirs)) return theirs
    bringIn(draft, theirs)
    return { say: 'Imported the shelf file' }
  },
})

/**
 * Goes on from what another machine made of the shelf: it is as it is there, on the screens there are here.
 * Where both were changed it is brought in like any file.
 */
const takeOver = command({
  id: 'shelf.takeOver',
  title: 'Go on from another machine',
  group,
  unlisted: true,
  documents: true,
  args: {
    state: mixed<State>().required(),
    from: string().required().max(80),
    /** Whether it goes on from all that is here. */
    whole: boolean().required(),
  },
  plan: (draft, { state, from, whole }) => {
    const theirs = whole ? sound(state) : fitting(draft, state)
    if (refused(theirs)) return theirs
    if (whole) standOnTheirs(draft, theirs)
    bringIn(draft, theirs)
    return { say: whole ? `Went on from “${from}”` : `Merged with what “${from}” wrote` }
  },
})

/** What is here of the shelf is as theirs; the screens, and what waits, are as they are here. */
function standOnTheirs(draft: State, theirs: State): void {
  const { displays, displayOrder, guide, attention, answering, running, documents } = draft
  const { apart, display } = draft
  const shows = theirs.order.find((id) => theirs.desktops[id]?.kind === 'open')
  const presence = Object.fromEntries(
    Object.entries(draft.presence).flatMap(([id, here]) => {
      const there = theirs.presence[id]
      if (there) return [[id, there]]
      return shows ? [[id, { ...here, shows, visited: [] }]] : []
    }),
  )
  const here = { displays, displayOrder, presence, guide, attention, answering, running, documents }
  Object.assign(draft, JSON.parse(JSON.stringify(theirs)), here, { apart, display })
}

export const importCommands = [mergeFile, takeOver]
