import { Paperclip, X } from 'lucide-react'
import { useAllDocuments } from '@/store/documents/catalogue'
import { useShelf } from '@/store/useShelf'
import { open } from '../opening'
import type { Attached } from './content'

/** Documents that go with a message: each opens, as long as it is there. */
export function Files({ files, onRemove }: { files: Attached[]; onRemove?(id: string): void }) {
  const shelf = useShelf()
  const known = useAllDocuments()
  return (
    <span className="mt-1 flex flex-wrap gap-1.5">
      {files.map(({ id, title }) => {
        const info = known[id]
        const there = info && !info.discarded
        return (
          <span key={id} className="flex min-w-0 items-center border border-seam text-[13px]">
            <button
              type="button"
              className="flex min-w-0 items-center gap-1 px-1.5 py-0.5 disabled:text-soft"
              title={there ? `Open ${title}` : `${title} was deleted`}
              disabled={!there}
              onClick={() => info && open(shelf, info)}
            >
              <Paperclip size={12} aria-hidden className="shrink-0" />
              <span className="truncate">{title}</span>
            </button>
            {onRemove ? (
              <button
                type="button"
                className="px-1"
                aria-label={`Remove ${title} from the reply`}
                title={`Remove ${title} from the reply`}
                onClick={() => onRemove(id)}
              >
                <X size={12} aria-hidden />
              </button>
            ) : null}
          </span>
        )
      })}
    </span>
  )
}
