/** Pictures of what is on screen, as files or in the clipboard. */

import { object } from 'yup'
import { command, no, type PictureFormat } from '@/core/commands/command'
import { lookingAt, quoted, which } from '@/core/commands/meant'
import { isShown } from '@/core/model/selectors'
import { frame } from '@/core/model/shaping'

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

const ofAll = (['desktop', 'display'] as const).flatMap((of) =>
  FORMATS.map((format) =>
    command({
      id: `picture.${of}.${format}`,
      title: titleOf(`this ${of}`, format),
      group,
      step: false,
      plan: () => ({ effect: { does: 'picture', of, format } }),
    }),
  ),
)

/** Asks for the area where none is said. */
const ofArea = FORMATS.map((format) =>
  command({
    id: `picture.area.${format}`,
    title: titleOf('an area', format),
    group,
    step: false,
    args: { area: object(frame).default(undefined) },
    plan: (_draft, { area }) =>
      area
        ? { effect: { does: 'picture', of: 'area', area, format } }
        : { show: { view: 'draw area', format } },
  }),
)

export const pictureCommands = [...ofWindow, ...ofAll, ...ofArea]
