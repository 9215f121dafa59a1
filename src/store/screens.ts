import { type ScreenRoom, screenFor } from '@/core/geometry/screens'
import { connected } from '@/core/model/displays'
import type { DisplayId } from '@/core/model/ids'
import { expected } from './faults'
import { ofShelf } from './ofShelf'
import type { Shelf } from './shelf'

/** What a browser tells of the screens there are, where it does: it asks the person first. */
interface Screens {
  screens: ScreenRoom[]
  currentScreen: ScreenRoom
}

const own = ofShelf(() => ({
  /** The display this page itself shows. */
  display: 'near' as DisplayId,
  /** Told anew by the browser whenever screens change. */
  screens: null as Screens | null,
}))

/** Says which display the page of a shelf shows. */
export const showsDisplay = (shelf: Shelf, display: DisplayId): void => {
  own(shelf).display = display
}

/** What is said where a browser keeps to itself which screens there are. */
export const UNTOLD =
  'The browser won’t say which screens you have, so windows open on this one. Allow window management beside the address to use the others.'

/**
 * Asks which screens there are, where there are several and this page does not show the display itself: at best while a
 * key or a push is answered.
 * @returns whether they are known only now; `refused` where the person or the browser said no
 */
export async function learnScreens(shelf: Shelf, display: DisplayId): Promise<boolean | 'refused'> {
  const mine = own(shelf)
  const { getScreenDetails } = window as { getScreenDetails?(): Promise<Screens> }
  const several = (screen as { isExtended?: boolean }).isExtended === true
  if (mine.screens || display === mine.display || !several || !getScreenDetails) return false
  mine.screens = await getScreenDetails.call(window).catch(expected('it is said', null))
  return mine.screens ? true : 'refused'
}

export const knowsScreens = (shelf: Shelf): boolean => own(shelf).screens !== null

/** The screen a display stands for: the one this page is on as long as no others are known. */
export function screenOf(shelf: Shelf, display: DisplayId): ScreenRoom {
  const { screens, display: shown } = own(shelf)
  // Not all browsers tell where a screen begins; on most it is at 0.
  const {
    availLeft = 0,
    availTop = 0,
    availWidth,
    availHeight,
  } = screen as Partial<ScreenRoom> & Screen
  if (!screens) return { availLeft, availTop, availWidth, availHeight }
  const order = connected(shelf.state()).map(({ id }) => id)
  return screenFor(display, order, shown, screens.screens, screens.currentScreen)
}
