import { MessageSquare } from 'lucide-react'
import { array, object, string } from 'yup'
import { count, flag, listById, moment, text } from '../contents'
import type { AppManifest } from '../contract'
import type { MessagesContent } from './threads'

export const messages: AppManifest = {
  id: 'messages',
  name: 'Messages',
  plural: 'messages',
  untitled: 'Messages',
  glyph: MessageSquare,
  width: 560,
  height: 420,
  limits: { minWidth: 380, minHeight: 240 },
  opens: [],
  extension: '.txt',
  worksUnseen: true,
  drafts: false,
  content: object({
    threads: listById(
      object({
        id: string().required(),
        who: text(),
        read: count(),
        messages: array(
          object({
            by: string().oneOf(['them', 'me']).required(),
            text: text(),
            at: moment(),
            mention: flag(),
            waiting: flag(),
            failed: string(),
            id: string(),
          }).required(),
        ).required(),
      }),
    ),
    received: count(),
  }),
  load: () => import('./Messages'),
  write: (content) => {
    const { threads = [] } = (content as MessagesContent | null) ?? {}
    const lines = threads.flatMap(({ who, messages: said }) =>
      said.map(
        ({ by, text, at }) => `${new Date(at).toISOString()} ${by === 'me' ? 'me' : who}: ${text}`,
      ),
    )
    return new Blob([`${lines.join('\n')}\n`], { type: 'text/plain' })
  },
}
