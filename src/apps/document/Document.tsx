'use client'
import { Extension } from '@tiptap/core'
import type { EditorView } from '@tiptap/pm/view'
import { EditorContent, useEditor } from '@tiptap/react'
import { collab } from 'prosemirror-collab'
import { useEffect, useState } from 'react'
import type { KeptContent } from '@/core/formats/shelfFile'
import type { DocumentId, WindowId } from '@/core/model/ids'
import { isControl } from '@/parts/isControl'
import { LongText } from '@/parts/LongText'
import { isLong } from '@/parts/longParts'
import { print } from '@/parts/print'
import { onContent, shownContent, useContentPart } from '@/store/documents/documents'
import { useFindable } from '@/store/finding'
import type { Shelf } from '@/store/shelf'
import { useArrangement, useShelf } from '@/store/useShelf'
import { asContent } from '../contents'
import type { AppProps } from '../contract'
import { shownNow, useShownContent } from '../useContents'
import { tellCaret } from './caret'
import { Chords } from './chords'
import { DOCUMENT } from './content'
import { Finding, Search } from './Finding'
import { Foot } from './Foot'
import { LinkBar, openAddress } from './LinkBar'
import { picture } from './Picture'
import { pastedMarkdown } from './pasted'
import { insertPicture, isPicture, taken } from './references'
import { schemaOf } from './schema'
import { Tools } from './Tools'
import { Tab } from './tab'
import { useNaming } from './useNaming'
import { Writing } from './writing'

/** Rich text, kept as Markdown. */
export default function Document({ document: id, window }: AppProps) {
  // What is typed draws nothing anew but the text itself.
  const long = useContentPart(id, (kept) => kept && isLong(markdownOf(kept)))
  if (long === undefined) return null
  return long ? <Long id={id} /> : <Editable id={id} window={window} />
}

const markdownOf = (kept: KeptContent): string => asContent(DOCUMENT, shownContent(kept)).markdown

function Long({ id }: { id: DocumentId }) {
  const text = useShownContent(DOCUMENT, id)?.markdown ?? ''
  return <LongText document={id} text={text} label="Text, too long to be edited" />
}

/** Its steps can be told to others. */
const Steps = Extension.create({ name: 'steps', addProseMirrorPlugins: () => [collab()] })

const extensions = [...schemaOf(picture), Tab, Chords, Steps, Search]

function Editable({ id, window }: { id: DocumentId; window: WindowId }) {
  const shelf = useShelf()
  const [writing] = useState(() => new Writing(shelf, id, shownNow(shelf, DOCUMENT, id).markdown))
  // What is open above the text.
  const [bar, setBar] = useState<'find' | 'link' | null>(null)
  const [outlined, setOutlined] = useState(false)
  const comfortable = useArrangement(({ settings }) => settings.lines === 'comfortable')
  const editor = useEditor({
    extensions,
    content: writing.begins,
    immediatelyRender: false,
    // They would have every text worked out anew with each desktop one leaves or comes to.
    enableCoreExtensions: { focusEvents: false },
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
      handleDOMEvents: { keydown: tellCaret, focus: placeCaret },
      handleKeyDown: (view, event) => {
        if (isControl(event, 'f')) setBar('find')
        else if (isControl(event, 'p')) printText(shelf, id, view.dom)
        else if (isControl(event, 'k')) setBar('link')
        else if (isControl(event, 'Shift+g')) setOutlined(true)
        else return false
        return true
      },
      handleClickOn: (_view, _position, _node, _at, event) => followed(shelf, event),
      handlePaste: (view, event) => {
        const data = event.clipboardData
        const at = view.state.selection.from
        if (taken(shelf, view, data?.getData('text/plain') ?? '', at)) return true
        const pictures = data?.types.includes('text/plain') ? [] : picturesIn(data)
        for (const file of pictures) void insertPicture(shelf, view, file, at)
        return pictures.length > 0 || pastedMarkdown(view, data)
      },
      handleDrop: (view, event) => {
        const at = view.posAtCoords({ left: event.clientX, top: event.clientY })?.pos
        const text = event.dataTransfer?.getData('text/plain') ?? ''
        const pictures = picturesIn(event.dataTransfer)
        if (at === undefined) return false
        if (pictures.length === 0) return taken(shelf, view, text, at)
        // Else the desktop would open them in windows.
        event.stopPropagation()
        for (const file of pictures) void insertPicture(shelf, view, file, at)
        return true
      },
    },
    onMount: ({ editor: made }) => writing.mount(made),
    onUnmount: () => writing.unmount(),
    onUpdate: () => writing.typed(),
  })
  useNaming(editor, id)
  useFindable(window, () => setBar('find'))
  useEffect(() => {
    let shown = true
    // Whoever changes it is in the middle of that.
    const look = () => queueMicrotask(() => shown && writing.show())
    look()
    const leave = onContent(shelf, id, look)
    return () => {
      shown = false
      leave()
    }
  }, [writing, shelf, id])
  return (
    <>
      <Tools
        editor={editor}
        outlined={outlined}
        onOutline={setOutlined}
        onFind={() => setBar('find')}
        onLink={() => setBar('link')}
      />
      {editor && bar === 'find' ? <Finding editor={editor} onClose={() => setBar(null)} /> : null}
      {editor && bar === 'link' ? <LinkBar editor={editor} onClose={() => setBar(null)} /> : null}
      <EditorContent
        editor={editor}
        className={`min-h-0 flex-1 overflow-auto ${comfortable ? 'measured' : ''}`}
      />
      {editor ? (
        <Foot editor={editor} onPrint={() => printText(shelf, id, editor.view.dom)} />
      ) : (
        <span data-coming="" />
      )}
    </>
  )
}

/** The caret is where it was before the first key comes, not a moment later. */
const placeCaret = (view: EditorView): void => view.focus()

/** A link to a document goes there; one to the web opens beside the shelf, with Ctrl or Command. */
function followed(shelf: Shelf, event: MouseEvent): boolean {
  const link = (event.target as Element).closest('a')
  const address = link?.getAttribute('href') ?? ''
  const follows = address.startsWith('kite:') || event.ctrlKey || event.metaKey
  if (!link || !follows) return false
  event.preventDefault()
  openAddress(shelf, address)
  return true
}

const picturesIn = (data: DataTransfer | null): File[] => [...(data?.files ?? [])].filter(isPicture)

const printText = (shelf: Shelf, id: DocumentId, text: Element): void =>
  print([text.cloneNode(true)], shelf.state().documents[id]?.title ?? '')
