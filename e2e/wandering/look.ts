import type { Page } from '@playwright/test'
import type { FlatState as State } from '../../src/store/flat'

/** What is seen of the page at once. */
export interface Seen {
  path: string
  alive: boolean
  /** Whether something takes the keys before the windows do. */
  asking: boolean
  state: State
  /** Where the browser's focus is, and whether that is as it should be. */
  keysIn: string
  settled: boolean
  /** Whether plain keys are commands. */
  layer: boolean
  /** Whether what has the focus takes text. */
  takesText: boolean
  /** What stands open and leaves the screen, or says less than it has to say. */
  outside: string[]
  /** How many steps can be undone. */
  steps: number
  /** The windows in sight, in their places on the desktop. */
  windows: Record<string, Drawn>
  /** The desktops the rack lists, but for those in folded groups. */
  rows: string[]
}

interface Drawn {
  frame: { x: number; y: number; width: number; height: number }
  title: string
  focused: boolean
  height: number
}

/** Looks at the page as a person would, and at where its keys go. */
export const look = (page: Page): Promise<Seen> =>
  // A link that was followed takes the page away while it is looked at.
  lookOnce(page).catch(async (error: Error) => {
    if (!error.message.includes('navigation')) throw error
    await page.waitForLoadState()
    return lookOnce(page)
  })

/** As text: to take the state over object by object costs more than all the rest. */
const lookOnce = async (page: Page): Promise<Seen> => JSON.parse(await page.evaluate(seen))

const seen = (): string => {
  const active = document.activeElement ?? document.body
  const state = window.kiteShelf?.state()
  const focus = state?.focus ?? null
  const inWindow = active.closest<HTMLElement>('[data-window]')?.dataset.window
  const inContent = active.closest('.win-body') !== null && !active.classList.contains('win-body')
  const bare =
    active.classList.contains('win-body') &&
    active.firstElementChild !== null &&
    !active.querySelector('[data-autofocus]')
  // A verb of the bar that was pushed waits for the letter of a desktop.
  const asks =
    'dialog[open], [role=dialog], [role=alertdialog], [role=menu], [aria-label="Name of the desktop"], .verb[aria-pressed=true]'
  const asking = document.querySelector(asks) !== null
  const byTab =
    active !== document.body &&
    active.id !== 'desktop' &&
    !active.classList.contains('win-body') &&
    active.matches(':focus-visible')
  const field = active.matches('input, textarea, select')
  const settled =
    asking ||
    (inContent && inWindow === focus) ||
    // Some contents have nothing to type into.
    (inWindow === focus && bare) ||
    (focus === null && active.id === 'desktop') ||
    (!inWindow && field) ||
    byTab
  const takesText =
    active.matches('textarea, [contenteditable=true], [role=gridcell]:not(.row-number)') ||
    (active instanceof HTMLInputElement &&
      !['range', 'checkbox', 'radio', 'button'].includes(active.type))
  const named = (element: Element) =>
    `${element.getAttribute('role') ?? element.tagName} “${element.getAttribute('aria-label') ?? element.textContent?.slice(0, 30)}”`
  const outside: string[] = []
  for (const open of document.querySelectorAll('[role=dialog], [role=menu], [role=alert]')) {
    if (open.id === 'loft' || !open.checkVisibility() || open.closest('.win-body')) continue
    const { left, top, right, bottom } = open.getBoundingClientRect()
    if (left < -1 || top < -1 || right > innerWidth + 1 || bottom > innerHeight + 1)
      outside.push(
        `${named(open)} at ${[left, top, right, bottom].map(Math.round)} of ${innerWidth} × ${innerHeight}`,
      )
    for (const part of open.querySelectorAll<HTMLElement>('.truncate')) {
      const cut = part.scrollWidth > part.clientWidth + 1 && part.clientWidth > 0
      if (cut && !part.closest('[title], [aria-label]:not([role=dialog]), [data-standing]'))
        outside.push(`cut without a full form: ${part.textContent?.slice(0, 60)}`)
    }
  }
  // What no hand can scroll stays where it is: else a part of it could never be seen again.
  for (const fixed of document.querySelectorAll(
    'html, body, #desktop, [data-rack], [aria-label="Line"], .win, .win-edge, .win-sheet, .win-body',
  ))
    if (fixed.scrollTop !== 0 || fixed.scrollLeft !== 0)
      outside.push(`scrolled: ${named(fixed)} by ${fixed.scrollLeft}, ${fixed.scrollTop}`)
  // What was not meant to be read.
  const read = [
    ...[...document.body.children].map(({ tagName, textContent }) =>
      tagName === 'SCRIPT' ? '' : textContent,
    ),
    ...[...document.querySelectorAll('[aria-label], [title]')].flatMap((one) => [
      one.getAttribute('aria-label'),
      one.getAttribute('title'),
    ]),
  ]
  for (const text of read) {
    const raw = /.{0,30}(\bundefined\b|\bNaN\b|\bnull\b|\[object ).{0,30}/.exec(text ?? '')
    if (raw) outside.push(`it says “${raw[0]}”`)
  }
  const desktop = document.getElementById('desktop')?.getBoundingClientRect()
  const windows: Seen['windows'] = {}
  for (const window of document.querySelectorAll<HTMLElement>('#desktop .win')) {
    // Those wholly behind others are not laid out, and are there all the same.
    const behind = window.closest('.slot-covered') !== null
    if (
      !behind &&
      !window.checkVisibility({ contentVisibilityAuto: true, visibilityProperty: true })
    )
      continue
    const { left, top, width, height } = window.getBoundingClientRect()
    const { x, y } = desktop ?? { x: 0, y: 0 }
    windows[window.dataset.window ?? ''] = {
      frame: { x: left - x, y: top - y, width, height },
      title: window.getAttribute('aria-label') ?? '',
      focused: 'focused' in window.dataset,
      height: Number(window.style.zIndex),
    }
  }
  const all: Seen = {
    path: location.pathname,
    alive: document.getElementById('desktop') !== null && state !== undefined,
    asking,
    state: state as State,
    keysIn: `${inWindow ? `${inWindow} ` : ''}${named(active)}`,
    settled,
    layer:
      // In a run they are those of the run.
      state?.running != null ||
      (document.querySelector('[aria-label=Line]')?.textContent?.includes('Keys are commands') ??
        false),
    takesText,
    outside,
    steps: window.kiteShelf?.steps().length ?? 0,
    windows,
    rows: [...document.querySelectorAll<HTMLElement>('[data-desktop-row]')].map(
      ({ dataset }) => dataset.desktopRow ?? '',
    ),
  }
  return JSON.stringify(all)
}

/** The windows in which a word stands. */
export const windowsWith = (page: Page, word: string): Promise<string[]> =>
  page.evaluate(
    (sought) =>
      [...document.querySelectorAll<HTMLElement>('.win-body')].flatMap((body) => {
        const fields = [...body.querySelectorAll<HTMLInputElement>('input, textarea')]
        const has =
          body.textContent?.includes(sought) || fields.some(({ value }) => value.includes(sought))
        return has ? (body.closest<HTMLElement>('[data-window]')?.dataset.window ?? []) : []
      }),
    word,
  )
