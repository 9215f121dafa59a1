import { readFileSync } from 'node:fs'
import { FIXED } from '../src/core/keys/bindings'
import { expect, numbered, test } from './shelf'

/** Six desktops, two windows on most of those that are gone to. */
const SIX = {
  Field: { Pit: 'job', Stations: 'table' },
  Model: { Output: 'table', Notes: 'job' },
  Bulletin: { North: 'job', South: 'job' },
  Public: {},
  Rota: { Duty: 'table' },
  Breather: {},
}

test('the key card: kept in a window, searched there, as Markdown, and on one sheet of paper', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.desktops(...numbered('Context number', 6, 11))
  await shelf.press('Alt+M', 'Alt+Shift+/')
  const card = page.getByRole('dialog', { name: 'Keys' })
  await card.getByRole('button', { name: 'all keys' }).click()
  await expect(card).toContainText('Context number 9')
  await expect(card).toContainText('% by keyboard')
  const sheet = card.getByRole('region', { name: 'All keys' })
  // With twelve desktops it needs no scrolling at 1280 × 800.
  expect(await sheet.evaluate((one) => one.scrollHeight - one.clientHeight)).toBeLessThan(2)
  const pages = async (format: string) =>
    ((await page.pdf({ format })).toString('latin1').match(/\/Type\s*\/Page[^s]/g) ?? []).length
  expect([await pages('A4'), await pages('Letter')]).toEqual([1, 1])
  const exported = page.waitForEvent('download')
  await card.getByRole('button', { name: 'as Markdown' }).click()
  const written = readFileSync(await (await exported).path(), 'utf8')
  expect(written).toContain('| `Alt+/` | Loft: see everything |')
  await shelf.press('Alt+Shift+/')
  await card.getByRole('button', { name: 'keep it in a window' }).click()
  await shelf.press('Escape')
  const kept = page.getByRole('region', { name: 'Key card' })
  await expect(kept).toContainText('Context number 9')
  await kept.getByRole('searchbox').fill('undo last')
  await expect(kept).not.toContainText('Context number 9')
  await expect(kept).toContainText('Undo the last change')
  // It tells the keys as they become.
  await shelf.run('keys.bind', { keys: 'Alt+F8', command: 'history.undo' })
  await expect(kept).toContainText('F8')
  await shelf.desktops(...numbered('Context number', 12, 39))
  await shelf.run('shelf.keys')
  expect(await pages('A4')).toBeLessThanOrEqual(2)
  expect(await pages('Letter')).toBeLessThanOrEqual(2)
})

test('letters: a free one is pressed, a taken one swaps, all are dealt again after a preview', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(SIX)
  const letters = async () => {
    const { desktops } = await shelf.state()
    return [
      desktops[id('Field')]?.letter,
      desktops[id('Bulletin')]?.letter,
      desktops[id('Breather')]?.letter,
    ]
  }
  const first = await letters()
  await shelf.press('Alt+J', 'L')
  const field = page.getByRole('textbox', { name: 'Call letter' })
  await expect(field).toBeFocused()
  await page.keyboard.type('k')
  await expect(field).toBeHidden()
  expect(await letters()).toEqual(['K', 'B', first[2]])
  await shelf.press('Alt+J', 'L')
  await page.keyboard.type('b')
  await expect(page.getByRole('dialog')).toContainText('B is the letter of Bulletin')
  await shelf.press('Enter')
  expect(await letters()).toEqual(['B', 'K', first[2]])
  await shelf.press('Alt+Z', 'Alt+Z')
  expect(await letters()).toEqual(first)
  // Known by letters of before, desktops keep them until they are dealt again.
  await shelf.run('desktop.rename', { desktop: id('Breather'), name: 'Walk' })
  await shelf.run('letters.askDeal')
  await expect(page.getByRole('list', { name: 'Changes' })).toContainText('becomes W: Walk')
  expect(await shelf.violations()).toEqual([])
  await shelf.press('Enter')
  expect(await letters()).toEqual(['F', 'B', 'W'])
})

test('beyond the alphabet letters have two strokes, in the line, the loft and with every verb', async ({
  shelf,
  page,
}) => {
  await shelf.furnish(SIX)
  await shelf.desktops(...numbered('Desk', 6, 25))
  const { desktops } = await shelf.state()
  const two = Object.values(desktops).find(({ letter }) => letter?.length === 2)
  const second = two?.letter?.[1] ?? ''
  expect(two?.letter).toMatch(/^Y/)
  await shelf.press('Alt+Y')
  await expect(page.getByRole('status').filter({ hasText: 'a key follows' })).toContainText(
    two?.name ?? '',
  )
  await shelf.press(second)
  expect(await shelf.here()).toBe(two?.id)
  await shelf.press('Alt+F', 'Alt+]', 'Y', second)
  await expect(shelf.said()).toContainText(`to ${two?.name}`)
  await shelf.press('Alt+/', 'Shift+Y', `Shift+${second}`)
  await expect(page.getByRole('complementary', { name: 'Bench' })).toContainText(two?.name ?? '')
})

test('keys of a place are bound, shown there at once, and nowhere else', async ({
  shelf,
  page,
}) => {
  await shelf.furnish(SIX)
  await shelf.press('Alt+J', 'Shift+K')
  const panel = page.getByRole('dialog', { name: 'Bind keys' })
  await page.keyboard.type('loft mark')
  await panel.getByRole('button', { name: 'Keys for Mark' }).click()
  await page.keyboard.press('t')
  await page.keyboard.press('Enter')
  await panel.getByRole('button', { name: 'Take Space away from Mark' }).click()
  // A command of the desktop, heard in the loft alone.
  await panel.getByRole('searchbox').fill('minimise window')
  await panel.getByRole('button', { name: 'Keys for Minimise window' }).first().click()
  await panel.getByRole('combobox').selectOption('in the loft')
  await page.keyboard.press('/')
  await expect(panel).toContainText('Already used for: filter')
  await page.keyboard.press('Backspace')
  await page.keyboard.press('v')
  expect(await shelf.violations()).toEqual([])
  await page.keyboard.press('Enter')
  // Keys that do something in the panel itself are typed.
  await panel.getByRole('searchbox').fill('sweep')
  await panel.getByRole('button', { name: /^Keys for Sweep/ }).click()
  await panel.getByRole('textbox', { name: /^Keys for Sweep.*typed$/ }).fill('Alt+F2 backspace')
  await expect(panel).toContainText('cannot be pressed')
  await panel.getByRole('textbox', { name: /^Keys for Sweep.*typed$/ }).fill('Alt+F2 Backspace')
  await page.keyboard.press('Enter')
  expect((await shelf.state()).bindings).toContainEqual({
    keys: 'Alt+F2 Backspace',
    command: 'windows.sweep',
    args: {},
  })
  await shelf.press('Escape', 'Alt+/')
  const bench = page.getByRole('complementary', { name: 'Bench' })
  await expect(bench.getByRole('button', { name: /mark; hold/ })).toContainText('T')
  const marked = page.locator('[data-standing][aria-pressed=true]')
  await shelf.press('Space')
  await expect(marked).toHaveCount(0)
  await shelf.press('t')
  await expect(marked).toHaveCount(1)
  const small = async () =>
    Object.values((await shelf.state()).windows).filter(({ minimised }) => minimised).length
  const before = await small()
  await shelf.press('v')
  expect(await small()).toBe(before + 1)
  await shelf.press('Alt+J')
  await shelf.press('Escape', '1')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeHidden()
  await shelf.reload()
  await shelf.press('Alt+/', 't')
  await expect(marked).toHaveCount(1)
})

test('rebinding everything shows everywhere at once: no old key is told', async ({
  shelf,
  page,
}) => {
  await shelf.furnish(SIX)
  const old = FIXED.filter(({ keys }) => keys.startsWith('Alt+'))
  await page.evaluate(
    ([all]) => {
      for (const [at, { keys, command, args }] of all.entries()) {
        window.kiteShelf?.run('keys.unbind', { keys })
        window.kiteShelf?.run('keys.unbind', { keys: keys.replace('Alt+Shift+; ', 'Alt+J ') })
        const own = `Ctrl+F${(at % 10) + 2} ${'ABCDEFGHIKLMN'[Math.floor(at / 10)]}`
        window.kiteShelf?.run('keys.bind', { keys: own, command, args: args ?? {} })
      }
    },
    [old] as const,
  )
  const tags = () =>
    page
      .locator('kbd')
      .evaluateAll((all) =>
        all.map((kbd) => [...kbd.children].map((tag) => tag.textContent).join('+')),
      )
  const gone = new Set(old.map(({ keys }) => keys.replaceAll(' ', '+')))
  const told = async () => (await tags()).filter((keys) => gone.has(keys))
  expect(await told()).toEqual([])
  expect((await tags()).length).toBeGreaterThan(2)
  // The menu of a window, the loft with its bench, what may follow, and a refusal.
  await page
    .getByRole('button', { name: /^Menu of Station/ })
    .first()
    .click()
  await expect(page.getByRole('menu')).toContainText('F')
  expect(await told()).toEqual([])
  await shelf.press('Escape')
  await shelf.run('loft.open')
  expect(await told()).toEqual([])
  await shelf.press('Escape')
  await shelf.run('shelf.keys')
  await page.getByRole('button', { name: 'all keys' }).click()
  const card = (await page.getByRole('dialog', { name: 'Keys' }).locator('kbd').count()) > 50
  expect(card).toBe(true)
  expect(await told()).toEqual([])
  await shelf.press('Escape', 'Control+F3')
  await expect(page.getByRole('status').filter({ hasText: 'a key follows' })).toBeVisible()
  expect(await told()).toEqual([])
})

test('one hand: Alt tapped twice, then plain keys are commands until Escape; Shift is tapped', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(SIX)
  await shelf.run('settings.set', { keys: 'layer' })
  await shelf.press('b')
  expect(await shelf.here()).toBe(id('Field'))
  await shelf.quickly('Alt', 'Alt')
  await expect(page.getByText('Keys are commands', { exact: true })).toBeVisible()
  await shelf.press('b')
  // What was typed before the table was there is pressed first.
  await expect.poll(() => shelf.here()).toBe(id('Bulletin'))
  await shelf.press(']', 'r')
  await expect(shelf.said()).toContainText('to Rota')
  await shelf.press('Shift', 'm')
  await expect.poll(() => shelf.here()).toBe(id('Model'))
  await expect(shelf.said()).toContainText('Carried')
  // In the loft and in what asks, plain keys are what they are there.
  await shelf.press('/', 'Escape')
  await expect(page.getByText('Keys are commands', { exact: true })).toBeVisible()
  await shelf.press('j', 'r')
  await page.keyboard.type('Runs')
  await shelf.press('Enter')
  expect((await shelf.state()).desktops[id('Model')]?.name).toBe('Runs')
  await shelf.press('Escape')
  await expect(page.getByText('Keys are commands', { exact: true })).toBeHidden()
  await shelf.press('f')
  expect(await shelf.here()).toBe(id('Model'))
})

test('what was done becomes a sequence with keys, run in one step', async ({ shelf, page }) => {
  const id = await shelf.furnish(SIX)
  await shelf.press('Alt+0', 'Alt+R')
  await shelf.run('sequences.open')
  const panel = page.getByRole('dialog', { name: 'Sequences' })
  await panel.getByRole('checkbox', { name: /^Swept/ }).check()
  await panel.getByRole('checkbox', { name: 'Went to Rota' }).check()
  await panel.getByRole('textbox', { name: 'Name of the sequence' }).fill('Evening')
  expect(await shelf.violations()).toEqual([])
  await shelf.press('Enter')
  await expect(panel.getByRole('button', { name: 'Run Evening' })).toBeVisible()
  await panel.getByRole('button', { name: 'give it keys' }).click()
  const keys = page.getByRole('dialog', { name: 'Bind keys' })
  await keys.getByRole('button', { name: 'Keys for Run Evening' }).click()
  await shelf.press('Alt+F9', 'Enter', 'Escape')
  await shelf.reload()
  await shelf.press('Alt+M', 'Alt+F9')
  expect(await shelf.here()).toBe(id('Rota'))
  await expect(shelf.said()).toContainText('Ran Evening')
  const small = async () =>
    Object.values((await shelf.state()).windows).filter(
      ({ minimised, desktop }) => minimised && desktop === id('Model'),
    ).length
  expect(await small()).toBeGreaterThan(1)
  await shelf.press('Alt+Z')
  expect(await small()).toBe(0)
  // It is found in the line as well.
  await shelf.press('Alt+;')
  await page.keyboard.type('run evening')
  await shelf.press('Enter')
  await expect(shelf.said()).toContainText('Ran Evening')
})

test('practice: twenty goes by key, the slow ones told, the result kept', async ({
  shelf,
  page,
}) => {
  await shelf.furnish(SIX)
  await shelf.run('keys.practise')
  const practice = page.getByRole('dialog', { name: 'Practice' })
  const { desktops } = await shelf.state()
  const letters = new Map(Object.values(desktops).map(({ name, letter }) => [name, letter]))
  for (let at = 0; at < 20; at++) {
    await expect(practice).toContainText(`${at + 1} of 20`)
    const name = (await practice.locator('b').textContent()) ?? ''
    // A push goes there too, and does not count.
    if (at === 3) {
      await shelf.row(name).getByRole('button').first().click()
      await expect(practice).toContainText('4 of 20')
      await shelf.press('Alt+\\')
    }
    if (at === 5) expect(await shelf.violations()).toEqual([])
    await shelf.press(`Alt+${letters.get(name)}`)
  }
  await expect(practice.getByRole('heading')).toContainText('a go')
  await expect(practice).toContainText('The first round')
  await shelf.press('Escape')
  await expect(practice).toBeHidden()
  expect(await page.evaluate(() => JSON.parse(localStorage['kite-shelf-practice']))).toHaveLength(1)
})

test('a button of the mouse with a modifier does what it is bound to, about what is under it', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(SIX)
  await shelf.run('keys.bind', { keys: 'Alt+MouseMiddle', command: 'window.minimise' })
  const under = shelf.window(id('Stations'))
  await page.keyboard.down('Alt')
  await under.click({ button: 'middle', position: { x: 60, y: 14 } })
  await page.keyboard.up('Alt')
  expect((await shelf.state()).windows[id('Stations')]?.minimised).toBe(true)
})

test('who knew the chords as they were is told once what does the same now', {
  tag: '@apart',
}, async ({ shelf, page }) => {
  await page.goto('/icon.svg')
  await page.evaluate(() => localStorage.setItem('kite-shelf-own', '{"kept":true}'))
  await shelf.open('shelf')
  await shelf.desktops('Model')
  await shelf.press('Alt+=')
  await expect(shelf.said()).toContainText('Alt+N is now the key to make a desktop')
  await shelf.press('Escape', 'Alt+.', 'Alt+=')
  await expect(shelf.said()).not.toContainText('Alt+N is now')
  await shelf.press('Escape', 'Alt+-')
  await expect(shelf.said()).toContainText("Alt+' is now the key to minimise a window")
})

test('a desktop that has N keeps it: a new one is said otherwise then, and told so', async ({
  shelf,
}) => {
  await shelf.furnish({ Field: {}, North: {} })
  const { desktops } = await shelf.state()
  const north = Object.values(desktops).find(({ name }) => name === 'North')
  await shelf.run('desktop.letter', { desktop: north?.id, letter: 'N' })
  await shelf.press('Alt+N')
  expect(await shelf.here()).toBe(north?.id)
  await shelf.press('Alt+Insert', 'Enter')
  expect(await shelf.rowNames()).toHaveLength(3)
})

test('what may follow is told in groups, what cannot be done left out, in a third of the screen', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const hints = page.locator('.hints')
  for (const [width, height] of [
    [1280, 800],
    [1024, 640],
    [1920, 1080],
  ] as const) {
    await page.setViewportSize({ width, height })
    await shelf.press('Alt+J')
    await expect(hints).toContainText('Rename this desktop')
    await expect(hints.locator('b')).toHaveText([
      ...['This window', 'This desktop', 'Arrange', 'Look at', 'Shelf'],
    ])
    // There is only one row of desktops, and nothing is arranged.
    await expect(hints).not.toContainText('Undo arranging')
    await expect(hints).not.toContainText('Swap')
    const box = await hints.boundingBox()
    expect(box?.height).toBeLessThanOrEqual(Math.max(height / 3, 240))
    const cut = await hints.evaluate(
      (all) =>
        [...all.children].filter(
          (one) => one.getBoundingClientRect().right > all.getBoundingClientRect().right + 1,
        ).length,
    )
    expect(cut).toBe(0)
    await shelf.press('Escape')
  }
  // A word finds it as well.
  await shelf.press('Alt+J', ';')
  await page.keyboard.type('rename')
  await expect(page.getByRole('dialog', { name: 'Line' }).getByRole('option').first()).toHaveText(
    /^Rename document/,
  )
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('textbox', { name: 'Name of the desktop' })).toBeFocused()
})

test('what is done again and again needs the first stroke once; after a second its key types', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({ Field: { Notes: 'document' }, Model: {}, Rota: {} })
  await shelf.press('Alt+J')
  await shelf.quickly('.', '.')
  expect(await shelf.rowNames()).toEqual(['Model', 'Rota', 'Field'])
  await shelf.press(',')
  expect(await shelf.rowNames()).toEqual(['Model', 'Field', 'Rota'])
  const text = shelf.window(id('Notes')).locator('[contenteditable=true]')
  await page.waitForTimeout(1100)
  await page.keyboard.type('a, b.')
  await expect(text).toHaveText('a, b.')
  expect(await shelf.rowNames()).toEqual(['Model', 'Field', 'Rota'])
  // Anything else ends it at once.
  await shelf.press('Alt+J', 'ArrowLeft')
  await page.keyboard.type('c')
  await shelf.press('ArrowLeft')
  await page.keyboard.type('d')
  await expect(text).toHaveText('a, b.dc')
})

test('the key card begins with what matters, has all, and finds by typing', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+Shift+/')
  const card = page.getByRole('dialog', { name: 'Keys' })
  const rows = card.locator('.key-groups dd')
  // And those of the app that has the keys.
  const own = card.locator('.key-groups section').filter({ hasText: 'Table' }).locator('dd')
  await expect(own.getByText('fill down')).toBeVisible()
  const first = (await rows.count()) - (await own.count())
  expect(first).toBeGreaterThanOrEqual(20)
  expect(first).toBeLessThanOrEqual(25)
  expect(await shelf.violations()).toEqual([])
  await page.keyboard.type('pad')
  await expect(rows.first()).toContainText(/pad/i)
  await page.keyboard.press('Control+A')
  await page.keyboard.press('Delete')
  await card.getByRole('button', { name: 'all keys' }).click()
  expect(await rows.count()).toBeGreaterThan(100)
  // By itself what follows a first stroke would look like a chord.
  const after = card.locator('.key-groups section').filter({ hasText: 'After Alt+J' })
  for (const keys of await after.locator('dt').allTextContents()) expect(keys).toMatch(/^J./)
})

test('chords mean in unstack and the trail what they mean on a desktop, there of what is chosen', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({
    Field: { Notes: 'document', Pit: 'job', Slides: 'countdown' },
    Model: { Output: 'table' },
    Rota: {},
  })
  const windows = async () => (await shelf.state()).windows
  const unstack = page.getByRole('dialog', { name: 'Unstack' })
  await shelf.press('Alt+=')
  await expect(unstack).toBeFocused()
  const chosen = await page.evaluate(() => document.querySelector('[data-focused]')?.id)
  await shelf.press('ArrowLeft', 'Alt+]', 'R')
  const sent = Object.values(await windows()).filter(({ desktop }) => desktop === id('Rota'))
  expect(sent).toHaveLength(1)
  expect(`window-${sent[0]?.id}`).not.toBe(chosen)
  await expect(unstack).toBeVisible()
  await shelf.press('Alt+M')
  await expect(unstack).toHaveCount(0)
  expect(await shelf.here()).toBe(id('Model'))
  // In the trail Alt is held; its own keys are its own.
  const trail = page.getByRole('dialog', { name: 'Trail' })
  await page.keyboard.down('Alt')
  await page.keyboard.press('`')
  await expect(trail).toBeVisible()
  await page.keyboard.press('ArrowDown')
  const picked = await trail.getByRole('option', { selected: true }).getAttribute('id')
  await page.keyboard.press('Backspace')
  await expect
    .poll(async () => Object.keys(await windows()))
    .not.toContain(picked?.slice('trail-'.length))
  await expect(trail).toBeVisible()
  await page.keyboard.press('r')
  await expect(trail).toHaveCount(0)
  await page.keyboard.up('Alt')
  expect(await shelf.here()).toBe(id('Rota'))
})
