import { readFile } from 'node:fs/promises'
import { BACKDROPS } from '../src/core/model/kinds/look'
import { expect, test } from './shelf'

test.beforeEach(({ shelf }) => shelf.open())

/** A picture of one colour, larger than a desktop needs. */
const picture = (page: import('@playwright/test').Page) =>
  page.evaluate(async () => {
    const canvas = new OffscreenCanvas(3000, 1500)
    const drawing = canvas.getContext('2d')
    if (drawing) {
      drawing.fillStyle = '#336699'
      drawing.fillRect(0, 0, 3000, 1500)
    }
    const blob = await canvas.convertToBlob({ type: 'image/png' })
    return [...new Uint8Array(await blob.arrayBuffer())]
  })

test('a look is chosen by keyboard beside the desktop, each choice one step, and holds after a reload', async ({
  shelf,
  page,
}) => {
  await shelf.press('Alt+Shift+;', 'V')
  const panel = page.getByRole('dialog', { name: 'Look of Field' })
  await expect(panel.getByRole('radio', { name: 'teal' })).toBeFocused()
  await shelf.press('ArrowRight')
  await expect.poll(async () => (await shelf.state()).desktops.field?.hue).toBe('cobalt')
  await shelf.press('Alt+Z')
  await expect.poll(async () => (await shelf.state()).desktops.field?.hue).toBe('teal')
  await panel.getByRole('searchbox', { name: 'Find an emblem' }).fill('sea')
  await panel.getByRole('radio', { name: 'anchor' }).check({ force: true })
  await panel.getByRole('radio', { name: 'top left' }).check({ force: true })
  await panel.getByRole('radio', { name: 'ink' }).check({ force: true })
  // The panel makes way for the sign.
  const sign = page.locator('.backdrop-here .sign')
  await expect(sign).toHaveCSS('opacity', '0.9')
  expect((await panel.boundingBox())?.x).toBeGreaterThan(600)
  expect((await sign.boundingBox())?.x).toBeLessThan(300)
  const size = panel.getByRole('slider', { name: 'Size' })
  await size.focus()
  await shelf.press('ArrowRight', 'ArrowRight')
  await expect.poll(async () => (await shelf.state()).desktops.field?.signed?.size).toBe(66)
  expect(await shelf.violations()).toEqual([])
  await shelf.press('Escape')
  await shelf.reload()
  expect((await shelf.state()).desktops.field).toMatchObject({
    emblem: 'anchor',
    signed: { place: 'top left', colour: 'ink', size: 66 },
  })
  await expect(shelf.row('Field').locator('.lucide-anchor')).toBeVisible()
})

test('a picture of one’s own lies behind the windows, made no larger than needed, and goes with the shelf file', async ({
  shelf,
  page,
}) => {
  await shelf.run('desktop.askLook')
  const panel = page.getByRole('dialog', { name: 'Look of Field' })
  const choose = async (name: string, buffer: Buffer) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      panel.getByRole('button', { name: /picture/ }).click(),
    ])
    await chooser.setFiles({ name, mimeType: 'image/png', buffer })
  }
  await choose('No picture.png', Buffer.from('nothing'))
  await expect(panel.getByRole('alert')).toContainText('is not a picture')
  expect((await shelf.state()).desktops.field?.backdrop).toBe('ripstop')
  await choose('Ridge.png', Buffer.from(await picture(page)))
  await expect.poll(async () => (await shelf.state()).desktops.field?.backdrop).toBe('picture')
  const drawn = page.locator('.backdrop-here > [aria-hidden]').first()
  await expect(drawn).toHaveCSS('background-size', 'cover')
  const width = await drawn.evaluate(async (element) => {
    const image = new Image()
    image.src = getComputedStyle(element).backgroundImage.slice(5, -2)
    await image.decode()
    return image.width
  })
  expect(width).toBe(2560)
  await panel.getByRole('radio', { name: 'whole' }).check({ force: true })
  await expect(drawn).toHaveCSS('background-size', 'contain')
  await shelf.press('Escape')
  await shelf.reload()
  await expect(drawn).toHaveCSS('background-size', 'contain')
  const [file] = await Promise.all([page.waitForEvent('download'), shelf.run('shelf.export')])
  expect(await readFile(await file.path(), 'utf8')).toContain('data:image/webp')
  // The pattern is one choice away, and so is the picture after it.
  await shelf.run('desktop.look', { backdrop: 'dots' })
  await shelf.run('desktop.look', { backdrop: 'picture' })
  await expect(drawn).toBeVisible()
})

/** The mean colour of a part of a picture: red, green and blue. */
const mean = (page: import('@playwright/test').Page, png: Buffer, left: number, top: number) =>
  page.evaluate(
    async ([base64, x, y]) => {
      const image = new Image()
      image.src = `data:image/png;base64,${base64}`
      await image.decode()
      const drawing = new OffscreenCanvas(image.width, image.height).getContext('2d')
      drawing?.drawImage(image, 0, 0)
      const { data = [] } = drawing?.getImageData(x, y, 300, 200) ?? {}
      return [0, 1, 2].map((of) => {
        let sum = 0
        for (let at = of; at < data.length; at += 4) sum += data[at] ?? 0
        return sum / (data.length / 4)
      })
    },
    [png.toString('base64'), left, top] as const,
  )

test('every backdrop is painted, each another way, and the same in a picture', async ({
  shelf,
  page,
}) => {
  await shelf.run('desktop.create', { name: 'Bare' })
  const clip = { x: 700, y: 100, width: 300, height: 200 }
  const painted = new Set<string>()
  for (const backdrop of BACKDROPS) {
    await shelf.run('desktop.look', { backdrop })
    painted.add((await page.screenshot({ clip })).toString('base64'))
  }
  expect(painted.size).toBe(BACKDROPS.length)
  const area = await page.locator('#desktop').boundingBox()
  for (const backdrop of ['ripstop', 'contour']) {
    await shelf.run('desktop.look', { backdrop })
    const seen = await mean(page, await page.screenshot({ clip }), 0, 0)
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      shelf.run('picture.desktop.png'),
    ])
    const picture = await readFile(await file.path())
    const drawn = await mean(page, picture, clip.x - (area?.x ?? 0), clip.y)
    for (const [of, value] of seen.entries()) expect(drawn[of]).toBeCloseTo(value, 0)
  }
})

test('the sign of one goes to the five others by keyboard in one step, and back in one', async ({
  shelf,
  page,
}) => {
  await shelf.run('desktop.look', { signed: { place: 'top', size: 40 } })
  const before = (await shelf.state()).desktops
  await shelf.press('Alt+;')
  await page.keyboard.type('copy look')
  await shelf.press('Enter')
  await expect(page.getByRole('dialog', { name: 'Copy look of Field' })).toBeVisible()
  expect(await shelf.violations()).toEqual([])
  await shelf.press('Enter')
  const { desktops } = await shelf.state()
  for (const { signed } of Object.values(desktops))
    expect(signed).toEqual({ place: 'top', size: 40 })
  await shelf.press('Alt+Z')
  expect((await shelf.state()).desktops).toEqual(before)
})

test('the browser tab has the desktop’s mark, with a badge while something waits; the line shows what is chosen', async ({
  shelf,
  page,
}) => {
  const mark = () =>
    page.evaluate(() =>
      decodeURIComponent(document.querySelector<HTMLLinkElement>('link[rel="icon"]')?.href ?? ''),
    )
  await expect.poll(mark).toContain('>F</text>')
  await shelf.press('Alt+B')
  await expect.poll(mark).toContain('>B</text>')
  // A message waits on Public line in the demo; Bulletin is quiet.
  await expect.poll(async () => (await shelf.state()).attention.line).toBeDefined()
  expect(await mark()).not.toContain('<rect')
  await shelf.press('Alt+J', 'Space')
  await expect.poll(mark).toContain('<rect')
  const line = page.getByRole('region', { name: 'Line' })
  await expect(line.locator('.lucide-newspaper')).toBeVisible()
  await expect(line.getByText('Bulletin', { exact: true })).toBeVisible()
  await shelf.run('settings.set', { marker: 'emblem' })
  await expect(line.getByText('Bulletin', { exact: true })).toBeHidden()
  await shelf.run('settings.set', { marker: 'name' })
  await expect(line.locator('.lucide-newspaper')).toBeHidden()
})

test('a desktop slides in when that is set; the next key is taken at once, and reduced motion stays still', async ({
  shelf,
  page,
}) => {
  const moving = () => page.evaluate(() => document.getAnimations().length)
  await shelf.run('settings.set', { transition: 'slide', transitionTime: 1500 })
  await shelf.press('Alt+M')
  expect(await moving()).toBe(0)
  await page.emulateMedia({ reducedMotion: 'no-preference' })
  await shelf.press('Alt+R')
  await expect(shelf.window('rota')).toBeVisible()
  expect(await moving()).toBeGreaterThan(1)
  // Over it the next is gone to, and what was on its way is not any more.
  await shelf.press('Alt+F')
  expect(await shelf.here()).toBe('field')
  const late = await page.evaluate(
    () =>
      document
        .getAnimations()
        .filter(({ effect }) => (effect as KeyframeEffect).target?.closest('[data-window="rota"]'))
        .length,
  )
  expect(late).toBe(0)
  await shelf.run('settings.set', { transition: 'none' })
})
