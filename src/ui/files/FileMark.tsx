import type { DocumentId } from '@/core/model/ids'
import { type Stands, useLinked } from '@/store/documents/linked'
import { useShelf } from '@/store/useShelf'

const SAYS: Record<Stands, string> = {
  same: '',
  ahead: 'not in the file',
  changed: 'changed outside',
  asks: 'allow again',
  gone: 'file is gone',
}

/** In the hem: the file of the computer that the document is kept in, and how both stand. */
export function FileMark({ document, title }: { document: DocumentId; title: string }) {
  const shelf = useShelf()
  const file = useLinked(document)
  if (!file) return null
  const { name, stands } = file
  const acts = {
    changed: () => shelf.dispatchAny('document.compareFile', { document }),
    asks: () => shelf.dispatchAny('files.allow'),
  }[stands as string]
  return (
    <>
      <span className="hem-wide max-w-48" title={name}>
        <span dir="auto" className="truncate font-normal">
          {/* What the window is called already is not said twice. */}
          {name.startsWith(title) ? name.slice(title.length) : name}
        </span>
      </span>
      {acts ? (
        <button
          type="button"
          className="shrink-0 border border-current border-dashed px-1 text-[11px] leading-4"
          aria-label={`${name}: ${SAYS[stands]}`}
          onPointerDown={(event) => event.stopPropagation()}
          onDoubleClick={(event) => event.stopPropagation()}
          onClick={acts}
        >
          {SAYS[stands]}
        </button>
      ) : SAYS[stands] ? (
        <span className="shrink-0 text-[11px]">{SAYS[stands]}</span>
      ) : null}
    </>
  )
}
