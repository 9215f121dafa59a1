/**
 * Milliseconds of a start: from the moment the scripts have come until the first window takes keys, and
 * until all windows of its desktop are drawn.
 */
export async function startOf(page, each) {
  await page.reload()
  return page.evaluate(async (windows) => {
    const frame = () => new Promise((resolve) => requestAnimationFrame(resolve))
    const until = async (there) => {
      while (!there()) await frame()
      return performance.now()
    }
    const first = await until(() =>
      document.activeElement
        ?.closest('.win-focused')
        ?.querySelector('.win-body')
        ?.contains(document.activeElement),
    )
    // Those wholly behind others are not laid out.
    const drawn = () =>
      [...document.querySelectorAll('.win')].filter(
        (window) =>
          (window.checkVisibility() || window.closest('.slot-covered')) &&
          window.querySelector('.win-body')?.firstElementChild,
      ).length
    const all = await until(() => drawn() >= windows)
    const came = Math.max(
      ...performance
        .getEntriesByType('resource')
        .filter(({ name, responseEnd }) => name.endsWith('.js') && responseEnd < first)
        .map(({ responseEnd }) => responseEnd),
    )
    return { came, first: first - came, all: all - came }
  }, each)
}
