import type { DocumentId } from '@/core/model/ids'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import { Field, Problem, useCommandForm } from '@/parts/form'
import { useArrangement, useShelf } from '@/store/useShelf'

/** Another title for a document. */
export function TitleDialog({ document }: { document: DocumentId }) {
  const shelf = useShelf()
  const title = useArrangement((state) => state.documents[document]?.title ?? '')
  const form = useCommandForm(null, { title }, (given) =>
    shelf.dispatch('document.set', { document, ...given }, 'key'),
  )
  return (
    <Dialog title="Rename document">
      <form className="mt-4 flex flex-col gap-3" {...form.ways}>
        <Field form={form} name="title" label="Title" onFocus={(event) => event.target.select()} />
        <Problem form={form} />
        <Answers>Rename</Answers>
      </form>
    </Dialog>
  )
}
