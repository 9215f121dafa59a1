import { number } from 'yup'
import { mates, rowsOf } from '@/core/model/grid'
import { currentId, desktop } from '@/core/model/selectors'
import { DESKTOPS_MOST, type DesktopId, type State } from '@/core/model/types'
import { makeDesktop, nameLetters } from './change'
import { command, type Env, no } from './command'
import { roomFor } from './places'

const group = 'Desktops' as const

const columns = command({
  id: 'grid.columns',
  title: 'Set how many desktops stand in a row',
  group,
  args: { columns: number().integer().min(1).max(DESKTOPS_MOST).required() },
  can: (state, args) =>
    state.columns !== args.columns ||
    no(
      args.columns === 1
        ? 'The desktops stand in a line already.'
        : `The desktops stand in rows of ${args.columns} already.`,
    ),
  run: (draft, args) => {
    draft.columns = args.columns
    const what = args.columns === 1 ? 'in a line' : `in rows of ${args.columns}`
    return { say: `The desktops stand ${what}` }
  },
})

/** Puts new desktops at these places of the order, last place first. */
function insert(draft: State, env: Env, places: number[]): void {
  for (const at of places.toSorted((a, b) => b - a)) {
    const { id } = makeDesktop(draft, env)
    draft.order = draft.order.filter((other) => other !== id)
    draft.order.splice(at, 0, id)
  }
  nameLetters(draft)
}

const addRow = command({
  id: 'grid.addRow',
  title: 'New row of desktops below this one',
  group,
  can: (state) => roomFor(state, state.columns),
  run: (draft, _args, env) => {
    const row = Math.floor(draft.order.indexOf(currentId(draft)) / draft.columns)
    const end = Math.min((row + 1) * draft.columns, draft.order.length)
    insert(draft, env, Array<number>(draft.columns).fill(end))
    return { say: `Made a row of ${draft.columns}` }
  },
})

const addColumn = command({
  id: 'grid.addColumn',
  title: 'New column of desktops at the right',
  group,
  can: (state) => {
    if (state.columns === 1) return no('The desktops stand in a line. Set the columns first.')
    return roomFor(state, rowsOf(state).filter((row) => row.length === state.columns).length)
  },
  run: (draft, _args, env) => {
    const full = rowsOf(draft).filter((row) => row.length === draft.columns)
    const ends = full.map((_, at) => (at + 1) * draft.columns)
    insert(draft, env, ends)
    draft.columns += 1
    return { say: `Made a column of ${full.length}` }
  },
})

/** Asks where the windows of a row or a column go before it is folded. */
const removal = (axis: 'row' | 'column') => {
  const folded = (state: State): DesktopId[] => mates(state, currentId(state), axis)
  return command({
    id: axis === 'row' ? 'grid.removeRow' : 'grid.removeColumn',
    title: `Fold this ${axis} of desktops…`,
    group,
    step: false,
    can: (state) => {
      if (axis === 'column' && state.columns === 1)
        return no('The desktops stand in a line: there is no column to fold.')
      if (folded(state).length < state.order.length) return true
      return no(`${desktop(state, currentId(state)).name} stands in the only ${axis}.`)
    },
    run: (draft) => ({
      show: {
        view: 'fold',
        desktops: folded(draft),
        into: null,
        ...(axis === 'column' && { columns: draft.columns - 1 }),
      },
    }),
  })
}

export const gridCommands = [columns, addRow, addColumn, removal('row'), removal('column')]
