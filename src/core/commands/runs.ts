/** Ordered walks through desktops and windows, for presenting or recording. */

import { array, boolean, number, object, string } from 'yup'
import { maybeId } from '@/core/formats/shape'
import { currentId, focusId, isVisible } from '@/core/model/selectors'
import { EVERY, type Run, type State, type Stop } from '@/core/model/types'
import { desktopOf, isThere, runningNow, stopFrom, stopName } from '@/core/run/run'
import { focusOn, goTo } from './change'
import { command, type Env, nameArgument, no, type Refusal, type Result } from './command'
import { visit } from './opening'
import { nameProblem } from './places'

const group = 'Switching' as const

/** More than anyone shows at once. */
const STOPS_MOST = 200
const RUNS_MOST = 100

const isRefusal = (found: Run | Refusal): found is Refusal => 'reason' in found

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

const exists = (state: State, { run }: { run?: string }): true | Refusal => {
  const found = runOf(state, run)
  return isRefusal(found) ? found : true
}

const which = { run: string() }

const make = command({
  id: 'run.make',
  title: 'Make a run through all desktops',
  group,
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
  can: (state, { name }) =>
    state.runs.length < RUNS_MOST
      ? (nameProblem(name) ?? true)
      : no(`There are ${RUNS_MOST} runs, which is the most. Remove some first.`),
  run: (draft, { name, stops }, env) => {
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
  can: (state, args) => {
    const found = runOf(state, args.run)
    if (isRefusal(found)) return found
    return state.running?.run !== found.id || no('That run goes on. End it first.')
  },
  run: (draft, { run }) => {
    const found = runOf(draft, run)
    if (isRefusal(found)) return
    draft.runs = draft.runs.filter(({ id }) => id !== found.id)
    return { say: `Removed the run ${found.name}` }
  },
})

const ends = command({
  id: 'run.ends',
  title: 'End a run where it began, or where it is',
  group,
  args: { ...which, back: boolean() },
  can: exists,
  run: (draft, { run, back }) => {
    const found = runOf(draft, run)
    if (isRefusal(found)) return
    found.back = back ?? !found.back
    return { say: `${found.name} ends ${found.back ? 'where it began' : 'where it is'}` }
  },
})

const add = command({
  id: 'run.add',
  title: 'Put this desktop or window at the end of a run',
  group,
  args: { ...which, desktop: maybeId(), window: maybeId() },
  can: (state, args) => {
    const found = runOf(state, args.run)
    if (isRefusal(found)) return found
    if (args.window !== undefined && !state.windows[args.window])
      return no('That window is not open any more.')
    if (args.desktop !== undefined && !state.desktops[args.desktop])
      return no('There is no such desktop.')
    return found.stops.length < STOPS_MOST || no(`A run has at most ${STOPS_MOST} stops.`)
  },
  run: (draft, { run, desktop, window }, env) => {
    const found = runOf(draft, run)
    if (isRefusal(found)) return
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

const stopExists = (state: State, args: { run?: string; stop: string }): true | Refusal => {
  const found = runOf(state, args.run)
  if (isRefusal(found)) return found
  return found.stops.some(({ id }) => id === args.stop) || no('There is no such stop.')
}

/** A change of a stop of a run. */
const onStop =
  <Args extends { run?: string; stop: string }>(
    change: (found: { run: Run; stop: Stop; at: number; draft: State }, args: Args) => Result,
  ) =>
  (draft: State, args: Args): Result | undefined => {
    const run = runOf(draft, args.run)
    if (isRefusal(run)) return
    const at = run.stops.findIndex(({ id }) => id === args.stop)
    const stop = run.stops[at]
    return stop && change({ run, stop, at, draft }, args)
  }

const note = command({
  id: 'run.note',
  title: 'Write the notes of a stop',
  group,
  args: { ...aStop, notes: string().defined().max(5000) },
  can: stopExists,
  run: onStop(({ stop, draft }, { notes }: { run?: string; stop: string; notes: string }) => {
    stop.notes = notes
    return { say: `Wrote notes for ${stopName(draft, stop)}` }
  }),
})

const move = command({
  id: 'run.move',
  title: 'Move a stop of a run',
  group,
  args: { ...aStop, by: number().integer().required() },
  can: stopExists,
  run: onStop(({ run, stop, at, draft }, { by }: { run?: string; stop: string; by: number }) => {
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
  args: aStop,
  can: stopExists,
  run: onStop(({ run, stop, at, draft }) => {
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

const start = command({
  id: 'run.start',
  title: 'Start a run',
  group,
  args: which,
  can: (state, { run }) => {
    const found = runOf(state, run)
    if (isRefusal(found)) return found
    if (runningNow(state)) return no('A run goes on. End it first.')
    return (
      found.stops.some((stop) => isThere(state, stop)) ||
      no(`${found.name} goes nowhere: what it went to is closed or folded. Add something first.`)
    )
  },
  run: (draft, { run }, { now }) => {
    const found = runOf(draft, run)
    if (isRefusal(found)) return
    const first = stopFrom(draft, found, -1, 1)
    if (!first) return
    draft.running = {
      run: found.id,
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

const goes = (state: State): true | Refusal => !!runningNow(state) || no('No run goes on.')

const step = <Id extends string>(id: Id, title: string, by: 1 | -1, end: string) =>
  command({
    id,
    title,
    group,
    can: (state) => {
      const now = runningNow(state)
      if (!now) return no('No run goes on.')
      return !!stopFrom(state, now.run, now.at, by) || no(end)
    },
    run: (draft) => {
      const now = runningNow(draft)
      const found = now && stopFrom(draft, now.run, now.at, by)
      if (!found || !draft.running) return
      draft.running.at = found.at
      return arrive(draft, found.stop)
    },
  })

const next = step('run.next', 'Go on to the next stop of the run', 1, 'That was the last stop.')
const back = step('run.back', 'Go back to the stop before', -1, 'This is the first stop.')

const end = command({
  id: 'run.end',
  title: 'End the run',
  group,
  args: {
    /** Whether one stays where it is, whatever the run says. */
    stay: boolean(),
  },
  can: goes,
  run: (draft, { stay }) => {
    const now = runningNow(draft)
    const { from, display = draft.display } = draft.running ?? {}
    draft.running = null
    if (draft.displays[display]?.connected) draft.display = display
    if (!now || !from || (stay ?? !now.run.back) || !draft.desktops[from.desktop])
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
  title: 'Runs: walks through desktops and windows, to present or record…',
  group,
  step: false,
  run: () => ({ show: { view: 'runs' } }),
})

const recorded = command({
  id: 'run.record',
  title: 'Start a run and record it to a file',
  group,
  step: false,
  args: which,
  can: (state, { run }, env: Env) => start.can?.(state, { run }, env) ?? true,
  run: (draft, { run }) => {
    const found = runOf(draft, run)
    return isRefusal(found) ? undefined : { effect: { does: 'record run', run: found.id } }
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
