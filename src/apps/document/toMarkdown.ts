import type { Node } from '@tiptap/pm/model'
import {
  defaultMarkdownSerializer,
  MarkdownSerializer,
  type MarkdownSerializerState,
} from 'prosemirror-markdown'
import type { Blocks } from './blocks'

const { nodes, marks } = defaultMarkdownSerializer

type Writer = (state: MarkdownSerializerState, node: Node) => void

/** The default writers, by the names the editor has for what they write. */
const known = (name: string): Writer => {
  const writer = nodes[name]
  if (!writer) throw new Error(`No writer for ${name}`)
  return (state, node) => writer(state, node, node, 0)
}

const writeCell = (state: MarkdownSerializerState, cell: Node): string => {
  // What is written so far is a part of the state that its types keep to themselves.
  const writing = state as MarkdownSerializerState & { out: string }
  const before = writing.out
  writing.out = ''
  state.renderInline(cell.firstChild ?? cell)
  const text = writing.out.replace(/\\?\n/g, ' ').replace(/(?<!\\)\|/g, '\\|')
  writing.out = before
  return text
}

const RULES: Record<string, string> = { left: ':---', right: '---:', center: ':---:' }

const table: Writer = (state, node) => {
  node.forEach((row, _offset, at) => {
    const cells: string[] = []
    const rule: string[] = []
    row.forEach((cell) => {
      cells.push(writeCell(state, cell))
      rule.push(RULES[String(cell.attrs.align)] ?? '---')
    })
    state.ensureNewLine()
    state.write(`| ${cells.join(' | ')} |\n`)
    if (at === 0) state.write(`| ${rule.join(' | ')} |\n`)
  })
  state.closeBlock(node)
}

const serializer = new MarkdownSerializer(
  {
    paragraph: (state, node) => {
      // A space it begins with would be left out when it is read.
      const indented = /^[ \t]/.test(node.textContent) && node.firstChild?.isText
      if (indented) state.write('&#32;')
      known('paragraph')(state, indented ? node.cut(1) : node)
    },
    heading: known('heading'),
    blockquote: known('blockquote'),
    horizontalRule: known('horizontal_rule'),
    listItem: known('list_item'),
    text: (state, node) => {
      // What would be read as an entity is what was typed.
      for (const [at, part] of (node.text ?? '').split(/&(?=#?\w+;)/).entries()) {
        if (at > 0) state.write('\\&')
        state.text(part)
      }
    },
    image: (state, node) => {
      const { src, alt, title } = node.attrs
      const named = title ? ` "${String(title).replaceAll('"', '\\"')}"` : ''
      state.write(
        `![${state.esc(alt ?? '')}](${String(src ?? '').replace(/[()]/g, '\\$&')}${named})`,
      )
    },
    bulletList: (state, node) => state.renderList(node, '  ', () => `${node.attrs.marker ?? '-'} `),
    orderedList: (state, node) => {
      const start: number = node.attrs.start ?? 1
      const width = String(start + node.childCount - 1).length + 2
      const after = node.attrs.marker ?? '.'
      state.renderList(node, ' '.repeat(width), (at) => `${start + at}${after}`.padEnd(width))
    },
    taskList: (state, node) =>
      state.renderList(node, '  ', (at) => {
        const box = node.child(at).attrs.checked ? 'x' : ' '
        return `${node.attrs.marker ?? '-'} [${box}] `
      }),
    taskItem: (state, node) => state.renderContent(node),
    codeBlock: (state, node) => {
      const fences = [...node.textContent.matchAll(/`{3,}/g)].map(([fence]) => fence.length)
      const fence = '`'.repeat(Math.max(2, ...fences) + 1)
      state.write(`${fence}${node.attrs.language ?? ''}\n`)
      state.text(node.textContent, false)
      state.ensureNewLine()
      state.write(fence)
      state.closeBlock(node)
    },
    hardBreak: (state) => state.write('\\\n'),
    table,
    raw: (state, node) => {
      state.text(node.textContent, false)
      state.closeBlock(node)
    },
  },
  {
    bold: marks.strong ?? { open: '**', close: '**' },
    italic: marks.em ?? { open: '*', close: '*' },
    code: marks.code ?? { open: '`', close: '`' },
    link: marks.link ?? { open: '[', close: ']' },
    strike: { open: '~~', close: '~~', mixable: true, expelEnclosingWhitespace: true },
  },
)

/** Marks of footnotes are text to the editor, and written as they are. */
const footnotes = (text: string): string => text.replace(/\\\[\^([^\]\s\\]+)\\\]/g, '[^$1]')

/** A block of the editor as Markdown, without a line end. */
export const blockMarkdown = (node: Node): string =>
  footnotes(
    serializer.serialize(node.type.schema.topNodeType.create(null, node), { tightLists: true }),
  ).replace(/\n+$/, '')

/** What a text was read as: the nodes of the editor, with the very text of each. */
export class Origin {
  private readonly places = new Map<Node, number>()

  /** @param doc made of the blocks, one node for each */
  constructor(
    private readonly blocks: Blocks,
    private readonly doc: Node,
  ) {
    if (blocks.blocks.length) doc.forEach((node, _offset, at) => void this.places.set(node, at))
  }

  /**
   * The document as Markdown. Every block that is what it was is written word for word, with the
   * empty lines after it; only what was changed is written anew.
   */
  write(doc: Node): string {
    const { lead, blocks } = this.blocks
    const places = this.placesIn(doc)
    const eol = /\r\n/.test(lead + blocks.map(({ source }) => source).join('')) ? '\r\n' : '\n'
    let out = lead
    let before = -1
    doc.forEach((node, _offset, at) => {
      const place = places[at]
      const source = place === undefined ? undefined : blocks[place]?.source
      if (at > 0 && !(place !== undefined && place === before + 1)) out = apart(out, eol)
      if (place !== undefined && source !== undefined && this.isAsItWas(node, place)) out += source
      else if (isLeftEmpty(node)) out += doc.childCount === 1 ? '' : eol + eol
      else {
        const text = blockMarkdown(node).replaceAll('\n', eol)
        const was = place === undefined ? null : this.doc.child(place)
        // Spaces at its end are its own.
        const gap = was?.type === node.type ? (/(?:[\r\n]\s*)?$/.exec(source ?? '')?.[0] ?? '') : ''
        out += text + (gap.includes('\n') || at === doc.childCount - 1 ? gap : '')
        if (place !== undefined && !gap.includes('\n')) before = -2
      }
      before = before === -2 ? -1 : (place ?? -1)
    })
    return out
  }

  private isAsItWas(node: Node, place: number): boolean {
    const was = this.doc.child(place)
    return was === node || was.eq(node)
  }

  /** Where each node of a document stood; nodes that were changed in place stand where they stood. */
  private placesIn(doc: Node): (number | undefined)[] {
    const places: (number | undefined)[] = []
    doc.forEach((node, _offset, at) => {
      places[at] = this.places.get(node)
    })
    const count = this.blocks.blocks.length
    for (let at = 0; at < doc.childCount; ) {
      if (places[at] !== undefined) {
        at++
        continue
      }
      let end = at
      while (end < doc.childCount && places[end] === undefined) end++
      const first = at === 0 ? 0 : (places[at - 1] ?? -1) + 1
      const last = end === doc.childCount ? count : (places[end] ?? 0)
      // As many as there were: each in the place of the one that was there.
      if (last - first === end - at) for (let n = at; n < end; n++) places[n] = first + n - at
      at = end
    }
    return places
  }
}

/** Whether a block is a paragraph in which nothing stands. */
const isLeftEmpty = (node: Node): boolean =>
  node.type.name === 'paragraph' && node.content.size === 0

/** Ends a text with an empty line. */
function apart(text: string, eol: string): string {
  if (text === '' || /(\r\n|\r|\n)[ \t]*(\r\n|\r|\n)[ \t]*$/.test(text)) return text
  return text + (/(\r\n|\r|\n)$/.test(text) ? eol : eol + eol)
}
