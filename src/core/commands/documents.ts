import { array, boolean, mixed } from 'yup'
import { maybeId, OBJECTS, objectProblem } from '@/core/formats/shape'
import { documentsInUse } from '@/core/model/selectors'
import type { DocumentInfo, State } from '@/core/model/types'
import { command, nameArgument, no, type Refusal } from './command'

const group = 'Documents' as const
const which = { document: maybeId().required() }

const known = (state: State, { document }: { document: string }): true | Refusal =>
  Object.hasOwn(state.documents, document) || no('There is no such document.')

/** What an app tells of its document: its title, and whether it has changes not saved. */
const set = command({
  id: 'document.set',
  title: 'Rename a document',
  group,
  step: false,
  args: { ...which, title: nameArgument(), unsaved: boolean() },
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
const discard = command({
  id: 'document.discard',
  title: 'Delete a document, and take it back',
  group,
  step: false,
  args: which,
  can: (state, { document }) => {
    const there = known(state, { document })
    if (there !== true) return there
    const { title, discarded } = state.documents[document] ?? {}
    if (discarded || !documentsInUse(state).has(document)) return true
    const behind = Object.values(state.desktops).find(
      ({ picture }) => picture?.document === document,
    )
    return no(
      behind
        ? `“${title}” is the backdrop of ${behind.name}. Choose another there first.`
        : `“${title}” is open. Close its windows first, then delete it.`,
    )
  },
  run: (draft, { document }, env) => {
    const found = draft.documents[document]
    if (!found) return
    found.discarded = !found.discarded
    if (found.discarded) found.discardedAt = env.now
    else delete found.discardedAt
    return { say: `${found.discarded ? 'Deleted' : 'Took back'} “${found.title}”` }
  },
})

/** Many documents out of sight at once, in one undoable step. */
const discardAll = command({
  id: 'documents.discard',
  title: 'Delete several documents',
  group,
  documents: true,
  args: { documents: array(maybeId().required()).required().min(1) },
  can: (state, { documents }) => {
    const used = documentsInUse(state)
    const wrong = documents.find((id) => !Object.hasOwn(state.documents, id) || used.has(id))
    return wrong === undefined || no('One of them is in use, or there is no such document.')
  },
  run: (draft, { documents }, env) => {
    for (const id of documents) {
      const found = draft.documents[id]
      if (found) Object.assign(found, { discarded: true, discardedAt: env.now })
    }
    const what = documents.length === 1 ? '1 document' : `${documents.length} documents`
    return { say: `Deleted ${what}` }
  },
})

/** What is known of documents that nobody looks at is kept elsewhere, and comes back from there. */
const putAway = command({
  id: 'documents.putAway',
  title: 'Put documents away that nobody looks at',
  group,
  step: false,
  args: { documents: array(maybeId().required()).required() },
  can: (state, { documents }) => {
    const used = documentsInUse(state)
    for (const { window } of state.closed) used.add(window.document)
    return !documents.some((id) => used.has(id)) || no('A window shows one of them.')
  },
  run: (draft, { documents }) => {
    for (const id of documents) delete draft.documents[id]
    return undefined
  },
})

const bring = command({
  id: 'documents.bring',
  title: 'Bring documents back to hand',
  group,
  step: false,
  args: { documents: array(mixed<DocumentInfo>().required()).required() },
  can: (_state, { documents }) => {
    const wrong = documents.find(
      (one) => objectProblem(String(one?.id), one, OBJECTS.documents) !== null,
    )
    return wrong === undefined || no('One of them is not what is known of a document.')
  },
  run: (draft, { documents }) => {
    for (const one of documents) draft.documents[one.id] ??= { ...one }
    return undefined
  },
})

const asking = <Id extends string>(view: 'title' | 'export document', id: Id, title: string) =>
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
  discardAll,
  putAway,
  bring,
  asking('title', 'document.askTitle', 'Rename this document…'),
  asking('export document', 'document.export', 'Export this document to a file'),
]
