import { type AnyExtension, Extension, Node } from '@tiptap/core'
import Image from '@tiptap/extension-image'
import { TaskItem, TaskList } from '@tiptap/extension-list'
import { Table, TableCell, TableHeader, TableRow } from '@tiptap/extension-table'
import StarterKit from '@tiptap/starter-kit'
import { isAllowedUri, linksItself } from './addresses'

/** What the editor does not know: shown, and kept word for word. */
const Raw = Node.create({
  name: 'raw',
  group: 'block',
  content: 'text*',
  marks: '',
  code: true,
  defining: true,
  isolating: true,
  parseHTML: () => [{ tag: 'pre[data-raw]', preserveWhitespace: 'full' }],
  renderHTML: () => ['pre', { 'data-raw': '', title: 'Kept word for word' }, 0],
})

const attribute = (value: unknown) => ({ default: value, rendered: false })

/** What Markdown says of lists and cells that the page does not show otherwise. */
const Written = Extension.create({
  name: 'written',
  addGlobalAttributes: () => [
    {
      types: ['bulletList', 'orderedList', 'taskList'],
      attributes: { tight: attribute(true), marker: attribute(null) },
    },
    {
      types: ['tableHeader', 'tableCell'],
      attributes: {
        align: {
          default: null,
          parseHTML: (element) => element.style.textAlign || null,
          renderHTML: ({ align }) => (align ? { style: `text-align: ${align}` } : {}),
        },
      },
    },
  ],
})

/** Everything a document can hold; pictures are drawn by what is given. */
export const schemaOf = (picture: AnyExtension = Image): AnyExtension[] => [
  StarterKit.configure({
    link: {
      openOnClick: false,
      protocols: ['kite'],
      isAllowedUri,
      shouldAutoLink: linksItself,
    },
    underline: false,
    // A document that is only looked at stays as it is.
    trailingNode: false,
  }),
  picture.configure({ inline: true }),
  TaskList,
  TaskItem.configure({
    nested: true,
    a11y: { checkboxLabel: ({ textContent }) => textContent || 'Empty task' },
  }),
  Table,
  TableRow,
  TableHeader,
  TableCell,
  Raw,
  Written,
]
