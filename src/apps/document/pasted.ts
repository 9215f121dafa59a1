import { Fragment, Node, Slice } from '@tiptap/pm/model'
import type { EditorView } from '@tiptap/pm/view'
import { docOf } from './blocks'
import { apart } from './chords'

/** A line that begins as only Markdown does. */
const LINE = /^(?:#{1,6} \S|[-*+] \S|\d{1,9}[.)] \S|> \S|```|\|.+\||- \[[ x]\] )/m

/** Whether a plain text is written in Markdown: several lines, one of which says so. */
export const isMarkdown = (text: string): boolean => text.includes('\n') && LINE.test(text)

/** Pastes a text that is Markdown as what it says. @returns whether it is */
export function pastedMarkdown(view: EditorView, data: DataTransfer | null): boolean {
  const text = data?.getData('text/plain').replace(/\r\n?/g, '\n') ?? ''
  if (data?.getData('text/html') || !isMarkdown(text)) return false
  const { schema, selection } = view.state
  if (selection.$from.parent.type.spec.code) return false
  const { content } = Node.fromJSON(schema, docOf(text.trim()).content)
  apart(view)
  view.dispatch(
    view.state.tr.replaceSelection(new Slice(Fragment.from(content), 0, 0)).scrollIntoView(),
  )
  queueMicrotask(() => apart(view))
  return true
}
