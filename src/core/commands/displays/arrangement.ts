/** Where displays stand to each other. */

import { number, string } from 'yup'
import { command, no, refused } from '@/core/commands/command'
import { pluggedDisplay, whichDisplay } from '@/core/commands/meantDisplay'
import { DIRECTIONS } from '@/core/geometry/direction'
import { nudged, standProblem } from '@/core/geometry/displays'
import { LONGEST } from '@/core/geometry/rect'
import { connected, DISPLAYS_MOST } from '@/core/model/displays'
import type { Display } from '@/core/model/kinds/display'
import type { State } from '@/core/model/state'

const group = 'Displays' as const

const coordinate = number()
  .integer()
  .min(-LONGEST * DISPLAYS_MOST)
  .max(LONGEST * DISPLAYS_MOST)

const othersOf = (state: State, { id }: Display): Display[] =>
  connected(state).filter((other) => other.id !== id)

const move = command({
  id: 'display.move',
  title: 'Move a display',
  group,
  unlisted: true,
  args: { ...whichDisplay, x: coordinate.required(), y: coordinate.required() },
  plan: (draft, { x, y, ...args }) => {
    const found = pluggedDisplay(draft, args)
    if (refused(found)) return found
    const problem = standProblem([...othersOf(draft, found), { ...found, x, y }])
    if (problem)
      return no(`${found.name} can’t go there. ${problem} Place it edge to edge with another.`)
    // −0 would not be the same once it is kept as JSON.
    Object.assign(found, { x: x + 0, y: y + 0 })
    return { say: `Moved ${found.name}` }
  },
})

const nudge = command({
  id: 'display.nudge',
  title: 'Move a display along the others',
  group,
  unlisted: true,
  args: { ...whichDisplay, to: string().oneOf(DIRECTIONS).required() },
  plan: (draft, { to, ...args }) => {
    const found = pluggedDisplay(draft, args)
    if (refused(found)) return found
    const place = nudged(found, to, othersOf(draft, found))
    if (!place) return no(`${found.name} can’t go further that way: there would be a gap.`)
    Object.assign(found, place)
    return { say: `Moved ${found.name}` }
  },
})

const main = command({
  id: 'display.main',
  title: 'Make a display the main one',
  group,
  unlisted: true,
  args: whichDisplay,
  plan: (draft, args) => {
    const found = pluggedDisplay(draft, args)
    if (refused(found)) return found
    const { id, name } = found
    if (id === draft.displayOrder[0]) return no(`${name} is the main display already.`)
    draft.displayOrder = [id, ...draft.displayOrder.filter((other) => other !== id)]
    return { say: `${name} is the main display` }
  },
})

export const arrangementCommands = [move, nudge, main]
