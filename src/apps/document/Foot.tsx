import type { Editor } from '@tiptap/react'
import { useEffect, useState } from 'react'
import { counted } from './words'

/** How long nothing is typed until words are counted, in milliseconds: no letter waits for it. */
const QUIET = 400

/** Below the text: printing it, how many words there are, and how many of them are chosen. */
export function Foot({ editor, onPrint }: { editor: Editor; onPrint(): void }) {
  const [count, setCount] = useState({ all: 0, chosen: 0 })
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>
    const look = () => {
      clearTimeout(timer)
      timer = setTimeout(() => {
        if (editor.isDestroyed) return
        const { doc, selection } = editor.state
        const text = (from: number, to: number) => doc.textBetween(from, to, '\n', ' ')
        const all = counted(text(0, doc.content.size))
        const chosen = selection.empty ? 0 : counted(text(selection.from, selection.to))
        setCount((was) => (was.all === all && was.chosen === chosen ? was : { all, chosen }))
      }, QUIET)
    }
    look()
    editor.on('update', look)
    editor.on('selectionUpdate', look)
    return () => {
      clearTimeout(timer)
      editor.off('update', look)
      editor.off('selectionUpdate', look)
    }
  }, [editor])
  const { all, chosen } = count
  const words = all === 1 ? 'word' : 'words'
  return (
    <div className="flex min-h-6 items-center justify-between border-seam border-t border-dashed px-2.5 font-mono text-[11px] text-soft">
      <button
        type="button"
        title="Print, Ctrl+P"
        className="hover:text-ink"
        onMouseDown={(event) => event.preventDefault()}
        onClick={onPrint}
      >
        print
      </button>
      <p>
        {chosen ? `${NUMBER.format(chosen)} of ` : ''}
        {NUMBER.format(all)} {words}
      </p>
    </div>
  )
}

const NUMBER = new Intl.NumberFormat()
