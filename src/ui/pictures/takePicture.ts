import type { PictureFormat } from '@/core/commands/pictures'
import { current, title, window as windowOf } from '@/core/model/selectors'
import type { WindowId } from '@/core/model/types'
import { getState, say } from '@/store/shelf'
import { area } from '@/ui/desktop/area'
import { download } from '@/ui/parts/download'
import { windowElement } from '@/ui/parts/focus'
import { fontRules } from './fonts'

/** What is not part of a picture: what is hidden, beside it, or only there to be pushed. */
const LEFT_OUT = '.slot-hidden, .slots-hidden, .column, .sign-arriving, .grip, iframe, dialog'

const isDrawn = (node: Node): boolean => !(node instanceof Element && node.matches(LEFT_OUT))

/** “Field 2026-11-26 14.05”, as a file may be called. */
function nameOf(what: string, format: PictureFormat): string {
  const now = new Date()
  const two = (number: number) => String(number).padStart(2, '0')
  const day = `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`
  const time = `${two(now.getHours())}.${two(now.getMinutes())}`
  return `${what} ${day} ${time}.${format}`
}

/** A window, or the desktop one is on, drawn into a file. */
export async function takePicture(format: PictureFormat, id?: WindowId): Promise<void> {
  const state = getState()
  const { name } = current(state)
  const element = id ? windowElement(id) : document.getElementById('desktop')
  if (!element) return say('There is nothing to draw.', { refused: true })
  const frames = [...element.querySelectorAll('iframe')].filter((frame) => frame.checkVisibility())
  const what = id ? `${name}, ${title(state, windowOf(state, id))}` : name
  const file = await drawn(element, format, id ? undefined : area.getState())
  download(file, nameOf(what, format))
  const pages = frames.length === 1 ? 'a page in a frame' : `${frames.length} pages in frames`
  const without = frames.length > 0 ? `; ${pages} cannot be drawn and stands as a sheet` : ''
  say(`Made a picture of ${id ? `“${title(state, windowOf(state, id))}”` : name}${without}`)
}

async function drawn(
  element: HTMLElement,
  format: PictureFormat,
  size: { width: number; height: number } | undefined,
): Promise<Blob> {
  const { toBlob, toSvg } = await import('html-to-image')
  const given = {
    filter: isDrawn,
    fontEmbedCSS: await fontRules(),
    pixelRatio: devicePixelRatio,
    ...(size && { width: size.width, height: size.height }),
    backgroundColor: getComputedStyle(document.body).backgroundColor,
    // A window stands at the corner of its own picture.
    ...(!size && { style: { left: '0', top: '0', translate: 'none', transform: 'none' } }),
  }
  element.classList.add('picturing')
  try {
    if (format === 'png') {
      const blob = await toBlob(element, given)
      if (!blob) throw new Error('The browser did not draw it.')
      return blob
    }
    const address = await toSvg(element, given)
    const text = decodeURIComponent(address.slice(address.indexOf(',') + 1))
    return new Blob([text], { type: 'image/svg+xml' })
  } finally {
    element.classList.remove('picturing')
  }
}
