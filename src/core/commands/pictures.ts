/** Pictures of what is on screen, as files. */

import { isShown } from '@/core/model/selectors'
import { command, no, type PictureFormat } from './command'
import { meant, on, quoted, there, which } from './meant'
import { refused } from './places'

const group = 'Shelf' as const

const FORMATS: PictureFormat[] = ['png', 'svg']

const ofWindow = FORMATS.map((format) =>
  command({
    id: `picture.window.${format}`,
    title: `Picture of this window as ${format.toUpperCase()}`,
    group,
    step: false,
    args: which,
    can: (state, args) => {
      const can = there(state, args)
      const found = meant(state, args.window)
      if (can !== true || refused(found)) return can
      const seen = isShown(state, found) && !found.minimised
      return seen || no(`${quoted(state, found)} is not in sight. Go to it first.`)
    },
    run: on((_draft, found) => ({
      effect: { does: 'picture', of: 'window', window: found.id, format },
    })),
  }),
)

const ofAll = (['desktop', 'display'] as const).flatMap((of) =>
  FORMATS.map((format) =>
    command({
      id: `picture.${of}.${format}`,
      title: `Picture of this ${of} as ${format.toUpperCase()}`,
      group,
      step: false,
      run: () => ({ effect: { does: 'picture', of, format } }),
    }),
  ),
)

export const pictureCommands = [...ofWindow, ...ofAll]
