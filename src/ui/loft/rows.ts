import { appOf } from '@/apps/list'
import type { Hits } from '@/core/finding/texts'
import type { Size } from '@/core/geometry/rect'
import type { DocumentId, WindowId } from '@/core/model/ids'
import { EVERY } from '@/core/model/kinds/window'
import { desktop, shownFrame, title, window as windowOf } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { plain } from '@/core/text/plain'
import type { Shelf } from '@/store/shelf'

/** A shelf of the loft: a desktop, the windows on every desktop, or an app. */
export interface LoftRow {
  id: string
  is: 'desktop' | 'every' | 'app' | 'stowed'
  name: string
  windows: ({ id: WindowId; document: DocumentId } & Size)[]
  /** What is on a stowed one, in words. */
  holds?: string
  /** Whether nothing on it matches what is looked for. */
  thin: boolean
  /** Whether nothing stands on it: an empty desktop, or one that is put away. */
  chip: boolean
}

/**
 * The rows of the loft with the windows that match; a row whose name matches keeps them all.
 * @param hits what was found in documents for the same filter
 */
export function loftRows(
  shelf: Shelf,
  state: State,
  by: 'desktop' | 'app',
  filter: string,
  hits: Hits | undefined,
): LoftRow[] {
  const words = plain(filter).split(/\s+/).filter(Boolean)
  const matches = (names: string, documents: DocumentId[] = []) => {
    const given = plain(names)
    const found = documents.map((id) => hits?.get(id))
    return words.every((word) => given.includes(word) || found.some((hit) => hit?.has(word)))
  }
  const row = (id: string, is: LoftRow['is'], name: string, ids: WindowId[]): LoftRow => {
    const all = ids.map((one) => windowOf(state, one))
    const some = matches(name)
      ? all
      : all.filter((one) =>
          matches(`${name} ${title(state, one)} ${appOf(shelf, one.app)?.name}`, [one.document]),
        )
    const windows = some.map((one) => {
      const { width, height } = shownFrame(state, one)
      return { id: one.id, document: one.document, width, height }
    })
    return {
      id,
      is,
      name,
      windows,
      thin: words.length > 0 && windows.length === 0 && !matches(name),
      chip: ids.length === 0,
    }
  }
  if (by === 'app')
    return byApp(shelf, state).map(([app, ids]) => row(app, 'app', nameOf(shelf, app), ids))
  const every = state.everywhere.length
    ? [row(EVERY, 'every', 'Every desktop', state.everywhere)]
    : []
  const desktops = state.order.map((id) => {
    const { name, windows } = desktop(state, id)
    return row(id, 'desktop', name, windows)
  })
  const stowed = state.stowed.map(({ id, desktop: { name }, windows }): LoftRow => {
    const all = Object.values(windows)
    const titles = all.map((one) => title(state, one))
    const documents = all.map(({ document }) => document)
    const thin = words.length > 0 && !matches(`${name} stowed ${titles.join(' ')}`, documents)
    return { id, is: 'stowed', name, windows: [], holds: titles.join(', '), thin, chip: true }
  })
  // In the order in which they stand.
  return [...every, ...desktops, ...stowed].sort((a, b) => Number(a.chip) - Number(b.chip))
}

const nameOf = (shelf: Shelf, app: string): string => appOf(shelf, app)?.name ?? app

/** The windows of each app, in the order of their desktops; apps by name. */
function byApp(shelf: Shelf, state: State): [string, WindowId[]][] {
  const groups = new Map<string, WindowId[]>()
  for (const id of [
    ...state.everywhere,
    ...state.order.flatMap((at) => desktop(state, at).windows),
  ]) {
    const { app } = windowOf(state, id)
    groups.set(app, [...(groups.get(app) ?? []), id])
  }
  return [...groups].sort(([a], [b]) => nameOf(shelf, a).localeCompare(nameOf(shelf, b)))
}
