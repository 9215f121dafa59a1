/** What parts of the page take of its room, in CSS pixels; `tokens.css` has the same for what is drawn. */

/** Up to this width the rack makes do with less. */
export const NARROW = 1000

export const isNarrow = (): boolean => innerWidth <= NARROW

/** The rack, and of a narrow page. */
const RACK = { wide: 208, narrow: 60 }

export const rackWidth = (): number => (isNarrow() ? RACK.narrow : RACK.wide)

/** The strip of the title bar, where an installed shelf draws its own. */
export const titleBar = (): number =>
  Number.parseFloat(getComputedStyle(document.documentElement).getPropertyValue('--title')) || 0

/** The line at the bottom. */
export const LINE = 36
