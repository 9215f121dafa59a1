/**
 * Prints elements alone, as they are laid out on paper.
 * @param title what the browser calls the file or the page
 */
export function print(elements: Element | Element[], title: string): void {
  const sheet = document.createElement('section')
  sheet.id = 'printed'
  sheet.setAttribute('aria-hidden', 'true')
  sheet.append(...[elements].flat().map((element) => element.cloneNode(true)))
  const before = document.title
  document.body.append(sheet)
  document.title = title
  addEventListener(
    'afterprint',
    () => {
      sheet.remove()
      document.title = before
    },
    { once: true },
  )
  window.print()
}
