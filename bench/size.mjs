import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { root } from '../scripts/ready.mjs'

/** Kilobytes, compressed, of each script a page loads until its first window can be used, the largest first. */
export async function scriptsOf(browser, address) {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  })
  const page = await context.newPage()
  await page.goto(`${address}/demo?displays=one`)
  await page.locator('.win-focused [contenteditable=true], .win-focused input').first().waitFor()
  const loaded = await page.evaluate(() =>
    performance
      .getEntriesByType('resource')
      .filter(({ name }) => name.endsWith('.js'))
      .map(({ name }) => decodeURIComponent(name.split('/').at(-1))),
  )
  await context.close()
  const folder = join(root, '.next/static/chunks')
  const there = new Set(readdirSync(folder))
  return loaded
    .filter((name) => there.has(name))
    .map((name) => [name, gzipSync(readFileSync(join(folder, name))).length / 1024])
    .toSorted(([, a], [, b]) => b - a)
}
