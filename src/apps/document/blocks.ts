import type { JSONContent } from '@tiptap/core'
import type Token from 'markdown-it/lib/token.mjs'
import { engine } from '../markdown/engine'
import { nodeOf, noteEnds } from './fromTokens'

/** A top-level block of a Markdown text: its very text, and what the editor shows of it. */
interface Block {
  /** With the empty lines after it. All sources after each other are the text. */
  source: string
  node: JSONContent
}

export interface Blocks {
  /** Empty lines before the first block. */
  lead: string
  blocks: Block[]
}

/** Of a place that is left empty: two empty lines, beside the one that stands between blocks anyway. */
const LEFT_EMPTY = 2

const EMPTY: JSONContent = { type: 'paragraph' }

const rawNode = (text: string): JSONContent => ({
  type: 'raw',
  ...(text && { content: [{ type: 'text', text }] }),
})

/**
 * A Markdown text as blocks. What the editor does not know (HTML, definitions of links) is a block
 * that shows it word for word. More empty lines than it takes between blocks are empty paragraphs.
 */
export function readBlocks(markdown: string): Blocks {
  const lines = markdown.split(/(?<=\r\n|\r(?!\n)|\n)/)
  const isEmpty = (at: number) => (lines[at] ?? '').trim() === ''
  const parts: Part[] = []
  const stray = (from: number, to: number) => {
    // Lines no token speaks of: each run of them without an empty line between is one block.
    for (let at = from; at < to; at++) {
      if (isEmpty(at)) continue
      const start = at
      while (at < to && !isEmpty(at)) at++
      parts.push({ from: start, to: at, tokens: null })
    }
  }
  let covered = 0
  const all = engine.parse(markdown, {})
  noteEnds(all, lines)
  for (const tokens of topLevel(all)) {
    const [from, to] = tokens[0]?.map ?? [covered, covered]
    stray(covered, from)
    let end = Math.max(to, from + 1)
    while (end > from + 1 && isEmpty(end - 1)) end--
    parts.push({ from, to: end, tokens })
    covered = end
  }
  stray(covered, lines.length)
  const text = (from: number, to: number) => lines.slice(from, to).join('')
  const filled = withEmpty(parts, lines.at(-1) === '' ? lines.length - 1 : lines.length)
  return {
    lead: text(0, filled[0]?.from ?? lines.length),
    blocks: filled.map(({ from, to, tokens }, at) => {
      const own = text(from, to).replace(/(\r\n|\r|\n)$/, '')
      return {
        source: text(from, filled[at + 1]?.from ?? lines.length),
        node:
          (tokens && nodeOf(tokens)) || (own.trim() ? rawNode(own.replace(/\r\n?/g, '\n')) : EMPTY),
      }
    }),
  }
}

/** Lines that belong together, with what stands for them; null where nothing does. */
interface Part {
  from: number
  to: number
  tokens: Token[] | null
}

/** The parts, with one for each empty paragraph before, between and after them. */
function withEmpty(parts: Part[], lines: number): Part[] {
  const found: Part[] = []
  // Before the first no line stands between.
  let from = 0
  for (const part of [...parts, { from: lines, to: lines, tokens: null }]) {
    for (let to = from + LEFT_EMPTY; to <= part.from; from = to, to += LEFT_EMPTY)
      found.push({ from, to, tokens: null })
    if (part.from < lines) found.push(part)
    from = part.to + 1
  }
  return found
}

/** The tokens of each top-level block. */
function* topLevel(tokens: Token[]): Generator<Token[]> {
  let depth = 0
  let start = 0
  for (const [at, { nesting }] of tokens.entries()) {
    depth += nesting
    if (depth > 0) continue
    yield tokens.slice(start, at + 1)
    start = at + 1
  }
}

/** A text as the editor takes it, with the blocks it was read as. */
export function docOf(markdown: string): { blocks: Blocks; content: JSONContent } {
  const blocks = readBlocks(markdown)
  const nodes = blocks.blocks.map(({ node }) => node)
  return {
    blocks,
    content: { type: 'doc', content: nodes.length ? nodes : [EMPTY] },
  }
}
