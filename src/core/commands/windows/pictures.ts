/** Pictures of what is on screen, as files or in the clipboard. */

import { command, no, type PictureFormat } from '@/core/commands/command'
import { lookingAt, quoted, which } from '@/core/commands/meant'
import { isShown } from '@/core/model/selectors'

const group = 'Shelf' as const

const FORMATS: PictureFormat[] = ['png', 'svg', 'clipboard']

const titleOf = (what: string, format: PictureFormat): string =>
  format === 'clipboard'
    ? `Copy a picture of ${what}`
    : `Picture of ${what} as ${format.toUpperCase()}`

const ofWindow = FORMATS.map((format) =>
  command({
    id: `picture.window.${format}`,
    title: titleOf('this window', format),
    group,
    step: false,
    args: which,
    plan: lookingAt((draft, found) =>
      isShown(draft, found) && !found.minimised
        ? { effect: { does: 'picture', of: 'window', window: found.id, format } }
        : no(`${quoted(draft, found)} is not in sight. Go to it first.`),
    ),
  }),
)

const ofAll = (['desktop', 'display', 'area'] as const).flatMap((of) =>
  FORMATS.map((format) =>
    command({
      id: `picture.${of}.${format}`,
      title: titleOf(of === 'area' ? 'an area' : `this ${of}`, format),
      group,
      step: false,
      plan: () => ({ effect: { does: 'picture', of, format } }),
    }),
  ),
)

export const pictureCommands = [...ofWindow, ...ofAll]
