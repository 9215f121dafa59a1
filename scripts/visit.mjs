/**
 * Puts the offline worker in control, as it is from a person's second visit on.
 * @param page of Playwright or of Puppeteer; it stands where no shelf is open afterwards
 * @param address of the application, where the page needs the whole of it
 */
export async function visit(page, address = '') {
  await page.goto(`${address}/icon.svg`)
  await page.evaluate(async () => {
    await navigator.serviceWorker.register('/offline.js')
    await navigator.serviceWorker.ready
    if (!navigator.serviceWorker.controller)
      await new Promise((done) => {
        navigator.serviceWorker.oncontrollerchange = done
      })
  })
}
