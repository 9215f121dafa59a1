import type { APIRequestContext } from '@playwright/test'
import { expect, test } from './shelf'

const setRunning = (request: APIRequestContext, key: string, running: boolean) =>
  request.put('/api/outside', { data: { key, running } })

test('a job runs to its end while its desktop is hidden, over an outage that is told', async ({
  shelf,
  page,
  request,
}) => {
  shelf.expected = /503|ERR_INCOMPLETE_CHUNKED_ENCODING/
  await page.goto('/shelf?speed=20')
  await expect(page.locator('#desktop')).toBeVisible()
  await shelf.press('Alt+6')
  const jobs = page.locator('[data-app="job"]')
  await jobs.getByLabel('Name of a new job').fill('Night run')
  await shelf.press('Enter')
  const bar = jobs.getByRole('progressbar', { name: 'Night run' })
  await expect(bar).not.toHaveAttribute('aria-valuenow', '0')
  const key = (await jobs.locator('[data-job]').getAttribute('data-job')) ?? ''
  await setRunning(request, key, false)
  await expect(jobs.getByRole('alert')).toContainText('Connection lost. Retrying')
  await shelf.press('Alt+N', 'Enter')
  await expect(jobs).toBeHidden()
  await setRunning(request, key, true)
  // Elsewhere its end asks for attention: the bow is ringed.
  await expect(page.getByRole('button', { name: 'Jobs, wants attention' })).toBeAttached({
    timeout: 15_000,
  })
  await shelf.press('Alt+\\')
  await expect(jobs.getByText('done 100 %')).toBeVisible()
  await expect(jobs.getByRole('alert')).toBeHidden()
  await expect(jobs.getByRole('log').locator('p')).toHaveCount(12)
  await expect(page.getByRole('button', { name: 'Jobs', exact: true })).toBeAttached()
})

test('jobs queue one behind the other, are paused, go on, and one fails with its reason', async ({
  shelf,
  page,
}) => {
  await page.goto('/demo?displays=one&speed=36')
  await expect(page.locator('#desktop')).toBeVisible()
  await shelf.press('Alt+M')
  const jobs = shelf.window('run')
  await jobs.getByRole('button', { name: 'Pause Snowpack run, 24 h' }).click()
  await expect(jobs.getByText(/^paused/)).toBeVisible()
  const at = await jobs.getByRole('progressbar').first().getAttribute('aria-valuenow')
  await page.waitForTimeout(600)
  await expect(jobs.getByRole('progressbar').first()).toHaveAttribute('aria-valuenow', at ?? '')
  await jobs.getByRole('button', { name: 'Go on with Snowpack run, 24 h' }).click()
  await expect(jobs.getByText('done 100 %')).toBeVisible({ timeout: 15_000 })
  await expect(jobs.getByText(/^failed 42 %/)).toBeVisible({ timeout: 10_000 })
  await jobs.getByRole('button', { name: 'Wind field, Low Saddle', exact: true }).click()
  await expect(jobs.getByRole('log')).toContainText('HR-07 has no readings')
})

test('messages come in, a mention rings the bow, a reply waits out a lost connection', async ({
  shelf,
  page,
  request,
}) => {
  shelf.expected = /503|ERR_INCOMPLETE_CHUNKED_ENCODING/
  await page.goto('/shelf?speed=60')
  await expect(page.locator('#desktop')).toBeVisible()
  await shelf.press('Alt+5')
  const window = page.locator('[data-app="messages"]')
  await expect(window.getByRole('log')).toContainText('Forecaster: a party of four')
  const id = Object.keys((await shelf.state()).documents)[0] ?? ''
  await setRunning(request, id, false)
  await expect(window.getByRole('alert')).toContainText('Connection lost. Retrying')
  await window.getByLabel(/^Reply to/).fill('Tell them to wait.')
  await shelf.press('Enter')
  await expect(window.getByText('Tell them to wait.Waiting')).toBeVisible()
  await setRunning(request, id, true)
  await expect(window.getByRole('alert')).toBeHidden({ timeout: 12_000 })
  await expect(window.getByText('Tell them to wait.Waiting')).toBeHidden()
  await shelf.press('Alt+N', 'Enter')
  await expect(page.getByRole('button', { name: 'Messages, wants attention' })).toBeAttached({
    timeout: 12_000,
  })
  expect(await shelf.violations()).toEqual([])
})

test('a push on a thread leaves the keys with its reply', async ({ shelf, page }) => {
  await shelf.open()
  await shelf.run('window.focus', { window: 'line' })
  const threads = shelf.window('line').getByRole('navigation', { name: 'Threads' })
  for (const thread of (await threads.getByRole('button').all()).reverse()) {
    await thread.click()
    await page.keyboard.type('Ok')
    await expect(shelf.window('line').getByRole('textbox', { name: /^Reply/ })).toHaveValue('Ok')
  }
})

test('the demo’s mention is read when its window is seen', async ({ shelf, page }) => {
  await shelf.open()
  await expect(page.getByRole('button', { name: 'Public line, wants attention' })).toBeAttached()
  await shelf.run('window.focus', { window: 'line' })
  await expect(shelf.window('line').getByRole('log')).toContainText('Do I hold the two parties')
  await expect(page.getByRole('button', { name: 'Public line', exact: true })).toBeAttached()
})

test('the player plays on while it is elsewhere, and skips', async ({ shelf, page }) => {
  await shelf.open()
  await shelf.press('Alt+7')
  const player = shelf.window('radio')
  await player.getByRole('button', { name: 'Play', exact: true }).click()
  await expect(player.getByText(/^0:0[2-9] \/ 1:07/)).toBeVisible()
  await player.getByRole('button', { name: 'Next tune' }).click()
  await expect(player.getByRole('status')).toHaveText('Low Saddle, evening')
  await shelf.press('Alt+B')
  await page.waitForTimeout(1500)
  await shelf.press('Alt+7')
  await expect(player.getByText(/^0:0[2-5] \//)).toBeVisible()
  await player.getByRole('button', { name: 'Pause' }).click()
  await shelf.reload()
  await expect(player.getByText(/^0:0[2-9] \/ 1:10/)).toBeVisible()
  expect(await shelf.violations()).toEqual([])
})

test('a web page is shown in a sandboxed frame; addresses that cannot be are told', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+8')
  const web = shelf.window('camera')
  const frame = web.locator('iframe')
  await expect(frame.contentFrame().getByRole('heading')).toContainText('Ridge camera')
  await expect(frame).toHaveAttribute('sandbox', 'allow-scripts allow-forms')
  const address = web.getByLabel('Address')
  await address.fill('javascript:alert(1)')
  await shelf.press('Enter')
  await expect(web.getByRole('alert')).toContainText('Only http and https pages')
  await address.fill('/pages/notice')
  await shelf.press('Enter')
  await expect(frame.contentFrame().getByRole('heading')).toContainText('Snow Office')
  await web.getByRole('button', { name: 'Back' }).click()
  await expect(frame.contentFrame().getByRole('heading')).toContainText('Ridge camera')
  await page.route('**/api/frame?*', (route) => route.fulfill({ json: { framed: false } }))
  await address.fill('refuses.example')
  await shelf.press('Enter')
  await expect(web.getByRole('status')).toContainText('doesn’t allow embedding')
  await expect(web.getByRole('button', { name: /Open in its own window/ })).toBeVisible()
  await expect(web.getByRole('button', { name: 'Show it here' })).toHaveCount(0)
})

test('the keys go to a page that is clicked in; its hem says so and takes them back', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.run('settings.set', { leavePage: false })
  await shelf.press('Alt+8')
  const web = shelf.window('camera')
  const body = {
    // As a person does: the pointer comes over the page before it pushes.
    click: async () => {
      const box = await web.locator('iframe').boundingBox()
      if (!box) throw new Error('no page')
      await page.mouse.move(box.x + 30, box.y + 60)
      await page.mouse.move(box.x + 60, box.y + 90)
      await shelf.drawn()
      await page.mouse.click(box.x + 60, box.y + 90)
    },
  }
  const back = web.getByRole('button', { name: 'keys go to the page' })
  await expect(back).toBeHidden()
  await body.click()
  await expect(back).toBeVisible()
  await expect(page.locator('[aria-live=polite]')).toContainText('The keys go to the page')
  // Who only reads keeps them.
  await page.waitForTimeout(6500)
  await expect(back).toBeVisible()
  await back.click()
  await expect(back).toBeHidden()
  await expect(web.getByLabel('Address')).toBeFocused()
  // Another window has the focus: a push into the page brings its window to the front.
  await shelf.run('window.move', { window: 'camera', x: 700, y: 400 })
  await shelf.run('window.focus', { window: 'stations' })
  // Also where just then something is drawn, after which it is seen to that the keys are right.
  await page.evaluate(() => {
    const draw = () => document.getElementById('desktop')?.append('')
    addEventListener('blur', draw, { capture: true, once: true })
  })
  await body.click()
  await expect.poll(async () => (await shelf.state()).focus).toBe('camera')
  await web.locator('.hem b').click()
  await expect(back).toBeHidden()
  // A page of ours passes chords on, and Alt tapped twice gives the keys back.
  await body.click()
  await expect(back).toBeVisible()
  await shelf.quickly('Alt', 'Alt')
  await expect(web.getByLabel('Address')).toBeFocused()
  await body.click()
  await expect(back).toBeVisible()
  // What a page passes on takes a moment to arrive: a person sees what may follow.
  await shelf.press('Alt+]')
  await expect(page.getByText('Send to', { exact: true })).toBeVisible()
  await shelf.press('R')
  await expect.poll(async () => (await shelf.state()).windows.camera?.desktop).toBe('rota')
  await shelf.press('Alt+Z')
  await shelf.run('window.focus', { window: 'camera' })
  // So it does with what two fingers say on a touch pad.
  const fingers = (by: object) =>
    web
      .locator('iframe')
      .contentFrame()
      .locator('body')
      .evaluate((page, given) => {
        for (const _ of [1, 2, 3])
          page.dispatchEvent(new WheelEvent('wheel', { ...given, bubbles: true, cancelable: true }))
      }, by)
  await fingers({ ctrlKey: true, deltaY: 10 })
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeVisible()
  await shelf.press('Escape')
  await fingers({ altKey: true, deltaX: 40 })
  await expect.poll(() => shelf.here()).toBe('model')
  await shelf.run('desktop.go', { to: 'field' })
  await body.click()
  await expect(back).toBeVisible()
  await shelf.press('Alt+B')
  await expect.poll(() => shelf.here()).toBe('bulletin')
  await shelf.press('Control+End')
  await page.keyboard.type('typed here')
  await expect(shelf.window('bulletin')).toContainText('typed here')
})

test('the drawer lists what is kept, shows, opens, renames, deletes and takes back', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.run('window.close', { window: 'handover' })
  await shelf.press('Alt+9')
  const drawer = page.locator('[data-app="drawer"]')
  const files = drawer.getByRole('list', { name: 'Files' })
  await drawer.getByLabel('Filter the drawer').fill('hand')
  await expect(drawer.getByRole('region')).toContainText('To the evening forecaster')
  await drawer.getByRole('button', { name: 'Rename' }).click()
  await page.getByRole('dialog').getByLabel('Title').fill('Handover, late')
  await shelf.press('Enter')
  await expect(files.getByRole('listitem').first()).toContainText('Handover, late')
  await drawer.getByRole('button', { name: 'Delete' }).click()
  await expect(shelf.said()).toContainText('Deleted “Handover, late”')
  await shelf.reload()
  await drawer.getByLabel('Filter the drawer').fill('hand')
  await drawer.getByRole('button', { name: 'Take back' }).click()
  await drawer.getByLabel('Filter the drawer').press('Enter')
  await expect(page.getByRole('region', { name: 'Handover, late', exact: true })).toContainText(
    'evening',
  )
  await drawer.getByLabel('Filter the drawer').fill('Duty')
  await drawer.getByRole('button', { name: 'Delete' }).click()
  await expect(shelf.said()).toContainText('is open. Close its windows first')
  expect(await shelf.violations()).toEqual([])
  // Words in any order; and what is walked to comes into sight.
  await drawer.getByLabel('Filter the drawer').fill('readings station')
  await expect(files.getByRole('listitem')).toHaveCount(2)
  await drawer.getByLabel('Filter the drawer').fill('')
  const last = files.getByRole('listitem').last()
  await expect(last).not.toBeInViewport()
  const count = await files.getByRole('listitem').count()
  await shelf.press(...Array(count).fill('ArrowDown'))
  await expect(last.locator('[aria-current]')).toBeVisible()
  await expect(last).toBeInViewport()
})

test('many windows share one connection; what is lost for one is not lost for the others', async ({
  shelf,
  page,
  request,
}) => {
  const streams: string[] = []
  const listens: string[] = []
  page.on('request', (asked) => {
    if (!asked.url().includes('/api/events')) return
    if (asked.method() === 'GET') streams.push(asked.url())
    else listens.push(...(asked.postDataJSON() as { listen: string[] }).listen)
  })
  await page.goto('/shelf?speed=60')
  await expect(page.locator('#desktop')).toBeVisible()
  for (let n = 0; n < 9; n++) await shelf.press('Alt+Shift+5')
  const windows = page.locator('[data-app="messages"]')
  await expect(windows).toHaveCount(9)
  // Those behind others are not laid out, and have no roles.
  for (const window of await windows.all())
    await expect(window.locator('[role=log]')).toContainText('Forecaster', { timeout: 15_000 })
  // One stream for all nine, each asked for once, and everything else is still answered.
  expect(streams).toHaveLength(1)
  expect(new Set(listens).size).toBe(9)
  const answer = await page.evaluate(async () => (await fetch('/pages/notice')).status)
  expect(answer).toBe(200)
  const key = new URLSearchParams(listens[4]).get('key') ?? ''
  await setRunning(request, key, false)
  await expect(windows.locator('[role=alert]')).toHaveCount(1)
  await page.waitForTimeout(600)
  await expect(windows.locator('[role=alert]')).toHaveCount(1)
  await setRunning(request, key, true)
  await expect(windows.locator('[role=alert]')).toHaveCount(0, { timeout: 15_000 })
})
