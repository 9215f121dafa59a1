import { isDeepStrictEqual } from 'node:util'
import { type BrowserContext, expect, type Page } from '@playwright/test'
import { readState } from '../../src/core/formats/shelfFile'
import { asPressed } from '../../src/core/keys/sets'
import { isVisible, shownFrame } from '../../src/core/model/selectors'
import type { FlatState as State } from '../../src/store/flat'
import { look, type Seen, windowsWith } from './look'
import { type Step, told, type Walk } from './steps'

/** How long something may take until it is as it should be, also where the machine is busy, in milliseconds. */
const PATIENCE = 10_000

/** Whether a word is typed after every act, as a person would: it must be where the focus is. */
const AFTER_EVERY = process.env.WANDER_TYPES === 'always'

/** What may be on the console: faults that the walk itself makes, and what is not ours. */
const EXPECTED = /QuotaExceeded|full disk|net::ERR|Failed to load|Download/

/** What can be pushed, or takes the keys when it is. */
const PUSHED =
  'button, a[href], input, textarea, select, iframe, [contenteditable=true], [role=gridcell], [role^=menuitem], [role=option], [role=tab]'

const KEYS: Record<string, string> = {
  Ctrl: 'Control',
  Left: 'ArrowLeft',
  Right: 'ArrowRight',
  Up: 'ArrowUp',
  Down: 'ArrowDown',
}

/** Strokes as they are printed, as the browser is told them. */
const strokes = (keys: string): string[] =>
  keys.split(' ').map((stroke) =>
    stroke
      .split(/(?<=.)\+(?=.)/)
      .map((key) => KEYS[key] ?? key)
      .join('+'),
  )

/** What browser windows of web pages are called, before the document. */
const OUTSIDE = 'kite-shelf-outside-'

/** Another view that has not come by then does not come, in milliseconds. */
const VIEW_WITHIN = 20_000

/** A person who does everything in an order nobody thought of, and looks after each step. */
export class Wanderer {
  private problems: string[] = []
  /** Of all walks: what one has copied another may paste. */
  private static words = 0
  /** Documents that have been typed into or pushed since the walk began. */
  private touched = new Set<string>()
  /** The arrangement as it was when there was nothing to undo, and whether that can be come back to. */
  private beginning: State | null = null
  /** How many steps could be undone then. */
  private undoable = 0
  /** What was seen after the last step. */
  private seen: Seen | null = null
  /** Browser windows of web pages, each with its document. */
  private outside = new Map<Page, string>()
  readonly log: string[] = []

  private constructor(
    private context: BrowserContext,
    private page: Page,
    private path: string,
  ) {}

  /** Walks to the end. @throws with the log where something is not as it always must be */
  static async walk(context: BrowserContext, { shelf, steps }: Walk): Promise<void> {
    const page = await context.newPage()
    const wanderer = new Wanderer(context, page, shelf === 'demo' ? '/demo' : '/shelf')
    try {
      await wanderer.begin(shelf)
      for (const step of steps) await wanderer.take(step)
      await wanderer.undoAll()
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error)
      throw new Error(`${why}\nafter, on ${shelf}:\n  ${wanderer.log.slice(-40).join('\n  ')}`)
    }
  }

  private async begin(shelf: Walk['shelf']): Promise<void> {
    const { context } = this
    await context.addInitScript(() => {
      if (self !== top) return
      const { put } = IDBObjectStore.prototype
      IDBObjectStore.prototype.put = function (...given) {
        if ('fullDisk' in window) throw new DOMException('full disk', 'QuotaExceededError')
        return put.apply(this, given)
      }
      // What the browser itself would ask cannot be answered here.
      const never = () => Promise.reject(new DOMException('not asked', 'AbortError'))
      Object.assign(window, { showDirectoryPicker: never, showOpenFilePicker: never })
      Object.assign(navigator.mediaDevices ?? {}, { getDisplayMedia: never })
    })
    this.listen(this.page)
    // What else opens beside the page is none of the walk’s business.
    context.on('page', async (other) => {
      if (other === this.page || this.another) return
      const name = await other.evaluate(() => window.name).catch(() => '')
      if (name.startsWith(OUTSIDE)) this.outside.set(other, name.slice(OUTSIDE.length))
      else await other.close().catch(() => {})
    })
    await this.page.goto(this.path)
    await this.page.locator('#desktop').waitFor()
    if (shelf === 'forty') {
      await this.page.evaluate(() => {
        const apps = ['document', 'table', 'job', 'countdown', 'messages', 'web']
        const run = window.kiteShelf?.run
        for (let at = 1; at < 40; at++)
          run?.('desktop.create', {
            name: at % 5 ? `Desktop no. ${at}` : 'مكتب '.repeat(6),
            stay: true,
          })
        const order = window.kiteShelf?.state().order ?? []
        for (const [at, to] of order.entries()) {
          run?.('desktop.go', { to })
          for (const more of [0, 1])
            run?.('window.open', {
              app: apps[(at + more) % apps.length],
              title: `Window ${at} ${more}`,
            })
        }
        run?.('desktop.go', { to: order[0] })
      })
      await this.reload()
    }
    await this.mark()
  }

  /** How many steps can be undone. */
  private steps(): Promise<number> {
    return this.page.evaluate(() => window.kiteShelf?.steps().length ?? 0)
  }

  /** From here on it is undone to. */
  private async mark(): Promise<void> {
    this.undoable = await this.steps()
    this.beginning = await this.state()
  }

  private another = false

  private listen(page: Page): void {
    page.on('pageerror', ({ message }) => this.problems.push(message))
    page.on('console', (said) => {
      if (said.type() === 'error' && !EXPECTED.test(said.text())) this.problems.push(said.text())
    })
    page.on('dialog', (dialog) => void dialog.accept().catch(() => {}))
  }

  private async state(): Promise<State> {
    const text = await this.page.evaluate(() => {
      if (!window.kiteShelf) throw new Error('The page is dead')
      return JSON.stringify(window.kiteShelf.state())
    })
    return JSON.parse(text)
  }

  private async take(step: Step): Promise<void> {
    this.log.push(told(step))
    // Where one types is looked at anew: something may have asked meanwhile.
    const before = step.does === 'type' || !this.seen ? await this.still() : this.seen
    await this.act(step, before)
    this.seen = await this.settled(step)
    // Undone beyond the beginning: it cannot be come back to.
    if (this.seen.steps < this.undoable) this.beginning = null
    this.rules(step, before, this.seen)
    if (AFTER_EVERY && step.does !== 'type' && this.freeToType(this.seen))
      await this.take({ does: 'type' })
  }

  /**
   * Looks until the keys are where they were a frame before: a page that leaves the full screen, or
   * a menu, has them elsewhere a moment later.
   */
  private async still(): Promise<Seen> {
    const where = ({ keysIn, asking, state }: Seen) => `${keysIn} ${asking} ${state.focus}`
    for (let seen = await look(this.page); ; ) {
      await this.page.evaluate(
        () => new Promise<void>((done) => requestAnimationFrame(() => setTimeout(done))),
      )
      const now = await look(this.page)
      if (where(now) === where(seen)) return now
      seen = now
    }
  }

  /** Whether letters are neither answers nor commands now. */
  private freeToType = ({ asking, layer }: Seen): boolean => !asking && !layer

  private async act(step: Step, seen: Seen): Promise<void> {
    const { keyboard, mouse } = this.page
    const { width, height } = this.page.viewportSize() ?? { width: 1280, height: 800 }
    switch (step.does) {
      case 'chord':
        return this.chord(step.keys, seen)
      case 'key':
        return keyboard.press(step.key)
      case 'type':
        return this.type(seen)
      case 'go and type':
        await this.chord(step.keys, seen)
        return this.typeAtOnce(seen)
      case 'click':
        await this.aim(seen.state, step.x * width, step.y * height)
        return mouse.click(step.x * width, step.y * height)
      case 'right click':
        return mouse.click(step.x * width, step.y * height, { button: 'right' })
      case 'double click':
        await this.aim(seen.state, step.x * width, step.y * height)
        return mouse.dblclick(step.x * width, step.y * height)
      case 'drag':
        await this.aim(seen.state, step.x * width, step.y * height)
        await mouse.move(step.x * width, step.y * height)
        await mouse.down()
        await mouse.move(step.toX * width, step.toY * height, { steps: 5 })
        return mouse.up()
      case 'give a drag up':
        await this.aim(seen.state, step.x * width, step.y * height)
        await mouse.move(step.x * width, step.y * height)
        await mouse.down()
        await mouse.move(step.toX * width, step.toY * height, { steps: 5 })
        await keyboard.press('Escape')
        return mouse.up()
      case 'menu and chord':
        await mouse.click(step.x * width, step.y * height, { button: 'right' })
        return this.chord(step.keys, await look(this.page))
      case 'push':
        return this.push(seen.state, step.which)
      case 'say':
        await this.chord('Alt+;', seen)
        await keyboard.type(step.words)
        for (let at = 0; at < step.down; at++) await keyboard.press('ArrowDown')
        return keyboard.press('Enter')
      case 'resize':
        this.beginning = null
        // A page that fills the screen, or is about to, has the screen's size.
        return expect(async () => {
          await this.page.evaluate(() => document.fullscreenElement && document.exitFullscreen())
          await this.page.setViewportSize(step)
        }).toPass({ timeout: 10_000 })
      case 'reload':
        return this.reload()
      case 'take over':
        return this.takeOver()
      case 'another view':
        return this.anotherView(seen.state)
      case 'fill the disk':
        return this.page.evaluate(() => void Object.assign(window, { fullDisk: true }))
      case 'empty the disk':
        return this.emptied()
      case 'open outside':
        return this.openOutside(seen.state)
      case 'close outside':
        return this.closeOutside()
      case 'lose the connection':
      case 'find the connection':
        return this.context.setOffline(step.does === 'lose the connection')
    }
  }

  /** Presses a sequence as it is pressed in the set of keys that is used now. */
  private async chord(keys: string, { state }: Seen): Promise<void> {
    for (const stroke of strokes(asPressed(keys, state))) await this.page.keyboard.press(stroke)
  }

  /** Pushes one of all that can be pushed now. */
  private async push(state: State, which: number): Promise<void> {
    const found = await this.page.evaluate(
      ([pushed, share]) => {
        const all = [...document.querySelectorAll<HTMLElement>(pushed)].flatMap((element) => {
          const { left, top, width, height } = element.getBoundingClientRect()
          const [x, y] = [left + width / 2, top + height / 2]
          const above = document.elementFromPoint(x, y)
          return above && element.contains(above) ? [{ element, x, y }] : []
        })
        const one = all[Math.floor(share * all.length)]
        if (!one) return null
        const { element, x, y } = one
        return { name: element.getAttribute('aria-label') ?? element.textContent, x, y }
      },
      [PUSHED, which] as const,
    )
    if (!found) return
    this.log.push(`  ${found.name?.slice(0, 60)}`)
    await this.aim(state, found.x, found.y)
    await this.page.mouse.click(found.x, found.y)
  }

  /** What is pushed may change what is in its window. */
  private async aim(state: State, x: number, y: number): Promise<void> {
    const window = await this.page.evaluate(
      (at) =>
        document
          .elementsFromPoint(...at)
          // The browser has been seen to name none for one of them.
          .map((found: Element | null) => found?.closest<HTMLElement>('[data-window]'))
          .map((found) => found?.dataset.window)
          .find(Boolean),
      [x, y] as [number, number],
    )
    this.touch(state, window)
  }

  private touch(state: State, window: string | null | undefined): void {
    const document = state.windows[window ?? '']?.document
    if (document) this.touched.add(document)
  }

  /** A word nobody else types stands in the window that had the focus, and nowhere else. */
  private async type(seen: Seen): Promise<void> {
    const word = this.nextWord()
    await this.page.keyboard.type(word)
    const { state } = seen
    // What is replied from the line stands in the window of its thread as well.
    if (seen.asking || seen.layer || !state.focus || seen.keysIn.startsWith('INPUT “Reply to'))
      return
    const { document } = state.windows[state.focus] ?? {}
    const wanted = { there: true, elsewhere: [] as string[] }
    const where = async () => {
      const found = await windowsWith(this.page, word)
      // Keys of the step before were still waiting for their window, and one of them asked something.
      const { asking, keysIn } = await look(this.page)
      if (asking) return wanted
      // Who looks at the same document sees it too.
      const elsewhere = found.filter((id) => state.windows[id]?.document !== document)
      const there = found.includes(state.focus ?? '')
      return { there, elsewhere, ...(!there && { keysIn }) }
    }
    if (seen.takesText && !seen.keysIn.startsWith('web')) {
      const inWindow = seen.keysIn.startsWith(`${state.focus} `)
      if (inWindow) await expect.poll(where, { timeout: PATIENCE }).toEqual(wanted)
    }
    expect((await where()).elsewhere, `“${word}” stands elsewhere`).toEqual([])
  }

  /** A word that is typed before the page has drawn where one went stands there. */
  private async typeAtOnce({ asking }: Seen): Promise<void> {
    const word = this.nextWord()
    await this.page.keyboard.type(word)
    // What asked takes letters as answers.
    if (asking) return
    const found = async () => {
      const seen = await look(this.page)
      const { state, keysIn } = seen
      const there = await windowsWith(this.page, word)
      const document = state.windows[state.focus ?? '']?.document
      const elsewhere = there.filter((id) => state.windows[id]?.document !== document)
      const due = seen.takesText && !seen.layer && keysIn.startsWith(`${state.focus} `)
      const may = seen.asking || keysIn.startsWith('web') || keysIn.startsWith('INPUT “Reply to')
      return may || ((!due || there.length > 0) && elsewhere.length === 0)
        ? ''
        : `“${word}” stands in ${there.join(' ') || 'none'}, the focus is ${state.focus}`
    }
    await expect.poll(found, { timeout: PATIENCE }).toBe('')
  }

  /** Too long for keys that are pressed one by one to spell it by chance. */
  private nextWord(): string {
    const word = `wx${(++Wanderer.words).toString(36)}xq`
    this.log.push(`  ${word}`)
    return word
  }

  private async reload(): Promise<void> {
    await this.emptied()
    await this.kept()
    const before = await this.state()
    await this.page.reload()
    await this.page.locator('#desktop').waitFor()
    await this.closeOrphans()
    const after = await this.state()
    expect(comparable(after), 'after a reload').toEqual(comparable(before))
  }

  /** Another tab takes the shelf, and this one takes it back. */
  private async takeOver(): Promise<void> {
    await this.emptied()
    await this.kept()
    const before = await this.state()
    this.another = true
    const other = await this.context.newPage()
    this.another = false
    this.listen(other)
    // As large as the first: on a smaller page windows are brought within reach.
    await other.setViewportSize(this.page.viewportSize() ?? { width: 1280, height: 800 })
    await other.goto(this.path)
    await other.getByRole('button', { name: 'Use it here' }).click()
    await other.locator('#desktop').waitFor()
    await this.page.getByRole('button', { name: 'Use it here' }).click()
    await this.page.locator('#desktop').waitFor()
    await other.close()
    await this.closeOrphans()
    const after = await this.state()
    expect(comparable(after), 'after it was taken over and back').toEqual(comparable(before))
  }

  /** Shows a web page in a browser window of its own, by pointer: the browser wants a push. */
  private async openOutside(state: State): Promise<void> {
    await this.page.evaluate(() => {
      const { documents, windows } = window.kiteShelf?.state() ?? { documents: {}, windows: {} }
      const page = Object.values(documents).find(({ app }) => app === 'web')
      const there = Object.values(windows).find(({ document }) => document === page?.id)
      if (there) window.kiteShelf?.run('window.focus', { window: there.id })
      else if (page) window.kiteShelf?.run('window.open', { app: 'web', document: page.id })
    })
    await this.page
      .locator('[data-window]')
      .first()
      .waitFor({ timeout: 500 })
      .catch(() => {})
    const at = await this.page.evaluate(() => {
      const button = document.querySelector(
        '[data-window]:not([inert]) [aria-label^="Show it in a browser window"]',
      )
      const { left = 0, top = 0, width = 0, height = 0 } = button?.getBoundingClientRect() ?? {}
      return width > 0 ? ([left + width / 2, top + height / 2] as const) : null
    })
    if (!at) return
    await this.aim(state, ...at)
    await this.page.mouse.click(...at)
  }

  /** Closes one by its own cross: its window on the desktop goes with it. */
  private async closeOutside(): Promise<void> {
    const [open] = [...this.outside.keys()].filter((page) => !page.isClosed())
    if (!open) return
    await open.close()
    // It is looked for every second.
    await this.page.waitForTimeout(1300)
  }

  /** The page that knew of them is gone. */
  private async closeOrphans(): Promise<void> {
    await Promise.all([...this.outside.keys()].map((page) => page.close().catch(() => {})))
    this.outside.clear()
  }

  /** Opens a display in a window of its own, types there and closes it. */
  private async anotherView({ displays, display }: State): Promise<void> {
    // The first is the page itself, whichever display is drawn large in it.
    const other = Object.values(displays).find(
      ({ connected, id }) => connected && id !== display && id !== 'near',
    )
    if (!other) return
    await this.emptied()
    this.another = true
    const view = await this.context.newPage()
    this.another = false
    this.listen(view)
    await view.goto(`${this.path}/display/${other.id}`)
    await view.locator('#desktop').waitFor({ timeout: VIEW_WITHIN })
    const { settled, state, takesText } = await look(view)
    const word = this.nextWord()
    if (settled && takesText) await view.keyboard.type(word)
    if (state.focus) this.touch(state, state.focus)
    await view.keyboard.press('Alt+,')
    // What is typed there is seen nowhere but in windows of the same document.
    const { document } = state.windows[state.focus ?? ''] ?? {}
    const elsewhere = (await windowsWith(this.page, word)).filter(
      (id) => state.windows[id]?.document !== document,
    )
    expect(elsewhere, `“${word}” was typed on ${other.name}, not here`).toEqual([])
    await view.close()
  }

  private async emptied(): Promise<void> {
    await this.context.setOffline(false)
    await this.page.evaluate(() => {
      delete (window as { fullDisk?: true }).fullDisk
    })
  }

  private async kept(): Promise<void> {
    // What could not be written is tried again with the next change at the latest.
    await this.page.evaluate(() => window.kiteShelf?.run('settings.set', {}))
    // A run has the page for itself, and no line that says so: it is long done then.
    const runs = await this.page.evaluate(() => window.kiteShelf?.state().running)
    if (runs) return this.page.waitForTimeout(1000)
    await this.page
      .locator('[data-saving="saved"]')
      .waitFor({ state: 'attached', timeout: 10_000 })
      .catch(() => {
        throw new Error('It is not saved within ten seconds')
      })
  }

  /** Waits until the page is as it always must be, or says what is not. */
  private async settled(step: Step): Promise<Seen> {
    const until = Date.now() + PATIENCE
    for (;;) {
      const seen = await look(this.page)
      if (seen.path !== this.path) {
        await this.back()
        return look(this.page)
      }
      const problem = this.problemOf(seen)
      if (!problem) return seen
      if (Date.now() > until) throw new Error(`after ${told(step)}: ${problem}`)
      await this.page.waitForTimeout(40)
    }
  }

  private problemOf(seen: Seen): string | null {
    if (this.problems.length) return this.problems.join('; ')
    if (!seen.alive) return 'the page is dead'
    if (!seen.settled) return `the keys go to ${seen.keysIn}, the focus is ${seen.state.focus}`
    return seen.outside[0] ?? differs(seen) ?? this.astray(seen)
  }

  /** A browser window whose document has no window any more, or only minimised ones. */
  private astray({ state }: Seen): string | null {
    const open = [...this.outside].filter(([page]) => !page.isClosed())
    const shown = Object.values(state.windows).filter(({ minimised }) => !minimised)
    const astray = open.find(([, id]) => !shown.some(({ document }) => document === id))
    return astray ? `a browser window of ${astray[1]} is left` : null
  }

  /** A link in the menu led to the other shelf. */
  private async back(): Promise<void> {
    await this.page.goto(this.path)
    await this.page.locator('#desktop').waitFor()
    await this.closeOrphans()
    await this.mark()
  }

  private rules(step: Step, { state: before }: Seen, { state: after }: Seen): void {
    try {
      if (!isDeepStrictEqual(before, after)) readState(after)
    } catch (error) {
      throw new Error(`after ${told(step)}: ${error}`)
    }
    for (const state of [before, after]) this.touch(state, state.focus)
    this.touch(after, before.focus)
    for (const { id, unsaved } of Object.values(after.documents))
      if (unsaved && !before.documents[id]?.unsaved && !this.touched.has(id))
        throw new Error(`after ${told(step)}: “${after.documents[id]?.title}” is not saved`)
  }

  /** Undone to the beginning it is the beginning. */
  private async undoAll(): Promise<void> {
    if (!this.beginning) return
    this.log.push('undo everything')
    // So many steps are kept; the beginning may be further back.
    if ((await this.steps()) >= 200) return
    await this.page.evaluate((beginning) => {
      while ((window.kiteShelf?.steps().length ?? 0) > beginning)
        if (!window.kiteShelf?.run('history.undo').ok) throw new Error('a step cannot be undone')
    }, this.undoable)
    const now = await this.state()
    // Which display shows a desktop, and how large that is, is not undone; where windows stand follows.
    const stand = shows(now) === shows(this.beginning)
    expect(arranged(now, stand), 'undone to the beginning').toEqual(arranged(this.beginning, stand))
  }
}

/** Where what is drawn on the large area is not what is, while nothing is asked. */
function differs({ asking, state: flat, windows, rows }: Seen): string | null {
  if (asking) return null
  const state = readState(flat)
  const there = Object.values(state.windows).filter(
    (window) => isVisible(state, window) && flat.windows[window.id]?.display === flat.display,
  )
  const drawnThere = Object.keys(windows).filter((id) => flat.windows[id]?.display === flat.display)
  const ids = (all: string[]) => all.toSorted().join(' ')
  const [seen, due] = [ids(drawnThere), ids(there.map(({ id }) => id))]
  if (seen !== due) return `in sight are ${seen}, and should be ${due}`
  for (const window of there) {
    const drawn = windows[window.id]
    const { x, y, width, height } = shownFrame(state, window)
    const off = Object.entries({ x, y, width, height }).find(
      ([side, length]) => Math.abs(length - (drawn?.frame[side as 'x'] ?? 0)) > 1,
    )
    // A display beside that of the page may be larger than there is room.
    if (off && Object.keys(flat.displays).length === 1)
      return `${window.id} has ${off} and stands at ${JSON.stringify(drawn?.frame)}`
    const { title } = state.documents[window.document] ?? {}
    if (drawn?.title !== title) return `${window.id} is “${title}” and is called “${drawn?.title}”`
    if (drawn?.focused !== (flat.focus === window.id)) return `${window.id} has a wrong edge`
  }
  const by = (height: (id: string) => number) =>
    there
      .map(({ id }) => id)
      .toSorted((one, other) => height(one) - height(other))
      .join(' ')
  const above = by((id) => flat.windows[id]?.z ?? 0)
  const drawnAbove = by((id) => windows[id]?.height ?? 0)
  if (above !== drawnAbove) return `drawn above one another are ${drawnAbove}, not ${above}`
  const listed = state.order.filter((id) => rows.includes(id)).join(' ')
  return rows.join(' ') === listed ? null : `the rack lists ${rows}, not ${listed}`
}

/** All of a state but what follows from the size of the page, and what apps report meanwhile. */
const comparable = (state: State): unknown => ({ ...state, displays: null, attention: null })

const shows = ({ displays }: State): string =>
  Object.values(displays)
    .map(({ id, shows, width, height }) => `${id} ${shows} ${width} ${height}`)
    .join()

/** What undo brings back: not what was only looked at and gone to. @param stand where windows stand too */
function arranged(
  { desktops, order, columns, windows, everywhere, homes, apps, slots, settings }: State,
  stand: boolean,
) {
  return {
    desktops: Object.fromEntries(
      Object.entries(desktops).map(([id, { focus: _focus, ...desktop }]) => [id, desktop]),
    ),
    windows: Object.fromEntries(
      Object.entries(windows).map(([id, { z: _z, display, frame, ...window }]) => [
        id,
        { ...window, ...(stand && { display, frame }) },
      ]),
    ),
    ...{ order, columns, everywhere, homes, apps, slots, settings },
  }
}
