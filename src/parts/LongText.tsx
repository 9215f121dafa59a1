import { useVirtualizer } from '@tanstack/react-virtual'
import { useMemo, useRef } from 'react'
import type { DocumentId } from '@/core/model/ids'
import { usePassage } from '@/store/documents/passages'
import { partsOf } from './longParts'

/** A long text to be read: only the parts in sight are drawn. */
export function LongText({
  document,
  text,
  label,
}: {
  document: DocumentId
  text: string
  label: string
}) {
  const parts = useMemo(() => partsOf(text), [text])
  const scroller = useRef<HTMLDivElement>(null)
  const rows = useVirtualizer({
    count: parts.length,
    getScrollElement: () => scroller.current,
    estimateSize: (at) => 18 * ((parts[at] ?? '').split('\n').length + 1),
    overscan: 1,
    initialRect: { width: 500, height: 400 },
  })
  // Brought into sight, it is then found like in any text.
  usePassage(document, (wanted) => {
    const at = parts.findIndex((part) => part.toLowerCase().includes(wanted.toLowerCase()))
    if (at >= 0) rows.scrollToIndex(at)
    return false
  })
  return (
    <section
      ref={scroller}
      aria-label={label}
      tabIndex={0}
      data-autofocus=""
      className="min-h-0 flex-1 overflow-auto px-[18px] py-3 outline-none"
    >
      <div className="relative" style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ index, start }) => (
          <pre
            key={index}
            ref={rows.measureElement}
            data-index={index}
            className="absolute inset-x-0 whitespace-pre-wrap break-words font-mono text-[13px]"
            style={{ top: start }}
          >
            {parts[index]}
          </pre>
        ))}
      </div>
    </section>
  )
}
