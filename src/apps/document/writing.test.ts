import { MemoryStore, makeShelf } from '@testing/shelf'
import { type Editor, getSchema } from '@tiptap/core'
import { Node } from '@tiptap/pm/model'
import { EditorState, type Transaction } from '@tiptap/pm/state'
import { collab } from 'prosemirror-collab'
import { focusedWindow } from '@/core/model/selectors'
import {
  keptContent,
  provideContents,
  putContent,
  receiveContent,
} from '@/store/documents/documents'
import { database } from '@/store/documents/source'
import { schemaOf } from './schema'
import { Writing } from './writing'

const schema = getSchema(schemaOf())
const shelf = makeShelf()
const leaving: Writing[] = []

afterAll(() => {
  for (const writing of leaving) writing.unmount()
})

/** A document with a text, and its editor without a page. */
async function opened(markdown: string) {
  provideContents(shelf, { source: database(new MemoryStore()), changed: () => {} })
  shelf.dispatch('window.open', { app: 'notes' })
  const id = focusedWindow(shelf.state())?.document ?? ''
  putContent(shelf, id, { saved: { markdown }, draft: null })
  const writing = new Writing(shelf, id, markdown)
  const doc = Node.fromJSON(schema, writing.begins)
  const view = {
    state: EditorState.create({ doc, plugins: [collab()] }),
    dispatch(change: Transaction) {
      this.state = this.state.apply(change)
    },
  }
  const editor = {
    view,
    get state() {
      return view.state
    },
  }
  writing.mount(editor as unknown as Editor)
  leaving.push(writing)
  // Its turn to lead comes.
  await new Promise((done) => setTimeout(done))
  const type = (text: string) => {
    view.dispatch(view.state.tr.insertText(text, view.state.doc.content.size - 1))
    writing.typed()
  }
  return { id, writing, type, text: () => view.state.doc.textContent }
}

test('what is typed is a draft, and none where it is again what was saved', async () => {
  const { id, writing, type } = await opened('Snow')
  type(' pit')
  expect(keptContent(shelf, id)).toEqual({
    saved: { markdown: 'Snow' },
    draft: { markdown: 'Snow pit' },
  })
  putContent(shelf, id, { saved: { markdown: 'Snow pit.' }, draft: { markdown: 'Snow pit' } })
  writing.show()
  type('.')
  expect(keptContent(shelf, id)).toEqual({ saved: { markdown: 'Snow pit.' }, draft: null })
})

test('what is put in from elsewhere is shown, and typed on from there', async () => {
  const { id, writing, type, text } = await opened('Snow')
  putContent(shelf, id, { saved: { markdown: 'Rain at noon' }, draft: null })
  writing.show()
  expect(text()).toBe('Rain at noon')
  type('!')
  expect(keptContent(shelf, id)?.draft).toEqual({ markdown: 'Rain at noon!' })
})

test('what another window typed comes as its steps: its text is not put over what was typed here', async () => {
  const { id, writing, type, text } = await opened('Snow')
  type(' here')
  const content = { saved: { markdown: 'Snow' }, draft: { markdown: 'Snow there' } }
  receiveContent(shelf, id, { content, put: false })
  writing.show()
  expect(text()).toBe('Snow here')
})

test('what is drawn late takes nothing back that was typed since', async () => {
  const { id, writing, type, text } = await opened('')
  // As on a busy page: each letter is drawn when the next ones are typed already.
  for (const letter of 'not yet ') {
    type(letter)
    type('.')
    writing.show()
  }
  expect(text()).toBe('n.o.t. .y.e.t. .')
  expect(keptContent(shelf, id)?.draft).toEqual({ markdown: 'n.o.t. .y.e.t. .' })
})
