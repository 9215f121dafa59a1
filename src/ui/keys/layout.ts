import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import type { Layout } from './stroke'

const own = ofShelf(() => ({
  /** The layout of this keyboard, in browsers that tell. */
  told: undefined as Layout | undefined,
}))

/** Asks the browser for the layout; also again, since a person changes it. */
export async function askLayout(shelf: Shelf): Promise<void> {
  const { keyboard } = navigator as { keyboard?: { getLayoutMap(): Promise<Layout> } }
  try {
    own(shelf).told = await keyboard?.getLayoutMap()
  } catch {
    own(shelf).told = undefined
  }
}

/** The layout as it was told last; undefined where none was. */
export const layout = (shelf: Shelf): Layout | undefined => own(shelf).told
