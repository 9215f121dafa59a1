import { number } from 'yup'
import { maybeId } from '@/core/formats/shape'
import { DISPLAY_LEAST, LONGEST } from '@/core/model/types'
import { command, no } from './command'
import { fitWindows } from './opening'

const group = 'Shelf' as const

/** The desktop tells its size; windows stay where they are placed and within reach. */
const resizeDisplay = command({
  id: 'display.resize',
  title: 'Set the size of a display',
  group,
  step: false,
  args: {
    display: maybeId().required(),
    width: number().integer().min(DISPLAY_LEAST.width).max(LONGEST).required(),
    height: number().integer().min(DISPLAY_LEAST.height).max(LONGEST).required(),
  },
  can: (state, args) =>
    Object.hasOwn(state.displays, args.display) || no('There is no such display.'),
  run: (draft, { display: id, width, height }) => {
    const display = draft.displays[id]
    if (!display || (display.width === width && display.height === height)) return
    display.width = width
    display.height = height
    fitWindows(draft, display)
    return undefined
  },
})

export const displayCommands = [resizeDisplay]
