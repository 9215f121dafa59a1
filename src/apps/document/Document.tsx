'use client'
import { Extension } from '@tiptap/core'
import { EditorContent, useEditor } from '@tiptap/react'
import { collab } from 'prosemirror-collab'
import { useEffect, useState } from 'react'
import { LongText } from '@/parts/LongText'
import { isLong } from '@/parts/longParts'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import type { AppProps } from '../contract'
import { useShownContent } from '../useContents'
import { tellCaret } from './caret'
import { Chords } from './chords'
import { DOCUMENT } from './content'
import { FindBar, Search } from './Finding'
import { picture } from './Picture'
import { insertPicture, isPicture, openReference, taken } from './references'
import { schemaOf } from './schema'
import { Tools } from './Tools'
import { Tab } from './tab'
import { Writing } from './writing'

/** Rich text, kept as Markdown. */
export default function Document({ document: id }: AppProps) {
  const content = useShownContent(DOCUMENT, id)
  if (!content) return null
  const { markdown } = content
  if (!isLong(markdown)) return <Editable id={id} markdown={markdown} />
  return <LongText document={id} text={markdown} label="Text, too long to be edited" />
}

/** Its steps can be told to others. */
const Steps = Extension.create({ name: 'steps', addProseMirrorPlugins: () => [collab()] })

const extensions = [...schemaOf(picture), Tab, Chords, Steps, Search]

function Editable({ id, markdown }: { id: string; markdown: string }) {
  const shelf = useShelf()
  const [writing] = useState(() => new Writing(shelf, id, markdown))
  const [finding, setFinding] = useState(false)
  const editor = useEditor({
    extensions,
    content: writing.begins,
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
      handleDOMEvents: { keydown: tellCaret },
      handleKeyDown: (_view, event) => {
        if (!asksToFind(event)) return false
        setFinding(true)
        return true
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
    onMount: ({ editor: made }) => writing.mount(made),
    onUnmount: () => writing.unmount(),
    // The caret is where it was before the first key comes, not a moment later.
    onFocus: ({ editor: { view } }) => view.focus(),
    onUpdate: () => writing.typed(),
  })
  // biome-ignore lint/correctness/useExhaustiveDependencies: another text is the reason to look
  useEffect(() => writing.show(), [writing, markdown])
  return (
    <>
      <Tools editor={editor} onFind={() => setFinding(true)} />
      {editor && finding ? <FindBar editor={editor} onClose={() => setFinding(false)} /> : null}
      <EditorContent editor={editor} className="min-h-0 flex-1 overflow-auto" />
      {editor ? null : <span data-coming="" />}
    </>
  )
}

const asksToFind = ({ key, ctrlKey, metaKey, altKey, shiftKey }: KeyboardEvent): boolean =>
  (ctrlKey || metaKey) && !altKey && !shiftKey && key.toLowerCase() === 'f'

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
