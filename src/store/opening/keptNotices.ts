import { type KeptStore, whyNotKept } from '@/store/disk/storage'
import { NotWritten } from '@/store/documents/documents'
import { expected, logged } from '@/store/faults'
import { type Notice, notice, provideNotices, putAwayNotice } from '@/store/notices'
import type { Shelf } from '@/store/shelf'

/** Notices as they were left, and those of this start; they are kept until they are put away. */
export async function provideKeptNotices(
  shelf: Shelf,
  store: KeptStore,
  fresh: Notice[],
): Promise<void> {
  const before = await store.getItem('notices').catch(logged('Notices', null))
  provideNotices(shelf, Array.isArray(before) ? (before as Notice[]) : [], (list) => {
    void store.setItem('notices', list).catch(expected('told where the shelf itself is kept'))
  })
  for (const one of fresh) notice(shelf, one)
}

/** Documents that could not be written, by name, until they are. */
export function tellNotWritten(shelf: Shelf, error: unknown): void {
  if (!(error instanceof NotWritten)) {
    putAwayNotice(shelf, 'not written')
    return
  }
  const names = error.ids.slice(0, 3).map((id) => `“${shelf.state().documents[id]?.title ?? id}”`)
  const more = error.ids.length - names.length
  notice(shelf, {
    id: 'not written',
    text: `Not written to the disk: ${names.join(', ')}${more > 0 ? ` and ${more} more` : ''}. ${whyNotKept(error.why)}`,
    offers: { command: 'shelf.export', label: 'Export' },
  })
}
