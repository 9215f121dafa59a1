import { World } from '@testing/world'
import { waitingNow } from '@/core/attention/waiting'
import { currentId, focusId } from '@/core/model/selectors'
import { runningNow } from '@/core/runs/runs'

/** Three desktops, a window on the second, and a run: first, the window, third. */
function world() {
  const made = new World()
  const [model = '', rota = ''] = made.desktops('Model', 'Rota')
  const here = made.open()
  made.run('desktop.go', { to: model })
  const shown = made.open('notes', 'Run notes')
  made.run('desktop.go', { to: 'first' })
  made.run('run.make', {
    name: 'Briefing',
    stops: [
      { desktop: 'first' },
      { desktop: model, window: shown, notes: 'Why so warm' },
      { desktop: rota },
    ],
  })
  return { made, model, rota, here, shown }
}

const at = ({ state }: World) => {
  const now = runningNow(state)
  return now && [now.nth, now.of]
}

test('a run goes from stop to stop, to a window wherever it is, and comes back to where it began', () => {
  const { made, model, rota, here, shown } = world()
  made.run('run.start')
  expect(at(made)).toEqual([1, 3])
  expect(made.run('run.next').announce).toBe('2 of 3: Run notes')
  expect([currentId(made.state), focusId(made.state)]).toEqual([model, shown])
  made.run('window.send', { window: shown, to: rota })
  made.run('run.back')
  made.run('run.next')
  expect(currentId(made.state)).toBe(rota)
  made.run('run.next')
  expect(made.refusal('run.next')).toBe('That was the last stop.')
  made.run('run.end')
  expect([currentId(made.state), focusId(made.state)]).toEqual(['first', here])
  expect(made.refusal('run.next')).toBe('No run goes on.')
})

test('the window one had is not forced into sight where it went meanwhile', () => {
  const { made, here } = world()
  made.run('run.start')
  made.run('window.solo', { window: here })
  made.run('run.end')
  expect(currentId(made.state)).toBe('first')
  expect(focusId(made.state)).not.toBe(here)
})

test('where it says so, or is told so, a run ends where it is', () => {
  const { made, model } = world()
  made.run('run.ends')
  made.run('run.start')
  made.run('run.next')
  made.run('run.end')
  expect(currentId(made.state)).toBe(model)
  made.run('run.ends', { back: true })
  made.run('run.start')
  made.run('run.next')
  made.run('run.end', { stay: true })
  expect(currentId(made.state)).toBe(model)
})

test('what is folded or closed is left out, also while the run goes on; where nothing is left it is over', () => {
  const { made, model, rota, shown } = world()
  made.run('run.start')
  made.run('window.close', { window: shown })
  made.run('run.next')
  expect(currentId(made.state)).toBe(rota)
  expect(at(made)).toEqual([2, 2])
  made.run('run.end')
  made.run('desktop.fold', { desktop: rota })
  made.run('desktop.fold', { desktop: 'first', into: model })
  expect(made.refusal('run.start')).toContain('goes nowhere')
  expect(runningNow(made.state)).toBeNull()
})

test('a run that was made while it goes on and is undone is over; nothing breaks', () => {
  const { made } = world()
  made.run('run.start')
  made.run('history.undo')
  expect(made.state.runs).toEqual([])
  expect(runningNow(made.state)).toBeNull()
  expect(made.refusal('run.next')).toBe('No run goes on.')
  made.run('history.redo')
  expect(at(made)).toEqual([1, 3])
})

test('what another display shows comes to the one the run is shown on; the other goes where it likes', () => {
  const { made, model, rota, shown } = world()
  made.run('display.add', { name: 'Side' })
  const side = made.state.displayOrder[1] ?? ''
  made.run('display.focus', { to: 'next' })
  made.run('desktop.go', { to: model })
  made.run('display.focus', { to: 'next' })
  made.run('run.start')
  made.run('run.next')
  expect(made.state.display).toBe('near')
  expect([made.state.presence.near?.shows, focusId(made.state)]).toEqual([model, shown])
  // From the other display: the run stays as it is.
  made.run('display.focus', { to: 'next' })
  const before = made.state.presence.near
  made.run('desktop.go', { to: made.state.presence[side]?.shows === rota ? 'first' : rota })
  expect(made.state.presence.near?.shows).toBe(before?.shows)
})

test('where the run was undone, going is as the person has set it again', () => {
  const { made } = world()
  made.run('display.add', { name: 'Side' })
  const side = made.state.displayOrder[1] ?? ''
  made.run('run.make', { name: 'All' })
  made.run('run.start')
  made.run('history.undo')
  expect(runningNow(made.state)).toBeNull()
  made.run('desktop.go', { to: made.state.presence[side]?.shows })
  expect(made.state.display).toBe(side)
})

test('a minimised window of a run is restored, which can be taken back', () => {
  const { made, shown } = world()
  made.run('window.minimise', { window: shown })
  made.run('run.start')
  made.run('run.next')
  expect(made.state.windows[shown]?.minimised).toBe(false)
  made.run('history.undo')
  expect(made.state.windows[shown]?.minimised).toBe(true)
})

test('while a run goes on everything that asks waits, and is told when it is over', () => {
  const { made, shown } = world()
  made.run('run.start')
  const document = made.state.windows[shown]?.document ?? ''
  const told = made.run('attention.report', { document, level: 'alarm', says: 'Failed' })
  expect(told.announce).toBeUndefined()
  expect(waitingNow(made.state, 5000)).toEqual([])
  made.run('run.end')
  expect(waitingNow(made.state, 5000)).toMatchObject([{ says: 'Failed', told: false }])
})

test('stops are put in order, with notes, added and taken out; the run stays where it is meanwhile', () => {
  const { made, model, shown } = world()
  const stops = () => made.state.runs[0]?.stops ?? []
  const [one, two] = stops()
  made.run('run.start')
  made.run('run.next')
  made.run('run.move', { stop: one?.id, by: 2 })
  expect(
    stops()
      .map(({ id }) => id)
      .indexOf(one?.id ?? ''),
  ).toBe(2)
  expect(runningNow(made.state)?.stop.id).toBe(two?.id)
  made.run('run.note', { stop: two?.id, notes: 'Slowly' })
  expect(runningNow(made.state)?.stop.notes).toBe('Slowly')
  made.run('run.add', { window: shown })
  expect(stops().at(-1)).toMatchObject({ desktop: model, window: shown })
  made.run('run.drop', { stop: two?.id })
  expect(stops()).toHaveLength(3)
  expect(runningNow(made.state)).not.toBeNull()
  expect(made.refusal('run.remove')).toBe('That run is still going. End it first.')
  made.run('run.end')
  made.run('run.remove', { run: 'briefing' })
  expect(made.refusal('run.start')).toBe('There is no run. Make one first.')
})

test('a run through all desktops is made by its name alone', () => {
  const { made } = world()
  made.run('run.make', { name: 'All' })
  expect(made.state.runs.at(-1)?.stops.map(({ desktop }) => desktop)).toEqual(made.state.order)
  expect(made.refusal('run.make', { name: ' ' })).toContain('name')
})
