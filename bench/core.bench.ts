import { writeSync } from 'node:fs'
import { World } from '@testing/world'
import { explain } from '@/core/homes/explain'

/** A shelf with windows spread evenly over its desktops. */
function shelf(desktops: number, each: number): World {
  const world = new World()
  for (let n = 1; n < desktops; n++) world.run('desktop.create', { name: `Desktop ${n}` })
  for (let d = 0; d < desktops; d++) {
    for (let n = 0; n < each; n++)
      world.run('window.open', {
        app: 'notes',
        frame: { x: n * 20, y: n * 10, width: 400, height: 300 },
      })
    world.run('desktop.go', { to: 'next' })
  }
  return world
}

const COMMANDS: [string, (n: number) => object][] = [
  ['desktop.go', () => ({ to: 'next' })],
  ['window.move', (n) => ({ x: n % 300, y: 10 })],
  ['window.send', () => ({ to: 'next' })],
  ['window.focus', () => ({})],
  ['window.minimise', () => ({})],
  ['desktop.reorder', (n) => ({ by: n % 2 ? -1 : 1 })],
]

/** The median of explaining 10,000 windows against 500 homes, in milliseconds. */
function whyHere(): number {
  const homes = Array.from({ length: 500 }, (_, at) => ({
    id: `h${at}`,
    app: at % 2 ? 'notes' : 'dial',
    desktop: 'first',
    follow: true,
    on: true,
    ...(at % 3 && { title: `*${at % 50}*` }),
    ...(at % 5 === 0 && { days: [at % 7] }),
  }))
  const state = { ...new World().state, homes }
  const taken: number[] = []
  for (let n = 0; n < 10_000; n++) {
    const about = { app: n % 2 ? 'notes' : 'dial', title: `Window ${n}` }
    const start = performance.now()
    explain(state, about, { day: 1, minute: 480 }, 'windows')
    taken.push(performance.now() - start)
  }
  return taken.sort((a, b) => a - b)[5000] ?? 0
}

test('costs', () => {
  const costs: [string, number][] = []
  for (const [desktops, each] of [
    [24, 10],
    [40, 25],
  ] as const) {
    for (const [id, args] of COMMANDS) {
      const world = shelf(desktops, each)
      const taken: number[] = []
      for (let n = 0; n < 300; n++) {
        const start = performance.now()
        const outcome = world.try(id, args(n))
        taken.push(performance.now() - start)
        if (!outcome.ok) world.run('desktop.go', { to: 'next' })
      }
      const median = taken.sort((a, b) => a - b)[150] ?? 0
      costs.push([`${id}, median ms, ${desktops * each} windows`, median])
    }
  }
  costs.push(['why here, 500 homes, median ms of 10,000 windows', whyHere()])
  writeSync(1, `COSTS ${JSON.stringify(costs)}\n`)
})
