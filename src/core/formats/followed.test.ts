import { runs } from '@testing/runs'
import { World } from '@testing/world'
import fc from 'fast-check'
import {
  afterTaking,
  documentsFrom,
  essenceOf,
  type Followed,
  isWritten,
  standing,
  writtenNow,
} from './followed'

/** A machine with texts; what was overwritten by somebody who knew it is over, all else must be somewhere. */
class Machine {
  followed: Followed
  texts: Record<string, string> = {}
  told: string[] = []

  constructor(
    readonly id: string,
    readonly folder: Map<string, { written: Followed; texts: Record<string, string> }>,
  ) {
    const fresh = { at: 0, n: 0, seen: {}, documents: {}, essence: '', sums: {} }
    this.followed = { machine: id, name: id, ...fresh }
  }

  now(): Followed {
    return writtenNow(this.followed, '', this.texts, 0)
  }

  write(): void {
    this.followed = this.now()
    this.folder.set(this.id, { written: this.followed, texts: { ...this.texts } })
  }

  /** @returns how the other stood */
  take(other: string): string {
    const theirs = this.folder.get(other)
    if (!theirs) return 'known'
    const mine = this.now()
    const is = standing(mine, theirs.written)
    if (is === 'known') return is
    const { taken, both } = documentsFrom(mine, theirs.written)
    for (const id of taken) this.texts[id] = theirs.texts[id] ?? ''
    for (const id of both) {
      this.told.push(id)
      // What it says there is a document of its own.
      this.texts[`${id} of ${other} ${theirs.written.n}`] = theirs.texts[id] ?? ''
    }
    this.followed = afterTaking(mine, theirs.written, taken, '', this.texts)
    return is
  }
}

const two = (): [Machine, Machine] => {
  const folder = new Map()
  return [new Machine('a', folder), new Machine('b', folder)]
}

test('who goes on from all that is here is ahead; who changed something meanwhile is apart', () => {
  const [a, b] = two()
  a.texts.report = 'one'
  a.write()
  expect(b.take('a')).toBe('ahead')
  expect(b.texts).toEqual({ report: 'one' })
  b.write()
  // It knows all, and changed nothing.
  expect(a.take('b')).toBe('known')
  b.texts.report = 'two'
  b.write()
  expect(a.take('b')).toBe('ahead')
  expect(a.texts.report).toBe('two')
  a.texts.report = 'three'
  b.texts.report = 'four'
  a.write()
  expect(b.take('a')).toBe('apart')
  expect(b.told).toEqual(['report'])
  expect(Object.values(b.texts).sort()).toEqual(['four', 'three'])
})

test('a document changed on one machine only is taken, whatever else was changed', () => {
  const [a, b] = two()
  Object.assign(a.texts, { report: 'r', rota: 'o' })
  a.write()
  b.take('a')
  a.texts.report = 'r2'
  b.texts.rota = 'o2'
  a.write()
  expect(b.take('a')).toBe('apart')
  expect(b.told).toEqual([])
  expect(b.texts).toEqual({ report: 'r2', rota: 'o2' })
})

test('in 500 random orders of changes on both nothing is lost, and every conflict is told', () => {
  const does = fc.record({
    who: fc.constantFrom(0, 1),
    act: fc.constantFrom('change', 'write', 'take', 'restart'),
    id: fc.constantFrom('report', 'rota', 'notes'),
  })
  fc.assert(
    fc.property(fc.array(does, { maxLength: 30 }), (all) => {
      const machines = two()
      /** Texts that were written over by somebody who had them before the eyes. */
      const over = new Set<string>()
      const made: string[] = []
      for (const { who, act, id } of all) {
        const machine = machines[who] as Machine
        const other = machines[1 - who] as Machine
        if (act === 'change') {
          const text = `${id} ${made.length}`
          if (machine.texts[id]) over.add(machine.texts[id])
          machine.texts[id] = text
          made.push(text)
        } else if (act === 'write') machine.write()
        else if (act === 'take') machine.take(other.id)
        // What is kept comes back as it was kept.
        else machine.followed = JSON.parse(JSON.stringify(machine.followed))
      }
      // In the end each writes and takes until nothing is new.
      for (let round = 0; round < 3; round++)
        for (const [at, machine] of machines.entries()) {
          machine.write()
          ;(machines[1 - at] as Machine).take(machine.id)
        }
      for (const machine of machines) {
        machine.write()
        const there = new Set(Object.values(machine.texts))
        for (const text of made)
          if (!there.has(text) && !over.has(text))
            throw new Error(`${text} is lost on ${machine.id}`)
      }
      expect(standing(machines[0].now(), machines[1].now())).toBe('known')
      expect(standing(machines[1].now(), machines[0].now())).toBe('known')
    }),
    runs(500),
  )
})

test('where one is, and how the screens stand, is no change of the shelf', () => {
  const world = new World()
  const [first = '', second = ''] = [...world.state.order, ...world.desktops('Rota')]
  const before = essenceOf(world.state)
  world.run('desktop.go', { to: second })
  world.run('desktop.go', { to: first })
  expect(essenceOf(world.state)).toBe(before)
  world.open()
  expect(essenceOf(world.state)).not.toBe(before)
})

test('what is no such file is not taken for one', () => {
  expect(isWritten(two()[0].now())).toBe(true)
  for (const bad of [null, 1, {}, { machine: 'a' }, { ...two()[0].now(), seen: null }])
    expect(isWritten(bad)).toBe(false)
})
