import { MessageSquare } from 'lucide-react'
import type { AppManifest } from '../contract'
import { MESSAGES, type MessagesContent } from './content'

export const messages: AppManifest<MessagesContent> = {
  id: 'messages',
  name: 'Messages',
  plural: 'messages',
  untitled: 'Messages',
  glyph: MessageSquare,
  width: 560,
  height: 420,
  limits: { minWidth: 380, minHeight: 240 },
  opens: [],
  extension: () => '.txt',
  worksUnseen: true,
  drafts: false,
  contents: MESSAGES,
  keys: [
    ['Enter', 'reply'],
    ['Ctrl+Z', 'take back what is being sent'],
    ['PageDown', 'next thread; PageUp the one before'],
    ['Ctrl+F', 'find in the thread'],
  ],
  load: () => import('./Messages'),
  write: ({ threads }) => {
    const lines = threads.flatMap(({ who, messages: said }) =>
      said.map(
        ({ by, text, at }) => `${new Date(at).toISOString()} ${by === 'me' ? 'me' : who}: ${text}`,
      ),
    )
    return new Blob([`${lines.join('\n')}\n`], { type: 'text/plain' })
  },
}
