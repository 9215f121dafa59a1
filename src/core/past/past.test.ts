import { runs } from '@testing/runs'
import { expectSame } from '@testing/same'
import { said } from '@testing/sequences'
import { World } from '@testing/world'
import fc from 'fast-check'
import { readState } from '@/core/formats/shelfFile'
import type { State } from '@/core/model/state'
import { changesBetween } from '@/core/rules/changes'
import {
  momentsOf,
  type PastChange,
  type Stretch,
  stateAt,
  stretchAt,
  withoutSpan,
  worthKeeping,
} from './past'
import { desktopSince, windowSince } from './since'
import { stretchesWithout } from './withoutApp'

/** What is left of a state where what comes and goes by itself is left out. */
const lasting = ({ attention: _, answering: _a, running: _r, guide: _g, ...state }: State) => state

/** How a shelf stood while commands were run, one a second, kept as a stretch for every few. */
function lived(commands: { id: string; args: (state: State) => object }[], every: number) {
  const world = new World()
  const stood: State[] = [world.state]
  const stretches: (Stretch & { changes: PastChange[] })[] = []
  for (const { id, args } of commands) {
    const before = world.state
    world.try(id, args(before))
    const at = stood.push(world.state) - 1
    const changes = changesBetween(before, world.state)
    const kept = changes && worthKeeping(changes)
    if (!kept) continue
    const last = stretches.at(-1)
    if (!last || last.changes.length >= every)
      stretches.push({ at: at - 0.5, state: before, changes: [{ at, changes: kept }] })
    else last.changes.push({ at, changes: kept })
  }
  return { stood, stretches }
}

const flows = fc.array(said, { minLength: 1, maxLength: 60, size: 'max' })

test('at any moment the shelf is as it was', () => {
  fc.assert(
    fc.property(flows, fc.integer({ min: 1, max: 9 }), (commands, every) => {
      const { stood, stretches } = lived(commands, every)
      const written = JSON.parse(JSON.stringify(stretches)) as Stretch[]
      for (const [at, state] of stood.entries()) {
        const stretch = stretchAt(written, at)
        if (!stretch) continue
        const stands = stateAt(stretch, at)
        expectSame(lasting(stands), JSON.parse(JSON.stringify(lasting(state))))
        // What a command would refuse could not be brought back.
        expectSame(readState(stands), stands)
      }
    }),
    runs(60),
  )
})

test('the moments of a span are those at which something was done, with its beginning and its end', () => {
  const nothing = { objects: {}, parts: {} }
  const change = (at: number, say?: string): PastChange => ({
    at,
    ...(say && { say }),
    changes: nothing,
  })
  const { state } = new World()
  const stretches: Stretch[] = [
    { at: 10, state, changes: [change(11), change(12, 'Made Field'), change(13)] },
    { at: 13, state, changes: [change(14, 'Folded Field'), change(15), change(16)] },
  ]
  const told = (from: number, until: number) =>
    momentsOf(stretches, from, until).map(({ at, say }) => say ?? at)
  expect(told(0, 99)).toEqual([10, 'Made Field', 'Folded Field', 16])
  expect(told(11, 15)).toEqual([11, 'Made Field', 'Folded Field'])
  expect(told(15, 99)).toEqual([15, 16])
  expect(told(20, 99)).toEqual([])
})

test('what is struck is told of nowhere, and all else as it was', () => {
  fc.assert(
    fc.property(flows, fc.nat(60), fc.nat(60), (commands, one, other) => {
      const { stood, stretches } = lived(commands, 4)
      const [from, until] = [Math.min(one, other), Math.max(one, other) + 1]
      const left = withoutSpan(stretches, from, until)
      for (const { at, changes } of left) {
        expect(at >= from && at < until).toBe(false)
        for (const change of changes) expect(change.at >= from && change.at < until).toBe(false)
      }
      for (const [at, state] of stood.entries()) {
        const was = stretchAt(stretches, at)
        if (!was || (at >= from && at < until) || stretchAt(left, at) === undefined) continue
        if (at >= until && stretchAt(left, at)?.at === undefined) continue
        // After the span something has to have changed since for it to be told again.
        const since = left.some((kept) => kept.at >= until && kept.at <= at)
        if (at < from || since)
          expectSame(lasting(stateAt(stretchAt(left, at) as Stretch, at)), lasting(state))
      }
    }),
    runs(60),
  )
})

test('a desktop of any moment is brought back exactly, and that is undone exactly', () => {
  let brought = 0
  fc.assert(
    fc.property(flows, fc.nat(), fc.nat(), (commands, when, which) => {
      const world = new World()
      const stood = [world.state]
      for (const { id, args } of commands) {
        world.try(id, args(world.state))
        stood.push(world.state)
      }
      const was = stood[when % stood.length] ?? world.state
      const desktop = was.order[which % was.order.length] ?? ''
      const before = world.state
      if (!world.try('past.desktop', { desktop, from: was }).ok) return
      brought++
      const { state } = world
      const stowed = state.stowed.flatMap(({ windows }) => Object.keys(windows))
      const windows = was.desktops[desktop]?.windows.filter((id) => !stowed.includes(id)) ?? []
      for (const id of windows) {
        const { display = '' } = was.windows[id] ?? {}
        const here = state.displays[display] ? display : before.display
        expectSame(state.windows[id], { ...was.windows[id], display: here })
      }
      expect(state.desktops[desktop]?.windows.slice(0, windows.length)).toEqual(windows)
      const among = ({ stacking }: State) => stacking.filter((id) => windows.includes(id))
      const focus = state.desktops[desktop]?.focus
      // What has the focus is on top.
      expect(among(state).filter((id) => id !== focus)).toEqual(
        among(was).filter((id) => id !== focus),
      )
      if (state === before) return
      world.run('history.undo')
      expectSame(arranged(world.state), arranged(before))
    }),
    runs(100),
  )
  expect(brought).toBeGreaterThan(0)
})

/** What undo brings back. */
const arranged = ({ presence: _, display: _d, ...state }: State) => lasting(state as State)

/** A shelf of two desktops: its state then, and what was done since. */
function desk() {
  const world = new World()
  const [field = '', model = ''] = world.desktops('Field', 'Model')
  world.run('desktop.go', { to: field })
  const notes = world.open('notes', 'Notes')
  const dial = world.open('dial', 'Dial')
  world.run('window.move', { window: notes, x: 40, y: 60 })
  return { world, field, model, notes, dial, was: world.state }
}

test('a desktop that was folded, and a window that was closed or sent, are back as they stood, in one step', () => {
  const { world, field, model, notes, dial, was } = desk()
  world.run('window.close', { window: dial })
  world.run('window.focus', { window: notes })
  world.run('window.send', { to: 'Model' })
  world.run('window.move', { window: notes, x: 300, y: 200 })
  world.run('desktop.rename', { desktop: field, name: 'Fields' })
  world.run('desktop.fold', { desktops: [field], into: model })
  const before = world.state
  expect(desktopSince(was, before, field)).toBe('gone')
  expect(windowSince(was, before, dial)).toBe('closed')
  expect(windowSince(was, before, notes)).toBe('elsewhere')
  expect(world.run('past.desktop', { desktop: field, from: was })).toMatchObject({
    say: 'Field is back as it was',
  })
  const { state } = world
  expect(desktopSince(was, state, field)).toBe('same')
  expect(state.order.indexOf(field)).toBe(was.order.indexOf(field))
  for (const id of [notes, dial]) expect(state.windows[id]).toEqual(was.windows[id])
  expect(state.stacking.filter((id) => [notes, dial].includes(id))).toEqual(
    was.stacking.filter((id) => [notes, dial].includes(id)),
  )
  expect(state.closed).toEqual([])
  world.run('history.undo')
  expectSame(world.state, before)
})

test('what came since stays on the desktop, behind what stood there', () => {
  const { world, field, notes, dial, was } = desk()
  const since = world.open('notes', 'Since')
  const outcome = world.run('past.desktop', { desktop: field, from: was })
  expect(outcome).toMatchObject({ say: 'Field is back as it was, with 1 newer window behind' })
  expect(world.state.desktops[field]?.windows).toEqual([notes, dial, since])
  expect(world.state.stacking.at(0)).toBe(since)
})

test('a window is back where it stood, out of what it fills too', () => {
  const { world, field, notes, was } = desk()
  world.run('window.solo', { window: notes })
  expect(windowSince(was, world.state, notes)).toBe('elsewhere')
  world.run('past.window', { window: notes, from: was })
  expect(windowSince(was, world.state, notes)).toBe('same')
  expect(world.state.order).toEqual(was.order)
  expect(world.state.desktops[field]?.windows).toContain(notes)
})

test('what cannot be brought back is told, with what to do', () => {
  const { world, field, model, notes, was } = desk()
  expect(world.refusal('past.desktop', { desktop: 'none', from: was })).toBe(
    'That desktop wasn’t there then.',
  )
  expect(world.refusal('past.window', { window: 'none', from: was })).toBe(
    'That window wasn’t open then.',
  )
  world.run('desktop.stow', { desktop: field })
  expect(desktopSince(was, world.state, field)).toBe('stowed')
  expect(windowSince(was, world.state, notes)).toBe('stowed')
  for (const [id, args] of [
    ['past.desktop', { desktop: field }],
    ['past.window', { window: notes }],
  ] as const)
    expect(world.refusal(id, { ...args, from: was })).toBe(
      'Field is stowed. Bring it back from the loft first.',
    )
  world.run('desktop.bring', { desktop: field })
  world.run('desktop.fold', { desktops: [field], into: model })
  expect(world.refusal('past.window', { window: notes, from: was })).toBe(
    'It was on Field, which is gone. Bring that desktop back instead.',
  )
})

test('without an app the shelf stands at any moment as if it had never been there', () => {
  let told = 0
  fc.assert(
    fc.property(flows, fc.integer({ min: 1, max: 9 }), (commands, every) => {
      const { stood, stretches } = lived(commands, every)
      for (const stretch of stretches)
        for (const change of stretch.changes) change.say = `Step ${change.at}`
      const apps = new Set(stood.flatMap(({ windows }) => Object.values(windows).map((w) => w.app)))
      for (const app of apps) {
        const { stretches: left, documents } = stretchesWithout(stretches, app)
        const written = JSON.stringify(left)
        for (const { documents: all } of stood)
          for (const { id, app: of } of Object.values(all))
            expect(documents.has(id)).toBe(of === app)
        for (const id of documents) expect(written).not.toContain(`"${id}"`)
        for (const [at, state] of stood.entries()) {
          const stretch = stretchAt(left, at)
          if (!stretch) continue
          const stands = stateAt(stretch, at)
          const others = Object.values(state.windows).filter((one) => one.app !== app)
          expect(Object.keys(stands.windows).sort()).toEqual(others.map(({ id }) => id).sort())
          expect(stands.stacking).toEqual(state.stacking.filter((id) => stands.windows[id]))
          // What a command would refuse could not be brought back.
          expectSame(readState(stands), stands)
          told++
        }
      }
    }),
    runs(40),
  )
  expect(told).toBeGreaterThan(100)
})

test('what was done in windows of the app is told without words, what was done beside it as it was', () => {
  const world = new World()
  const change = (id: string, args: object, at: number): PastChange => {
    const before = world.state
    world.run(id, args)
    const changes = changesBetween(before, world.state)
    if (!changes) throw new Error(`${id} changed nothing`)
    return { at, say: world.session.history.past.at(-1)?.say ?? '', changes }
  }
  const state = world.state
  const changes = [
    change('window.open', { app: 'notes', title: 'Secret sums' }, 1),
    change('window.open', { app: 'dial', title: 'Kept' }, 2),
    change('desktop.create', { name: 'Secret sums of May', stay: true }, 3),
    change('desktop.create', { name: 'Other', stay: true }, 4),
  ]
  const { stretches } = stretchesWithout([{ at: 0, state, changes }], 'notes')
  expect(stretches[0]?.changes.map(({ say }) => say)).toEqual([
    undefined,
    changes[1]?.say,
    changes[2]?.say,
    changes[3]?.say,
  ])
  expect(JSON.stringify(stretches)).not.toContain('"Secret sums"')
})
