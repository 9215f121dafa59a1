/**
 * Prints elements alone, as they are laid out on paper. They are put into the page for it, and taken out.
 * @param title what the browser calls the file or the page
 */
export function print(elements: Node[], title: string): void {
  const sheet = document.createElement('section')
  sheet.id = 'printed'
  sheet.setAttribute('aria-hidden', 'true')
  sheet.append(...elements)
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
