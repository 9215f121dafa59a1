import type { Pictured, PictureFormat } from '@/core/commands/command'
import type { Rect } from '@/core/geometry/rect'
import { connected } from '@/core/model/displays'
import type { Display } from '@/core/model/kinds/display'
import { current, title, window as windowOf } from '@/core/model/selectors'
import { NOT_COPIED } from '@/parts/clipboard'
import { download } from '@/parts/download'
import { windowElement } from '@/parts/focus'
import type { Shelf } from '@/store/shelf'
import { largeId, surfaces } from '@/ui/area/area'
import { fontRules } from './fonts'

/** What is not part of a picture: what is hidden, beside it, or only there to be pushed. */
const LEFT_OUT =
  '.slot-hidden, .slot-covered, .slots-hidden, .column button, .column-ground, .miniature-caption, .sign-arriving, .grip, iframe, dialog'

const isDrawn = (node: Node): boolean => !(node instanceof Element && node.matches(LEFT_OUT))

/** “Field 2026-11-26 14.05”, as a file may be called. */
function nameOf(what: string, format: PictureFormat, at: number): string {
  const now = new Date(at)
  const two = (number: number) => String(number).padStart(2, '0')
  const day = `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`
  const time = `${two(now.getHours())}.${two(now.getMinutes())}`
  return `${what} ${day} ${time}.${format}`
}

/** Something on the page and where it stands in the picture, with the styles that bring it there. */
interface Part extends Rect {
  element: HTMLElement
  style: Partial<CSSStyleDeclaration>
}

/** A window stands at the corner of its own picture. */
function windowPart(element: HTMLElement): Part {
  const { offsetWidth: width, offsetHeight: height } = element
  const style = { left: '0', top: '0', translate: 'none', transform: 'none' }
  return { element, x: 0, y: 0, width, height, style }
}

/** The page moved and scaled so that a display, wherever on it that is drawn, has its own pixels. */
function displayPart(
  shelf: Shelf,
  element: HTMLElement,
  { id, x, y, width, height }: Display,
): Part[] {
  const surface = surfaces(shelf, shelf.state())[id]
  if (!surface) return []
  const transform = `scale(${1 / surface.scale}) translate(${-surface.x}px, ${-surface.y}px)`
  const style = { transform, transformOrigin: '0 0', overflow: 'visible', contain: 'none' }
  return [{ element, x, y, width, height, style }]
}

function parts(shelf: Shelf, { of, window: id }: Omit<Pictured, 'format'>): Part[] {
  const element = id ? windowElement(id) : document.getElementById('desktop')
  if (!element) return []
  if (id) return [windowPart(element)]
  const state = shelf.state()
  // Together, a desktop is on all displays; apart, on the one it is shown on.
  const displays = connected(state).filter(
    (display) => display.id === largeId(state) || (of === 'desktop' && !state.apart),
  )
  return displays.flatMap((display) => displayPart(shelf, element, display))
}

/** A window, a display, an area of it or the desktop one is on, drawn into a file or the clipboard. */
export async function takePicture(shelf: Shelf, { format, ...what }: Pictured): Promise<void> {
  const state = shelf.state()
  const drawn = parts(shelf, what)
  if (drawn.length === 0) return shelf.say('There is nothing to draw.', { refused: true })
  const name = called(shelf, what)
  if (format === 'clipboard') {
    // Begun at once: a browser allows it only right after a key or a push.
    const item = new ClipboardItem({ 'image/png': asFile(drawn, 'png', what.area) })
    try {
      await navigator.clipboard.write([item])
    } catch {
      return shelf.say(NOT_COPIED, { refused: true })
    }
  } else
    download(
      await asFile(drawn, format, what.area),
      nameOf(what.window ? `${current(state).name}, ${name}` : name, format, shelf.clock()),
    )
  const frames = drawn[0]?.element.querySelectorAll('iframe') ?? []
  const pages = [...frames].filter((frame) => frame.checkVisibility()).length
  const some = pages === 1 ? 'a page in a frame' : `${pages} pages in frames`
  const without = pages > 0 ? `; ${some} cannot be drawn and stands as a sheet` : ''
  const where = drawn.length > 1 ? ` over ${drawn.length} displays` : ''
  const did = format === 'clipboard' ? 'Copied' : 'Made'
  shelf.say(`${did} a picture of ${what.window ? `“${name}”` : name}${where}${without}`)
}

function called(shelf: Shelf, { of, window: id }: Omit<Pictured, 'format'>): string {
  const state = shelf.state()
  if (id) return title(state, windowOf(state, id))
  const { name } = current(state)
  if (of === 'area') return `part of ${name}`
  return of === 'display' ? `${name} on ${state.displays[largeId(state)]?.name}` : name
}

/** @param area what of it is drawn, from the corner of the first part */
async function asFile(all: Part[], format: PictureFormat, area?: Rect): Promise<Blob> {
  const left = Math.min(...all.map(({ x }) => x))
  const top = Math.min(...all.map(({ y }) => y))
  const width = Math.max(...all.map((part) => part.x + part.width)) - left
  const height = Math.max(...all.map((part) => part.y + part.height)) - top
  const drawings: string[] = []
  for (const part of all) {
    const svg = await drawing(part)
    drawings.push(svg.replace('<svg', `<svg x="${part.x - left}" y="${part.y - top}"`))
  }
  const view = area ?? { x: 0, y: 0, width, height }
  const text = `<svg xmlns="http://www.w3.org/2000/svg" width="${view.width}" height="${view.height}" viewBox="${view.x} ${view.y} ${view.width} ${view.height}">${drawings.join('')}</svg>`
  return format === 'svg'
    ? new Blob([text], { type: 'image/svg+xml' })
    : png(text, view.width, view.height)
}

/** One part as SVG. */
async function drawing({ element, width, height, style }: Part): Promise<string> {
  const { toSvg } = await import('html-to-image')
  element.classList.add('picturing')
  try {
    const address = await toSvg(element, {
      filter: isDrawn,
      fontEmbedCSS: await fontRules(),
      width,
      height,
      style,
      backgroundColor: getComputedStyle(document.body).backgroundColor,
    })
    return decodeURIComponent(address.slice(address.indexOf(',') + 1))
  } finally {
    element.classList.remove('picturing')
  }
}

async function png(svg: string, width: number, height: number): Promise<Blob> {
  const image = new Image()
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`
  await image.decode()
  const canvas = new OffscreenCanvas(width * devicePixelRatio, height * devicePixelRatio)
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height)
  return canvas.convertToBlob({ type: 'image/png' })
}
