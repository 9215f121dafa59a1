/**
 * Strokes with Alt, or with the leader, and what two fingers say on a touch pad are passed on to Kite
 * Shelf, with the token it gave this page, which no page that comes after it in the frame knows.
 */
const PASS_ON = `
let control = false
for (const type of ['keydown', 'keyup'])
  addEventListener(type, (event) => {
    const { key, code, altKey, shiftKey, ctrlKey, metaKey } = event
    if (key === 'Control') control = type === 'keydown'
    if (!token || event.getModifierState('AltGraph')) return
    if (!altKey && key !== 'Alt' && !(ctrlKey && code === 'Period')) return
    event.preventDefault()
    const kiteShelfKey = { token, type, key, code, altKey, shiftKey, ctrlKey, metaKey }
    parent.postMessage({ kiteShelfKey }, '*')
  })
// Browsers tell a pinch as a wheel with Ctrl, though no such key is down.
addEventListener('wheel', (event) => {
  const { deltaX, deltaY, altKey, ctrlKey } = event
  if (!token || (!altKey && (!ctrlKey || control))) return
  event.preventDefault()
  parent.postMessage({ kiteShelfWheel: { token, deltaX, deltaY, altKey, ctrlKey } }, '*')
}, { passive: false })`

/**
 * A link that opens a window of its own opens one of the desktop; one that leads on in the frame is said to Kite Shelf,
 * which goes there and knows the way back. Left to the page is what leads within itself or is saved.
 */
const LINKS = `
addEventListener('click', (event) => {
  const link = event.target.closest?.('a[href]')
  if (!token || !link || event.defaultPrevented || event.button !== 0) return
  const beside = link.target === '_blank' || event.ctrlKey || event.metaKey
  const within = link.hash && link.href.split('#')[0] === location.href.split('#')[0]
  const leads = /^https?:$/.test(link.protocol) && !link.hasAttribute('download')
  if (!leads || within || (!beside && link.target && link.target !== '_self')) return
  event.preventDefault()
  const said = { token, address: link.href }
  parent.postMessage(beside ? { kiteShelfOpen: said } : { kiteShelfFollow: said }, '*')
})`

/** All of it, for pages that ship with Kite Shelf. */
export const OWN = PASS_ON + LINKS

/**
 * What whoever owns a page puts into it: once the person has allowed it, chords pressed there work in
 * Kite Shelf, and links that open a window of their own open a window of the desktop. See docs/chords.md.
 */
export const CHORDS = `(() => {
if (parent === window) return
let token = ''
addEventListener('message', ({ source, data }) => {
  if (source === parent && typeof data?.kiteShelf === 'string') token = data.kiteShelf
})
parent.postMessage({ kiteShelfHello: true }, '*')
${PASS_ON}
${LINKS}
})()
`
