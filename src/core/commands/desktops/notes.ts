import { string } from 'yup'
import { openApp } from '@/core/commands/apps/apps'
import { command, refused } from '@/core/commands/command'
import { visit } from '@/core/commands/opening'
import { named } from '@/core/commands/places'

/** A sheet of notes of its own for each desktop: always the same, wherever its window is by now. */
export const notes = command({
  id: 'desktop.notes',
  title: 'Desktop notes',
  group: 'Desktops',
  args: { desktop: string() },
  plan: (draft, { desktop }, env) => {
    const found = named(draft, desktop)
    if (refused(found)) return found
    const document = found.notes?.document ?? env.id('document')
    const open = Object.values(draft.windows).find((window) => window.document === document)
    if (open) return visit(draft, open.id)
    const title = `Notes, ${found.name}`
    const opened = openApp(draft, { app: 'document', document, title, on: found.id }, env)
    if (!refused(opened)) found.notes = { document }
    return opened
  },
})
