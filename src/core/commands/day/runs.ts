/** Ordered walks through desktops and windows, for presenting or recording. */

import { array, boolean, number, object, string } from 'yup'
import { focusOn, goTo } from '@/core/commands/change'
import {
  command,
  nameArgument,
  no,
  type Refusal,
  type Result,
  refused,
} from '@/core/commands/command'
import { visit } from '@/core/commands/opening'
import { nameProblem } from '@/core/commands/places'
import type { Run, Stop } from '@/core/model/kinds/run'
import { EVERY } from '@/core/model/kinds/window'
import { currentId, focusId, isVisible } from '@/core/model/selectors'
import { maybeId } from '@/core/model/shaping'
import type { State } from '@/core/model/state'
import { desktopOf, runningNow, stopFrom, stopName } from '@/core/runs/runs'

const group = 'Switching' as const

/** More than anyone shows at once. */
const STOPS_MOST = 200
const RUNS_MOST = 100

/** The run that is meant: one by its id or name, else the one made last. */
function runOf(state: State, wanted: string | undefined): Run | Refusal {
  const found =
    wanted === undefined
      ? state.runs.at(-1)
      : (state.runs.find(({ id }) => id === wanted) ??
        state.runs.find(({ name }) => name.toLowerCase() === wanted.toLowerCase()))
  if (found) return found
  return no(
    wanted === undefined ? 'There is no run. Make one first.' : `There is no run “${wanted}”.`,
  )
}

const which = { run: string() }

const make = command({
  id: 'run.make',
  title: 'Make a run through all desktops',
  group,
  unlisted: true,
  args: {
    name: nameArgument().required(),
    /** Where it goes; without, through all desktops in their order. */
    stops: array(
      object({
        desktop: maybeId().required(),
        window: maybeId().nullable(),
        notes: string().max(5000),
      }).required(),
    ).max(STOPS_MOST),
  },
  plan: (draft, { name, stops }, env) => {
    if (draft.runs.length >= RUNS_MOST)
      return no(`There are ${RUNS_MOST} runs, which is the most. Remove some first.`)
    const problem = nameProblem(name)
    if (problem) return problem
    const given = stops ?? draft.order.map((desktop) => ({ desktop }))
    const made: Run = {
      id: env.id('run'),
      name: name.trim(),
      back: true,
      stops: given.map(
        ({ desktop, ...more }): Stop => ({
          id: env.id('stop'),
          desktop,
          window: null,
          notes: '',
          ...more,
        }),
      ),
    }
    draft.runs.push(made)
    return { say: `Made the run ${made.name}` }
  },
})

const remove = command({
  id: 'run.remove',
  title: 'Remove a run',
  group,
  args: which,
  plan: (draft, { run }) => {
    const found = runOf(draft, run)
    if (refused(found)) return found
    if (draft.running?.run === found.id) return no('That run is still going. End it first.')
    draft.runs = draft.runs.filter(({ id }) => id !== found.id)
    return { say: `Removed the run ${found.name}` }
  },
})

const ends = command({
  id: 'run.ends',
  title: 'Set where a run ends',
  group,
  args: { ...which, back: boolean() },
  plan: (draft, { run, back }) => {
    const found = runOf(draft, run)
    if (refused(found)) return found
    found.back = back ?? !found.back
    return { say: `${found.name} ends ${found.back ? 'where it began' : 'where it is'}` }
  },
})

const add = command({
  id: 'run.add',
  title: 'Add this to a run',
  group,
  args: { ...which, desktop: maybeId(), window: maybeId() },
  plan: (draft, { run, desktop, window }, env) => {
    const found = runOf(draft, run)
    if (refused(found)) return found
    if (window !== undefined && !draft.windows[window]) return no('That window is no longer open.')
    if (desktop !== undefined && !draft.desktops[desktop]) return no('There is no such desktop.')
    if (found.stops.length >= STOPS_MOST) return no(`A run has at most ${STOPS_MOST} stops.`)
    const shown = window === undefined ? undefined : draft.windows[window]
    const on = desktop ?? shown?.desktop
    const stop: Stop = {
      id: env.id('stop'),
      // A window on every desktop is shown on the one it is put in from.
      desktop: on !== undefined && draft.desktops[on] ? on : currentId(draft),
      window: window ?? null,
      notes: '',
    }
    found.stops.push(stop)
    return { say: `${stopName(draft, stop)} is the last stop of ${found.name}` }
  },
})

const aStop = { ...which, stop: string().required() }

/** Plans a change of a stop of a run. */
const onStop =
  <Args extends { run?: string; stop: string }>(
    change: (found: { run: Run; stop: Stop; at: number; draft: State }, args: Args) => Result,
  ) =>
  (draft: State, args: Args): Result | Refusal => {
    const run = runOf(draft, args.run)
    if (refused(run)) return run
    const at = run.stops.findIndex(({ id }) => id === args.stop)
    const stop = run.stops[at]
    return stop ? change({ run, stop, at, draft }, args) : no('There is no such stop.')
  }

const note = command({
  id: 'run.note',
  title: 'Write the notes of a stop',
  group,
  unlisted: true,
  args: { ...aStop, notes: string().defined().max(5000) },
  plan: onStop(({ stop, draft }, { notes }: { run?: string; stop: string; notes: string }) => {
    stop.notes = notes
    return { say: `Wrote notes for ${stopName(draft, stop)}` }
  }),
})

const move = command({
  id: 'run.move',
  title: 'Move a stop of a run',
  group,
  unlisted: true,
  args: { ...aStop, by: number().integer().required() },
  plan: onStop(({ run, stop, at, draft }, { by }: { run?: string; stop: string; by: number }) => {
    const to = Math.max(0, Math.min(run.stops.length - 1, at + by))
    run.stops.splice(at, 1)
    run.stops.splice(to, 0, stop)
    keepAt(draft, run, at, to)
    return { say: `${stopName(draft, stop)} is stop ${to + 1} of ${run.name}` }
  }),
})

const drop = command({
  id: 'run.drop',
  title: 'Take a stop out of a run',
  group,
  unlisted: true,
  args: aStop,
  plan: onStop(({ run, stop, at, draft }) => {
    const says = stopName(draft, stop)
    run.stops.splice(at, 1)
    keepAt(draft, run, at, null)
    return { say: `Took ${says} out of ${run.name}` }
  }),
})

/** A run that goes on stays where it is while its stops are moved. */
function keepAt({ running }: State, run: Run, from: number, to: number | null): void {
  if (running?.run !== run.id) return
  const { at } = running
  if (at === from) running.at = to ?? Math.min(at, Math.max(0, run.stops.length - 1))
  else {
    const without = at > from ? at - 1 : at
    running.at = to !== null && without >= to ? without + 1 : without
  }
}

/** Where a run can begin now. */
function beginning(
  state: State,
  args: { run?: string },
): { run: string; at: number; stop: Stop } | Refusal {
  const found = runOf(state, args.run)
  if (refused(found)) return found
  if (runningNow(state)) return no('A run is still going. End it first.')
  const first = stopFrom(state, found, -1, 1)
  return first
    ? { run: found.id, ...first }
    : no(`${found.name} goes nowhere: what it went to is closed or folded. Add something first.`)
}

const start = command({
  id: 'run.start',
  title: 'Start a run',
  group,
  args: which,
  plan: (draft, args, { now }) => {
    const first = beginning(draft, args)
    if (refused(first)) return first
    draft.running = {
      run: first.run,
      at: first.at,
      since: now,
      display: draft.display,
      from: { desktop: currentId(draft), window: focusId(draft) },
    }
    return arrive(draft, first.stop)
  },
})

/** Goes to a stop; how far it is is told to those who do not see it. */
function arrive(draft: State, stop: Stop): Result {
  // Also when another view asks for it, it goes on where it is shown.
  const on = draft.running?.display
  if (on !== undefined && draft.displays[on]?.connected) draft.display = on
  const now = runningNow(draft)
  const announce = `${now?.nth ?? 1} of ${now?.of ?? 1}: ${stopName(draft, stop)}`
  const from = currentId(draft)
  const to = desktopOf(draft, stop)
  // First the desktop: one that another display shows comes here with its window.
  if (to !== EVERY) goTo(draft, to)
  const visited = stop.window === null ? {} : visit(draft, stop.window)
  const here = currentId(draft)
  const went = from === here ? [] : [{ kind: 'switch' as const, from, to: here }]
  const { journal = [] } = visited
  return {
    ...visited,
    announce,
    journal: [...went, ...journal.filter(({ kind }) => kind !== 'switch')],
  }
}

const NONE = 'No run goes on.'

const step = <Id extends string>(id: Id, title: string, by: 1 | -1, end: string) =>
  command({
    id,
    title,
    group,
    plan: (draft) => {
      const now = runningNow(draft)
      if (!now || !draft.running) return no(NONE)
      const found = stopFrom(draft, now.run, now.at, by)
      if (!found) return no(end)
      draft.running.at = found.at
      return arrive(draft, found.stop)
    },
  })

const next = step('run.next', 'Next stop of the run', 1, 'That was the last stop.')
const back = step('run.back', 'Go back to the stop before', -1, 'This is the first stop.')

const end = command({
  id: 'run.end',
  title: 'End the run',
  group,
  args: {
    /** Whether one stays where it is, whatever the run says. */
    stay: boolean(),
  },
  plan: (draft, { stay }) => {
    const now = runningNow(draft)
    if (!now || !draft.running) return no(NONE)
    const { from, display = draft.display } = draft.running
    draft.running = null
    if (draft.displays[display]?.connected) draft.display = display
    if ((stay ?? !now.run.back) || !draft.desktops[from.desktop])
      return { announce: 'The run is over' }
    const here = currentId(draft)
    goTo(draft, from.desktop)
    const window = draft.windows[from.window ?? '']
    if (window && isVisible(draft, window)) focusOn(draft, window.id)
    return {
      announce: 'The run is over: back where it began',
      journal: here === from.desktop ? [] : [{ kind: 'switch', from: here, to: from.desktop }],
    }
  },
})

const open = command({
  id: 'runs.open',
  title: 'Runs: present or record…',
  group,
  step: false,
  plan: () => ({ show: { view: 'runs' } }),
})

const recorded = command({
  id: 'run.record',
  title: 'Record a run to a file',
  group,
  step: false,
  args: which,
  plan: (draft, args) => {
    const first = beginning(draft, args)
    return refused(first) ? first : { effect: { does: 'record run', run: first.run } }
  },
})

export const runCommands = [
  open,
  start,
  next,
  back,
  end,
  recorded,
  make,
  add,
  note,
  move,
  drop,
  ends,
  remove,
]
