import { Spare, type SpareCopy } from '@/store/disk/spare'
import { setHealth, whyFailed } from '@/store/health'
import type { Shelf } from '@/store/shelf'
import { waitFor } from '@/store/starting'
import { databaseFor } from './aside'

/** The second copy is done without when it has not answered by then, in milliseconds. */
const OPENED_WITHIN = 2500
const READ_WITHIN = 4000

/** The second copy of a shelf with the newest it has. */
export interface Second {
  /** Null where there is none, or none that answers. */
  spare: Spare | null
  copy: SpareCopy | null
  /** There may be one that could not be opened. */
  failed?: boolean
}

/** One that does not answer is left alone until the shelf is opened again: what it has is not known. */
export async function openSecond(shelf: Shelf, name: string): Promise<Second> {
  try {
    const opening = Spare.open(databaseFor(name))
    const spare = await waitFor(shelf, 'the second copy', OPENED_WITHIN, opening)
    const copy = spare && (await waitFor(shelf, 'the second copy', READ_WITHIN, spare.read()))
    return { spare, copy }
  } catch (error) {
    const says = `The second copy can’t be opened. ${whyFailed(error)} Reload to try again.`
    setHealth(shelf, 'copy', { is: 'amiss', says })
    return { spare: null, copy: null, failed: true }
  }
}
