/** Said where the clipboard takes nothing. */
export const NOT_COPIED =
  'The browser doesn’t let this page copy. Allow it for this page and try again.'
