import { runs } from '@testing/runs'
import { said } from '@testing/sequences'
import { APPS, World } from '@testing/world'
import fc from 'fast-check'
import { execute, type Outcome, type Session } from '@/core/commands/execute'
import { check } from '@/core/rules/check'
import { type Ran, Replica, seenFrom, type Told, toldOf } from './replica'

/** As a page runs a command: the same ids again, on the display it was given on. */
function run(session: Session, { id, args, by, now, ids, display }: Ran): Outcome {
  let given = 0
  return execute({ ...session, state: seenFrom(session.state, display) }, id, args, {
    now,
    by,
    id: (kind) => {
      ids[given] ??= `${kind}-${now}-${given}`
      return ids[given++] as string
    },
    app: (app) => APPS.find((one) => one.id === app),
    apps: () => APPS,
    busy: () => false,
  })
}

/** The clock of each view is an hour ahead of the one before it. */
const SKEW = 3_600_000

const wired = <T>(message: T): T => JSON.parse(JSON.stringify(message))

/** One view that keeps the shelf and some that follow, with messages that take their time. */
class Room {
  session: Session
  views: {
    name: string
    display: string
    replica: Replica
    inbox: Told[]
    outbox: Ran[]
    n: number
  }[]
  private revision = 1
  private count = 0

  constructor(displays: number) {
    const world = new World()
    world.desktops('One', 'Two', 'Three', 'Four')
    for (let at = 1; at < displays; at++) world.run('display.add')
    this.session = world.session
    this.views = world.state.displayOrder.map((display, at) => ({
      name: `view ${at}`,
      display,
      replica: new Replica(
        `view ${at}`,
        () => display,
        run,
        wired({ ...world.session, state: seenFrom(world.state, display) }),
        1,
      ),
      inbox: [],
      outbox: [],
      n: 0,
    }))
  }

  /** Something is done in a view. */
  act(at: number, id: string, args: object): void {
    const view = this.views[at % this.views.length]
    if (!view) return
    const { session } = view.replica
    const { display } = session.state
    const ran: Ran = {
      n: ++view.n,
      id,
      args,
      by: 'key',
      now: ++this.count + at * SKEW,
      ids: [],
      display,
    }
    const outcome = run(session, ran)
    if (!outcome.ok) return
    const { state, history } = outcome.session
    view.replica.add(ran, { state: seenFrom(state, view.display), history }, toldOf(outcome))
    view.outbox.push(wired(ran))
  }

  /** The view that keeps the shelf hears one message of a view. */
  obey(at: number): void {
    const view = this.views[at % this.views.length]
    const ran = view?.outbox.shift()
    if (!view || !ran) return
    const before = this.session
    const outcome = run(before, ran)
    if (!outcome.ok) {
      view.replica.drop(ran.n)
      return
    }
    const { state, history } = outcome.session
    this.session = { state: seenFrom(state, before.state.display), history }
    const of = { view: view.name, n: ran.n }
    const told = { revision: ++this.revision, ...toldOf(outcome), of }
    for (const other of this.views) other.inbox.push(wired(told))
  }

  hear(at: number): void {
    const view = this.views[at % this.views.length]
    const told = view?.inbox.shift()
    if (view && told) expect(view.replica.hear(told)).toBe(true)
  }

  settle(): void {
    for (const [at, { outbox }] of this.views.entries()) while (outbox.length > 0) this.obey(at)
    for (const [at, { inbox }] of this.views.entries()) while (inbox.length > 0) this.hear(at)
  }
}

/** All but where the keys are, which is each view's own affair. */
const shared = ({ state: { display: _display, ...state }, history }: Session) => ({
  state,
  past: history.past.map(({ id }) => id),
  future: history.future.map(({ id }) => id),
})

test('whatever is done in several views at once, and however late they hear, all come to the same', () => {
  const step = fc.record({
    what: fc.constantFrom('act', 'act', 'act', 'obey', 'hear'),
    at: fc.nat(5),
    command: said,
  })
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 3 }),
      fc.array(step, { maxLength: 60 }),
      (count, steps) => {
        const room = new Room(count)
        for (const { what, at, command } of steps) {
          const view = room.views[at % room.views.length]
          if (what === 'obey') room.obey(at)
          else if (what === 'hear') room.hear(at)
          else if (view) room.act(at, command.id, command.args(view.replica.session.state))
        }
        room.settle()
        expect(check(room.session.state)).toEqual([])
        for (const { replica } of room.views) {
          expect(replica.waiting).toEqual([])
          expect(shared(replica.session)).toEqual(shared(wired(room.session)))
          expect(check(replica.session.state)).toEqual([])
        }
      },
    ),
    runs(60),
  )
})

test('what was done here and nothing between stays the same object, so that nothing is drawn anew', () => {
  const room = new Room(2)
  room.act(0, 'desktop.create', { name: 'Made', stay: true })
  const before = room.views[0]?.replica.session
  room.settle()
  expect(room.views[0]?.replica.session).toBe(before)
  expect(Object.values(room.session.state.desktops).map(({ name }) => name)).toContain('Made')
})

test('who missed something asks for the whole, and does what is not confirmed again upon it', () => {
  const room = new Room(2)
  const [one, other] = room.views
  if (!one || !other) throw new Error('Two views')
  room.act(1, 'desktop.create', { name: 'Elsewhere', stay: true })
  room.obey(1)
  one.inbox.length = 0
  room.act(1, 'desktop.create', { name: 'After', stay: true })
  room.obey(1)
  room.act(0, 'desktop.create', { name: 'Mine', stay: true })
  expect(one.replica.hear(one.inbox[0] as Told)).toBe(false)
  one.replica.take(wired(room.session), 3)
  const names = () => Object.values(one.replica.session.state.desktops).map(({ name }) => name)
  expect(names()).toEqual(expect.arrayContaining(['Elsewhere', 'After', 'Mine']))
  one.inbox.length = 0
  room.settle()
  expect(shared(one.replica.session)).toEqual(shared(wired(room.session)))
})
