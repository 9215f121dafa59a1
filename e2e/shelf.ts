import { readFileSync } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import {
  type BrowserContext,
  test as base,
  type ConsoleMessage,
  expect,
  type Locator,
  type Page,
} from '@playwright/test'
import type axeCore from 'axe-core'
import { visit } from '../scripts/visit.mjs'
import type { FlatState as State } from '../src/store/flat'

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/** A window by its app, and where it stands. */
interface Furnished {
  app: string
  frame: { x: number; y: number; width: number; height: number }
}

/** The page as a person drives it, with what tests want to know of it. */
export class ShelfPage {
  /** Errors a test provokes on purpose. */
  expected: RegExp | null = null

  constructor(readonly page: Page) {}

  async open(shelf: 'demo' | 'shelf' = 'demo'): Promise<void> {
    // With one display, unless the flow is about several.
    await this.page.goto(shelf === 'demo' ? '/demo?displays=one' : `/${shelf}`)
    await expect(this.page.locator('#desktop')).toBeVisible()
  }

  /**
   * Opens a shelf of a few windows: what the desktops are called, and on each the windows by their
   * titles. The first is shown; on each the window that was made last has the focus.
   * @returns the id of what is called so
   */
  async furnish(
    desktops: Record<string, Record<string, string | Furnished>>,
  ): Promise<(name: string) => string> {
    await this.open('shelf')
    const refused = await this.page.evaluate((all) => {
      const words: string[] = []
      const run = (id: string, args: object) => {
        const outcome = window.kiteShelf?.run(id, args)
        if (!outcome?.ok) words.push(`${id}: ${outcome?.reason}`)
      }
      const [first = ''] = Object.keys(all)
      for (const [name, windows] of Object.entries(all)) {
        if (name === first) run('desktop.rename', { name, fresh: true })
        else run('desktop.create', { name })
        for (const [title, what] of Object.entries(windows))
          run('window.open', { ...(typeof what === 'string' ? { app: what } : what), title })
      }
      const back = Object.values(window.kiteShelf?.state().desktops ?? {}).find(
        ({ name }) => name === first,
      )
      if (Object.keys(all).length > 1) run('desktop.go', { to: back?.id })
      return words
    }, desktops)
    expect(refused).toEqual([])
    await this.drawn()
    const { windows, documents, desktops: made } = await this.state()
    const ids = new Map<string, string>()
    for (const { id, name } of Object.values(made)) ids.set(name, id)
    for (const { id, document } of Object.values(windows))
      ids.set(documents[document]?.title ?? '', id)
    return (name) => {
      const id = ids.get(name)
      if (!id) throw new Error(`Nothing is called ${name}`)
      return id
    }
  }

  /** As text: to take it over object by object costs four times as much. */
  async state(): Promise<State> {
    const text = await this.page.evaluate(() => {
      if (!window.kiteShelf) throw new Error('The console is not there yet')
      return JSON.stringify(window.kiteShelf.state())
    })
    return JSON.parse(text)
  }

  async run(command: string, args: object = {}): Promise<void> {
    const outcome = await this.page.evaluate(([id, given]) => window.kiteShelf?.run(id, given), [
      command,
      args,
    ] as const)
    expect(outcome).toEqual({ ok: true })
    await this.drawn()
  }

  /** Makes desktops behind the current one, all of them before the page draws. */
  async desktops(...names: string[]): Promise<void> {
    const made = await this.page.evaluate(
      (all) => all.map((name) => window.kiteShelf?.run('desktop.create', { name, stay: true })?.ok),
      names,
    )
    expect(made).toEqual(names.map(() => true))
    await this.drawn()
  }

  /** Presses keys one after the other, and waits until the page has drawn what they did. */
  async press(...keys: string[]): Promise<void> {
    for (const key of keys) await this.page.keyboard.press(key)
    await this.drawn()
  }

  /** Presses keys, none waiting for what another does: in quick succession on a busy machine too. */
  async quickly(...keys: string[]): Promise<void> {
    const { keyboard } = this.page
    await Promise.all(keys.flatMap((key) => [keyboard.down(key), keyboard.up(key)]))
    await this.drawn()
  }

  /** Waits until the page has drawn what was done before. */
  async drawn(): Promise<void> {
    await this.page.evaluate(
      () => new Promise<void>((done) => requestAnimationFrame(() => setTimeout(done))),
    )
  }

  window(id: string): Locator {
    return this.page.locator(`[data-window="${id}"]`)
  }

  row(name: string): Locator {
    return this.page
      .getByRole('navigation', { name: 'Desktops' })
      .getByRole('listitem')
      .filter({ has: this.page.getByRole('button', { name: new RegExp(`^${name},`) }) })
  }

  async rowNames(): Promise<(string | null)[]> {
    return this.page.locator('[data-row-name]').allTextContents()
  }

  said(): Locator {
    return this.page.locator('[data-said]')
  }

  async here(): Promise<string | undefined> {
    return this.page.evaluate(() => document.documentElement.dataset.desktop)
  }

  /** Waits until everything is written. */
  async kept(): Promise<void> {
    await expect(this.page.locator('[data-saving="saved"]')).toBeVisible()
  }

  async reload(): Promise<void> {
    await this.kept()
    await this.page.reload()
    await expect(this.page.locator('#desktop')).toBeVisible()
  }

  /** Drops files on the desktop as the browser would. */
  async drop(...files: { name: string; type: string; content: string | Buffer }[]): Promise<void> {
    const given = files.map(({ name, type, content }) => ({
      name,
      type,
      base64: Buffer.from(content).toString('base64'),
    }))
    const transfer = await this.page.evaluateHandle((list) => {
      const data = new DataTransfer()
      for (const { name, type, base64 } of list) {
        const bytes = Uint8Array.from(atob(base64), (character) => character.charCodeAt(0))
        data.items.add(new File([bytes], name, { type }))
      }
      return data
    }, given)
    await this.page.dispatchEvent('#desktop', 'drop', { dataTransfer: transfer })
  }

  /** Drags from the middle of one place to a point, in steps. */
  async drag(
    from: Locator,
    to: { x: number; y: number },
    at?: { x: number; y: number },
  ): Promise<void> {
    await this.grasp(from, to, at)
    await this.page.mouse.up()
    await this.drawn()
  }

  /** Drags onto a row and lets go at once: held there, its desktop would open. */
  async dropOnRow(from: Locator, name: string, at?: { x: number; y: number }): Promise<void> {
    const row = await this.row(name).boundingBox()
    if (!row) throw new Error(`There is no row ${name}`)
    const area = await this.page.locator('#desktop').boundingBox()
    await this.grasp(from, { x: (area?.x ?? 0) + 40, y: row.y + 12 }, at)
    // Both on their way before either is answered.
    const session = await this.page.context().newCDPSession(this.page)
    const hand = { x: row.x + 60, y: row.y + 12, button: 'left' as const, clickCount: 1 }
    await Promise.all([
      session.send('Input.dispatchMouseEvent', { type: 'mouseMoved', buttons: 1, ...hand }),
      session.send('Input.dispatchMouseEvent', { type: 'mouseReleased', ...hand }),
    ])
    await session.detach()
    await this.page.mouse.move(hand.x, hand.y)
    await this.page.mouse.up()
    await this.drawn()
  }

  async grasp(
    from: Locator,
    to: { x: number; y: number },
    at?: { x: number; y: number },
  ): Promise<void> {
    const box = await from.boundingBox()
    if (!box) throw new Error('Nothing to drag')
    await this.page.mouse.move(box.x + (at?.x ?? box.width / 2), box.y + (at?.y ?? box.height / 2))
    await this.page.mouse.down()
    await this.page.mouse.move(to.x, to.y, { steps: 8 })
    await this.drawn()
  }

  /** Chooses from a menu within the open menu, by keys. */
  async chooseWithin(menu: string, item: string | RegExp): Promise<void> {
    await this.page.getByRole('menuitem', { name: menu }).focus()
    await this.press('ArrowRight')
    const inner = this.page.getByRole('menu').nth(1)
    await expect(inner.locator(':focus')).toHaveCount(1)
    const named = { name: item }
    await inner.getByRole('menuitem', named).or(inner.getByRole('menuitemcheckbox', named)).focus()
    await this.press('Enter')
  }

  /**
   * What axe finds on what is shown; hidden windows are left out. To reckon colours takes most of its
   * time: that is done once for all that can be shown.
   * @param within only what stands in here; where it is not said, what is asked, or all of the page
   */
  async violations(
    rules: 'all' | 'all but colours' | 'colours' = 'all but colours',
    within?: string,
    without: string[] = [],
  ): Promise<string[]> {
    const where = within ?? ((await this.page.locator(ASKED).count()) > 0 ? ASKED : 'body')
    // Read once a page: to read it anew each time takes as long as some of its rules.
    if (!(await this.page.evaluate(() => 'axe' in window))) await this.page.evaluate(AXE)
    const context = {
      include: [where],
      exclude: ['.slot-hidden', '.slot-covered', '.slots-hidden', ...without],
    }
    const options: axeCore.RunOptions = {
      // Without what passes: a quarter of the time. Frames hold pages from elsewhere.
      resultTypes: ['violations'],
      iframes: false,
      preload: false,
      rules: {
        'color-contrast': { enabled: rules !== 'all but colours' },
        region: { enabled: where === 'body' },
      },
      ...(rules === 'colours' && { runOnly: ['color-contrast'] }),
    }
    return this.page.evaluate(
      async ([on, by]) => {
        const { axe } = window as unknown as { axe: typeof axeCore }
        const { violations } = await axe.run(on, by)
        return violations.flatMap(({ id, nodes }) =>
          nodes.map(({ html }) => `${id}: ${html.slice(0, 160)}`),
        )
      },
      [context, options] as const,
    )
  }
}

/** “Number 3”, “Number 4” and so on. */
export const numbered = (word: string, from: number, to: number): string[] =>
  Array.from({ length: to - from + 1 }, (_, at) => `${word} ${from + at}`)

/** What stands above the desktop and asks something. */
export const ASKED =
  ':is(dialog[open], [role=dialog], [role=alertdialog], [role=menu]):not(.win-body *)'

/** What stands on a page where a test failed: often all there is to go by. */
const standing = (page: Page) =>
  page
    .evaluate(() => ({
      desktop: document.documentElement.dataset.desktop,
      focus: document.activeElement?.outerHTML.slice(0, 200),
      selection: String(getSelection()),
      window: document.querySelector('.win-focused')?.ariaLabel,
      said: document.querySelector('[data-said]')?.textContent,
      asked: [...document.querySelectorAll('[role=dialog], [role=alert], [role=alertdialog]')].map(
        (one) => one.textContent?.slice(0, 300),
      ),
    }))
    .catch(String)

/** A stream that was cut while the machine was busy: the server knows no such page, and it is begun anew. */
const isBegunAnew = (message: ConsoleMessage): boolean =>
  message.location().url.endsWith('/api/events') && message.text().includes('404')

/** Whether the person's browser has the offline worker in control from the start. */
export type Visit = 'first' | 'second'

/** All storage but the offline worker and what it keeps. */
const KEPT_BY_PAGES = 'cookies,file_systems,indexeddb,local_storage,shader_cache,websql'

/** Puts the offline worker in control of what is opened from now on. */
async function visited(context: BrowserContext): Promise<void> {
  const page = await context.newPage()
  await visit(page)
  await page.close()
}

/**
 * One browser profile for one test after the other, emptied in between of all but the scripts it has
 * read: to read them anew for each is a quarter of the time. What cannot be undone in a profile, as
 * a clock that was set, is done in one of its own: those tests say `@apart`.
 */
export const test = base.extend<{ shelf: ShelfPage }, { profile: BrowserContext; visit: Visit }>({
  visit: ['first', { option: true, scope: 'worker' }],

  profile: [
    async ({ playwright, launchOptions, visit }, use, { project }) => {
      const folder = await mkdtemp(join(tmpdir(), 'profile-'))
      const { viewport, colorScheme, contextOptions, baseURL } = project.use
      const profile = await playwright.chromium.launchPersistentContext(folder, {
        ...launchOptions,
        ...contextOptions,
        viewport,
        colorScheme,
        baseURL,
        // Said, or it would have what the test has that happens to come first.
        hasTouch: false,
        isMobile: false,
      })
      // It keeps the process, with all the scripts that have been read, from one test to the next.
      await profile.pages()[0]?.goto('/icon.svg')
      if (visit === 'second') await visited(profile)
      await use(profile)
      await profile.close()
      await rm(folder, { recursive: true, force: true })
    },
    { scope: 'worker' },
  ],

  context: async ({ context, profile, baseURL, hasTouch, visit }, use, { tags }) => {
    if (hasTouch || tags.includes('@apart')) {
      if (visit === 'second') await visited(context)
      return use(context)
    }
    await use(profile)
    const [kept, ...pages] = profile.pages()
    if (!kept) throw new Error('The page that is kept was closed')
    await Promise.all(pages.map((page) => page.close()))
    const devtools = await profile.newCDPSession(kept)
    await devtools.send('Storage.clearDataForOrigin', {
      origin: new URL(baseURL ?? '').origin,
      storageTypes: visit === 'second' ? KEPT_BY_PAGES : 'all',
    })
    await devtools.detach()
    await profile.clearPermissions()
    await profile.clearCookies()
  },

  shelf: async ({ page }, use, info) => {
    const problems: string[] = []
    page.on('pageerror', (error) => problems.push(error.message))
    page.on('console', (message) => {
      if (message.type() === 'error' && !isBegunAnew(message)) problems.push(message.text())
    })
    // Nobody answers the browser's own dialogs here: files are chosen as where there are none, but in files.spec.
    await page.addInitScript(() => {
      for (const picker of ['showOpenFilePicker', 'showSaveFilePicker', 'showDirectoryPicker'])
        Reflect.deleteProperty(window, picker)
    })
    const shelf = new ShelfPage(page)
    await use(shelf)
    if (info.status !== info.expectedStatus) console.log(info.title, await standing(page))
    expect(problems.filter((problem) => !shelf.expected?.test(problem))).toEqual([])
  },
})

export { expect }
