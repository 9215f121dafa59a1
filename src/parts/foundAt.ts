/** What lies at a point of the page and is, or stands in, what is sought; the topmost first. */
export function foundAt(selector: string, x: number, y: number): HTMLElement | null {
  // The browser has been seen to list none in the place of an element.
  const there: (Element | null)[] = document.elementsFromPoint(x, y)
  for (const element of there) {
    const found = element?.closest<HTMLElement>(selector)
    if (found) return found
  }
  return null
}
