import { type FormEvent, useRef, useState } from 'react'
import type { DocumentId } from '@/core/model/ids'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import { useArrangement, useShelf } from '@/store/useShelf'

/** Another title for a document. */
export function TitleDialog({ document }: { document: DocumentId }) {
  const shelf = useShelf()
  const name = useArrangement((state) => state.documents[document]?.title)
  const [problem, setProblem] = useState('')
  const field = useRef<HTMLInputElement>(null)
  const set = (event: FormEvent) => {
    event.preventDefault()
    const outcome = shelf.dispatch(
      'document.set',
      { document, title: field.current?.value ?? '' },
      'key',
    )
    if (outcome.ok) shelf.closeView()
    else setProblem(outcome.reason)
  }
  return (
    <Dialog title="Rename document">
      <form className="mt-4 flex items-center gap-2" onSubmit={set}>
        <input
          ref={field}
          aria-label="Title"
          aria-invalid={problem !== ''}
          defaultValue={name}
          className="field min-w-0 flex-1"
          onFocus={(event) => event.target.select()}
        />
        <Answers beside>Rename</Answers>
      </form>
      {problem ? (
        <p role="alert" className="mt-3 text-alarm">
          {problem}
        </p>
      ) : null}
    </Dialog>
  )
}
