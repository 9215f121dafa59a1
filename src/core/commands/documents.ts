import { boolean, string } from 'yup'
import type { State } from '@/core/model/types'
import { command, no, type Refusal } from './command'

const group = 'Documents' as const
const which = { document: string().required() }

const known = (state: State, { document }: { document: string }): true | Refusal =>
  Object.hasOwn(state.documents, document) || no('There is no such document.')

/** What an app tells of its document: its title, and whether it has changes not saved. */
export const set = command({
  id: 'document.set',
  title: 'Rename a document',
  group,
  step: false,
  args: { ...which, title: string(), unsaved: boolean() },
  can: (state, args) => {
    const there = known(state, args)
    if (there !== true) return there
    return args.title === undefined || args.title.trim() !== '' || no('A document needs a title.')
  },
  run: (draft, { document: id, title, unsaved }) => {
    const known = draft.documents[id]
    if (known && title !== undefined) known.title = title.trim()
    if (known && unsaved !== undefined) known.unsaved = unsaved
    return undefined
  },
})

/** Deleting puts a document out of sight; what it says is kept until it is taken back. */
export const discard = command({
  id: 'document.discard',
  title: 'Delete a document, and take it back',
  group,
  step: false,
  args: which,
  can: (state, { document }) => {
    const there = known(state, { document })
    if (there !== true) return there
    const open = Object.values(state.windows).some((window) => window.document === document)
    const { title, discarded } = state.documents[document] ?? {}
    return discarded || !open || no(`“${title}” is open. Close its windows first, then delete it.`)
  },
  run: (draft, { document }) => {
    const found = draft.documents[document]
    if (!found) return
    found.discarded = !found.discarded
    return { say: `${found.discarded ? 'Deleted' : 'Took back'} “${found.title}”` }
  },
})

const asking = (view: 'title' | 'export document', id: string, title: string) =>
  command({
    id,
    title,
    group,
    step: false,
    args: which,
    can: known,
    run: (_draft, { document }) => ({ show: { view, document } }),
  })

export const documentCommands = [
  set,
  discard,
  asking('title', 'document.askTitle', 'Rename this document…'),
  asking('export document', 'document.export', 'Export this document to a file'),
]
