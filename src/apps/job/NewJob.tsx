import { useTyped } from '@/store/documents/documents'
import { Form } from './Form'
import { KINDS, type Kind, NewWork } from './NewWork'
import type { Work } from './work/works'

/** What is queued next: a run of the service by its name, or work on what is kept in the shelf. */
export function NewJob({
  document,
  onQueue,
}: {
  document: string
  onQueue(job: { name: string } | { work: Work }): void
}) {
  const [kept, setKept] = useTyped(document, 'kind')
  const kind = kept in KINDS ? (kept as Kind) : null
  return (
    <div className="flex flex-wrap items-center gap-2 p-2">
      <select
        aria-label="Kind of job"
        className="field min-h-8 min-w-0"
        value={kind ?? ''}
        onChange={(event) => setKept(event.target.value)}
      >
        <option value="">Simulated run</option>
        {Object.entries(KINDS).map(([value, label]) => (
          <option key={value} value={value}>
            {label}
          </option>
        ))}
      </select>
      {kind ? (
        <NewWork key={kind} kind={kind} document={document} onQueue={(work) => onQueue({ work })} />
      ) : (
        <NewRun document={document} onQueue={(name) => onQueue({ name })} />
      )}
    </div>
  )
}

function NewRun({ document, onQueue }: { document: string; onQueue(name: string): void }) {
  const [name, setName] = useTyped(document, 'name')
  return (
    <Form
      why={name.trim() ? null : 'Type a name for it.'}
      onQueue={() => {
        onQueue(name.trim())
        setName('')
      }}
    >
      <input
        data-autofocus=""
        aria-label="Name of a new job"
        placeholder="Snowpack run, 12 h"
        className="field min-w-24 max-w-[30rem] flex-1"
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
    </Form>
  )
}
