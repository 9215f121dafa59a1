import type { JSONContent } from '@tiptap/core'
import type Token from 'markdown-it/lib/token.mjs'
import { engine } from '../markdown/engine'
import { nodeOf } from './fromTokens'

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

const rawNode = (text: string): JSONContent => ({
  type: 'raw',
  ...(text && { content: [{ type: 'text', text }] }),
})

/**
 * A Markdown text as blocks. What the editor does not know (HTML, definitions of links) is a block
 * that shows it word for word.
 */
export function readBlocks(markdown: string): Blocks {
  const lines = markdown.split(/(?<=\r\n|\r(?!\n)|\n)/)
  const isEmpty = (at: number) => (lines[at] ?? '').trim() === ''
  const parts: { from: number; to: number; tokens: Token[] | null }[] = []
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
  for (const tokens of topLevel(engine.parse(markdown, {}))) {
    const [from, to] = tokens[0]?.map ?? [covered, covered]
    stray(covered, from)
    let end = Math.max(to, from + 1)
    while (end > from + 1 && isEmpty(end - 1)) end--
    parts.push({ from, to: end, tokens })
    covered = end
  }
  stray(covered, lines.length)
  const text = (from: number, to: number) => lines.slice(from, to).join('')
  return {
    lead: text(0, parts[0]?.from ?? lines.length),
    blocks: parts.map(({ from, to, tokens }, at) => {
      const own = text(from, to).replace(/(\r\n|\r|\n)$/, '')
      return {
        source: text(from, parts[at + 1]?.from ?? lines.length),
        node: (tokens && nodeOf(tokens)) || rawNode(own.replace(/\r\n?/g, '\n')),
      }
    }),
  }
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
