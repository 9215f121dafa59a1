import type { Shelf } from '@/store/shelf'

/** Said where the clipboard takes nothing. */
export const NOT_COPIED =
  'The browser doesn’t let this page copy. Allow it for this page and try again.'

/**
 * Puts a text on the clipboard.
 * @param said what is told then
 */
export const copyText = (shelf: Shelf, text: string, said: string): Promise<void> =>
  navigator.clipboard.writeText(text).then(
    () => shelf.say(said),
    () => shelf.say(NOT_COPIED, { refused: true }),
  )
