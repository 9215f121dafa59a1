import { type Go, median, nextGo, slowest } from './practice'

const go = (to: string, time: number): Go => ({ to, time })

test('the median of odd and even counts', () => {
  expect(median([3, 1, 2])).toBe(2)
  expect(median([4, 1, 3, 2])).toBe(2.5)
  expect(median([])).toBe(0)
})

test('each desktop comes once before any comes again, never the one one is on', () => {
  const all = ['a', 'b', 'c', 'd']
  const goes: Go[] = []
  let here = 'a'
  const seen: string[] = []
  for (let at = 0; at < 3; at++) {
    const to = nextGo(all, here, goes, 0.99) ?? ''
    expect(to).not.toBe(here)
    seen.push(to)
    goes.push(go(to, 1000))
    here = to
  }
  expect(new Set(seen).size).toBe(3)
  expect(nextGo(['a'], 'a', [], 0.5)).toBeNull()
})

test('what took longer comes more often', () => {
  const goes = [go('b', 3000), go('c', 1000), go('d', 1000)]
  const count: Record<string, number> = {}
  for (let at = 0; at < 100; at++) {
    const to = nextGo(['a', 'b', 'c', 'd'], 'a', goes, at / 100) ?? ''
    count[to] = (count[to] ?? 0) + 1
  }
  expect(count.b).toBeGreaterThan(75)
  expect((count.c ?? 0) + (count.d ?? 0)).toBeGreaterThan(5)
})

test('of forty desktops a dozen come, so that the slow ones come again', () => {
  const all = Array.from({ length: 40 }, (_, at) => `d${at}`)
  const goes: Go[] = []
  for (let at = 0; at < 20; at++) {
    const to = nextGo(all, goes.at(-1)?.to ?? 'd0', goes, (at * 0.37) % 1) ?? ''
    goes.push(go(to, at === 3 || to === goes[3]?.to ? 9000 : 800))
  }
  expect(new Set(goes.map(({ to }) => to)).size).toBe(12)
  expect(goes.filter(({ to }) => to === goes[3]?.to).length).toBeGreaterThan(2)
})

test('the slowest are told as they were the last time', () => {
  const goes = [go('a', 4000), go('b', 900), go('c', 1000), go('a', 1000), go('d', 2500)]
  expect(slowest(goes)).toEqual([go('d', 2500)])
})
