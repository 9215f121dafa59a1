import { readFileSync } from 'node:fs'
import { expect, type ShelfPage, test } from './shelf'

const CALENDAR = `BEGIN:VCALENDAR
VERSION:2.0
PRODID:-//Harrow Range//Rota//EN
BEGIN:VEVENT
UID:briefing
SUMMARY:Model briefing
DTSTART:20261124T083000
DTEND:20261124T091500
RRULE:FREQ=DAILY;COUNT=3
END:VEVENT
BEGIN:VEVENT
UID:round
SUMMARY:Road crew
DTSTART:20261124T100000
DURATION:PT1H
END:VEVENT
BEGIN:VEVENT
UID:course
SUMMARY:Avalanche course
DTSTART;VALUE=DATE:20261125
END:VEVENT
END:VCALENDAR
`.replaceAll('\n', '\r\n')

async function open(shelf: ShelfPage): Promise<void> {
  await shelf.page.clock.install({ time: new Date('2026-11-24T08:00') })
  await shelf.open('shelf')
  await shelf.desktops('Model', 'Rota')
}

async function bring(shelf: ShelfPage, name: string, text: string): Promise<void> {
  const chooser = shelf.page.waitForEvent('filechooser')
  await shelf.run('plan.import')
  await (await chooser).setFiles({ name, mimeType: 'text/calendar', buffer: Buffer.from(text) })
}

test('a calendar is brought in: its events go to the desktops they are called by, or are chosen for; out again it is the same', {
  tag: '@apart',
}, async ({ shelf, page }) => {
  await open(shelf)
  await bring(shelf, 'rota.ics', CALENDAR)
  const dialog = page.getByRole('dialog', { name: 'Plan from “rota.ics”' })
  await expect(dialog.getByRole('listitem')).toHaveCount(2)
  await expect(dialog).toContainText('1 event lasts all day')
  await expect(dialog.getByRole('listitem').first()).toContainText('08:30–09:15 and 2 more')
  const briefing = dialog.getByRole('combobox', { name: 'Desktop for Model briefing' })
  await expect(briefing.locator('option:checked')).toHaveText('Model')
  await dialog.getByRole('combobox', { name: 'Desktop for Road crew' }).selectOption('Rota')
  expect(await shelf.violations()).toEqual([])
  await dialog.getByRole('button', { name: /^Plan 4 blocks/ }).click()
  const panel = page.getByRole('dialog', { name: 'Plan of the day' })
  await expect(panel.getByRole('listitem').filter({ hasText: 'Road crew' })).toBeVisible()
  const before = (await shelf.state()).plan
  expect(before).toHaveLength(4)
  const download = page.waitForEvent('download')
  await panel.getByRole('button', { name: 'Export' }).click()
  const file = readFileSync(await (await download).path(), 'utf8')
  await page.keyboard.press('Escape')
  await bring(shelf, 'plan.ics', file)
  await page.getByRole('button', { name: /^Plan 4 blocks/ }).click()
  expect((await shelf.state()).plan).toEqual(before)
  await page.keyboard.press('Escape')
  await shelf.reload()
  expect((await shelf.state()).plan).toEqual(before)
})

test('a calendar dropped on a desktop is brought in; one that is broken or empty changes nothing and is told', {
  tag: '@apart',
}, async ({ shelf, page }) => {
  await open(shelf)
  await shelf.drop({ name: 'rota.ics', type: 'text/calendar', content: CALENDAR })
  await expect(page.getByRole('dialog', { name: 'Plan from “rota.ics”' })).toBeVisible()
  await page.keyboard.press('Escape')
  await bring(shelf, 'broken.ics', CALENDAR.slice(0, 120))
  await expect(page.getByRole('region', { name: 'Line' })).toContainText(
    '“broken.ics” was not read',
  )
  const empty = 'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nEND:VCALENDAR\r\n'
  await bring(shelf, 'empty.ics', empty)
  const dialog = page.getByRole('dialog', { name: 'Plan from “empty.ics”' })
  await expect(dialog).toContainText('This file has no events')
  await expect(dialog.getByRole('button', { name: /^Plan/ })).toBeDisabled()
  expect((await shelf.state()).plan).toEqual([])
})

test('a calendar of ten thousand events: the page stays at work, and what has no choice of its own is decided together', {
  tag: '@apart',
}, async ({ shelf, page }) => {
  await open(shelf)
  const events = Array.from(
    { length: 10_000 },
    (_, at) =>
      `BEGIN:VEVENT\r\nUID:e${at}\r\nSUMMARY:Round ${at}\r\nDTSTART:202611${24 + (at % 6)}T090000\r\nDURATION:PT5M\r\nEND:VEVENT\r\n`,
  )
  await bring(
    shelf,
    'many.ics',
    `BEGIN:VCALENDAR\r\nVERSION:2.0\r\n${events.join('')}END:VCALENDAR\r\n`,
  )
  const dialog = page.getByRole('dialog', { name: 'Plan from “many.ics”' })
  await expect(dialog.getByRole('listitem')).toHaveCount(61)
  await dialog.getByRole('combobox', { name: 'Desktop for 9940 others' }).selectOption('Rota')
  await dialog.getByRole('button', { name: /^Plan 9940 blocks/ }).click()
  // More than a plan holds: it says so, and what was chosen stays.
  await expect(dialog.getByRole('alert')).toContainText('more than 5000 blocks')
  expect((await shelf.state()).plan).toEqual([])
})

test('what was planned and what was done stand side by side', { tag: '@apart' }, async ({
  shelf,
  page,
}) => {
  await open(shelf)
  await shelf.run('plan.add', { text: '8-9 Model' })
  await shelf.run('desktop.go', { to: 'Model' })
  await page.clock.fastForward('30:00')
  await shelf.run('desktop.go', { to: 'Rota' })
  await page.clock.fastForward('10:00')
  await shelf.run('plan.open')
  const table = page.getByRole('region', { name: 'Planned and done' })
  await expect(table.getByRole('row', { name: /^Model/ })).toHaveText(/1 h 0 min30 min30 min/)
  await expect(table.getByRole('row', { name: /^Rota/ })).toHaveText(/–10 min/)
  expect(await shelf.violations()).toEqual([])
})
