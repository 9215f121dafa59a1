import { Extension } from '@tiptap/core'
import { TextSelection } from '@tiptap/pm/state'
import type { Editor } from '@tiptap/react'
import { ALargeSmall, ChevronDown, ChevronUp, WholeWord, X } from 'lucide-react'
import {
  getMatchHighlights,
  replaceAll,
  replaceNext,
  SearchQuery,
  search,
  setSearchState,
} from 'prosemirror-search'
import { type KeyboardEvent, useEffect, useRef, useState } from 'react'
import { Tool } from '@/parts/Tool'

/** What is found is marked in the text. */
export const Search = Extension.create({
  name: 'search',
  addProseMirrorPlugins: () => [search()],
})

interface Asked {
  text: string
  instead: string
  caseSensitive: boolean
  wholeWord: boolean
}

const NOTHING: Asked = { text: '', instead: '', caseSensitive: false, wholeWord: false }

/** Finding in a text, and putting other words instead; Escape goes back to the text where it was found. */
export function FindBar({ editor, onClose }: { editor: Editor; onClose(): void }) {
  const field = useRef<HTMLInputElement>(null)
  const [asked, setAsked] = useState<Asked>(() => ({ ...NOTHING, text: chosenText(editor) }))
  const [count, setCount] = useState<Count>({ at: 0, of: 0 })
  useEffect(() => field.current?.select(), [])
  useEffect(() => {
    ask(editor, asked)
    setCount(countOf(editor))
  }, [editor, asked])
  // What is typed meanwhile, here or in another view, changes what is found.
  useEffect(() => {
    const look = () => setCount(countOf(editor))
    editor.on('transaction', look)
    return () => {
      editor.off('transaction', look)
      ask(editor, NOTHING)
    }
  }, [editor])
  const close = () => {
    onClose()
    editor.view.focus()
  }
  const keys = (event: KeyboardEvent) => {
    if (event.key === 'Escape') close()
    else if (event.key === 'Enter' && event.target === field.current)
      step(editor, event.shiftKey ? -1 : 1)
    else if (event.key === 'Enter' && event.target instanceof HTMLInputElement)
      replaceNext(editor.state, editor.view.dispatch)
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  const set = (change: Partial<Asked>) => setAsked({ ...asked, ...change })
  const none = count.of === 0
  return (
    <search className="bar flex-wrap gap-1.5" onKeyDown={keys}>
      <input
        ref={field}
        type="search"
        aria-label="Find in this text"
        placeholder="find"
        className="field min-h-7 w-28 min-w-0 flex-1"
        value={asked.text}
        onChange={(event) => set({ text: event.target.value })}
      />
      <span role="status" className="shrink-0 font-mono text-[11px] text-soft">
        {asked.text === '' ? '' : none ? 'no matches' : `${count.at || '–'}/${count.of}`}
      </span>
      <Tool label="Previous match, Shift+Enter" disabled={none} onClick={() => step(editor, -1)}>
        <ChevronUp size={15} />
      </Tool>
      <Tool label="Next match, Enter" disabled={none} onClick={() => step(editor, 1)}>
        <ChevronDown size={15} />
      </Tool>
      <Tool
        label="Match case"
        on={asked.caseSensitive}
        onClick={() => set({ caseSensitive: !asked.caseSensitive })}
      >
        <ALargeSmall size={15} />
      </Tool>
      <Tool
        label="Whole words only"
        on={asked.wholeWord}
        onClick={() => set({ wholeWord: !asked.wholeWord })}
      >
        <WholeWord size={15} />
      </Tool>
      <input
        aria-label="Replace with"
        placeholder="replace with"
        className="field min-h-7 w-28 min-w-0 flex-1"
        value={asked.instead}
        onChange={(event) => set({ instead: event.target.value })}
      />
      <Tool
        label="Replace this match"
        disabled={none}
        onClick={() => replaceNext(editor.state, editor.view.dispatch)}
      >
        Replace
      </Tool>
      <Tool
        label="Replace all matches"
        disabled={none}
        onClick={() => replaceAll(editor.state, editor.view.dispatch)}
      >
        All
      </Tool>
      <Tool label="Close, Escape" onClick={close}>
        <X size={15} />
      </Tool>
    </search>
  )
}

/** What is chosen in the text, if it is a few words of one paragraph. */
function chosenText({ state: { doc, selection } }: Editor): string {
  const { from, to, $from, $to } = selection
  return $from.sameParent($to) && to - from < 100 ? doc.textBetween(from, to).trim() : ''
}

/** Marks what is found, and chooses the first from the caret on. */
function ask(editor: Editor, { text, instead, caseSensitive, wholeWord }: Asked): void {
  const { view } = editor
  if (view.isDestroyed) return
  const query = new SearchQuery({
    search: text,
    replace: instead,
    caseSensitive,
    wholeWord,
    literal: true,
  })
  view.dispatch(setSearchState(view.state.tr, query))
  if (text)
    choose(
      editor,
      matches(editor).find(({ from }) => from >= view.state.selection.from),
    )
}

interface Match {
  from: number
  to: number
}

const matches = ({ state }: Editor): Match[] => getMatchHighlights(state).find()

/** Goes on to the next that was found, or back, round and round. */
function step(editor: Editor, by: 1 | -1): void {
  const all = matches(editor)
  const { from } = editor.state.selection
  const next =
    by > 0 ? all.find((match) => match.from > from) : all.findLast((match) => match.from < from)
  choose(editor, next ?? all.at(by > 0 ? 0 : -1))
}

function choose({ view }: Editor, match: Match | undefined): void {
  if (!match) return
  const { tr, doc } = view.state
  view.dispatch(tr.setSelection(TextSelection.create(doc, match.from, match.to)).scrollIntoView())
}

interface Count {
  /** Which of them is chosen; 0 where none is. */
  at: number
  of: number
}

function countOf(editor: Editor): Count {
  const all = matches(editor)
  const { from, to } = editor.state.selection
  return { at: all.findIndex((one) => one.from === from && one.to === to) + 1, of: all.length }
}
