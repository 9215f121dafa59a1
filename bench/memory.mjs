/** What a page holds: megabytes of script, elements and listeners, when all that is left over is cleared away. */
export async function held(client) {
  await client.send('HeapProfiler.collectGarbage')
  await client.send('HeapProfiler.collectGarbage')
  const { metrics } = await client.send('Performance.getMetrics')
  const of = (name) => metrics.find((metric) => metric.name === name).value
  return {
    megabytes: of('JSHeapUsedSize') / 2 ** 20,
    elements: of('Nodes'),
    listeners: of('JSEventListeners'),
  }
}

/** What a page holds before and after a number of switches by real keys. */
export async function memoryOf(page, switches) {
  const client = await page.context().newCDPSession(page)
  await client.send('Performance.enable')
  await client.send('HeapProfiler.enable')
  const press = async (times) => {
    for (let n = 0; n < times; n++) await page.keyboard.press('Alt+.')
  }
  // What is drawn when it is first looked at is there before one counts.
  await press(60)
  await page.waitForTimeout(3000)
  const before = await held(client)
  await press(switches)
  await page.waitForTimeout(3000)
  const after = await held(client)
  await client.detach()
  return { before, after }
}
