import { LEADER } from '@/core/keys/sets'
import type { KeySet } from '@/core/settings/keySets'
import type { Card } from './card'
import { cardGroups } from './card'

/** How commands are said in a set of keys, above the card. */
export function cardIntro(set: KeySet): string {
  const say = 'a verb, then a place'
  switch (set) {
    case 'leader':
      return `Press ${LEADER} and let it go, then what stands here: ${say}. What begins with Ctrl, and what stands under a place, needs nothing before it.`
    case 'layer':
      return `Tap Alt twice, then press what stands here: ${say}. Shift may be tapped before a key. Escape, and keys type again.`
    case 'control':
      return `Hold Ctrl and Alt (Control and Option) and say ${say}. After the first stroke of two they may be let go. Keys listed under a place need no Alt.`
    default:
      return `Hold Alt and say ${say}. After the first stroke of two, Alt may be let go. Keys listed under a place need no Alt.`
  }
}

/** Text in a cell of a table. */
const cell = (text: string): string => text.replaceAll('\\', '\\\\').replaceAll('|', '\\|')

/** Keys as code, which a backtick in them must not end. */
const code = (keys: string): string => {
  const inside = keys.replaceAll('|', '\\|')
  return inside.includes('`') ? `\`\` ${inside} \`\`` : `\`${inside}\``
}

/** The key card as Markdown, a table for each group. */
export function cardAsMarkdown(card: Card, set: KeySet): string {
  const groups = cardGroups(card).map(({ name, rows }) =>
    [
      `## ${name}`,
      '',
      '| keys | |',
      '|---|---|',
      ...rows.map(({ keys, does }) => `| ${code(keys)} | ${cell(does)} |`),
    ].join('\n'),
  )
  return `${['# Keys of Kite Shelf', cardIntro(set), ...groups].join('\n\n')}\n`
}
