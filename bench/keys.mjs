/** Has a page tell how long each key takes until what it changed is on its way to the screen. */
export const listen = (page) =>
  page.evaluate(() => {
    window.taken = []
    addEventListener(
      'keydown',
      ({ key, timeStamp }) => {
        if (['Alt', 'Shift', 'Control'].includes(key)) return
        requestAnimationFrame(() => {
          // The next task comes when the frame is laid out and painted.
          const { port1, port2 } = new MessageChannel()
          port1.onmessage = () => window.taken.push(performance.now() - timeStamp)
          port2.postMessage(0)
        })
      },
      { capture: true },
    )
  })

/** Milliseconds from each of a number of real keys, pressed one after the other, to its frame. */
export async function framesOf(page, keys, pause = 120) {
  await page.bringToFront()
  await page.evaluate(() => {
    window.taken.length = 0
  })
  for (const key of keys) {
    await page.keyboard.press(key)
    await page.waitForTimeout(pause)
  }
  return page.evaluate(() => window.taken)
}
