/** Every sentence a person can meet, read out of the source: for the check of the wording. */

import { readFileSync } from 'node:fs'
import { parse } from '@babel/parser'

/** A title names an act, a label a thing, a help explains it, an error refuses; the rest is text. */
type Kind = 'title' | 'label' | 'help' | 'error' | 'text'

export interface Said {
  kind: Kind
  text: string
  file: string
}

/** What a property of an object or of an element with one of these names holds. */
const NAMED: Record<string, Kind> = {
  title: 'title',
  label: 'label',
  'aria-label': 'label',
  placeholder: 'label',
  help: 'help',
  intro: 'text',
  says: 'text',
  say: 'text',
}

// biome-ignore lint/suspicious/noExplicitAny: the nodes of any kind are walked alike
type Node = Record<string, any>

/** The literals an expression can come to, what is filled in later as an ellipsis in brackets. */
function literalsOf(node: Node): string[] {
  switch (node.type) {
    case 'StringLiteral':
      return [node.value]
    case 'TemplateLiteral':
      return [node.quasis.map((part: Node) => part.value.cooked).join('[…]')]
    case 'ConditionalExpression':
      return [...literalsOf(node.consequent), ...literalsOf(node.alternate)]
    case 'JSXExpressionContainer':
      return literalsOf(node.expression)
    default:
      return []
  }
}

const nameOf = ({ name, value }: Node): string =>
  String(name && typeof name === 'object' ? name.name : (name ?? value))

/** What a node says by itself, if it says anything. */
function saidBy(node: Node): [Kind, string[]] | null {
  if (node.type === 'JSXText') return ['text', [node.value]]
  if (node.type === 'JSXAttribute' && node.value) {
    const kind = NAMED[nameOf(node.name)]
    return kind ? [kind, literalsOf(node.value)] : null
  }
  if (node.type === 'ObjectProperty') {
    const kind = NAMED[nameOf(node.key)]
    return kind ? [kind, literalsOf(node.value)] : null
  }
  if (node.type === 'CallExpression' && node.callee.name === 'no' && node.arguments[0])
    return ['error', literalsOf(node.arguments[0])]
  return null
}

/**
 * The sentences of one source file, in the order they stand.
 * @param file its path, read from the disk.
 */
export function stringsOf(file: string): Said[] {
  const found: Said[] = []
  const visit = (node: Node) => {
    const [kind, texts] = saidBy(node) ?? ['text' as const, []]
    for (const given of texts) {
      const text = given.replace(/\s+/g, ' ').trim()
      if (/\p{Letter}{2}/u.test(text)) found.push({ kind, text, file })
    }
    for (const child of Object.values(node).flat())
      if (child && typeof child === 'object' && typeof child.type === 'string') visit(child)
  }
  visit(
    parse(readFileSync(file, 'utf8'), { sourceType: 'module', plugins: ['typescript', 'jsx'] })
      .program,
  )
  return found
}
