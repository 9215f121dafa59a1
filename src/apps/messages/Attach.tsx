import { type FormEvent, useEffect, useId, useRef, useState } from 'react'
import { useAllDocuments } from '@/store/documents/catalogue'
import type { Attached } from './content'

/** A file of the shelf is attached by its title. */
export function Attach({ onAttach, onClose }: { onAttach(file: Attached): void; onClose(): void }) {
  const titles = useId()
  const field = useRef<HTMLInputElement>(null)
  const [typed, setTyped] = useState('')
  const [problem, setProblem] = useState('')
  const files = Object.values(useAllDocuments()).filter(({ discarded }) => !discarded)
  useEffect(() => field.current?.focus(), [])
  const attach = (event: FormEvent) => {
    event.preventDefault()
    const sought = typed.trim().toLowerCase()
    const file = files.find(({ title }) => title.toLowerCase() === sought)
    if (!file) return setProblem('No file has that title.')
    onAttach({ id: file.id, title: file.title })
    onClose()
  }
  return (
    <form
      aria-label="Attach"
      className="flex flex-wrap items-center gap-2 border-seam border-t border-dashed p-2"
      onSubmit={attach}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return
        event.preventDefault()
        event.stopPropagation()
        onClose()
      }}
    >
      <input
        ref={field}
        aria-label="File to attach"
        placeholder="title of a file"
        className="field min-h-7 min-w-0 flex-1"
        list={titles}
        value={typed}
        onChange={(event) => {
          setProblem('')
          setTyped(event.target.value)
        }}
      />
      <datalist id={titles}>
        {files.map(({ id, title }) => (
          <option key={id} value={title} />
        ))}
      </datalist>
      <button type="submit" className="btn min-h-7 px-2">
        Attach
      </button>
      {problem ? (
        <p role="alert" className="w-full text-alarm">
          {problem}
        </p>
      ) : null}
    </form>
  )
}
