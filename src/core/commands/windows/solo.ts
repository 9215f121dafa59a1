import { command, refused } from '@/core/commands/command'
import { meant, quoted, which } from '@/core/commands/meant'
import { roomFor } from '@/core/commands/places'
import { currentId, desktop, title } from '@/core/model/selectors'
import { enter, fill, fullOf, leave, makeFull, tooSmall } from './filling'

const solo = command({
  id: 'window.solo',
  title: 'Solo: a desktop to itself',
  group: 'Windows',
  args: which,
  plan: (draft, args, env) => {
    const found = meant(draft, args.window)
    if (refused(found)) return found
    const from = currentId(draft)
    const full = fullOf(draft, found)
    if (full) {
      const to = leave(draft, full, found)
      return {
        say: `${quoted(draft, found)} is back on ${desktop(draft, to).name}`,
        ...(from !== to && { journal: [{ kind: 'switch', from, to }] }),
      }
    }
    const refusal = tooSmall(draft, found) ?? roomFor(draft, 1)
    if (refusal) return refusal
    const made = makeFull(draft, env, 'solo', found, title(draft, found))
    fill(draft, made, found)
    enter(draft, made.id, found.id)
    return {
      say: `${quoted(draft, found)} fills a desktop of its own`,
      journal: [{ kind: 'switch', from, to: made.id }],
    }
  },
})

export const soloCommands = [solo]
