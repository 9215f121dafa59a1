import type { Shelf } from '@/store/shelf'

/** What a file of the whole shelf is called, without its extension. */
export const shelfName = (shelf: Shelf): string =>
  `shelf-${new Date(shelf.clock()).toISOString().slice(0, 10)}`

/** Says what was exported, and so when something could not be read and is not in the file. */
export function sayExported(shelf: Shelf, what: string, missing: string[]): void {
  if (missing.length === 0) {
    shelf.say(`Exported ${what}`)
    return
  }
  const names = missing.slice(0, 3).map((title) => `“${title}”`)
  const more = missing.length > 3 ? ` and ${missing.length - 3} more` : ''
  shelf.say(`Exported ${what} without ${names.join(', ')}${more}: their contents can’t be read`, {
    refused: true,
  })
}
