'use client'
import { Markdown } from '@tiptap/markdown'
import { EditorContent, useEditor, useEditorState } from '@tiptap/react'
import StarterKit from '@tiptap/starter-kit'
import { Bold, Heading, Italic, List, ListOrdered, Quote } from 'lucide-react'
import { useEffect, useRef } from 'react'
import { changeContent, shownContent, useContent } from '@/store/documents'
import { Tool } from '@/ui/parts/Tool'
import type { AppProps } from '../contract'
import type { DocumentContent } from './manifest'

/** Rich text, kept as Markdown. */
export default function Document({ document: id }: AppProps) {
  const content = useContent(id)
  if (!content) return null
  const { markdown = '' } = (shownContent(content) as DocumentContent | null) ?? {}
  return <Editor id={id} markdown={markdown} />
}

function Editor({ id, markdown }: { id: string; markdown: string }) {
  // What the editor and the store last agreed on; anything else came from outside.
  const agreed = useRef(markdown)
  const editor = useEditor({
    extensions: [StarterKit.configure({ link: { openOnClick: false } }), Markdown],
    content: markdown,
    contentType: 'markdown',
    immediatelyRender: false,
    injectCSS: false,
    editorProps: {
      attributes: {
        class: 'prose px-[18px] py-3',
        role: 'textbox',
        'aria-multiline': 'true',
        'aria-label': 'Text',
        'data-autofocus': '',
      },
    },
    // The caret is where it was before the first key comes, not a moment later.
    onFocus: ({ editor: { view } }) => view.focus(),
    onUpdate: ({ editor: { getMarkdown } }) => {
      agreed.current = getMarkdown()
      changeContent(id, { markdown: agreed.current } satisfies DocumentContent, 'draft')
    },
  })
  useEffect(() => {
    if (!editor || agreed.current === markdown) return
    agreed.current = markdown
    editor.commands.setContent(markdown, { contentType: 'markdown', emitUpdate: false })
  }, [editor, markdown])
  const marks = useEditorState({
    editor,
    selector: ({ editor: now }) => ({
      bold: now?.isActive('bold') ?? false,
      italic: now?.isActive('italic') ?? false,
      heading: now?.isActive('heading') ?? false,
      bullets: now?.isActive('bulletList') ?? false,
      numbers: now?.isActive('orderedList') ?? false,
      quote: now?.isActive('blockquote') ?? false,
    }),
  })
  const run = () => editor?.chain().focus()
  return (
    <>
      <div className="bar" role="toolbar" aria-label="Text style">
        <Tool
          label="Heading"
          on={marks?.heading}
          onClick={() => run()?.toggleHeading({ level: 2 }).run()}
        >
          <Heading size={15} />
        </Tool>
        <Tool label="Bold, Ctrl+B" on={marks?.bold} onClick={() => run()?.toggleBold().run()}>
          <Bold size={15} />
        </Tool>
        <Tool label="Italic, Ctrl+I" on={marks?.italic} onClick={() => run()?.toggleItalic().run()}>
          <Italic size={15} />
        </Tool>
        <Tool label="List" on={marks?.bullets} onClick={() => run()?.toggleBulletList().run()}>
          <List size={15} />
        </Tool>
        <Tool
          label="Numbered list"
          on={marks?.numbers}
          onClick={() => run()?.toggleOrderedList().run()}
        >
          <ListOrdered size={15} />
        </Tool>
        <Tool label="Quote" on={marks?.quote} onClick={() => run()?.toggleBlockquote().run()}>
          <Quote size={15} />
        </Tool>
      </div>
      <EditorContent editor={editor} className="min-h-0 flex-1 overflow-auto" />
    </>
  )
}
