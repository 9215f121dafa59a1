import { runs } from '@testing/runs'
import { getSchema } from '@tiptap/core'
import { history, undo } from '@tiptap/pm/history'
import { Node } from '@tiptap/pm/model'
import { EditorState, type Transaction } from '@tiptap/pm/state'
import fc from 'fast-check'
import { collab } from 'prosemirror-collab'
import { docOf } from './blocks'
import { schemaOf } from './schema'
import { type Said, stepsBetween, Together, type Typing } from './together'

const schema = getSchema(schemaOf())

const read = (markdown: string): Node => Node.fromJSON(schema, docOf(markdown).content)

/** An editor without a page. */
class Editor implements Typing {
  together: Together
  inbox: Said[] = []
  merges = 0
  state: EditorState

  constructor(
    room: Room,
    readonly name: string,
    markdown: string,
  ) {
    const plugins = [collab({ clientID: name }), history()]
    this.state = EditorState.create({ doc: read(markdown), plugins })
    this.together = new Together(this, {
      say: (said) => room.say(this, said),
      alone: () => room.editors.every((one) => one === this),
      merged: () => this.merges++,
    })
  }

  dispatch(change: Transaction): void {
    this.state = this.state.apply(change)
  }

  type(text: string, at: number): void {
    const { doc } = this.state
    this.dispatch(this.state.tr.insertText(text, Math.min(at, doc.content.size - 1)))
    this.together.offer()
  }

  /** As Enter does. */
  split(at: number): void {
    const { doc, tr } = this.state
    const within = Math.min(Math.max(at, 1), doc.content.size - 1)
    if (doc.resolve(within).parent.isTextblock) this.dispatch(tr.split(within))
    this.together.offer()
  }

  hear(): boolean {
    const said = this.inbox.shift()
    if (said) this.together.hear(said)
    return said !== undefined
  }

  get text(): string {
    return this.state.doc.textBetween(0, this.state.doc.content.size, '\n')
  }
}

/** Where all are heard in one order, each as late as it likes. */
class Room {
  editors: Editor[] = []
  private count = 0

  say(from: Editor, said: Said): void {
    const wired = JSON.parse(JSON.stringify(said)) as Said
    for (const one of this.editors) if (one !== from) one.inbox.push(wired)
  }

  open(markdown = 'Tarn'): Editor {
    const editor = new Editor(this, `editor ${++this.count}`, markdown)
    this.editors.push(editor)
    return editor
  }

  /** It is gone, as if its page had been killed; the next in the row leads when it has heard the rest. */
  kill(editor: Editor): void {
    const led = this.editors[0] === editor
    this.editors = this.editors.filter((one) => one !== editor)
    const [next] = this.editors
    if (!led || !next) return
    while (next.hear());
    next.together.lead()
  }

  /** Whether all but the first, which leads, have been told the document. */
  get known(): boolean {
    return this.editors.slice(1).every(({ together }) => together.knows)
  }

  settle(): void {
    for (let round = 0; round < 100; round++)
      if (!this.editors.map((one) => one.hear()).some(Boolean)) return
    throw new Error('They go on for ever')
  }
}

afterEach(() => {
  jest.useRealTimers()
})

test('what several editors type at once, with late messages, is in all of them once', () => {
  jest.useFakeTimers()
  const act = fc.record({
    who: fc.nat(3),
    does: fc.constantFrom('type', 'type', 'type', 'hear', 'hear', 'split', 'open', 'kill'),
    at: fc.nat(30),
  })
  fc.assert(
    fc.property(fc.array(act, { maxLength: 80 }), (acts) => {
      const room = new Room()
      room.open().together.lead()
      room.open()
      room.settle()
      const typed: string[] = []
      for (const [n, { who, does, at }] of acts.entries()) {
        const editor = room.editors[who % room.editors.length]
        if (!editor) continue
        if (does === 'hear') editor.hear()
        else if (does === 'split') editor.split(at)
        else if (does === 'open' && room.editors.length < 4) room.open()
        // One that knows nothing yet would begin with what is kept, which is not here.
        else if (does === 'kill' && room.editors.length > 2 && room.known) room.kill(editor)
        else if (does === 'type') {
          const letter = String.fromCodePoint(0x4e00 + n)
          typed.push(letter)
          editor.type(letter, 1 + at)
        }
      }
      room.settle()
      const texts = room.editors.map(({ text }) => text)
      expect(new Set(texts).size).toBe(1)
      const [text = ''] = texts
      const letters = [...text].filter((letter) => letter > '\u4000').sort()
      expect(letters).toEqual(typed.sort())
      for (const { state } of room.editors) state.doc.check()
    }),
    runs(150),
  )
})

test('who opens a document whose text was changed since gets it as it is, and keeps what it typed', () => {
  const room = new Room()
  const first = room.open('One\n\nTwo')
  first.together.lead()
  first.type(' more', 4)
  const second = room.open('One\n\nTwo')
  second.type('!', 9)
  room.settle()
  expect(second.text).toBe('One more\nTwo!')
  expect(first.text).toBe(second.text)
})

test('an editor that is alone says nothing, and tells all of it to who comes', () => {
  const room = new Room()
  const first = room.open()
  first.together.lead()
  const say = jest.spyOn(room, 'say')
  for (let n = 0; n < 250; n++) first.type('x', 1)
  expect(say).not.toHaveBeenCalled()
  const second = room.open()
  room.settle()
  expect(second.text).toBe(first.text)
})

test('where what was typed stands upon something else, it is written anew; elsewhere it is not', () => {
  const room = new Room()
  const [first, second] = [room.open(), room.open()]
  first.together.lead()
  room.settle()
  for (const editor of [first, second, first]) {
    editor.type('.', 1)
    room.settle()
  }
  expect([first.merges, second.merges]).toEqual([0, 0])
  first.type('a', 1)
  second.type('b', 8)
  room.settle()
  expect([first.text, first.merges, second.merges]).toEqual(['a...Tarnb', 1, 1])
})

test('a leader that is slow to hear is offered every letter once, in few turns', () => {
  jest.useFakeTimers()
  const room = new Room()
  const [first, second] = [room.open(), room.open()]
  first.together.lead()
  room.settle()
  const say = jest.spyOn(room, 'say')
  for (let n = 0; n < 200; n++) second.type('x', 1)
  room.settle()
  const offered = say.mock.calls.flatMap(([, said]) =>
    said.is === 'did' ? [said.steps.length] : [],
  )
  expect(offered).toEqual([1, 199])
  expect(first.text).toBe(second.text)
})

test('undo takes back what was typed here, not what another typed', () => {
  const room = new Room()
  const [first, second] = [room.open(), room.open()]
  first.together.lead()
  room.settle()
  second.type('mine', 1)
  room.settle()
  first.type('yours', 1)
  room.settle()
  undo(second.state, (change) => second.dispatch(change))
  second.together.offer()
  room.settle()
  expect([first.text, second.text]).toEqual(['yoursTarn', 'yoursTarn'])
})

test('while nobody leads, what is typed waits, and is asked about until one does', () => {
  jest.useFakeTimers()
  const room = new Room()
  const [first, second] = [room.open(), room.open()]
  second.type('b', 5)
  jest.advanceTimersByTime(2000)
  first.together.lead()
  room.settle()
  jest.advanceTimersByTime(4000)
  room.settle()
  expect([first.text, second.text]).toEqual(['Tarnb', 'Tarnb'])
})

test('one document is made of another, however they differ', () => {
  const block = fc.constantFrom(
    'One',
    'Two',
    '# Head',
    '- a\n- b',
    '| a | b |\n|---|---|\n| 1 | 2 |',
    '',
  )
  const text = fc.array(block, { minLength: 1, maxLength: 5 }).map((all) => all.join('\n\n'))
  fc.assert(
    fc.property(text, text, (one, other) => {
      const [from, to] = [read(one), read(other)]
      let doc = from
      for (const step of stepsBetween(from, to)) doc = step.apply(doc).doc ?? doc
      expect(doc.eq(to)).toBe(true)
    }),
    runs(300),
  )
})
