import type { Settings } from '@/core/model/types'

/** What has several choices of which one is chosen; each stands under its name. */
export const KINDS = [
  'Put desktops to rest after',
  'Gap between placed windows',
  'A window held at an edge goes on after',
  'Going to a desktop on another display',
] as const
type Kind = 'Cloth' | (typeof KINDS)[number]

/** Something that can be set, in words: on or off, or one of several. */
export interface Choice {
  label: string
  /** Words it is found by besides its label. */
  words: string
  /** Choices of one of several stand together under this; those that are on or off have none. */
  of?: Kind
  chosen(settings: Settings): boolean
  /** What choosing it sets. */
  set(settings: Settings): Partial<Settings>
}

type Flag = 'wrap' | 'wrapRows' | 'fullScreen' | 'inspector' | 'outside'

const flag = (name: Flag, label: string, words: string): Choice => ({
  label,
  words,
  chosen: (settings) => settings[name],
  set: (settings) => ({ [name]: !settings[name] }),
})

const cloth = (to: Settings['cloth'], label: string, words: string): Choice => ({
  label,
  words: `${words} colours appearance contrast`,
  of: 'Cloth',
  chosen: (settings) => settings.cloth === to,
  set: () => ({ cloth: to }),
})

const rest = (minutes: number): Choice => ({
  label: minutes ? `${minutes} minutes` : 'never',
  words: 'rest sleep memory minutes',
  of: 'Put desktops to rest after',
  chosen: ({ restAfter }) => restAfter === minutes,
  set: () => ({ restAfter: minutes }),
})

const gap = (pixels: number): Choice => ({
  label: pixels ? `${pixels} pixels` : 'none',
  words: 'gap space margin between placed windows',
  of: 'Gap between placed windows',
  chosen: (settings) => settings.gap === pixels,
  set: () => ({ gap: pixels }),
})

const elsewhere = (to: Settings['elsewhere'], label: string): Choice => ({
  label,
  words: 'display displays monitor swap focus',
  of: 'Going to a desktop on another display',
  chosen: (settings) => settings.elsewhere === to,
  set: () => ({ elsewhere: to }),
})

const flip = (time: number): Choice => ({
  label: time ? `${time} milliseconds` : 'never',
  words: 'edge drag flip hold push next desktop',
  of: 'A window held at an edge goes on after',
  chosen: (settings) => settings.flip === time,
  set: () => ({ flip: time }),
})

/** All that can be set; the menu of the shelf and the line list it. */
export const CHOICES: Choice[] = [
  flag('wrap', 'Wrap around at the ends', 'next previous go round'),
  flag('wrapRows', 'Wrap around at the top and bottom', 'above below rows columns go round'),
  flag('fullScreen', 'Solo and pair use the full screen', 'full screen hide rack line'),
  flag('outside', 'Going to a desktop brings its outside windows forward', 'browser window page'),
  flag('inspector', 'Inspector', 'details follow window'),
  {
    label: 'Trail shows this desktop first',
    words: 'recent windows',
    chosen: ({ trail }) => trail === 'here',
    set: ({ trail }) => ({ trail: trail === 'here' ? 'all' : 'here' }),
  },
  {
    label: 'Apps open on this desktop',
    words: 'launch number keys',
    chosen: ({ launch }) => launch === 'here',
    set: ({ launch }) => ({ launch: launch === 'here' ? 'go' : 'here' }),
  },
  {
    label: 'Type keys after Ctrl+. instead of holding Alt',
    words: 'leader sequence shortcuts',
    chosen: ({ keys }) => keys === 'leader',
    set: ({ keys }) => ({ keys: keys === 'alt' ? 'leader' : 'alt' }),
  },
  cloth('system', 'Match system appearance', 'automatic'),
  cloth('day', 'Day cloth', 'light theme bright'),
  cloth('night', 'Night cloth', 'dark theme'),
  ...[5, 30, 120, 0].map(rest),
  ...[0, 4, 8, 16, 24, 32].map(gap),
  ...[400, 600, 1000, 0].map(flip),
  elsewhere('focus', 'moves the focus there'),
  elsewhere('swap', 'swaps the two'),
  elsewhere('here', 'brings it here'),
]

/** A choice by itself, away from the others of its kind. */
export const named = ({ of, label }: Choice): string =>
  of && of !== 'Cloth' ? `${of}: ${label}` : label

/** What a change of settings did, in words: the choices that are chosen now and were not before. */
export function settingsInWords(before: Settings, after: Settings): string {
  const changed = CHOICES.flatMap((choice) => {
    const is = choice.chosen(after)
    if (choice.chosen(before) === is) return []
    if (choice.of) return is ? named(choice) : []
    return `${choice.label}: ${is ? 'on' : 'off'}`
  })
  return changed.join(', ') || 'Changed the setting'
}
