import { type RefObject, useId } from 'react'
import type { DocumentInfo } from '@/core/model/kinds/document'

/** The document of a title, whichever way its capitals are typed. */
export function titled(files: DocumentInfo[], title: string): DocumentInfo | undefined {
  const wanted = title.trim().toLowerCase()
  return files.find((one) => one.title.toLowerCase() === wanted)
}

/** A field in which the title of a document is typed, or something else that is meant. */
export function TitleField({
  field,
  files,
  label,
  placeholder,
  value,
  onChange,
}: {
  field: RefObject<HTMLInputElement | null>
  /** Whose titles are offered. */
  files: DocumentInfo[]
  label: string
  placeholder: string
  value: string
  onChange(value: string): void
}) {
  const titles = useId()
  return (
    <>
      <input
        ref={field}
        aria-label={label}
        placeholder={placeholder}
        className="field min-h-7 min-w-0 max-w-xl flex-1 basis-40"
        list={titles}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
      <datalist id={titles}>
        {files.map(({ id, title }) => (
          <option key={id} value={title} />
        ))}
      </datalist>
    </>
  )
}
