import type { Outcome, Session } from '@/core/commands/execute'
import type { By } from '@/core/journal/events'
import { connected, mirroredOn } from '@/core/model/displays'
import type { DisplayId } from '@/core/model/ids'
import type { State } from '@/core/model/state'
import { type Changes, withChanges } from '@/core/rules/changes'
import { type Turn, turned } from '@/core/rules/history'

/** A command with all it needs to give the same again elsewhere. */
export interface Ran {
  n: number
  id: string
  args: object
  by: By
  /** Milliseconds since 1970. */
  now: number
  /** The ids it was given, in order. */
  ids: string[]
  /** The display it was given on. */
  display: DisplayId
}

/** What one change of the shelf was, for other views of it. */
export interface Told {
  revision: number
  changes: Changes | null
  turn: Turn | null
  /** Whose command it was. */
  of?: { view: string; n: number }
}

/**
 * The state as one view sees it: the keys are on its display, as long as that is plugged in, or on the
 * one that it mirrors.
 */
export function seenFrom(state: State, display: DisplayId): State {
  const own = state.displays[display]?.connected
    ? display
    : (mirroredOn(state, display)?.id ?? state.display)
  const on = state.displays[own]?.connected ? own : (connected(state)[0]?.id ?? own)
  return on === state.display ? state : { ...state, display: on }
}

/** What other views are told of a command; which display has the keys is each view's own affair. */
export function toldOf({ changes, turn }: Pick<Done, 'changes' | 'turn'>): Omit<Told, 'revision'> {
  if (!changes) return { changes, turn }
  const { display: _display, ...parts } = changes.parts
  const nothing =
    Object.keys(changes.objects).length + Object.keys(parts).length === 0 && !changes.moved
  return { changes: nothing ? null : { ...changes, parts }, turn }
}

/** A session after what another view told of it. */
const withTold = (session: Session, { changes, turn }: Omit<Told, 'revision'>): Session => ({
  state: changes ? (withChanges(session.state, changes) as State) : session.state,
  history: turn ? turned(session.history, turn) : session.history,
})

type Done = Extract<Outcome, { ok: true }>

type Run = (session: Session, ran: Ran) => Outcome

/**
 * The shelf in a view that does not keep it. What is done here shows at once; the view that keeps
 * it does the same and tells. Where something else came in between, what was done here is done
 * again upon that, so that all views come to the same.
 */
export class Replica {
  private pending: { ran: Ran; result: Session; told: Omit<Told, 'revision'> }[] = []

  /**
   * @param view how this view is called
   * @param own the display that has the keys in it
   * @param run runs a command without showing anything
   */
  constructor(
    private view: string,
    private own: () => DisplayId,
    private run: Run,
    private confirmed: Session,
    private revision: number,
  ) {}

  get session(): Session {
    return this.pending.at(-1)?.result ?? this.confirmed
  }

  /** Commands that are not confirmed, for a view that has only just begun to keep the shelf. */
  get waiting(): Ran[] {
    return this.pending.map(({ ran }) => ran)
  }

  get at(): number {
    return this.revision
  }

  /** Something was done here. */
  add(ran: Ran, result: Session, told: Omit<Told, 'revision'>): void {
    this.pending.push({ ran, result, told })
  }

  /** @returns whether it could be followed; else the whole has to be asked for */
  hear(told: Told): boolean {
    if (told.revision <= this.revision) return true
    if (told.revision !== this.revision + 1) return false
    this.revision = told.revision
    const [first] = this.pending
    const mine = told.of?.view === this.view && first?.ran.n === told.of.n
    if (mine) this.pending.shift()
    if (mine && sameAs(first.told, told)) {
      // As it was done here, nothing between: what is seen stays the same object.
      this.confirmed = first.result
      return true
    }
    const { state, history } = withTold(this.confirmed, told)
    this.confirmed = { state: seenFrom(state, this.own()), history }
    this.again()
    return true
  }

  /** The view that keeps the shelf would not do it. */
  drop(n: number): void {
    this.pending = this.pending.filter(({ ran }) => ran.n !== n)
    this.again()
  }

  /** The whole, as the view that keeps it has it. */
  take(session: Session, revision: number): void {
    this.confirmed = { ...session, state: seenFrom(session.state, this.own()) }
    this.revision = revision
    this.again()
  }

  /** What is not confirmed, upon what is. */
  private again(): void {
    let session = this.confirmed
    this.pending = this.pending.flatMap(({ ran }) => {
      const outcome = this.run(session, ran)
      if (!outcome.ok) return []
      session = { ...outcome.session, state: seenFrom(outcome.session.state, this.own()) }
      return { ran, result: session, told: toldOf(outcome) }
    })
  }
}

/** What came by wire is other objects, though it says the same. */
const sameAs = (one: Omit<Told, 'revision'>, other: Told): boolean =>
  JSON.stringify([one.changes, one.turn]) === JSON.stringify([other.changes, other.turn])
