import { number } from 'yup'
import { makeDesktop, nameLetters } from '@/core/commands/change'
import { command, type Env, no, type View } from '@/core/commands/command'
import { roomFor } from '@/core/commands/places'
import { mates, rowsOf } from '@/core/model/grid'
import type { DesktopId } from '@/core/model/ids'
import { DESKTOPS_MOST } from '@/core/model/kinds/desktop'
import { current, currentId } from '@/core/model/selectors'
import type { State } from '@/core/model/state'

const group = 'Desktops' as const

const columns = command({
  id: 'grid.columns',
  title: 'Set the desktops per row',
  group,
  unlisted: true,
  args: { columns: number().integer().min(1).max(DESKTOPS_MOST).required() },
  plan: (draft, args) => {
    const stand = `The desktops stand ${args.columns === 1 ? 'in a line' : `in rows of ${args.columns}`}`
    if (draft.columns === args.columns) return no(`${stand} already.`)
    draft.columns = args.columns
    return { say: stand }
  },
})

/**
 * Puts new desktops at these places of the order, last place first.
 * @returns what asks for their names, one after the other
 */
function insert(draft: State, env: Env, places: number[]): View {
  const made: DesktopId[] = []
  for (const at of places.toSorted((a, b) => b - a)) {
    const { id } = makeDesktop(draft, env)
    made.unshift(id)
    draft.order = draft.order.filter((other) => other !== id)
    draft.order.splice(at, 0, id)
  }
  nameLetters(draft)
  const [desktop = '', ...then] = made
  return { view: 'rename', desktop, fresh: true, then }
}

const addRow = command({
  id: 'grid.addRow',
  title: 'New row of desktops below',
  group,
  plan: (draft, _args, env) => {
    const refusal = roomFor(draft, draft.columns)
    if (refusal) return refusal
    const row = Math.floor(draft.order.indexOf(currentId(draft)) / draft.columns)
    const end = Math.min((row + 1) * draft.columns, draft.order.length)
    const show = insert(draft, env, Array<number>(draft.columns).fill(end))
    return { say: `Made a row of ${draft.columns}`, show }
  },
})

const addColumn = command({
  id: 'grid.addColumn',
  title: 'New column of desktops',
  group,
  plan: (draft, _args, env) => {
    if (draft.columns === 1) return no('The desktops stand in a line. Set the columns first.')
    const full = rowsOf(draft).filter((row) => row.length === draft.columns)
    if (full.length === 0)
      return no('There is still room in the only row. A new desktop goes there.')
    const refusal = roomFor(draft, full.length)
    if (refusal) return refusal
    const ends = full.map((_, at) => (at + 1) * draft.columns)
    const show = insert(draft, env, ends)
    draft.columns += 1
    return { say: `Made a column of ${full.length}`, show }
  },
})

/** Asks where the windows of a row or a column go before it is folded. */
const removal = (axis: 'row' | 'column') =>
  command({
    id: axis === 'row' ? 'grid.removeRow' : 'grid.removeColumn',
    title: `Fold this ${axis} of desktops…`,
    group,
    step: false,
    plan: (draft) => {
      if (axis === 'column' && draft.columns === 1)
        return no('The desktops stand in a line: there is no column to fold.')
      const desktops = mates(draft, currentId(draft), axis)
      if (desktops.length === draft.order.length)
        return no(`${current(draft).name} stands in the only ${axis}.`)
      const columns = axis === 'column' && { columns: draft.columns - 1 }
      return { show: { view: 'fold', desktops, into: null, ...columns } }
    },
  })

export const gridCommands = [columns, addRow, addColumn, removal('row'), removal('column')]
