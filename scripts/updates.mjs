// Two builds one after the other on one port, as when the application is updated under an open page.
import { execFileSync, spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { answers, build, chromiumFlags, freePort, next, root } from './ready.mjs'
import { visit } from './visit.mjs'

/** A file of an app that is opened late, and what is other in it in the newer build. */
const CHANGED = 'src/apps/countdown/Countdown.tsx'
const OLDER = 'Time or duration'
const NEWER = 'Time or duration, in the newer build'

/** A copy of the project with a build of its own, in which something is other. */
function newerBuild() {
  const folder = mkdtempSync(join(tmpdir(), 'kite-newer-'))
  const files = ['src', 'package.json', 'package-lock.json', 'tsconfig.json', 'next.config.ts']
  for (const file of [...files, 'postcss.config.mjs', 'node_modules'])
    execFileSync('cp', ['-al', join(root, file), folder])
  const changed = join(folder, CHANGED)
  const text = readFileSync(changed, 'utf8')
  if (!text.includes(OLDER)) throw new Error(`${CHANGED} no longer says “${OLDER}”`)
  // The copy shares its files with the project until they are made anew.
  rmSync(changed)
  writeFileSync(changed, text.replaceAll(OLDER, NEWER))
  execFileSync(process.execPath, [join(folder, 'node_modules/next/dist/bin/next'), 'build'], {
    cwd: folder,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' },
  })
  return folder
}

async function serving(folder, port) {
  const server = spawn(
    process.execPath,
    [next, 'start', '--hostname', '127.0.0.1', '--port', String(port)],
    { cwd: folder, stdio: 'ignore', env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' } },
  )
  await answers(`http://localhost:${port}`)
  return () =>
    new Promise((resolve) => {
      server.once('exit', resolve)
      server.kill('SIGKILL')
    })
}

/** Waits until so many builds are kept. */
async function keeps(page, builds) {
  for (let tries = 0; tries < 60; tries++) {
    const names = await page.evaluate(() => caches.keys())
    if (names.length === builds) return true
    await page.waitForTimeout(500)
  }
  return false
}

/** @returns what went wrong, in words; nothing where all went well */
export async function updates() {
  build()
  const wrong = []
  const folder = newerBuild()
  const port = await freePort(4400)
  const address = `http://localhost:${port}`
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: chromiumFlags,
  })
  const check = async (what, holds) => {
    if (await holds().catch(() => false)) return
    wrong.push(what)
  }
  try {
    for (const kept of [true, false]) {
      const when = kept ? 'second visit' : 'first visit'
      const context = await browser.newContext()
      let stop = await serving(root, port)
      const page = await context.newPage()
      if (kept) await visit(page, address)
      await page.goto(`${address}/shelf`)
      await page.locator('#desktop').waitFor()
      await page.keyboard.press('Alt+1')
      const text = page.getByRole('textbox', { name: 'Text' })
      await text.waitFor()
      await page.keyboard.type('typed before')
      await page.waitForTimeout(500)
      await stop()
      stop = await serving(folder, port)
      await page.keyboard.type(', and after')
      // An app that was not opened yet, with the code the page was built with.
      await page.evaluate(() => window.kiteShelf.run('window.open', { app: 'countdown' }))
      const late = page.getByRole('textbox', { name: OLDER, exact: true })
      const told = page.getByText('This app could not be loaded')
      if (kept)
        await check(`${when}: an app opened late loads`, () => late.waitFor().then(() => true))
      else
        await check(`${when}: an app opened late loads, or that is told`, () =>
          late
            .or(told)
            .first()
            .waitFor()
            .then(() => true),
        )
      await page.reload()
      await check(`${when}: the page opens again`, () =>
        page
          .locator('#desktop')
          .waitFor()
          .then(() => true),
      )
      await check(`${when}: nothing typed is lost`, async () =>
        (await text.textContent()).includes('typed before, and after'),
      )
      await check(`${when}: the app opens with the newer code`, () =>
        page
          .getByRole('textbox', { name: NEWER })
          .waitFor()
          .then(() => true),
      )
      await page.close()
      // The next visit fetches what the newer build is made of; the one after begins with that, and
      // what the older build kept makes room.
      const later = await context.newPage()
      await visit(later, address)
      await later.goto(`${address}/shelf`)
      await check(`${when}: the visit after opens`, () =>
        later
          .locator('#desktop')
          .waitFor()
          .then(() => true),
      )
      if (kept) await check(`${when}: the newer build is kept`, () => keeps(later, 2))
      await later.close()
      const last = await context.newPage()
      await last.goto(`${address}/shelf`)
      await check(`${when}: only the newer build is kept in the end`, () => keeps(last, 1))
      await stop()
      await check(`${when}: it opens without the server`, async () => {
        await last.reload()
        await last.locator('#desktop').waitFor()
        return true
      })
      await context.close()
    }
  } finally {
    await browser.close()
    rmSync(folder, { recursive: true, force: true })
  }
  return wrong
}
