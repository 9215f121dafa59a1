import { ALargeSmall, WholeWord } from 'lucide-react'
import type { DocumentInfo } from '@/core/model/kinds/document'
import { counted } from '@/core/text/counted'
import { allWords } from '@/core/text/plain'
import { Tool } from '@/parts/Tool'
import { useAllDocuments } from '@/store/documents/catalogue'
import { shownContent, useContentPart, useTyped } from '@/store/documents/documents'
import { asContent } from '../contents'
import { TABLE } from '../table/content'
import { Form } from './Form'
import { SIDE_LEAST, SIDE_MOST, type Work } from './work/works'

export const KINDS = {
  replace: 'Replace words',
  join: 'Join two tables',
  sum: 'Sum a table',
  resize: 'Resize pictures',
} as const
export type Kind = keyof typeof KINDS

interface Props {
  document: string
  onQueue(work: Work): void
}

/** What a job of one's own needs to know. */
export function NewWork({ kind, ...props }: Props & { kind: Kind }) {
  switch (kind) {
    case 'replace':
      return <NewReplace {...props} />
    case 'join':
      return <NewJoin {...props} />
    case 'sum':
      return <NewSum {...props} />
    case 'resize':
      return <NewResize {...props} />
  }
}

/** The documents of some apps, by their names. */
function useFiles(apps: string[]): DocumentInfo[] {
  return Object.values(useAllDocuments())
    .filter(({ app, discarded }) => apps.includes(app) && !discarded)
    .sort((a, b) => a.title.localeCompare(b.title))
}

function NewReplace({ document, onQueue }: Props) {
  const [text, setText] = useTyped(document, 'replace')
  const [instead, setInstead] = useTyped(document, 'instead')
  const [named, setNamed] = useTyped(document, 'replace in')
  const [caseSensitive, setCase] = useTyped(document, 'case')
  const [wholeWord, setWhole] = useTyped(document, 'word')
  const files = useFiles(['document', 'table', 'reader']).filter(({ title }) =>
    allWords(named)(title),
  )
  return (
    <Form
      why={text === '' ? 'Type what to replace.' : files.length ? null : NO_FILE}
      onQueue={() => {
        onQueue({
          kind: 'replace',
          text,
          instead,
          caseSensitive: caseSensitive !== '',
          wholeWord: wholeWord !== '',
          documents: files.map(({ id }) => id),
        })
        setText('')
        setInstead('')
      }}
    >
      <Field label="Replace" value={text} onChange={setText} first />
      <Field label="With" value={instead} onChange={setInstead} />
      <Tool
        label="Match case"
        on={caseSensitive !== ''}
        onClick={() => setCase(caseSensitive ? '' : 'on')}
      >
        <ALargeSmall size={15} />
      </Tool>
      <Tool
        label="Whole words only"
        on={wholeWord !== ''}
        onClick={() => setWhole(wholeWord ? '' : 'on')}
      >
        <WholeWord size={15} />
      </Tool>
      <Field label="In files named" value={named} onChange={setNamed} />
      <Count files={files} />
    </Form>
  )
}

function NewResize({ document, onQueue }: Props) {
  const [named, setNamed] = useTyped(document, 'resize in')
  const [most, setMost] = useTyped(document, 'longest side')
  const files = useFiles(['reader']).filter(({ title }) => allWords(named)(title))
  const side = Number(most || 1600)
  const fits = Number.isInteger(side) && side >= SIDE_LEAST && side <= SIDE_MOST
  return (
    <Form
      why={
        fits
          ? files.length
            ? null
            : NO_FILE
          : `Type a number of pixels from ${SIDE_LEAST} to ${SIDE_MOST}.`
      }
      onQueue={() => onQueue({ kind: 'resize', documents: files.map(({ id }) => id), most: side })}
    >
      <Field label="In files named" value={named} onChange={setNamed} first />
      <Count files={files} />
      <Field label="Longest side, pixels" placeholder="1600 px" value={most} onChange={setMost} />
    </Form>
  )
}

function NewSum({ document, onQueue }: Props) {
  const [table, setTable] = useTyped(document, 'sum table')
  const [column, setColumn] = useTyped(document, 'sum column')
  const [by, setBy] = useTyped(document, 'sum by')
  return (
    <Form
      why={table ? (column ? null : 'Choose the column to sum.') : 'Choose a table.'}
      onQueue={() => onQueue({ kind: 'sum', table, column, by })}
    >
      <TableField label="Table" value={table} onChange={setTable} first />
      <ColumnField label="Column to sum" table={table} value={column} onChange={setColumn} />
      <ColumnField
        label="Group by column"
        none="all rows"
        table={table}
        value={by}
        onChange={setBy}
      />
    </Form>
  )
}

function NewJoin({ document, onQueue }: Props) {
  const [left, setLeft] = useTyped(document, 'join left')
  const [right, setRight] = useTyped(document, 'join right')
  const [leftBy, setLeftBy] = useTyped(document, 'join left by')
  const [rightBy, setRightBy] = useTyped(document, 'join right by')
  return (
    <Form
      why={
        left && right
          ? leftBy && rightBy
            ? null
            : 'Choose in each table the column to join by.'
          : 'Choose two tables.'
      }
      onQueue={() => onQueue({ kind: 'join', left, right, leftBy, rightBy })}
    >
      <TableField label="First table" value={left} onChange={setLeft} first />
      <ColumnField label="Column in first table" table={left} value={leftBy} onChange={setLeftBy} />
      <TableField label="Second table" value={right} onChange={setRight} />
      <ColumnField
        label="Column in second table"
        table={right}
        value={rightBy}
        onChange={setRightBy}
      />
    </Form>
  )
}

const NO_FILE = 'No file has that name.'

interface FieldProps {
  label: string
  value: string
  onChange(value: string): void
  /** Whether the keys come here when the window has them. */
  first?: boolean
}

function Field({
  label,
  placeholder,
  value,
  onChange,
  first,
}: FieldProps & { placeholder?: string }) {
  return (
    <input
      data-autofocus={first ? '' : undefined}
      aria-label={label}
      placeholder={placeholder ?? label.toLowerCase()}
      className="field min-w-24 max-w-80 flex-1"
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  )
}

function Count({ files }: { files: DocumentInfo[] }) {
  return (
    <span className="shrink-0 font-mono text-[12px] text-soft">
      {counted(files.length, 'file')}
    </span>
  )
}

function TableField({ label, value, onChange, first }: FieldProps) {
  const tables = useFiles(['table'])
  return (
    <select
      data-autofocus={first ? '' : undefined}
      aria-label={label}
      className="field min-h-8 min-w-28 max-w-80 flex-1"
      value={tables.some(({ id }) => id === value) ? value : ''}
      onChange={(event) => onChange(event.target.value)}
    >
      <option value="">{label.toLowerCase()}</option>
      {tables.map(({ id, title }) => (
        <option key={id} value={id}>
          {title}
        </option>
      ))}
    </select>
  )
}

function ColumnField({
  label,
  table,
  none,
  value,
  onChange,
}: FieldProps & { table: string; none?: string }) {
  const columns = useContentPart(table, (kept) =>
    kept ? asContent(TABLE, shownContent(kept)).columns : NONE,
  )
  return (
    <select
      aria-label={label}
      className="field min-h-8 min-w-24 max-w-80 flex-1"
      disabled={!table}
      value={columns.includes(value) ? value : ''}
      onChange={(event) => onChange(event.target.value)}
    >
      <option value="">{none ?? label.toLowerCase()}</option>
      {[...new Set(columns)].map((column) => (
        <option key={column} value={column}>
          {column}
        </option>
      ))}
    </select>
  )
}

const NONE: string[] = []
