import { useEffect, useState } from 'react'
import { wordsIn } from '@/core/finding/texts'
import type { DocumentInfo } from '@/core/model/kinds/document'
import { peekContent, shownContent } from '@/store/documents/documents'
import { expected } from '@/store/faults'
import { useShelf } from '@/store/useShelf'
import { Prose } from '../markdown/Prose'

/** So much of a text, and so many rows, are drawn. */
const LETTERS = 4000
const ROWS = 30
const COLUMNS = 8

/** What is looked at of a content, whatever app it is of. */
interface Looked {
  markdown?: string
  kind?: string
  text?: string
  data?: string
  columns?: string[]
  rows?: string[][]
}

/** A file as it will look, as far as it can be told at a glance; else the words in it. */
export function Preview({ shown: { id, title, app } }: { shown: DocumentInfo }) {
  const shelf = useShelf()
  const [content, setContent] = useState<Looked | null>(null)
  useEffect(() => {
    let over = false
    setContent(null)
    void peekContent(shelf, id).then(
      (kept) => over || setContent((shownContent(kept) ?? {}) as Looked),
      expected('it says so itself when it is opened'),
    )
    return () => {
      over = true
    }
  }, [id, shelf])
  return (
    <section
      aria-label={`Preview of ${title}`}
      tabIndex={0}
      className="min-w-0 flex-1 overflow-auto p-3"
    >
      <h2 className="font-bold font-display text-[16px]">{title}</h2>
      <p className="mb-2 text-soft">{shelf.appFacts(app)?.name ?? app}</p>
      {content ? <Content of={content} /> : null}
    </section>
  )
}

function Content({ of: content }: { of: Looked }) {
  const { markdown, kind, text, data, columns, rows } = content
  const written = markdown ?? (kind === 'markdown' ? text : undefined)
  if (written !== undefined) return <Prose markdown={written.slice(0, LETTERS)} />
  if (kind === 'picture' && data) return <img src={data} alt="" className="max-w-full" />
  if (columns && rows) return <Rows columns={columns} rows={rows} />
  return (
    <p className="whitespace-pre-wrap text-[15px]">
      {wordsIn(content).slice(0, LETTERS) || 'There are no words in it.'}
    </p>
  )
}

function Rows({ columns, rows }: { columns: string[]; rows: string[][] }) {
  return (
    <div className="prose">
      <table className="text-[12px]">
        <thead>
          <tr>
            {columns.slice(0, COLUMNS).map((name, at) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a column is known by its place
              <th key={at}>{name}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, ROWS).map((cells, row) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a row is known by its place
            <tr key={row}>
              {cells.slice(0, COLUMNS).map((cell, at) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a cell is known by its place
                <td key={at}>{cell}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {rows.length > ROWS ? <p className="text-soft">{rows.length} rows in all</p> : null}
    </div>
  )
}
