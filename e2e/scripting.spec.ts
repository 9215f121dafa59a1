import { readFileSync } from 'node:fs'
import { expect, test } from './shelf'

const page = readFileSync('docs/scripting.md', 'utf8')

/** The examples of the page, as they stand there. */
const examples = [...page.matchAll(/```js\n([\s\S]*?)```/g)].map(([, code = '']) => code)

test('the examples of the scripting page do what they say', async ({ shelf, page }) => {
  expect(examples).toHaveLength(5)
  await shelf.open()
  const run = async (at: number) => {
    await page.evaluate((code) => new Function(code)(), examples[at] ?? '')
    await shelf.drawn()
  }
  const before = await shelf.state()

  await run(0)
  const made = await shelf.state()
  expect(made.order).toHaveLength(before.order.length + 10)
  expect(made.visited[0]).toBe(before.visited[0])
  expect(Object.values(made.desktops).map(({ name }) => name)).toContain('Post')

  await run(1)
  const { windows, visited } = await shelf.state()
  for (const { app, desktop } of Object.values(windows))
    if (app === 'table') expect(desktop).toBe(visited[0])

  await run(2)
  const folded = await shelf.state()
  expect(folded.order.every((id) => (folded.desktops[id]?.windows.length ?? 0) > 0)).toBe(true)
  expect(Object.keys(folded.windows)).toEqual(Object.keys(windows))

  await run(3)
  const small = Object.values((await shelf.state()).windows).filter(({ minimised }) => !minimised)
  expect(small).toHaveLength(3)

  await run(4)
  await shelf.press('Alt+Shift+F6')
  expect((await shelf.state()).visited[0]).toBe(folded.order[1])
})

test('the page lists what the console has', async ({ shelf, page: shown }) => {
  await shelf.open('shelf')
  const there = await shown.evaluate(() => ({
    api: Object.keys(window.kiteShelf ?? {}),
    state: Object.keys(window.kiteShelf?.state() ?? {}),
  }))
  for (const name of there.api) expect(page).toContain(`  ${name}(`)
  const [, told = ''] = page.split('interface FlatState {')
  for (const [, name = ''] of (told.split('\n}')[0] ?? '').matchAll(/^ {2}(\w+):/gm))
    expect(there.state).toContain(name)
})
