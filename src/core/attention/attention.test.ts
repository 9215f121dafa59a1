import { runs } from '@testing/runs'
import { World } from '@testing/world'
import fc from 'fast-check'
import { changesAt, heldBack, putOff, untold, waitingNow } from './waiting'

/** Desktops Field, Rota and Bulletin, one being on the first, with a window on each. */
function office(): World {
  const world = new World()
  world.run('desktop.rename', { desktop: 'first', name: 'Field' })
  world.desktops('Rota', 'Bulletin')
  for (const to of ['Field', 'Rota', 'Bulletin']) {
    world.try('desktop.go', { to })
    world.run('window.open', { app: 'notes', title: `Notes of ${to}` })
  }
  world.run('desktop.go', { to: 'Field' })
  return world
}

const documentOn = (world: World, name: string): string => {
  const { windows, documents } = world.state
  const found = Object.values(windows).find(
    ({ document }) => documents[document]?.title === `Notes of ${name}`,
  )
  return found?.document ?? ''
}

const report = (world: World, name: string, level: string | null, says = `${name} asks`) =>
  world.run('attention.report', { document: documentOn(world, name), level, says })

const now = (world: World): number => world.env.now
const titles = (list: { says: string }[]) => list.map(({ says }) => says)
const here = (world: World) => world.state.desktops[world.state.presence.near?.shows ?? '']?.name

test('alarms come first, then what waits longest; more of the same does not wait anew', () => {
  const world = office()
  report(world, 'Rota', 'info', 'one unread')
  const { since } = Object.values(world.state.attention)[0] ?? { since: 0 }
  report(world, 'Bulletin', 'alarm', 'broken')
  report(world, 'Rota', 'mention', 'asked for')
  expect(titles(waitingNow(world.state, now(world)))).toEqual(['broken', 'asked for'])
  expect(waitingNow(world.state, now(world))[1]?.since).toBe(since)
  report(world, 'Rota', null)
  expect(titles(waitingNow(world.state, now(world)))).toEqual(['broken'])
})

test('one key goes to each in turn, and comes back to the window one was in', () => {
  const world = office()
  const { focus } = world.state.presence.near ?? {}
  report(world, 'Rota', 'mention')
  report(world, 'Bulletin', 'info')
  world.run('attention.next')
  expect(here(world)).toBe('Rota')
  world.run('attention.seen', { document: documentOn(world, 'Rota') })
  world.run('attention.next')
  expect(here(world)).toBe('Bulletin')
  world.run('attention.seen', { document: documentOn(world, 'Bulletin') })
  world.run('attention.next')
  expect(here(world)).toBe('Field')
  expect(world.state.presence.near?.focus).toBe(focus)
  expect(world.try('attention.next')).toMatchObject({ ok: false, reason: 'Nothing is waiting.' })
})

test('what was gone to once is not gone to again in the same round, seen or not', () => {
  const world = office()
  report(world, 'Rota', 'mention')
  report(world, 'Bulletin', 'info')
  const round = () => {
    const places: (string | undefined)[] = []
    for (let n = 0; n < 3; n++) {
      world.run('attention.next')
      places.push(here(world))
    }
    return places
  }
  expect(round()).toEqual(['Rota', 'Bulletin', 'Field'])
  // The next round begins anew.
  expect(round()).toEqual(['Rota', 'Bulletin', 'Field'])
})

test('back at any time, also when the window one was in went elsewhere meanwhile', () => {
  const world = office()
  const focus = world.state.presence.near?.focus
  report(world, 'Rota', 'mention')
  world.run('attention.next')
  world.run('window.send', { window: focus, to: 'Bulletin' })
  world.run('desktop.fold', { desktop: 'first', into: 'Rota' })
  world.run('attention.back')
  expect(here(world)).toBe('Bulletin')
  expect(world.state.presence.near?.focus).toBe(focus)
})

test('a quiet desktop holds back all but alarms and what was named, and tells it when one leaves', () => {
  const world = office()
  world.run('desktop.quiet', { lets: ['Notes of R'] })
  expect(report(world, 'Bulletin', 'mention').announce).toBeUndefined()
  expect(titles(heldBack(world.state, now(world)))).toEqual(['Bulletin asks'])
  expect(waitingNow(world.state, now(world))).toEqual([])
  // Who asks is not torn away.
  world.run('attention.next')
  expect(here(world)).toBe('Bulletin')
  world.run('attention.back')
  expect(here(world)).toBe('Field')
  report(world, 'Bulletin', 'alarm', 'broken')
  expect(titles(waitingNow(world.state, now(world)))).toEqual(['broken'])
  report(world, 'Bulletin', 'mention')
  world.run('desktop.quiet', { lets: ['*of Rota'] })
  expect(report(world, 'Rota', 'info', 'one unread').announce).toBe('one unread')
  world.run('desktop.go', { to: 'Rota' })
  expect(titles(untold(world.state, now(world)))).toEqual(['Bulletin asks'])
  world.run('attention.told')
  expect(untold(world.state, now(world))).toEqual([])
  expect(titles(waitingNow(world.state, now(world)))).toEqual(['Bulletin asks', 'one unread'])
})

test('quiet ends by itself at its time, and is a step', () => {
  const world = office()
  const until = now(world) + 60_000
  world.run('desktop.quiet', { until })
  report(world, 'Rota', 'info')
  expect(changesAt(world.state, now(world))).toBe(until)
  expect(waitingNow(world.state, until - 1)).toEqual([])
  expect(untold(world.state, until)).toHaveLength(1)
  world.run('history.undo')
  expect(untold(world.state, now(world))).toHaveLength(1)
  expect(world.try('desktop.quiet', { until: 1 })).toMatchObject({ ok: false })
})

test('put off it comes again at its time; an alarm does not wait for that', () => {
  const world = office()
  report(world, 'Rota', 'mention')
  const until = now(world) + 600_000
  world.run('attention.putOff', { until })
  expect(waitingNow(world.state, now(world))).toEqual([])
  expect(putOff(world.state, now(world))).toHaveLength(1)
  expect(untold(world.state, until)).toHaveLength(1)
  report(world, 'Rota', 'alarm', 'broken')
  expect(titles(waitingNow(world.state, now(world)))).toEqual(['broken'])
})

test('in a document without a window it waits until the document is opened again', () => {
  const world = office()
  report(world, 'Rota', 'mention')
  const [asking] = waitingNow(world.state, now(world))
  world.run('window.close', { window: asking?.window })
  expect(waitingNow(world.state, now(world))).toEqual([])
  world.run('window.reopen')
  expect(waitingNow(world.state, now(world))).toHaveLength(1)
})

test('whatever is done, nothing that wants attention is lost, and nothing is told twice', () => {
  const name = fc.constantFrom('Field', 'Rota', 'Bulletin')
  const says = fc.constantFrom('a', 'b', 'c')
  const step = fc.oneof(
    fc.record({ does: fc.constant('report' as const), name, says }),
    fc.record({ does: fc.constant('go' as const), name }),
    fc.record({ does: fc.constant('fold' as const), name }),
    fc.record({ does: fc.constant('send' as const), name }),
    fc.record({ does: fc.constantFrom('quiet', 'undo', 'redo', 'next', 'back', 'told') }),
  )
  fc.assert(
    fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
      const world = office()
      const wanted = new Map<string, string>()
      const documents = { Field: '', Rota: '', Bulletin: '' }
      for (const each of ['Field', 'Rota', 'Bulletin'] as const)
        documents[each] = documentOn(world, each)
      let toldTimes = new Map<string, number>()
      const count = (document: string) =>
        toldTimes.set(document, (toldTimes.get(document) ?? 0) + 1)
      for (const one of steps) {
        // What is untold before it is put away, or told as it comes, is told then.
        const before = world.state.attention
        if (one.does === 'report' && 'says' in one) {
          const document = documents[one.name]
          const fresh = wanted.get(document) !== one.says
          const { announce } = world.run('attention.report', {
            document,
            level: 'mention',
            says: one.says,
          })
          wanted.set(document, one.says)
          if (fresh) toldTimes = new Map([...toldTimes].filter(([id]) => id !== document))
          if (announce) count(document)
        } else if ('name' in one && one.does === 'go') world.try('desktop.go', { to: one.name })
        else if ('name' in one && one.does === 'fold')
          world.try('desktop.fold', { desktop: one.name })
        else if ('name' in one && one.does === 'send') world.try('window.send', { to: one.name })
        else if (one.does === 'quiet') world.try('desktop.quiet')
        else if (one.does === 'undo' || one.does === 'redo') world.try(`history.${one.does}`)
        else world.try(`attention.${one.does}`)
        if (one.does === 'told' || one.does === 'next')
          for (const [document, { told }] of Object.entries(world.state.attention))
            if (told && !before[document]?.told) count(document)
        for (const [document, said] of wanted)
          expect(world.state.attention[document]?.says).toBe(said)
        for (const times of toldTimes.values()) expect(times).toBeLessThanOrEqual(1)
      }
    }),
    runs(150),
  )
})
