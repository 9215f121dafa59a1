import { OWN } from './chords'

/** Small pages that ship with the demo, shown in web page windows. */

/** All the script they run. */
const passOn = (token: string): string => `const token = ${JSON.stringify(token)}${OWN}`

/** Who asks for a page: the nonce of its script, and the token Kite Shelf knows it by. */
interface Asker {
  nonce: string
  token: string
}

export function askerOf(request: Request): Asker {
  const token = new URL(request.url).searchParams.get('kite') ?? ''
  return {
    nonce: request.headers.get('x-nonce') ?? '',
    token: /^[\w-]{1,64}$/.test(token) ? token : '',
  }
}

const page = ({ nonce, token }: Asker, title: string, body: string, status = 200): Response =>
  new Response(
    `<!doctype html><html lang="en"><meta charset="utf-8"><title>${title}</title><script nonce="${nonce}">${passOn(token)}</script><body>${body}</body></html>`,
    { status, headers: { 'content-type': 'text/html; charset=utf-8' } },
  )

/** A link to another of these pages, which passes keys on as well. */
const link = ({ token }: Asker, path: string, text: string): string =>
  `<a href="${path}${token && `?kite=${token}`}">${text}</a>`

/** What the camera on the ridge sees: made for the hour it is asked for. */
export function ridgeCamera(asker: Asker, now: number): Response {
  const date = new Date(now)
  const clock = `${String(date.getHours()).padStart(2, '0')}:${String(date.getMinutes()).padStart(2, '0')}`
  const flakes = Array.from({ length: 60 }, (_, at) => {
    const x = (at * 137 + date.getMinutes() * 11) % 640
    const y = (at * 71 + date.getMinutes() * 29) % 400
    return `<circle cx="${x}" cy="${y}" r="${1 + (at % 3) * 0.6}" fill="#fff" opacity="0.8"/>`
  }).join('')
  return page(
    asker,
    'Ridge camera',
    `<h1 style="font:600 15px sans-serif">Ridge camera, Tarn Ridge 2,140 m, ${clock}</h1>
<svg viewBox="0 0 640 400" width="100%" role="img" aria-label="Snow on Tarn Ridge">
<rect width="640" height="400" fill="#9fb3c4"/>
<path d="M0 260 L120 150 L210 220 L330 90 L450 210 L540 140 L640 230 V400 H0 Z" fill="#e9eef2"/>
<path d="M330 90 L360 140 L345 150 L380 190 L330 170 L300 150 Z" fill="#8b9aa8"/>
<path d="M0 330 Q160 290 320 330 T640 320 V400 H0 Z" fill="#f7f9fb"/>
<path d="M92 330 v-44 M88 290 h30 l-6 -8 h-24 z" stroke="#444" stroke-width="4" fill="#c23a20"/>
${flakes}</svg>
<p style="font:14px sans-serif">Wind north-west 41 km/h, −8.0 °C. The next picture is taken in ten minutes.</p>
<p style="font:14px sans-serif">${link(asker, '/pages/notice', 'Notice of the snow office')}</p>`,
  )
}

export const notice = (asker: Asker): Response =>
  page(
    asker,
    'Notice',
    `<h1 style="font:600 18px sans-serif">Harrow Range Snow Office</h1>
<p style="font:15px sans-serif">The bulletin is issued every day at 16:00. Ask at the hut before you cross Tarn Ridge.</p>
<p style="font:15px sans-serif">${link(asker, '/pages/ridge-camera', 'Ridge camera')}</p>`,
  )

/** Says that an address leads nowhere, without a script of the shelf in the window of a web page. */
export const notThere = (asker: Asker): Response =>
  page(
    asker,
    'No such page',
    `<h1 style="font:600 18px sans-serif">There is no page at this address</h1>
<p style="font:15px sans-serif">Look at how it is written, or go to the ${link(asker, '/pages/ridge-camera', 'ridge camera')} or the ${link(asker, '/pages/notice', 'notice of the snow office')}.</p>`,
    404,
  )
