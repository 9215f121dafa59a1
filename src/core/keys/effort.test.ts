import { readFileSync } from 'node:fs'
import { World } from '@testing/world'
import { bindings } from './bindings'
import { clashes } from './clashes'
import { effort } from './effort'

const page = readFileSync('docs/keys.md', 'utf8')

/** The rows of the table under a heading of the page, cell by cell. */
const table = (heading: string): string[][] =>
  (page.split(`## ${heading}\n`)[1] ?? '')
    .split('\n\n')
    .find((part) => part.startsWith('|'))
    ?.split('\n')
    .slice(2)
    .map((row) =>
      row
        .split('|')
        .slice(1, -1)
        .map((cell) => cell.trim().replaceAll('`', '')),
    ) ?? []

/** What is said after the first stroke in the recorded day, and how often. */
const day = table('A recorded day').map(([keys = '', , times]) => ({ keys, times: Number(times) }))

test('the recorded day says keys that are bound', () => {
  const after = new Set(
    [...bindings(new World().state).keys()].flatMap((keys) =>
      keys.startsWith('Alt+J ') ? keys.slice('Alt+J '.length) : [],
    ),
  )
  expect(day.length).toBeGreaterThan(10)
  for (const { keys } of day) expect(after).toContain(keys)
})

test('the table of first strokes is as the model works it out, and the one in use is the lightest', () => {
  const rows = table('First strokes')
  expect(rows.length).toBeGreaterThan(5)
  for (const [first = '', one, whole] of rows) {
    const all = day.reduce((sum, { keys, times }) => sum + times * effort(`${first} ${keys}`), 0)
    expect([first, one, whole]).toEqual([first, effort(first).toFixed(2), all.toFixed(0)])
  }
  const free = rows.filter(([, , , against]) => against === 'nothing')
  const lightest = free.toSorted(([, a], [, b]) => Number(a) - Number(b))[0]
  expect(lightest?.[0]).toBe('Alt+J')
})

test('nothing speaks against the lighter stroke on any platform but what follows it', () => {
  for (const platform of ['linux', 'windows', 'mac'] as const) {
    const asked = { keys: 'Alt+J 0', command: 'x', platform, named: () => '' }
    expect(clashes(new World().state, asked).map(({ kind }) => kind)).toEqual(['letter'])
  }
})

test('what lies farther, takes a modifier or another stroke takes longer', () => {
  expect(effort('Alt+J')).toBeLessThan(effort('Alt+Y'))
  expect(effort('Alt+J')).toBeLessThan(effort('Alt+Shift+J'))
  expect(effort('Alt+J')).toBeLessThan(effort('Alt+J A'))
  expect(() => effort('alt')).toThrow('cannot be pressed')
})
