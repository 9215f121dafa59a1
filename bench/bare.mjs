/**
 * The page everything is measured against: the elements and styles of a shelf as they stand, put onto a
 * page of their own by hand. Its script does no more than it must: the next desktop is shown and its
 * uppermost editor gets the focus, and the one before is hidden.
 *
 * @param shelf a page with a shelf whose windows have all been seen
 * @param address of the application, whose fonts and pages it uses
 */
export async function barePage(browser, shelf, address) {
  const { css, desktops } = await shelf.evaluate(() => {
    const { order, desktops, windows } = window.kiteShelf.state()
    const sheets = [...document.styleSheets].flatMap(({ cssRules }) => [...cssRules])
    return {
      css: sheets.map(({ cssText }) => cssText).join('\n'),
      desktops: order.map((id) =>
        desktops[id].windows.map((one) => {
          const made = document.getElementById(`window-${one}`).cloneNode(true)
          const { x, y, width, height } = windows[one].frame
          made.style.cssText = `left:${x}px;top:${y}px;width:${width}px;height:${height}px`
          return made.outerHTML
        }),
      ),
    }
  })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.route('**/bare.html', (route) =>
    route.fulfill({
      contentType: 'text/html',
      body: `<!doctype html><meta charset="utf-8"><style>${css}</style>
<style>
  .desktop { position: absolute; inset: 0 }
  .desktop .win { position: absolute; visibility: visible; content-visibility: visible }
  .hidden { content-visibility: hidden; pointer-events: none }
</style>
<body>${desktops.map((windows, at) => `<div class="desktop ${at ? 'hidden' : ''}">${windows.join('')}</div>`).join('')}
<script>
  const desktops = document.querySelectorAll('.desktop')
  let shown = 0
  addEventListener('keydown', (event) => {
    if (!event.altKey || event.key !== '.') return
    event.preventDefault()
    const before = desktops[shown]
    shown = (shown + 1) % desktops.length
    desktops[shown].classList.remove('hidden')
    desktops[shown].querySelector('.win:last-child [contenteditable]')?.focus({ preventScroll: true })
    before.classList.add('hidden')
  })
  let dragged = null
  addEventListener('pointerdown', ({ target, clientX, clientY }) => {
    dragged = { element: target.closest('.win'), x: clientX, y: clientY }
  })
  addEventListener('pointermove', ({ clientX, clientY }) => {
    if (dragged?.element) dragged.element.style.translate = clientX - dragged.x + 'px ' + (clientY - dragged.y) + 'px'
  })
  addEventListener('pointerup', () => { dragged = null })
</script>`,
    }),
  )
  await page.goto(`${address}/bare.html`)
  return page
}
