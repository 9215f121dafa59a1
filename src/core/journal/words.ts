import { EVERY } from '@/core/model/kinds/window'
import type { State } from '@/core/model/state'
import type { JournalEvent } from './events'

/** The name of a desktop; one that is gone has none any more. */
export const desktopName = ({ desktops }: Pick<State, 'desktops'>, id: string): string =>
  desktops[id]?.name ?? 'a folded desktop'

/** “41 min”, “2 h 5 min”: a stretch of time given in whole minutes. */
export function spell(minutes: number): string {
  const hours = Math.floor(minutes / 60)
  return hours ? `${hours} h ${minutes % 60} min` : `${minutes} min`
}

const BY: Record<JournalEvent['by'], string> = {
  key: ', by key',
  pointer: ', by pointer',
  console: ', from the console',
  app: '',
}

/** “sent from Rota to Field, by key” — what happened to a window. */
export function eventInWords(
  { kind, by, from, to }: JournalEvent,
  { desktops }: Pick<State, 'desktops'>,
): string {
  const name = (id: string | undefined) =>
    id === EVERY ? 'every desktop' : desktopName({ desktops }, id ?? '')
  switch (kind) {
    case 'send':
    case 'carry':
      return `${kind === 'send' ? 'sent' : 'carried'} from ${name(from)} to ${name(to)}${BY[by]}`
    case 'open':
      return `opened${to ? ` on ${name(to)}` : ''}${BY[by]}`
    case 'close':
      return `closed${BY[by]}`
    case 'undo':
    case 'redo':
      return `${kind === 'undo' ? 'undone' : 'redone'}: on ${name(to)} again${BY[by]}`
    case 'asks':
      return 'wanted attention'
    case 'let go':
      return `let go unanswered${BY[by]}`
    case 'put off':
    case 'seen':
      return `${kind}${BY[by]}`
    case 'focus':
      return `came to the front${BY[by]}`
    default:
      return kind
  }
}
