import { runs } from '@testing/runs'
import { getSchema, type JSONContent } from '@tiptap/core'
import { Node } from '@tiptap/pm/model'
import { EditorState } from '@tiptap/pm/state'
import fc from 'fast-check'
import { type Blocks, docOf, readBlocks } from './blocks'
import { schemaOf } from './schema'
import { blockMarkdown, Origin } from './toMarkdown'

const schema = getSchema(schemaOf())
const EMPTY: JSONContent = { type: 'paragraph' }

function opened(markdown: string): { doc: Node; origin: Origin; blocks: Blocks } {
  const { blocks, content } = docOf(markdown)
  const doc = Node.fromJSON(schema, content)
  doc.check()
  return { doc, origin: new Origin(blocks, doc), blocks }
}

/** The document with a letter typed at the start of the first text of a block. */
function typed(doc: Node, block: number): Node {
  let at: number | null = null
  doc.forEach((node, offset, index) => {
    if (index !== block) return
    if (node.isTextblock) at = offset + 1
    node.descendants((inner, position) => {
      if (at === null && inner.isTextblock) at = offset + 1 + position + 1
    })
  })
  if (at === null) return doc
  return EditorState.create({ doc, schema }).tr.insertText('Q', at).doc
}

const PIECES = [
  '# Snow at Tarn Ridge',
  'Setext\n======',
  'Plain text with *emphasis*, **strong**, `code` and ~~gone~~.',
  'Two lines\nin one paragraph, and a hard\\\nbreak.',
  '- one\n- two\n  - inner\n- three',
  '* starred\n\n* and loose',
  '1. first\n2. second',
  '7) seventh\n8) eighth',
  '- [ ] call the hut\n- [x] read HR-04',
  '> quoted\n> over two lines',
  '```js {1,2}\nconst snow = `deep`\n```',
  '    indented code',
  '---',
  '| station | new |\n| :-- | --: |\n| HR-01 | 12 |\n| a \\| b | **9** |',
  '![Ridge](ridge.png "From above")',
  '[Station readings](kite:stations) and [a page](https://snow.test/a_(b))',
  'A note[^1] and another[^long].',
  '[^1]: The first note.',
  '[^short]: word',
  '<div align="center">\n  <b>raw</b> HTML\n</div>',
  'Text with <kbd>inline</kbd> HTML.',
  '[ref]: https://snow.test/ "A definition"',
  'See [the definition][ref].',
  'Escaped \\*stars\\* and &amp; an entity.',
  '[titled](https://snow.test "Title")',
  'Übermäßig 雪 🏔️',
  'Not yet at its end ',
  '- an item, unfinished ',
  '<!-- a comment -->',
]
const gaps = fc.constantFrom('\n\n', '\n\n\n', '\n\n\n\n')
const documents = fc
  .array(fc.tuple(fc.constantFrom(...PIECES), gaps), { minLength: 1, maxLength: 12 })
  .chain((parts) =>
    fc
      .constantFrom('', '\n', '\n\n')
      .map((end) =>
        parts.map(([piece, gap], at) => piece + (at === parts.length - 1 ? end : gap)).join(''),
      ),
  )
const eol = fc.constantFrom('\n', '\r\n')

test('what is opened and only looked at is written word for word', () => {
  fc.assert(
    fc.property(documents, eol, (text, end) => {
      const markdown = text.replaceAll('\n', end)
      const { doc, origin } = opened(markdown)
      expect(origin.write(doc)).toBe(markdown)
    }),
    runs(300),
  )
})

test('a letter typed in one block changes nothing in any other', () => {
  fc.assert(
    fc.property(documents, eol, fc.nat(11), (text, end, where) => {
      const markdown = text.replaceAll('\n', end)
      const { doc, origin, blocks } = opened(markdown)
      const at = where % doc.childCount
      const changed = typed(doc, at)
      const written = origin.write(changed)
      const before = blocks.blocks.slice(0, at).map(({ source }) => source)
      const after = blocks.blocks.slice(at + 1).map(({ source }) => source)
      expect(written.startsWith(blocks.lead + before.join(''))).toBe(true)
      expect(written.endsWith(after.join(''))).toBe(true)
      // Taking the letter back gives the very text.
      expect(origin.write(doc)).toBe(markdown)
      // What was written is read as what was seen.
      const again = opened(written).doc
      const raw = changed.child(at).type.name === 'raw' || /\[ref\]|\[\^/.test(markdown)
      if (!raw) expect(again.toJSON()).toEqual(changed.toJSON())
    }),
    runs(300),
  )
})

test('what is typed is there word for word after a reload: spaces at both ends, empty paragraphs', () => {
  const line = fc.constantFrom(
    '',
    '',
    'A',
    'A1 ',
    '  two',
    'end\t',
    ' ',
    '# no heading',
    '- no item ',
    '&#32;',
  )
  fc.assert(
    fc.property(fc.array(line, { minLength: 1, maxLength: 7 }), (lines) => {
      const content = lines.map((text) =>
        text ? { type: 'paragraph', content: [{ type: 'text', text }] } : EMPTY,
      )
      const doc = Node.fromJSON(schema, { type: 'doc', content })
      const written = opened('').origin.write(doc)
      expect(opened(written).doc.toJSON()).toEqual(doc.toJSON())
    }),
    runs(300),
  )
})

test.each(PIECES)('%s is written anew as what it was read as', (piece) => {
  const { doc } = opened(piece)
  const first = doc.firstChild
  if (!first || first.type.name === 'raw') return
  const [again] = readBlocks(blockMarkdown(first)).blocks
  expect(Node.fromJSON(schema, again?.node as JSONContent).toJSON()).toEqual(first.toJSON())
})

test('what the editor does not know is shown word for word', () => {
  const raw = PIECES.filter((piece) => opened(piece).doc.firstChild?.type.name === 'raw')
  expect(raw).toEqual([
    '[^short]: word',
    '<div align="center">\n  <b>raw</b> HTML\n</div>',
    'Text with <kbd>inline</kbd> HTML.',
    '[ref]: https://snow.test/ "A definition"',
    '[titled](https://snow.test "Title")',
    '<!-- a comment -->',
  ])
})

test('tables, tasks and pictures are what they are', () => {
  const { doc } = opened(`${PIECES[13]}\n\n${PIECES[8]}\n\n${PIECES[14]}`)
  expect([0, 1, 2].map((at) => doc.child(at).type.name)).toEqual(['table', 'taskList', 'paragraph'])
  expect(doc.child(0).childCount).toBe(3)
  expect(doc.child(1).child(1).attrs.checked).toBe(true)
  expect(doc.child(2).firstChild?.attrs).toMatchObject({ src: 'ridge.png', alt: 'Ridge' })
})

test('an empty document stays empty, and the first words are all there is', () => {
  const { doc, origin } = opened('')
  expect(origin.write(doc)).toBe('')
  expect(origin.write(typed(doc, 0))).toBe('Q')
})

test('blocks that come, go and move keep a line between them', () => {
  const { doc, origin } = opened('# One\ntext\n\n- a\n- b\n')
  const [one, text, list] = [doc.child(0), doc.child(1), doc.child(2)]
  const made = schema.nodes.paragraph?.create(null, schema.text('new'))
  if (!made) throw new Error('no paragraph')
  expect(origin.write(doc.copy(doc.content.replaceChild(1, made)))).toBe('# One\nnew\n\n- a\n- b\n')
  const moved = schema.topNodeType.create(null, [list, one, made, text])
  expect(origin.write(moved)).toBe('- a\n- b\n\n# One\n\nnew\n\ntext\n\n')
})

test.each([
  ['stars', '*a '.repeat(20_000)],
  ['brackets', '[a]('.repeat(15_000)],
  ['quotes', `${'> '.repeat(10_000)}a`],
  ['backticks', '`a'.repeat(20_000)],
  ['pipes', `|${'a|'.repeat(20_000)}\n|${'-|'.repeat(20_000)}\n`],
  ['nested lists', Array.from({ length: 200 }, (_, n) => `${' '.repeat(n * 2)}- a`).join('\n')],
])('60 KB of %s are read', (_, text) => {
  const { doc, origin } = opened(text)
  expect(origin.write(doc)).toBe(text)
})
