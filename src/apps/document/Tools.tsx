import { redoDepth, undoDepth } from '@tiptap/pm/history'
import { type Editor, useEditorState } from '@tiptap/react'
import {
  Bold,
  Code,
  Heading1,
  Heading2,
  Italic,
  Link,
  List,
  ListChecks,
  ListOrdered,
  Quote,
  Redo2,
  Search as SearchIcon,
  Table2,
  Undo2,
} from 'lucide-react'
import { Tool } from '@/parts/Tool'
import { Outline } from './Outline'

const HEADINGS = [
  [1, Heading1],
  [2, Heading2],
] as const

/** How the text is styled, above it. Every one of them is on a key as well. */
export function Tools({
  editor,
  outlined,
  onOutline,
  onFind,
  onLink,
}: {
  editor: Editor | null
  /** Whether the headings are listed. */
  outlined: boolean
  onOutline(open: boolean): void
  onFind(): void
  onLink(): void
}) {
  const now = useEditorState({ editor, selector: ({ editor: one }) => stateOf(one) })
  const run = () => editor?.chain().focus()
  return (
    <div className="bar" role="toolbar" aria-label="Text style">
      {HEADINGS.map(([level, Sign]) => (
        <Tool
          key={level}
          label={`Heading ${level}`}
          keys={`Ctrl+Shift+${level}`}
          on={now?.heading === level}
          onClick={() => run()?.toggleHeading({ level }).run()}
        >
          <Sign size={15} />
        </Tool>
      ))}
      <Tool label="Bold" keys="Ctrl+B" on={now?.bold} onClick={() => run()?.toggleBold().run()}>
        <Bold size={15} />
      </Tool>
      <Tool
        label="Italic"
        keys="Ctrl+I"
        on={now?.italic}
        onClick={() => run()?.toggleItalic().run()}
      >
        <Italic size={15} />
      </Tool>
      <Tool label="Code" keys="Ctrl+E" on={now?.code} onClick={() => run()?.toggleCode().run()}>
        <Code size={15} />
      </Tool>
      <Tool
        label="List"
        keys="Ctrl+Shift+8"
        on={now?.bullets}
        onClick={() => run()?.toggleBulletList().run()}
      >
        <List size={15} />
      </Tool>
      <Tool
        label="Numbered list"
        keys="Ctrl+Shift+7"
        on={now?.numbers}
        onClick={() => run()?.toggleOrderedList().run()}
      >
        <ListOrdered size={15} />
      </Tool>
      <Tool
        label="Tasks"
        keys="Ctrl+Shift+9"
        on={now?.tasks}
        onClick={() => run()?.toggleTaskList().run()}
      >
        <ListChecks size={15} />
      </Tool>
      <Tool
        label="Quote"
        keys="Ctrl+Shift+B"
        on={now?.quote}
        onClick={() => run()?.toggleBlockquote().run()}
      >
        <Quote size={15} />
      </Tool>
      <Tool
        label="Table"
        on={now?.table}
        onClick={() => run()?.insertTable({ rows: 3, cols: 3, withHeaderRow: true }).run()}
      >
        <Table2 size={15} />
      </Tool>
      <Tool label="Link" keys="Ctrl+K" on={now?.link} onClick={onLink}>
        <Link size={15} />
      </Tool>
      {now?.language === null ? null : (
        <input
          aria-label="Language of the code"
          placeholder="language"
          className="field min-h-7 w-24 font-mono text-[12px]"
          value={now?.language ?? ''}
          onChange={(event) =>
            editor?.commands.updateAttributes('codeBlock', {
              language: event.target.value.replace(/\s/g, '') || null,
            })
          }
          onKeyDown={(event) => {
            if (event.key === 'Enter' || event.key === 'Escape') editor?.view.focus()
          }}
        />
      )}
      {now?.table ? <TableTools run={run} /> : null}
      <span className="ml-auto flex">
        {editor ? <Outline editor={editor} open={outlined} onOpen={onOutline} /> : null}
        <Tool label="Find and replace" keys="Ctrl+F" onClick={onFind}>
          <SearchIcon size={15} />
        </Tool>
        <Tool label="Undo" keys="Ctrl+Z" disabled={!now?.undo} onClick={() => run()?.undo().run()}>
          <Undo2 size={15} />
        </Tool>
        <Tool
          label="Redo"
          keys="Ctrl+Shift+Z"
          disabled={!now?.redo}
          onClick={() => run()?.redo().run()}
        >
          <Redo2 size={15} />
        </Tool>
      </span>
    </div>
  )
}

/** Rows and columns of the table one is in. */
function TableTools({ run }: { run(): ReturnType<Editor['chain']> | undefined }) {
  return (
    <>
      <button type="button" className="tool" onClick={() => run()?.addRowAfter().run()}>
        + row
      </button>
      <button type="button" className="tool" onClick={() => run()?.deleteRow().run()}>
        − row
      </button>
      <button type="button" className="tool" onClick={() => run()?.addColumnAfter().run()}>
        + column
      </button>
      <button type="button" className="tool" onClick={() => run()?.deleteColumn().run()}>
        − column
      </button>
    </>
  )
}

const stateOf = (editor: Editor | null) => ({
  heading: editor?.isActive('heading') ? Number(editor.getAttributes('heading').level) : 0,
  link: editor?.isActive('link') ?? false,
  language: editor?.isActive('codeBlock')
    ? String(editor.getAttributes('codeBlock').language ?? '')
    : null,
  bold: editor?.isActive('bold') ?? false,
  italic: editor?.isActive('italic') ?? false,
  code: editor?.isActive('code') ?? false,
  bullets: editor?.isActive('bulletList') ?? false,
  numbers: editor?.isActive('orderedList') ?? false,
  tasks: editor?.isActive('taskList') ?? false,
  quote: editor?.isActive('blockquote') ?? false,
  table: editor?.isActive('table') ?? false,
  undo: editor ? undoDepth(editor.state) > 0 : false,
  redo: editor ? redoDepth(editor.state) > 0 : false,
})
