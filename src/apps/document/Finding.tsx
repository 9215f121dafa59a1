import { Extension } from '@tiptap/core'
import { TextSelection } from '@tiptap/pm/state'
import type { Editor } from '@tiptap/react'
import {
  getMatchHighlights,
  replaceAll,
  replaceNext,
  SearchQuery,
  search,
  setSearchState,
} from 'prosemirror-search'
import { useEffect, useState } from 'react'
import { FindBar } from '@/parts/FindBar'
import { type Asked, type Count, NOTHING } from '@/parts/finding'

/** What is found is marked in the text. */
export const Search = Extension.create({
  name: 'search',
  addProseMirrorPlugins: () => [search()],
})

/** Finding in a text, and putting other words instead; Escape goes back to the text where it was found. */
export function Finding({ editor, onClose }: { editor: Editor; onClose(): void }) {
  const [asked, setAsked] = useState<Asked>(() => ({ ...NOTHING, text: chosenText(editor) }))
  const [count, setCount] = useState<Count>({ at: 0, of: 0 })
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
  return (
    <FindBar
      label="Find in this text"
      asked={asked}
      onAsk={setAsked}
      count={count}
      onStep={(by) => step(editor, by)}
      onClose={() => {
        onClose()
        editor.view.focus()
      }}
      replace={{
        one: () => replaceNext(editor.state, editor.view.dispatch),
        all: () => replaceAll(editor.state, editor.view.dispatch),
      }}
    />
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

function countOf(editor: Editor): Count {
  const all = matches(editor)
  const { from, to } = editor.state.selection
  return { at: all.findIndex((one) => one.from === from && one.to === to) + 1, of: all.length }
}
