import { array, boolean, mixed } from 'yup'
import { command, nameArgument, no, noTo, type Refusal, refused } from '@/core/commands/command'
import type { DocumentInfo } from '@/core/model/kinds/document'
import { DOCUMENT } from '@/core/model/kinds/document'
import type { Look } from '@/core/model/kinds/look'
import { documentsInUse } from '@/core/model/selectors'
import { maybeId, objectProblem } from '@/core/model/shaping'
import type { State } from '@/core/model/state'

const group = 'Documents' as const
const which = { document: maybeId().required() }

const known = (state: State, { document }: { document: string }): DocumentInfo | Refusal =>
  state.documents[document] ?? no('There is no such document.')

/** What an app tells of its document: its title, and whether it has changes not saved. */
const set = command({
  id: 'document.set',
  title: 'Rename a document',
  group,
  unlisted: true,
  step: false,
  args: { ...which, title: nameArgument(), unsaved: boolean() },
  plan: (draft, { document, title, unsaved }) => {
    const found = known(draft, { document })
    if (refused(found)) return found
    if (title?.trim() === '') return noTo('title', 'A document needs a title.')
    if (title !== undefined) found.title = title.trim()
    if (unsaved !== undefined) found.unsaved = unsaved
    return undefined
  },
})

/** Deleting puts a document out of sight; what it says is kept until it is taken back. */
const discard = command({
  id: 'document.discard',
  title: 'Delete a document',
  group,
  unlisted: true,
  step: false,
  args: which,
  plan: (draft, { document }, env) => {
    const found = known(draft, { document })
    if (refused(found)) return found
    if (!found.discarded && documentsInUse(draft).has(document))
      return no(`“${found.title}” is ${inUseAs(draft, document)}`)
    found.discarded = !found.discarded
    if (found.discarded) found.discardedAt = env.now
    else delete found.discardedAt
    return { say: `${found.discarded ? 'Deleted' : 'Took back'} “${found.title}”` }
  },
})

/** “open. Close its windows first, then delete it.” */
function inUseAs({ desktops, patterns }: State, document: string): string {
  const has = ({ picture }: Look) => picture?.document === document
  const behind = Object.values(desktops).find(has)
  if (behind) return `the backdrop of ${behind.name}. Choose another there first.`
  const kept = patterns.find(({ look }) => has(look))
  if (kept) return `the backdrop of the pattern ${kept.name}. Remove that first.`
  return 'open. Close its windows first, then delete it.'
}

/** Many documents out of sight at once, in one undoable step. */
const discardAll = command({
  id: 'documents.discard',
  title: 'Delete several documents',
  group,
  unlisted: true,
  documents: true,
  args: { documents: array(maybeId().required()).required().min(1) },
  plan: (draft, { documents }, env) => {
    const used = documentsInUse(draft)
    const found = documents.map((id) => (used.has(id) ? undefined : draft.documents[id]))
    if (found.includes(undefined)) return no('One of them is in use, or there is no such document.')
    for (const one of found) if (one) Object.assign(one, { discarded: true, discardedAt: env.now })
    const what = documents.length === 1 ? '1 document' : `${documents.length} documents`
    return { say: `Deleted ${what}` }
  },
})

/** What is known of documents that nobody looks at is kept elsewhere, and comes back from there. */
const putAway = command({
  id: 'documents.putAway',
  title: 'Clear up unused documents',
  group,
  unlisted: true,
  step: false,
  args: { documents: array(maybeId().required()).required() },
  plan: (draft, { documents }) => {
    const used = documentsInUse(draft)
    for (const { window } of draft.closed) used.add(window.document)
    if (documents.some((id) => used.has(id))) return no('A window shows one of them.')
    for (const id of documents) delete draft.documents[id]
    return undefined
  },
})

const bring = command({
  id: 'documents.bring',
  title: 'Bring documents back to hand',
  group,
  unlisted: true,
  step: false,
  args: { documents: array(mixed<DocumentInfo>().required()).required() },
  plan: (draft, { documents }) => {
    const wrong = documents.find(
      (one) => objectProblem(String(one?.id), one, DOCUMENT.shape) !== null,
    )
    if (wrong !== undefined) return no('One of them is not what is known of a document.')
    for (const one of documents) draft.documents[one.id] ??= { ...one }
    return undefined
  },
})

const asking = <Id extends string>(
  view: 'title' | 'export document' | 'file',
  id: Id,
  title: string,
) =>
  command({
    id,
    title,
    group,
    unlisted: true,
    step: false,
    args: which,
    plan: (draft, { document }) => {
      const found = known(draft, { document })
      return refused(found) ? found : { show: { view, document } }
    },
  })

export const documentCommands = [
  set,
  discard,
  discardAll,
  putAway,
  bring,
  asking('title', 'document.askTitle', 'Rename this document…'),
  asking('export document', 'document.export', 'Export this document to a file'),
  asking('file', 'document.compareFile', 'Compare this document with its file'),
]
