import { create, current } from 'mutative'
import { ValidationError } from 'yup'
import type { JournalEvent } from '@/core/journal/events'
import { strokesOf } from '@/core/keys/free'
import type { Sequence } from '@/core/model/kinds/sequence'
import { currentId, focusedWindow } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { type Changes, changesBetween } from '@/core/rules/changes'
import { check } from '@/core/rules/check'
import { type History, record, redo, type Turn, turned, undo } from '@/core/rules/history'
import { whyInvalid } from '@/core/text/invalid'
import {
  type Command,
  type Effect,
  type Env,
  no,
  noTo,
  type Refusal,
  type Result,
  refused,
  type View,
} from './command'
import { registry } from './registry'

export interface Session {
  state: State
  history: History
}

export type Outcome =
  | {
      ok: true
      session: Session
      /** What it changed, and what became of the steps: views, disk and log take it from here. */
      changes: Changes | null
      turn: Turn | null
      say?: string
      announce?: string
      show?: View
      effect?: Effect
      journal: JournalEvent[]
      /** Whether undo would take this back. */
      step: boolean
      /** The step that was taken back or done again. */
      travelled?: { step: number; direction: 'undo' | 'redo' }
    }
  | ({
      ok: false
      /** The rule it would have broken: a fault of the command, not of who gave it. */
      broken?: string
    } & Refusal)

/**
 * Runs a command on a session. Pure: the same session, command, arguments, times and ids give
 * the same outcome. A refused command changes nothing and says why.
 */
export function execute(session: Session, id: string, args: object, env: Env): Outcome {
  const command = registry.get(id)
  if (!command) return { ok: false, reason: `There is no command “${id}”.` }
  if (command.travel) return travel(session, command.travel, env)
  const problem = argumentProblem(command, args)
  if (problem) return { ok: false, ...problem }
  const given = args as Record<string, unknown>
  let planned: Result | Refusal = {}
  const [state, touched] = create(
    session.state,
    (draft) => {
      planned = plan(command, draft, given, env)
    },
    { enablePatches: true },
  )
  const result: Result | Refusal = planned
  if (refused(result)) return { ok: false, ...result }
  const changes = changesBetween(session.state, state, touched)
  const [broken] = check(state, session.state, changes)
  if (broken)
    return {
      ok: false,
      reason: `${command.title}: it would break the shelf. ${broken} Nothing was changed.`,
      broken,
    }
  // Where the first of a sequence is refused nothing was done.
  if (result.stopped && changes === null) return { ok: false, reason: result.say ?? '' }
  // A command that only went somewhere says nothing and is no step.
  const { say } = result
  const step = command.step && changes !== null && say !== undefined
  const { documents } = command
  const turn = step
    ? record(session.history, session.state, state, { changes, say, documents })
    : null
  return {
    ok: true,
    session: { state, history: turn ? turned(session.history, turn) : session.history },
    changes,
    turn,
    say,
    announce: result.announce,
    show: result.show,
    effect: result.effect,
    journal: [...told(result.journal, env, state), ...slow(command, args, env, session.state)],
    step,
  }
}

/** What a command does to a draft, or why it cannot. */
function plan(
  command: Command,
  draft: State,
  args: Record<string, unknown>,
  env: Env,
): Result | Refusal {
  const deeds = command.expand?.(draft, args)
  if (!deeds) return command.plan?.(draft, args, env) ?? {}
  return refused(deeds) ? deeds : inTurn(draft, current(deeds), env)
}

/** Does one after the other, until one of them is refused; that is said, with the reason. */
function inTurn(draft: State, { name, deeds }: Pick<Sequence, 'name' | 'deeds'>, env: Env): Result {
  const whole: Result = { say: `Ran ${name}`, journal: [] }
  for (const [at, { command: id, args }] of deeds.entries()) {
    const command = registry.get(id)
    const done = command ? one(command, draft, args, env) : no(`There is no command “${id}”.`)
    if (refused(done)) {
      const where = `${at + 1} of ${deeds.length}, ${command?.title.replace(/…$/, '') ?? id}`
      return { ...whole, say: `${name} stopped at ${where}: ${done.reason}`, stopped: true }
    }
    const { journal = [], show, effect, announce } = done
    whole.journal?.push(...journal)
    if (show) whole.show = show
    if (effect) whole.effect = effect
    if (announce) whole.announce = announce
  }
  return whole
}

/** One command of a sequence. */
function one(
  command: Command,
  draft: State,
  args: Record<string, unknown>,
  env: Env,
): Result | Refusal {
  if (command.travel) return no('A sequence can’t contain undo or redo.')
  if (command.expand) return no('A sequence can’t run another one.')
  const problem = argumentProblem(command, args)
  return problem ?? plan(command, draft, args, env)
}

function argumentProblem(command: Command, args: object): Refusal | null {
  try {
    command.args.validateSync(args, { strict: true })
    return null
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    const { path } = error
    const what = path ? `“${path}”` : 'what it was given'
    const reason = `${command.title.replace(/…$/, '')}: ${what} ${whyInvalid(error)}. Nothing was changed.`
    return path ? noTo(path, reason) : no(reason)
  }
}

function travel(session: Session, direction: 'undo' | 'redo', env: Env): Outcome {
  const { history: before, state: now } = session
  const travelled = direction === 'undo' ? undo(before, now) : redo(before, now)
  if (!travelled) return { ok: false, reason: `There is nothing to ${direction}.` }
  const { state, turn } = travelled
  const changes = changesBetween(now, state)
  const [broken] = check(state, now, changes)
  if (broken)
    return {
      ok: false,
      reason: `That cannot be taken back: ${broken} Nothing was changed.`,
      broken,
    }
  const { step } = turn
  const say = `${direction === 'undo' ? 'Undone' : 'Redone'}: ${step.say}`
  const journal = told(moves(direction, now, state), env, state)
  return {
    ok: true,
    session: { state, history: turned(before, turn) },
    changes,
    turn,
    say,
    journal,
    step: false,
    travelled: { step: step.id, direction },
  }
}

/** What the journal tells of an undo or redo: windows that are elsewhere, and where one is. */
function moves(direction: 'undo' | 'redo', before: State, after: State): Result['journal'] {
  const moved = Object.values(after.windows).flatMap(({ id, app, desktop: to }) => {
    const from = before.windows[id]?.desktop
    return from === undefined || from === to ? [] : [{ kind: direction, window: id, app, from, to }]
  })
  const [from, to] = [currentId(before), currentId(after)]
  return from === to ? moved : [...moved, { kind: 'switch', from, to }]
}

/** What of a command a person gave is of no account for the keys it is given with. */
const ABOUT = new Set(['window', 'desktop', 'document'])

/** A command that a person gave and that no single stroke says is told of. */
function slow(
  { id, unlisted }: Command,
  args: object,
  { now, by }: Env,
  state: State,
): JournalEvent[] {
  if (unlisted || (by !== 'key' && by !== 'pointer')) return []
  if (!Object.keys(args).every((name) => ABOUT.has(name)) || strokesOf(state, id) === 1) return []
  return [{ at: now, kind: 'does', by, command: id }]
}

/** With each switch stands the window that has the keys then, with its app. */
function told(events: Result['journal'], { now, by }: Env, after: State): JournalEvent[] {
  const focused = focusedWindow(after)
  return (events ?? []).map((event) => ({
    ...(event.kind === 'switch' && focused && { app: focused.app, window: focused.id }),
    ...event,
    at: now,
    by,
  }))
}
