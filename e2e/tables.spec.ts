import type { Locator } from '@playwright/test'
import { expect, type ShelfPage, test } from './shelf'

const CSV = `station,new cm,wind,day
Kestrel Bowl,9,12,2026-12-01
Tarn,4,30,2026-11-30
Ford,22,8,2026-12-24
Crag,,41,2026-12-03
`

const cells = (table: Locator, column: number): Promise<string[]> =>
  table.locator(`[role=gridcell][aria-colindex="${column + 1}"]`).allTextContents()

/** A table of snow, its first cell with the keys. */
async function snow(shelf: ShelfPage) {
  await shelf.open('shelf')
  await shelf.drop({ name: 'snow.csv', type: 'text/csv', content: CSV })
  const table = shelf.page.locator('[data-app=table]')
  const cell = (name: string) => table.getByRole('gridcell', { name, exact: true })
  await expect(cell('Kestrel Bowl')).toBeFocused()
  return { table, cell }
}

test('a table reckons: formulas, filling, what rows do to them, figures, and out and in again', async ({
  shelf,
  page,
}) => {
  const { table, cell } = await snow(shelf)
  await expect(cell('22')).toHaveClass(/cell-figure/)
  // A column of its own at the right end, by keys alone.
  await shelf.press('End', 'Control+Shift+Enter')
  await page.keyboard.type('=B1*2')
  await shelf.press('Enter')
  await expect(cell('18')).toBeVisible()
  await shelf.press('ArrowUp', 'Control+Shift+ArrowDown', 'Control+Shift+F')
  await expect.poll(() => cells(table, 5)).toEqual(['18', '8', '44', '0'])
  await expect(table.getByText('sum 70 · average 17.5 · 0 to 44 · 4 numbers')).toBeVisible()
  // Enter in the last row makes a new one, with the sum in it.
  await shelf.press('Control+End')
  await page.keyboard.type('=B4*3')
  await shelf.press('Enter')
  await page.keyboard.type('=sum(E1:E4)')
  await shelf.press('Enter')
  await shelf.press('Control+Home', 'Control+Backspace')
  await expect.poll(() => cells(table, 5)).toEqual(['8', '44', '0', '52', ''])
  await shelf.press('Control+z')
  // What goes wrong is said in words, in the cell and below.
  await shelf.press('Control+End')
  await page.keyboard.type('=1/0')
  await shelf.press('Enter', 'ArrowUp')
  await expect(cell('it divides by 0')).toBeVisible()
  await expect(table.getByText('E6', { exact: true })).toBeVisible()
  // It is copied as what it shows, and within the table as the formula that goes along.
  await shelf.press('Control+Home', 'End', 'Control+c', 'ArrowDown', 'Control+v')
  await expect
    .poll(() => cells(table, 5))
    .toEqual(['18', '8', '44', '0', '70', 'it divides by 0', ''])
  await shelf.reload()
  await expect
    .poll(() => cells(table, 5))
    .toEqual(['18', '8', '44', '0', '70', 'it divides by 0', ''])
  const given = page.waitForEvent('download')
  await shelf.run('window.export')
  await page
    .getByRole('radio', { name: 'With their results' })
    .or(page.getByRole('button', { name: 'With their results' }))
    .click()
  const stream = await (await given).createReadStream()
  let text = ''
  for await (const chunk of stream) text += chunk
  expect(text).toContain('Ford,22,8,2026-12-24,44\n')
})

test('a table is looked at: by column, by value, from the menu; what one types into stays where it is', async ({
  shelf,
  page,
}) => {
  const { table, cell } = await snow(shelf)
  await shelf.press('Control+/')
  await page.keyboard.type('new cm > 5 and wind < 10')
  await expect.poll(() => cells(table, 1)).toEqual(['Ford'])
  await shelf.press('Escape')
  await expect.poll(() => cells(table, 1)).toEqual(['Kestrel Bowl', 'Tarn', 'Ford', 'Crag'])
  await shelf.press('Escape')
  await expect(cell('Kestrel Bowl')).toBeFocused()
  // Sorted by the wind; the row that is typed into moves when it is left.
  await shelf.press('ArrowRight', 'ArrowRight', 'Shift+F10')
  await page.getByRole('menuitem', { name: 'Sort ascending' }).press('Enter')
  await expect.poll(() => cells(table, 3)).toEqual(['8', '12', '30', '41'])
  await shelf.press('Control+Home', 'ArrowRight', 'ArrowRight')
  await page.keyboard.type('35')
  await shelf.press('Tab')
  await expect.poll(() => cells(table, 3)).toEqual(['35', '12', '30', '41'])
  await shelf.press('ArrowDown')
  await expect.poll(() => cells(table, 3)).toEqual(['12', '30', '35', '41'])
  // A double click names the column and sorts nothing.
  await table.getByRole('columnheader', { name: 'wind' }).dblclick()
  await expect(table.getByRole('textbox', { name: 'Name of the column' })).toBeFocused()
  await page.keyboard.type('gusts')
  await shelf.press('Enter')
  await expect(table.getByRole('columnheader', { name: 'gusts' })).toBeVisible()
  await expect.poll(() => cells(table, 3)).toEqual(['12', '30', '35', '41'])
  await cell('Tarn').click({ button: 'right' })
  await page.getByRole('menuitem', { name: 'Show only rows with this value' }).click()
  await expect.poll(() => cells(table, 1)).toEqual(['Tarn'])
  await table.getByRole('textbox', { name: 'Filter rows' }).fill('')
  // The number of a row is all of it.
  await table.getByRole('gridcell', { name: 'row 2', exact: true }).click()
  await expect(table.locator('.in-range')).toHaveCount(4)
  await shelf.press('Delete')
  await expect(cell('Tarn')).toHaveCount(0)
  await shelf.press('Control+z')
  await expect(cell('Tarn')).toBeVisible()
})

test('what is found in a table is gone to and replaced, all in one step', async ({
  shelf,
  page,
}) => {
  const { table } = await snow(shelf)
  await shelf.press('Control+f')
  await page.keyboard.type('r')
  await expect(table.getByRole('search').getByRole('status')).toHaveText('1/4')
  await shelf.press('Enter', 'Enter')
  await expect(table.getByRole('search').getByRole('status')).toHaveText('3/4')
  await table.getByRole('textbox', { name: 'Replace with' }).fill('R')
  await table.getByRole('button', { name: 'Replace all matches' }).click()
  await expect.poll(() => cells(table, 1)).toEqual(['KestRel Bowl', 'TaRn', 'FoRd', 'CRag'])
  await shelf.press('Escape', 'Control+z')
  await expect.poll(() => cells(table, 1)).toEqual(['Kestrel Bowl', 'Tarn', 'Ford', 'Crag'])
})
