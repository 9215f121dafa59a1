import { KEY_SETS } from './keySets'

/**
 * The one table of settings. Their type, their defaults, the checks of files and commands, the
 * panel and what the line finds are all made from it: a setting is added here and nowhere else.
 */

/** What settings are about; the panel parts them by it. */
export const SECTIONS = ['Desktops', 'Windows', 'Displays', 'Apps', 'Keys', 'Page'] as const

interface Common {
  section: (typeof SECTIONS)[number]
  label: string
  /** What it does for the person, in a sentence. */
  help: string
  /** Words it is found by besides those of its label and help. */
  words: string
}

interface OnOff extends Common {
  default: boolean
}

interface OneOf extends Common {
  default: string
  /** What can be chosen, each as it is called. */
  choices: Record<string, string>
}

export interface Amount extends Common {
  default: number
  least: number
  most: number
  /** One and several: “minute”, “minutes”. */
  unit: [one: string, several: string]
  /** What 0 is called. */
  zero: string
  /** Those that are offered; any other can be typed. */
  offered: number[]
}

interface Text extends Common {
  default: string
  /** How many letters it may have. */
  longest: number
  /** What is said where there is some, and where there is none. */
  said: [some: string, none: string]
}

export type Setting = OnOff | OneOf | Amount | Text

/** From what on something is heard, or told outside the page. */
const LOUDNESS = { none: 'never', alarms: 'alarms', mentions: 'alarms and mentions', all: 'all' }

/** The widest gap between placed windows, in CSS pixels. */
const GAP_MOST = 32

export const SETTINGS = {
  wrap: {
    section: 'Desktops',
    label: 'Wrap around at the ends',
    help: 'After the last desktop comes the first, and before the first the last.',
    words: 'next previous go round',
    default: true,
  },
  wrapRows: {
    section: 'Desktops',
    label: 'Wrap around at the top and bottom',
    help: 'Where desktops stand in rows, below the last row comes the first.',
    words: 'above below rows columns go round',
    default: true,
  },
  restAfter: {
    section: 'Desktops',
    label: 'Put desktops to rest after',
    help: 'A desktop you haven’t looked at frees its memory. Nothing you typed is lost.',
    words: 'sleep memory time',
    default: 30,
    least: 0,
    most: 1440,
    unit: ['minute', 'minutes'],
    zero: 'never',
    offered: [5, 30, 120, 0],
  },
  arrival: {
    section: 'Desktops',
    label: 'Show a desktop’s name on arrival for',
    help: 'After that it is only seen behind the windows.',
    words: 'name label arrive time',
    default: 700,
    least: 0,
    most: 3000,
    unit: ['millisecond', 'milliseconds'],
    zero: 'not at all',
    offered: [0, 400, 700, 1500],
  },
  transition: {
    section: 'Desktops',
    label: 'Going to another desktop',
    help: 'It slides in from where it stands in the rack. With reduced motion it is there at once.',
    words: 'animation transition effect switch motion',
    default: 'none',
    choices: { none: 'is there at once', slide: 'slides in', dissolve: 'appears gradually' },
  },
  transitionTime: {
    section: 'Desktops',
    label: 'Transition time',
    help: 'Keys work during the transition.',
    words: 'animation transition speed duration slide dissolve',
    default: 200,
    least: 0,
    most: 1500,
    unit: ['millisecond', 'milliseconds'],
    zero: 'none',
    offered: [120, 200, 400, 1000],
  },
  marker: {
    section: 'Desktops',
    label: 'Current desktop in the line',
    help: 'At its left end, beside the mark. The browser tab has the mark and the name.',
    words: 'emblem marker status',
    default: 'both',
    choices: { name: 'name', emblem: 'emblem', both: 'name and emblem' },
  },
  fullScreen: {
    section: 'Windows',
    label: 'Solo and pair use the full screen',
    help: 'The rack and the line make room for them.',
    words: 'hide whole',
    default: false,
  },
  trail: {
    section: 'Windows',
    label: 'The trail starts with',
    help: 'Tab changes from one to the other while the trail is open.',
    words: 'recent order of use',
    default: 'all',
    choices: { all: 'all desktops', here: 'this desktop' },
  },
  gap: {
    section: 'Windows',
    label: 'Gap between placed windows',
    help: 'Also between them and the edges of the display.',
    words: 'space margin distance',
    default: 8,
    least: 0,
    most: GAP_MOST,
    unit: ['pixel', 'pixels'],
    zero: 'none',
    offered: [0, 4, 8, 16, 24, 32],
  },
  flip: {
    section: 'Windows',
    label: 'Move a window held at an edge after',
    help: 'To the next desktop in that direction, or to the display there.',
    words: 'drag flip push time',
    default: 600,
    least: 0,
    most: 5000,
    unit: ['millisecond', 'milliseconds'],
    zero: 'never',
    offered: [400, 600, 1000, 0],
  },
  leavePage: {
    section: 'Windows',
    label: 'Take the keys back when the pointer leaves a web page',
    help: 'Otherwise they stay there until you push “keys go to the page”.',
    words: 'frame focus keyboard',
    default: true,
  },
  outside: {
    section: 'Windows',
    label: 'Bring a desktop’s browser windows to the front',
    help: 'The browser windows that belong to it come to the front.',
    words: 'page',
    default: false,
  },
  elsewhere: {
    section: 'Displays',
    label: 'Going to a desktop on another display',
    help: 'When displays are apart and another one shows that desktop.',
    words: 'monitor swap',
    default: 'focus',
    choices: {
      focus: 'moves the focus there',
      swap: 'swaps the two',
      here: 'brings it here',
    },
  },
  launch: {
    section: 'Apps',
    label: 'App number keys',
    help: 'Goes to the latest window of the app wherever it is, or opens one on this desktop.',
    words: 'launch open start slot',
    default: 'go',
    choices: { go: 'goes to its latest window', here: 'opens one on this desktop' },
  },
  keys: {
    section: 'Keys',
    label: 'Commands start with',
    help: 'The others leave Alt, or Option, free for typing.',
    words: 'shortcuts sequence language modifier leader option control one hand',
    default: 'auto',
    choices: KEY_SETS,
  },
  hints: {
    section: 'Keys',
    label: 'Show possible next keys',
    help: 'In a card above the line, while a sequence waits for its next key.',
    words: 'hints card help sequence',
    default: 'now',
    choices: { now: 'at once', later: 'after a moment', never: 'not at all' },
  },
  loft: {
    section: 'Page',
    label: 'Size of windows in the loft',
    help: 'As fits: as large as it goes with all rows in sight. In the loft + and − change it.',
    words: 'overview miniature dense density zoom',
    default: 0,
    least: 0,
    most: 320,
    unit: ['percent', 'percent'],
    zero: 'as fits',
    offered: [0, 70, 100, 150, 220],
  },
  rack: {
    section: 'Page',
    label: 'Width of the rack',
    help: 'You can also drag its edge, or double-click it to fit the names.',
    words: 'list desktops side bar wide narrow',
    default: 208,
    least: 180,
    most: 360,
    unit: ['pixel', 'pixels'],
    zero: '',
    offered: [180, 208, 260, 320],
  },
  rackSide: {
    section: 'Page',
    label: 'Side of the rack',
    help: 'Where the list of desktops stands.',
    words: 'list desktops side bar position',
    default: 'left',
    choices: { left: 'left', right: 'right' },
  },
  rackFurled: {
    section: 'Page',
    label: 'Furl the rack',
    help: 'Only marks stay. Point at the rack or go there by key, and the rest comes out.',
    words: 'list desktops side bar hide collapse narrow',
    default: false,
  },
  apps: {
    section: 'Apps',
    label: 'Apps in the rack',
    help: 'Folded they are one strip of signs, and more desktops have room.',
    words: 'list rack',
    default: 'listed',
    choices: { listed: 'listed with their names', folded: 'folded into a strip' },
  },
  appFigures: {
    section: 'Apps',
    label: 'Windows counted beside an app',
    help: '“2 of 5” means two on this desktop, five in all.',
    words: 'count figure windows rack',
    default: 'all',
    choices: { all: 'everywhere', here: 'on this desktop', both: 'both' },
  },
  lines: {
    section: 'Apps',
    label: 'Line length in documents',
    help: 'Comfortable lines hold about eighty letters, in the middle of a wide window.',
    words: 'width measure text column reading',
    default: 'comfortable',
    choices: { comfortable: 'comfortable to read', window: 'as wide as the window' },
  },
  numbers: {
    section: 'Apps',
    label: 'Number format',
    help: 'How tables and sums read and show numbers.',
    words: 'decimal point comma separator thousands format',
    default: 'browser',
    choices: { browser: 'as usual in your language', point: '1,234.5', comma: '1.234,5' },
  },
  days: {
    section: 'Apps',
    label: 'Date format',
    help: 'How tables and sums read and show dates. 2026-12-31 is always understood.',
    words: 'date day month year order format',
    default: 'browser',
    choices: {
      browser: 'as usual in your language',
      iso: '2026-12-31',
      dots: '31.12.2026',
      slashes: '31/12/2026',
      month: '12/31/2026',
    },
  },
  sound: {
    section: 'Page',
    label: 'Play a sound for',
    help: 'A short tone, higher for what is more urgent.',
    words: 'beep tone ding noise alarm mention',
    default: 'none',
    choices: LOUDNESS,
  },
  notify: {
    section: 'Page',
    label: 'Browser notifications for',
    help: 'While this page is in the background. Your browser asks for permission.',
    words: 'notification desktop alert popup alarm mention',
    default: 'none',
    choices: LOUDNESS,
  },
  cloth: {
    section: 'Page',
    label: 'Theme',
    help: 'The colours of the page.',
    words: 'theme mode bright appearance contrast automatic',
    default: 'system',
    choices: { system: 'as the system', day: 'light, by day', night: 'dark, by night' },
  },
  log: {
    section: 'Page',
    label: 'Keep the log for',
    help: 'Which desktops you used, and when. It stays in this browser.',
    words: 'journal history privacy track time looking back',
    default: 90,
    least: 0,
    most: 3650,
    unit: ['day', 'days'],
    zero: 'not at all',
    offered: [0, 7, 30, 90, 365],
  },
  past: {
    section: 'Page',
    label: 'Keep earlier arrangements for',
    help: 'For winding back: desktops, and what documents said. They stay in this browser.',
    words: 'history past rewind earlier time wind back restore privacy',
    default: 7,
    least: 0,
    most: 90,
    unit: ['day', 'days'],
    zero: 'not at all',
    offered: [0, 1, 7, 30],
  },
  coverAfter: {
    section: 'Page',
    label: 'Cover the page after',
    help: 'Once you haven’t used keys or pointer for this long. A cover isn’t a lock.',
    words: 'hide screen privacy away idle blank',
    default: 0,
    least: 0,
    most: 240,
    unit: ['minute', 'minutes'],
    zero: 'never',
    offered: [0, 5, 15, 60],
  },
  coverPhrase: {
    section: 'Page',
    label: 'Phrase to lift the cover',
    help: 'Without one, any key lifts it. Not a password: it is stored as you type it.',
    words: 'hide screen privacy password',
    default: '',
    longest: 60,
    said: ['a phrase', 'any key'],
  },
  verbs: {
    section: 'Page',
    label: 'Bar of verbs above the line',
    help: 'Buttons for the main commands, for touch.',
    words: 'touch tablet toolbar buttons keyboard',
    default: 'fingers',
    choices: { fingers: 'on touch screens', always: 'always', never: 'never' },
  },
  start: {
    section: 'Page',
    label: 'Ways to begin on an empty shelf',
    help: 'Shown until something is made.',
    words: 'first run welcome onboarding',
    default: true,
  },
  inspector: {
    section: 'Page',
    label: 'Inspector',
    help: 'A panel with details of the focused window.',
    words: 'details facts',
    default: false,
  },
} as const satisfies Record<string, Setting>

export type SettingName = keyof typeof SETTINGS

type ValueOf<S> = S extends { choices: infer C }
  ? keyof C
  : S extends Amount
    ? number
    : S extends Text
      ? string
      : boolean

export type Settings = { -readonly [N in SettingName]: ValueOf<(typeof SETTINGS)[N]> }

export const SETTING_NAMES = Object.keys(SETTINGS) as SettingName[]

export const settingOf = (name: SettingName): Setting => SETTINGS[name]

/** Every setting as it is at first. */
export const defaults = (): Settings =>
  Object.fromEntries(SETTING_NAMES.map((name) => [name, SETTINGS[name].default])) as Settings

/** Settings of a file: what this version does not know is left out, what it lacks is as at first. */
export const knownSettings = (given: Record<string, unknown>): Record<string, unknown> =>
  Object.fromEntries(SETTING_NAMES.map((name) => [name, given[name] ?? SETTINGS[name].default]))

/** Which settings are not as they are at first. */
export function changedSettings(settings: Settings): SettingName[] {
  const first = defaults()
  return SETTING_NAMES.filter((name) => settings[name] !== first[name])
}
