import fc from 'fast-check'
import { registry } from '../../src/core/commands/registry'
import { bindings } from '../../src/core/keys/bindings'
import { initialState } from '../../src/core/model/initial'
import { CHOICES } from '../../src/core/settings/choices'

/** Something a person might do next. Places are shares of the page, so that they fit every size. */
export type Step =
  | { does: 'chord'; keys: string }
  | { does: 'key'; key: string }
  /** Goes somewhere and types at once, before anything is drawn. */
  | { does: 'go and type'; keys: string }
  | { does: 'type' }
  | { does: 'click' | 'right click' | 'double click'; x: number; y: number }
  | { does: 'drag' | 'give a drag up'; x: number; y: number; toX: number; toY: number }
  /** A menu is open when something is said. */
  | { does: 'menu and chord'; x: number; y: number; keys: string }
  /** Of all that can be pushed, counted as shares: some are small. */
  | { does: 'push'; which: number }
  /** To the line, and so many results down. */
  | { does: 'say'; words: string; down: number }
  | { does: 'resize'; width: number; height: number }
  | { does: (typeof EVENTS)[number] }

export interface Walk {
  /** The demo, or forty desktops with two windows each. */
  shelf: 'demo' | 'forty'
  steps: Step[]
}

/** What happens, rather than being done. */
const EVENTS = [
  'another view',
  ...(['reload', 'reload', 'take over', 'fill the disk', 'empty the disk'] as const),
  ...(['lose the connection', 'find the connection'] as const),
  ...(['open outside', 'open outside', 'close outside'] as const),
] as const

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
    `Alt+] ${letter}`,
    `Alt+[ ${letter}`,
  ]),
]

/** They go to a desktop, a window or an app. */
const GOING = [
  ...[...'FMBPRE'].map((letter) => `Alt+${letter}`),
  ...['Alt+Left', 'Alt+Right', 'Alt+Up', 'Alt+Down', 'Alt+,', 'Alt+.', 'Alt+0'],
  ...[...'1234569'].map((slot) => `Alt+${slot}`),
]

/** They ask something, under hands that go on typing. */
const ASKING = [
  ...['Alt+Backspace', 'Alt+J F', 'Alt+J H', 'Alt+J P', 'Alt+J Y', 'Alt+Shift+Enter', 'Alt+;'],
  ...['Alt+J V', 'Alt+J Z', 'Alt+J Shift+W', 'Alt+Shift+/', 'Alt+J T', 'Alt+J D'],
]

const KEYS = [
  ...'abefhqwrsuxz0123456789=+-[]/;.,',
  ...['Enter', 'Enter', 'Escape', 'Escape', 'Escape', 'Tab', 'Shift+Tab', 'Space', 'Delete'],
  ...['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', 'PageDown', 'PageUp', 'Backspace'],
  ...['Home', 'End', 'Shift+ArrowRight', 'Control+a', 'Control+z', 'Control+c', 'ContextMenu'],
  ...['Control+v', 'Control+x', 'Control+y', 'Control+Home', 'Control+End'],
]

/** What commands and settings are found by: the beginnings of their first and last word. */
const SAID = [
  ...[...registry.values()].map(({ title }) => title),
  ...CHOICES.map(({ label }) => label),
].map((said) => {
  const words = said.toLowerCase().match(/[a-z]{3,}/g) ?? []
  return [...new Set([words[0], words.at(-1)])].map((word) => word?.slice(0, 5)).join(' ')
})

/**
 * Anywhere between, each place as likely as another: numbers with a fraction are drawn by their
 * size, so that most of them are small.
 */
const between = (from: number, to: number) =>
  fc.noBias(fc.nat({ max: 9999 })).map((at) => from + ((to - from) * at) / 10_000)

const share = between(0.002, 0.998)
/** The rack and the line are small and hold much. */
const across = fc.oneof(share, share, between(0.002, 0.16))
const down = fc.oneof(share, share, share, between(0.955, 0.998))
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
    weight: 8,
    arbitrary: fc
      .constantFrom(...GOING, ...ASKING)
      .map((keys) => ({ does: 'go and type', keys }) as const),
  },
  {
    weight: 4,
    arbitrary: fc.record({
      does: fc.constant('menu and chord' as const),
      ...at,
      keys: fc.constantFrom(...CHORDS),
    }),
  },
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
    arbitrary: fc.record({
      does: fc.constantFrom('drag' as const, 'drag' as const, 'give a drag up' as const),
      ...at,
      toX: across,
      toY: down,
    }),
  },
  {
    weight: 2,
    arbitrary: fc
      .constantFrom(...SIZES)
      .map(([width, height]) => ({ does: 'resize', width, height }) as const),
  },
  {
    weight: 14,
    arbitrary: between(0, 1).map((which) => ({ does: 'push', which }) as const),
  },
  {
    weight: 8,
    arbitrary: fc.record({
      does: fc.constant('say' as const),
      words: fc.constantFrom(...SAID),
      down: fc.nat({ max: 2 }),
    }),
  },
  {
    weight: 3,
    arbitrary: fc.constantFrom(...EVENTS).map((does) => ({ does })),
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
    case 'go and type':
      return `${one.keys} and type`
    case 'click':
    case 'right click':
    case 'double click':
      return `${one.does} ${place(one.x, one.y)}`
    case 'menu and chord':
      return `right click ${place(one.x, one.y)}, ${one.keys}`
    case 'drag':
    case 'give a drag up':
      return `${one.does} ${place(one.x, one.y)} to ${place(one.toX, one.toY)}`
    case 'push':
      return `push ${one.which.toFixed(4)}`
    case 'say':
      return `say “${one.words}”, ${one.down} down`
    case 'resize':
      return `${one.width} × ${one.height}`
    default:
      return one.does
  }
}
