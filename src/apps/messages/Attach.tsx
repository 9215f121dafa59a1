import { type FormEvent, useEffect, useRef, useState } from 'react'
import { useAllDocuments } from '@/store/documents/catalogue'
import { TitleField, titled } from '../TitleField'
import type { Attached } from './content'

/** A file of the shelf is attached by its title. */
export function Attach({ onAttach, onClose }: { onAttach(file: Attached): void; onClose(): void }) {
  const field = useRef<HTMLInputElement>(null)
  const [typed, setTyped] = useState('')
  const [problem, setProblem] = useState('')
  const files = Object.values(useAllDocuments()).filter(({ discarded }) => !discarded)
  useEffect(() => field.current?.focus(), [])
  const attach = (event: FormEvent) => {
    event.preventDefault()
    const file = titled(files, typed)
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
      <TitleField
        field={field}
        files={files}
        label="File to attach"
        placeholder="title of a file"
        value={typed}
        onChange={(to) => {
          setProblem('')
          setTyped(to)
        }}
      />
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
