import { array, boolean, object, string } from 'yup'
import { askAbout } from '@/core/commands/asking'
import { command, no, refused } from '@/core/commands/command'
import { named } from '@/core/commands/places'
import { EMBLEMS } from '@/core/look/emblems'
import { LOOK_PARTS, put, SIGN, signOf, wear } from '@/core/look/look'
import { BACKDROPS, backdropPicture, HUES, type Sign, signShape } from '@/core/model/kinds/look'
import { desktop } from '@/core/model/selectors'

const group = 'Desktops' as const

const look = command({
  id: 'desktop.look',
  title: 'Change look',
  group,
  unlisted: true,
  args: {
    desktop: string(),
    hue: string().oneOf([...HUES]),
    emblem: string().oneOf(['', ...Object.keys(EMBLEMS)]),
    backdrop: string().oneOf([...BACKDROPS, 'picture'] as const),
    picture: object(backdropPicture).default(undefined),
    sign: boolean(),
    signed: object(signShape).default(undefined),
  },
  plan: (draft, args) => {
    const found = named(draft, args.desktop)
    if (refused(found)) return found
    if (args.backdrop === 'picture' && !args.picture && !found.picture)
      return no('It has no picture yet. Choose one.')
    if (args.hue) found.hue = args.hue
    if (args.backdrop) found.backdrop = args.backdrop
    if (args.emblem !== undefined) put(found, 'emblem', args.emblem || undefined)
    if (args.picture) found.picture = args.picture
    if (args.sign !== undefined) found.sign = args.sign
    if (args.signed) put(found, 'signed', others({ ...signOf(found), ...(args.signed as Sign) }))
    return { say: `Changed the look of ${found.name}` }
  },
})

/** What of a sign is other than at first; undefined where nothing is. */
function others(sign: Sign): Partial<Sign> | undefined {
  const own = Object.entries(sign).filter(([key, value]) => value !== SIGN[key as keyof Sign])
  return own.length > 0 ? Object.fromEntries(own) : undefined
}

/** The plain cloth with a plain sign; hue and emblem stay, for by them it is known. */
const reset = command({
  id: 'desktop.resetLook',
  title: 'Reset backdrop and sign',
  group,
  args: { desktop: string() },
  plan: (draft, args) => {
    const found = named(draft, args.desktop)
    if (refused(found)) return found
    const { hue } = found
    wear(found, { hue, backdrop: 'ripstop', sign: true }, ['backdrop', 'sign'])
    return { say: `Backdrop and sign of ${found.name} are how they are at first` }
  },
})

const copy = command({
  id: 'desktop.copyLook',
  title: 'Copy look to other desktops',
  group,
  unlisted: true,
  args: {
    desktop: string(),
    to: array(string().required()).required().min(1),
    parts: array(string().oneOf(LOOK_PARTS).required()).required().min(1),
  },
  plan: (draft, args) => {
    const from = named(draft, args.desktop)
    if (refused(from)) return from
    if (args.to.some((id) => !Object.hasOwn(draft.desktops, id)))
      return no('One of those desktops no longer exists.')
    const all = args.to.filter((id) => id !== from.id)
    for (const id of all) wear(desktop(draft, id), from, args.parts)
    const [first] = all
    const where = all.length === 1 && first ? desktop(draft, first).name : `${all.length} desktops`
    return { say: `Copied ${args.parts.join(', ')} of ${from.name} to ${where}` }
  },
})

export const lookCommands = [
  look,
  reset,
  copy,
  askAbout('look', 'desktop.askLook', 'Look…'),
  askAbout('copy look', 'desktop.askCopyLook', 'Copy look to…'),
]
