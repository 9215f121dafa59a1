import { World } from '@testing/world'
import { EMBLEMS, emblemFor, searchEmblems } from '@/core/look/emblems'
import { signOf } from '@/core/look/look'
import { alike, unlike } from '@/core/look/unlike'
import type { Desktop } from '@/core/model/kinds/desktop'
import { HUES } from '@/core/model/kinds/look'
import { desktop } from '@/core/model/selectors'

/** Twelve desktops as a person makes them, each after the one before. */
function twelve(): Desktop[] {
  const world = new World()
  for (let at = 2; at <= 12; at++) world.run('desktop.create', { name: `Number ${at}` })
  return world.state.order.map((id) => desktop(world.state, id))
}

test('of twelve desktops every pair is told apart, with colours and without', () => {
  const all = twelve()
  expect(all).toHaveLength(12)
  for (const [at, one] of all.entries())
    for (const other of all.slice(at + 1)) {
      // Without colours: the letter, the emblem and the pattern; the first has no emblem yet.
      const differ = [
        one.letter !== other.letter,
        one.emblem !== other.emblem,
        one.backdrop !== other.backdrop,
      ].filter(Boolean)
      expect(differ.length).toBeGreaterThanOrEqual(2)
      expect(one.hue).not.toBe(other.hue)
    }
})

test('neighbours are as unlike as can be, wherever one is made between them', () => {
  const all = twelve()
  for (const [at, one] of all.entries()) {
    const next = all[at + 1]
    if (!next) continue
    expect(one.backdrop).not.toBe(next.backdrop)
    expect(alike(one.hue, next.hue)).toBeLessThanOrEqual(0.7)
  }
  const [first, second] = all
  if (!first || !second) throw new Error('two')
  const between = unlike([first, second], 1, '')
  for (const side of [first, second]) {
    expect(between.hue).not.toBe(side.hue)
    expect(between.backdrop).not.toBe(side.backdrop)
    expect(between.emblem).not.toBe(side.emblem)
  }
})

test('how alike hues are: the same is one, and it is the same both ways', () => {
  for (const one of HUES) {
    expect(alike(one, one)).toBe(1)
    for (const other of HUES) {
      expect(alike(one, other)).toBe(alike(other, one))
      if (one !== other) expect(alike(one, other)).toBeLessThan(1)
    }
  }
})

test('a name may speak of an emblem; emblems are found by other words for them', () => {
  expect(emblemFor('Avalanche course')).toBe('school')
  expect(emblemFor('Music')).toBe('music')
  expect(emblemFor('Ön')).toBeUndefined()
  expect(searchEmblems('money')).toEqual(['wallet', 'coins'])
  expect(searchEmblems('tree')).toEqual(['tree-pine'])
  expect(searchEmblems('')).toHaveLength(Object.keys(EMBLEMS).length)
  const world = new World()
  world.run('desktop.create', { name: 'Budget' })
  world.run('desktop.create', {})
  const made = world.state.order.map((id) => desktop(world.state, id))
  expect(made.find(({ name }) => name === 'Budget')?.emblem).toBe('coins')
  // Only just made, nobody knows it by its emblem: the name it is given may speak of another.
  world.run('desktop.rename', { name: 'Chess game', fresh: true })
  const here = world.state.presence.near?.shows ?? ''
  expect(desktop(world.state, here).emblem).toBe('castle')
  world.run('desktop.rename', { name: 'Radio' })
  expect(desktop(world.state, here).emblem).toBe('castle')
})

test('a sign is kept as what is other than at first, and reset leaves hue and emblem', () => {
  const world = new World()
  world.run('desktop.look', { hue: 'rust', emblem: 'anchor', signed: { size: 90, place: 'top' } })
  const first = () => desktop(world.state, 'first')
  expect(first().signed).toEqual({ size: 90, place: 'top' })
  expect(signOf(first())).toMatchObject({ size: 90, weight: 800 })
  world.run('desktop.look', { signed: { size: 64 } })
  expect(first().signed).toEqual({ place: 'top' })
  world.run('desktop.look', { backdrop: 'dots' })
  world.run('desktop.resetLook')
  expect(first()).toMatchObject({ hue: 'rust', emblem: 'anchor', backdrop: 'ripstop', sign: true })
  expect(first().signed).toBeUndefined()
  world.run('desktop.look', { emblem: '' })
  expect(first().emblem).toBeUndefined()
  expect(world.refusal('desktop.look', { backdrop: 'picture' })).toMatch(/no picture/)
  expect(world.refusal('desktop.look', { signed: { size: 4 } })).not.toBe('')
})

test('the sign of one goes to five others in one step, and back in one', () => {
  const world = new World()
  world.desktops('A', 'B', 'C', 'D', 'E')
  const [from = '', ...to] = world.state.order
  world.run('desktop.look', { desktop: from, signed: { place: 'top left', size: 40 }, hue: 'rose' })
  const before = world.state.desktops
  world.run('desktop.copyLook', { desktop: from, to, parts: ['sign'] })
  for (const id of to) {
    expect(desktop(world.state, id).signed).toEqual({ place: 'top left', size: 40 })
    expect(desktop(world.state, id).hue).toBe(before[id]?.hue)
  }
  world.run('history.undo')
  expect(world.state.desktops).toEqual(before)
  expect(world.refusal('desktop.copyLook', { to: ['gone'], parts: ['hue'] })).toMatch(
    /no longer exists/,
  )
})

test('contexts stand in the order they were typed, each unlike the one before it; too many are told', () => {
  const world = new World()
  const names = Array.from({ length: 12 }, (_, at) => `Context ${at}`)
  const many = Array.from({ length: 41 }, (_, at) => `Context ${at}`)
  expect(world.refusal('start.contexts', { names: many })).toMatch(/more than 40 desktops/)
  expect(world.refusal('start.contexts', { names: ['A', ' A'] })).toMatch(/same name/)
  world.run('desktop.letter', { letter: 'K' })
  world.run('start.contexts', { names })
  const all = world.state.order.map((id) => desktop(world.state, id))
  expect(all.map(({ name }) => name)).toEqual(names)
  expect(all[0]).toMatchObject({ letter: 'C', letterByHand: false })
  for (const [at, one] of all.entries()) {
    const next = all[at + 1]
    if (!next) continue
    expect(one.backdrop).not.toBe(next.backdrop)
    expect(one.emblem).not.toBe(next.emblem)
    expect(alike(one.hue, next.hue)).toBeLessThanOrEqual(0.7)
  }
})

test('a picture that is a backdrop is in use: it is not deleted under its desktop', () => {
  const world = new World()
  const window = world.open('notes')
  const document = world.state.windows[window]?.document ?? ''
  world.run('desktop.look', {
    backdrop: 'picture',
    picture: { document, fit: 'fill', x: 50, y: 50, strength: 100 },
  })
  world.run('window.close', { window })
  expect(world.refusal('document.discard', { document })).toMatch(/is the backdrop of/)
  expect(world.refusal('documents.discard', { documents: [document] })).toMatch(/in use/)
  world.run('desktop.resetLook')
  world.run('document.discard', { document })
  expect(world.state.documents[document]?.discarded).toBe(true)
})
