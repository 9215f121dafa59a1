import fc from 'fast-check'
import { bindings } from '../../src/core/keys/bindings'
import { initialState } from '../../src/core/model/initial'

/** Something a person might do next. Places are shares of the page, so that they fit every size. */
export type Step =
  | { does: 'chord'; keys: string }
  | { does: 'key'; key: string }
  | { does: 'type' }
  | { does: 'click' | 'right click' | 'double click'; x: number; y: number }
  | { does: 'drag'; x: number; y: number; toX: number; toY: number }
  | { does: 'resize'; width: number; height: number }
  | { does: 'reload' | 'take over' | 'fill the disk' | 'empty the disk' }

export interface Walk {
  /** The demo, or forty desktops with two windows each. */
  shelf: 'demo' | 'forty'
  steps: Step[]
}

const SIZES = [
  [1280, 800],
  [1024, 640],
  [960, 700],
  [1920, 1080],
] as const

/** Every chord there is, with the letters of a few desktops, whether or not they have one. */
const CHORDS = [
  ...bindings(initialState()).keys(),
  ...[...'FMBPRE'].flatMap((letter) => [
    `Alt+${letter}`,
    `Alt+Shift+${letter}`,
    `Alt+, ${letter}`,
    `Alt+' ${letter}`,
  ]),
]

const KEYS = [
  ...'abefhqwrsuxz0123456789=+-[]/;.,',
  ...['Enter', 'Enter', 'Escape', 'Escape', 'Escape', 'Tab', 'Shift+Tab', 'Space', 'Delete'],
  ...['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', 'PageDown', 'PageUp', 'Backspace'],
  ...['Home', 'End', 'Shift+ArrowRight', 'Control+a', 'Control+z', 'Control+c', 'ContextMenu'],
]

const share = fc.double({ min: 0.002, max: 0.998, noNaN: true })
/** The rack and the line are small and hold much. */
const across = fc.oneof(share, share, fc.double({ min: 0.002, max: 0.16, noNaN: true }))
const down = fc.oneof(share, share, share, fc.double({ min: 0.955, max: 0.998, noNaN: true }))
const at = { x: across, y: down }

const step: fc.Arbitrary<Step> = fc.oneof(
  {
    weight: 30,
    arbitrary: fc.constantFrom(...CHORDS).map((keys) => ({ does: 'chord', keys }) as const),
  },
  {
    weight: 24,
    arbitrary: fc.constantFrom(...KEYS).map((key) => ({ does: 'key', key }) as const),
  },
  { weight: 14, arbitrary: fc.constant({ does: 'type' } as const) },
  {
    weight: 18,
    arbitrary: fc.record({
      does: fc.constantFrom(
        'click' as const,
        'click' as const,
        'right click' as const,
        'double click' as const,
      ),
      ...at,
    }),
  },
  {
    weight: 8,
    arbitrary: fc.record({ does: fc.constant('drag' as const), ...at, toX: across, toY: down }),
  },
  {
    weight: 2,
    arbitrary: fc
      .constantFrom(...SIZES)
      .map(([width, height]) => ({ does: 'resize', width, height }) as const),
  },
  {
    weight: 3,
    arbitrary: fc
      .constantFrom(
        ...(['reload', 'reload', 'take over', 'fill the disk', 'empty the disk'] as const),
      )
      .map((does) => ({ does })),
  },
)

/** Walks of a length. */
export const walks = (length: number): fc.Arbitrary<Walk> =>
  fc.record({
    shelf: fc.constantFrom('demo' as const, 'forty' as const),
    steps: fc.array(step, { minLength: 1, maxLength: length, size: 'max' }),
  })

/** A step in a few words, for the log. */
export const told = (one: Step): string => {
  const place = (x: number, y: number) => `${x.toFixed(3)} ${y.toFixed(3)}`
  switch (one.does) {
    case 'chord':
      return one.keys
    case 'key':
      return one.key
    case 'click':
    case 'right click':
    case 'double click':
      return `${one.does} ${place(one.x, one.y)}`
    case 'drag':
      return `drag ${place(one.x, one.y)} to ${place(one.toX, one.toY)}`
    case 'resize':
      return `${one.width} × ${one.height}`
    default:
      return one.does
  }
}
