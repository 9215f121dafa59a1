import type { JSONContent } from '@tiptap/core'
import type Token from 'markdown-it/lib/token.mjs'

/** Said of tokens the editor has nothing for: the block is shown word for word instead. */
class Unknown extends Error {}

type Mark = NonNullable<JSONContent['marks']>[number]

const MARKS: Record<string, (token: Token) => Mark> = {
  em_open: () => ({ type: 'italic' }),
  strong_open: () => ({ type: 'bold' }),
  s_open: () => ({ type: 'strike' }),
  link_open: (token) => ({ type: 'link', attrs: { href: token.attrGet('href') ?? '' } }),
}

/** What the editor shows of a top-level block, or null where it does not know something in it. */
export function nodeOf(tokens: Token[]): JSONContent | null {
  try {
    const [node, ...more] = blocks(tokens)
    return node && more.length === 0 ? node : null
  } catch (error) {
    if (error instanceof Unknown) return null
    throw error
  }
}

function blocks(tokens: Token[]): JSONContent[] {
  const nodes: JSONContent[] = []
  for (let at = 0; at < tokens.length; ) {
    const end = closing(tokens, at)
    const inner = tokens.slice(at + 1, end)
    const token = tokens[at]
    if (token) nodes.push(block(token, inner))
    at = Math.max(end, at) + 1
  }
  return nodes
}

/** Where what opens at a token closes; the token itself where it opens nothing. */
function closing(tokens: Token[], at: number): number {
  let depth = 0
  for (let end = at; end < tokens.length; end++) {
    depth += tokens[end]?.nesting ?? 0
    if (depth === 0) return end
  }
  return tokens.length - 1
}

function block(token: Token, inner: Token[]): JSONContent {
  switch (token.type) {
    case 'paragraph_open':
      return { type: 'paragraph', ...filled(inline(inner)) }
    case 'heading_open':
      return {
        type: 'heading',
        attrs: { level: Number(token.tag.slice(1)) },
        ...filled(inline(inner)),
      }
    case 'blockquote_open':
      return { type: 'blockquote', content: some(blocks(inner)) }
    case 'bullet_list_open':
      return list('bulletList', token, inner, { marker: token.markup })
    case 'ordered_list_open':
      return list('orderedList', token, inner, {
        start: Number(token.attrGet('start') ?? 1),
        marker: token.markup,
      })
    case 'list_item_open':
      return { type: 'listItem', content: withParagraph(blocks(inner)) }
    case 'fence':
      return code(token.content, token.info || null)
    case 'code_block':
      return code(token.content, null)
    case 'hr':
      return { type: 'horizontalRule' }
    case 'table_open':
      return { type: 'table', content: rows(inner) }
    default:
      throw new Unknown(token.type)
  }
}

const filled = (content: JSONContent[]): { content?: JSONContent[] } =>
  content.length ? { content } : {}

/** What has to hold something. */
const some = (content: JSONContent[]): JSONContent[] =>
  content.length ? content : [{ type: 'paragraph' }]

/** Items of lists begin with a paragraph. */
const withParagraph = (content: JSONContent[]): JSONContent[] =>
  content[0]?.type === 'paragraph' ? content : [{ type: 'paragraph' }, ...content]

const code = (content: string, language: string | null): JSONContent => {
  const text = content.replace(/\n$/, '')
  return {
    type: 'codeBlock',
    attrs: { language },
    ...filled(text ? [{ type: 'text', text }] : []),
  }
}

const TASK = /^\[([ xX])\](?:\s|$)/

function list(type: string, token: Token, inner: Token[], attrs: object): JSONContent {
  // In a tight list paragraphs are not drawn as such.
  const tight = inner.some(({ type: one, hidden }) => one === 'paragraph_open' && hidden)
  const texts = tasks(inner)
  const items = blocks(inner)
  const common = {
    ...attrs,
    tight: tight || !inner.some(({ type: one }) => one === 'paragraph_open'),
  }
  if (token.type !== 'bullet_list_open' || texts.length !== items.length)
    return { type, attrs: common, content: items }
  return {
    type: 'taskList',
    attrs: common,
    content: items.map((item, at) => ({
      type: 'taskItem',
      attrs: { checked: texts[at] !== ' ' },
      content: item.content?.map((node, index) => (index === 0 ? withoutBox(node) : node)),
    })),
  }
}

/** What stands in the boxes of a list of tasks, one for each item; fewer where it is none. */
function tasks(inner: Token[]): string[] {
  const found: string[] = []
  for (const [at, token] of inner.entries()) {
    if (token.type !== 'list_item_open' || token.level !== inner[0]?.level) continue
    const box = TASK.exec(inner[at + 2]?.type === 'inline' ? (inner[at + 2]?.content ?? '') : '')
    if (box?.[1]) found.push(box[1])
  }
  return found
}

function withoutBox(paragraph: JSONContent): JSONContent {
  const [first, ...rest] = paragraph.content ?? []
  const text = (first?.text ?? '').replace(TASK, '')
  return { type: 'paragraph', ...filled([...(text ? [{ ...first, text }] : []), ...rest]) }
}

function rows(inner: Token[]): JSONContent[] {
  const found: JSONContent[] = []
  for (const [at, { type }] of inner.entries()) {
    if (type !== 'tr_open') continue
    const cells = inner.slice(at + 1, closing(inner, at))
    found.push({ type: 'tableRow', content: cellsOf(cells) })
  }
  return found
}

function cellsOf(tokens: Token[]): JSONContent[] {
  const found: JSONContent[] = []
  for (const [at, token] of tokens.entries()) {
    const type = { th_open: 'tableHeader', td_open: 'tableCell' }[token.type]
    if (!type) continue
    const align = /text-align:(\w+)/.exec(token.attrGet('style') ?? '')?.[1] ?? null
    const content = inline(tokens.slice(at + 1, closing(tokens, at)))
    found.push({ type, attrs: { align }, content: [{ type: 'paragraph', ...filled(content) }] })
  }
  return found
}

/** The text of a block with its marks. */
function inline(tokens: Token[]): JSONContent[] {
  const nodes: JSONContent[] = []
  const marks: Mark[] = []
  const text = (value: string, more: Mark[] = []) => {
    if (!value) return
    const all = [...marks, ...more]
    nodes.push({ type: 'text', text: value, ...(all.length && { marks: all }) })
  }
  for (const token of tokens.flatMap(({ children }) => children ?? [])) {
    const opens = MARKS[token.type]
    if (opens) {
      // A link with a title is more than the editor has.
      if (token.attrGet('title')) throw new Unknown('title of a link')
      marks.push(opens(token))
    } else if (token.type.endsWith('_close')) marks.pop()
    else if (token.type === 'text' || token.type === 'text_special') text(token.content)
    else if (token.type === 'code_inline') text(token.content, [{ type: 'code' }])
    else if (token.type === 'softbreak') text('\n')
    else if (token.type === 'hardbreak') nodes.push({ type: 'hardBreak' })
    else if (token.type === 'image') {
      const [src, title] = [token.attrGet('src'), token.attrGet('title')]
      nodes.push({ type: 'image', attrs: { src, title, alt: token.content } })
    } else throw new Unknown(token.type)
  }
  const [last, end] = [nodes.at(-1), endOf(tokens.at(-1))]
  if (last?.type === 'text' && !last.marks) last.text += end
  else text(end)
  return nodes
}

/** Notes the spaces a text ends with, which Markdown leaves out: who typed them may be about to go on. */
export function noteEnds(tokens: Token[], lines: string[]): void {
  for (const [at, token] of tokens.entries()) {
    const holds = /^(paragraph|heading)_open$/.test(tokens[at - 1]?.type ?? '')
    const line = token.type === 'inline' && holds && lines[(token.map?.[1] ?? 0) - 1]
    const [, said = '', end = ''] = (line && /^(.*?)([ \t]+)(?:\r\n|\r|\n)?$/.exec(line)) || []
    if (end && said.endsWith(token.content.split('\n').at(-1) || '\n')) token.meta = { end }
  }
}

const endOf = (token: Token | undefined): string => token?.meta?.end ?? ''
