/** Where displays stand to each other. */

import { number, string } from 'yup'
import { DIRECTIONS, type Direction } from '@/core/geometry/direction'
import { nudged, standProblem } from '@/core/geometry/displays'
import { connected, DISPLAYS_MOST } from '@/core/model/displays'
import { type Display, LONGEST, type State } from '@/core/model/types'
import { command, no } from './command'
import { onDisplay, pluggedDisplay, whichDisplay } from './meantDisplay'
import { refused } from './places'

const group = 'Displays' as const

const coordinate = number()
  .integer()
  .min(-LONGEST * DISPLAYS_MOST)
  .max(LONGEST * DISPLAYS_MOST)

const othersOf = (state: State, { id }: Display): Display[] =>
  connected(state).filter((other) => other.id !== id)

const move = command({
  id: 'display.move',
  title: 'Move a display in the arrangement',
  group,
  args: { ...whichDisplay, x: coordinate.required(), y: coordinate.required() },
  can: (state, { x, y, ...args }) => {
    const found = pluggedDisplay(state, args)
    if (refused(found)) return found
    const problem = standProblem([...othersOf(state, found), { ...found, x, y }])
    return (
      !problem ||
      no(`${found.name} cannot stand there. ${problem} Put it edge to edge with another.`)
    )
  },
  run: onDisplay((_draft, found, { x, y }: { display?: string; x: number; y: number }) => {
    // −0 would not be the same once it is kept as JSON.
    Object.assign(found, { x: x + 0, y: y + 0 })
    return { say: `Moved ${found.name}` }
  }),
})

const nudge = command({
  id: 'display.nudge',
  title: 'Move a display along the others',
  group,
  args: { ...whichDisplay, to: string().oneOf(DIRECTIONS).required() },
  can: (state, { to, ...args }) => {
    const found = pluggedDisplay(state, args)
    if (refused(found)) return found
    return (
      !!nudged(found, to, othersOf(state, found)) ||
      no(`${found.name} cannot go further that way: there would be a gap between them.`)
    )
  },
  run: onDisplay((draft, found, { to }: { display?: string; to: Direction }) => {
    Object.assign(found, nudged(found, to, othersOf(draft, found)))
    return { say: `Moved ${found.name}` }
  }),
})

const main = command({
  id: 'display.main',
  title: 'Make a display the main one',
  group,
  args: whichDisplay,
  can: (state, args) => {
    const found = pluggedDisplay(state, args)
    if (refused(found)) return found
    return found.id !== state.displayOrder[0] || no(`${found.name} is the main display already.`)
  },
  run: onDisplay((draft, { id, name }) => {
    draft.displayOrder = [id, ...draft.displayOrder.filter((other) => other !== id)]
    return { say: `${name} is the main display` }
  }),
})

export const arrangementCommands = [move, nudge, main]
