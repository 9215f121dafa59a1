'use client'
import { Node } from '@tiptap/pm/model'
import { type Editor, EditorContent, type JSONContent, useEditor } from '@tiptap/react'
import { useEffect, useRef } from 'react'
import { LongText } from '@/parts/LongText'
import { isLong } from '@/parts/longParts'
import { changeContent, discardDraft, keptContent } from '@/store/documents/documents'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { asContent } from '../contents'
import type { AppProps } from '../contract'
import { shownNow, useShownContent } from '../useContents'
import { readBlocks } from './blocks'
import { Chords } from './chords'
import { DOCUMENT } from './content'
import { picture } from './Picture'
import { insertPicture, isPicture, openReference, taken } from './references'
import { schemaOf } from './schema'
import { Tools } from './Tools'
import { Tab } from './tab'
import { Origin } from './toMarkdown'

/** Rich text, kept as Markdown. */
export default function Document({ document: id }: AppProps) {
  const content = useShownContent(DOCUMENT, id)
  if (!content) return null
  const { markdown } = content
  if (!isLong(markdown)) return <Editable id={id} markdown={markdown} />
  return <LongText document={id} text={markdown} label="Text, too long to be edited" />
}

const extensions = [...schemaOf(picture), Tab, Chords]

/** The blocks of a text as what the editor takes. */
function docOf(markdown: string): { blocks: ReturnType<typeof readBlocks>; content: JSONContent } {
  const blocks = readBlocks(markdown)
  const nodes = blocks.blocks.map(({ node }) => node)
  return {
    blocks,
    content: { type: 'doc', content: nodes.length ? nodes : [{ type: 'paragraph' }] },
  }
}

function Editable({ id, markdown }: { id: string; markdown: string }) {
  const shelf = useShelf()
  // What the editor and the store last agreed on; anything else came from outside.
  const agreed = useRef(markdown)
  const origin = useRef<Origin | null>(null)
  const first = useRef<ReturnType<typeof docOf>>(null)
  first.current ??= docOf(markdown)
  const editor = useEditor({
    extensions,
    content: first.current.content,
    immediatelyRender: false,
    injectCSS: false,
    editorProps: {
      attributes: {
        class: 'prose px-[18px] py-3',
        role: 'textbox',
        'aria-multiline': 'true',
        'aria-label': 'Text',
        'aria-description': 'Tab indents. Escape, then Tab, leaves the text.',
        'data-autofocus': '',
      },
      handleClickOn: (_view, _position, _node, _at, event) => followed(shelf, event),
      handlePaste: (view, event) =>
        taken(
          shelf,
          view,
          event.clipboardData?.getData('text/plain') ?? '',
          view.state.selection.from,
        ),
      handleDrop: (view, event) => {
        const at = view.posAtCoords({ left: event.clientX, top: event.clientY })?.pos
        const text = event.dataTransfer?.getData('text/plain') ?? ''
        const pictures = [...(event.dataTransfer?.files ?? [])].filter(isPicture)
        if (at === undefined) return false
        if (pictures.length === 0) return taken(shelf, view, text, at)
        // Else the desktop would open them in windows.
        event.stopPropagation()
        for (const file of pictures) void insertPicture(shelf, view, file, at)
        return true
      },
    },
    onCreate: ({ editor: made }) => {
      origin.current = new Origin(docOf(agreed.current).blocks, made.state.doc)
    },
    // The caret is where it was before the first key comes, not a moment later.
    onFocus: ({ editor: { view } }) => view.focus(),
    onUpdate: ({ editor: now }) => {
      const next = origin.current?.write(now.state.doc)
      if (next === undefined || next === agreed.current) return
      agreed.current = next
      keep(shelf, id, next)
    },
  })
  useEffect(() => {
    if (!editor || agreed.current === markdown) return
    agreed.current = markdown
    put(editor, origin, markdown)
  }, [editor, markdown])
  return (
    <>
      <Tools editor={editor} />
      <EditorContent editor={editor} className="min-h-0 flex-1 overflow-auto" />
      {editor ? null : <span data-coming="" />}
    </>
  )
}

/** What was typed is a draft, unless it is again what was saved. */
function keep(shelf: Shelf, id: string, markdown: string): void {
  const saved = asContent(DOCUMENT, keptContent(shelf, id)?.saved)
  const next = { ...shownNow(shelf, DOCUMENT, id), markdown }
  if (markdown === saved.markdown) discardDraft(shelf, id)
  else changeContent(shelf, id, next, 'draft')
}

/**
 * A text that came from outside: imported, discarded, taken back, typed in another view. Only what is
 * other is put in, so that the caret stays where it is.
 */
function put(editor: Editor, origin: { current: Origin | null }, markdown: string): void {
  const { blocks, content } = docOf(markdown)
  const next = Node.fromJSON(editor.schema, content)
  const { doc } = editor.state
  const from = doc.content.findDiffStart(next.content)
  const ends = doc.content.findDiffEnd(next.content)
  if (from !== null && ends) {
    // Where the same stands twice, both ways of looking pass over it.
    const over = Math.max(0, from - Math.min(ends.a, ends.b))
    let { tr } = editor.state
    tr.replace(from, ends.a + over, next.slice(from, ends.b + over))
    // What does not fit in between is made to: then all of it is put in.
    if (!tr.doc.eq(next)) tr = editor.state.tr.replaceWith(0, doc.content.size, next.content)
    editor.view.dispatch(tr.setMeta('preventUpdate', true))
  }
  origin.current = new Origin(blocks, next.eq(editor.state.doc) ? editor.state.doc : next)
}

/** A link to a document goes there; one to the web opens beside the shelf, with Ctrl or Command. */
function followed(shelf: Shelf, event: MouseEvent): boolean {
  const link = (event.target as Element).closest('a')
  const address = link?.getAttribute('href') ?? ''
  if (address.startsWith('kite:')) {
    event.preventDefault()
    openReference(shelf, address)
    return true
  }
  if (!link || !(event.ctrlKey || event.metaKey)) return false
  window.open(address, '_blank', 'noopener,noreferrer')
  return true
}
