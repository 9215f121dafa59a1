import { World } from '@testing/world'
import { plain } from '@/core/text/plain'
import { everything } from './find'
import { rank } from './rank'
import { Texts } from './texts'
import { sentences } from './verbs'

/** The apps of the demo, as far as they are found. */
const APPS = [
  'Document',
  'Table',
  'Reader',
  'Countdown',
  'Messages',
  'Job',
  'Player',
  'Web page',
].map((name) => ({
  id: name.toLowerCase(),
  name,
  plural: `${name.toLowerCase()}s`,
  untitled: `New ${name.toLowerCase()}`,
  width: 300,
  height: 200,
  limits: { minWidth: 100, minHeight: 100 },
}))

const WINDOWS: Record<string, [app: string, title: string, text?: string][]> = {
  Field: [
    ['table', 'Station readings 06:00', 'HR-01 HR-02 wind gust sound mast'],
    ['table', 'Observer reports', 'cracks above the upper marker'],
    ['reader', 'Snow pit, Tarn Ridge'],
    ['web page', 'Ridge camera'],
  ],
  Model: [
    ['job', 'Snowpack run, 24 h'],
    ['table', 'Run output'],
    ['document', 'Run notes', 'the mast at Kestrel Bowl was moved; wrap the cable'],
  ],
  Bulletin: [
    ['document', 'Bulletin for tomorrow', 'Danger rises. New snow from the west.'],
    ['reader', 'Hazard wording', 'considerable, high, undo nothing'],
    ['reader', 'Yesterday’s bulletin'],
  ],
  'Public line': [
    ['messages', 'Public line'],
    ['document', 'Call sheet'],
    ['table', 'Road closures'],
  ],
  Rota: [
    ['table', 'Duty rota'],
    ['document', 'Handover', 'font of the notice, bold enough'],
  ],
  Breather: [
    ['player', 'Ridge radio'],
    ['reader', 'Trail atlas'],
  ],
}

const FACTS = new Map(APPS.map((app) => [app.id, app]))

function office() {
  const world = new World()
  world.env.app = (id) => FACTS.get(id)
  world.env.apps = () => APPS
  const texts = new Texts()
  const open = (app: string, title: string, text?: string) => {
    world.run('window.open', { app, title })
    const { windows, presence } = world.state
    const { document = '' } = windows[presence.near?.focus ?? ''] ?? {}
    if (text) texts.read([[document, { text }]])
  }
  for (const [name, list] of Object.entries(WINDOWS)) {
    if (name === 'Field') world.run('desktop.rename', { desktop: 'first', name })
    else world.run('desktop.create', { name })
    for (const one of list) open(...one)
  }
  world.run('desktop.create', { name: 'Avalanche course' })
  open('document', 'Course outline', 'stow the kit')
  world.run('desktop.stow', {})
  world.run('desktop.go', { to: 'Bulletin' })
  world.run('pattern.keep', {})
  world.run('desktop.go', { to: 'Field' })
  return (typed: string) =>
    rank(everything(world.state, { apps: APPS }), typed, {
      said: sentences(world.state, APPS, plain(typed)),
      hits: texts.look(typed),
    })
}

const find = office()

/** What is typed, of which kind the first hit is, and how it begins. */
const CASES: [typed: string, kind: string, title: string][] = [
  // Desktops by their names.
  ['field', 'desktops', 'Field'],
  ['model', 'desktops', 'Model'],
  ['Bulletin', 'desktops', 'Bulletin'],
  ['bulletin', 'desktops', 'Bulletin'],
  ['public line', 'desktops', 'Public line'],
  ['rota', 'desktops', 'Rota'],
  ['breather', 'desktops', 'Breather'],
  ['breath', 'desktops', 'Breather'],
  ['mod', 'desktops', 'Model'],
  // Verbs alone.
  ['stow', 'commands', 'Stow this desktop'],
  ['undo', 'commands', 'Undo'],
  ['redo', 'commands', 'Redo'],
  ['sweep', 'commands', 'Sweep'],
  ['isolate', 'commands', 'Isolate'],
  ['unstack', 'commands', 'Unstack'],
  ['solo', 'commands', 'Solo'],
  ['pair', 'commands', 'Pair'],
  ['loft', 'commands', 'Loft'],
  ['send', 'commands', 'Send window to'],
  ['carry', 'commands', 'Carry window to'],
  ['go to desktop', 'commands', 'Go to desktop'],
  ['rename', 'commands', 'Rename'],
  ['close', 'commands', 'Close window'],
  ['reopen', 'commands', 'Reopen closed window'],
  ['minimise', 'commands', 'Minimise window'],
  ['maximise', 'commands', 'Maximise window'],
  ['tether', 'commands', 'Tether window'],
  ['fold', 'commands', 'Fold'],
  ['quiet', 'commands', 'Quiet'],
  ['settings', 'commands', 'Settings'],
  ['homes', 'commands', 'Homes'],
  ['patterns', 'commands', 'Patterns'],
  ['runs', 'commands', 'Runs'],
  ['grow', 'commands', 'Grow window'],
  ['shrink', 'commands', 'Shrink window'],
  ['key card', 'commands', 'Key card'],
  ['new desktop', 'commands', 'New desktop'],
  ['new bulletin', 'commands', 'New Bulletin'],
  ['put windows right', 'commands', 'Put windows right'],
  ['plan of the day', 'commands', 'Plan of the day'],
  ['earlier sessions', 'commands', 'Earlier sessions'],
  ['import a shelf', 'commands', 'Import a shelf file'],
  ['export the shelf', 'commands', 'Export the shelf file'],
  ['add an app', 'commands', 'Add an app'],
  ['arrange displays', 'commands', 'Arrange displays'],
  // What people call them, other spellings among them.
  ['minimize', 'commands', 'Minimise window'],
  ['maximize', 'commands', 'Maximise window'],
  ['together', 'commands', 'Displays together'],
  ['screenshot', 'commands', 'Picture of this'],
  ['screen capture', 'commands', 'Picture of this'],
  ['workspace', 'commands', 'New desktop'],
  ['font', 'commands', 'Look'],
  ['bold', 'commands', 'Look'],
  ['wallpaper', 'commands', 'Look'],
  ['background', 'commands', 'Look'],
  ['color', 'commands', 'Look'],
  ['shortcuts', 'commands', 'Key card'],
  ['customize', 'commands', 'Bind keys'],
  ['preferences', 'commands', 'Settings'],
  ['options', 'commands', 'Settings'],
  ['templates', 'commands', 'Patterns'],
  ['calendar', 'commands', 'Plan'],
  ['fullscreen', 'commands', 'Solo'],
  ['backup', 'commands', 'Export the shelf file'],
  ['overview', 'commands', 'Loft'],
  ['mute', 'commands', 'Quiet'],
  ['do not disturb', 'commands', 'Quiet'],
  ['split', 'commands', 'Pair'],
  ['sticky', 'commands', 'Show on every desktop'],
  ['center', 'commands', 'Put window in the middle'],
  ['tile', 'commands', 'Arrange all'],
  ['present', 'commands', 'Runs'],
  ['hide all', 'commands', 'Sweep'],
  ['monitors', 'commands', 'Arrange displays'],
  ['upload', 'commands', 'Open a file'],
  ['peek', 'commands', 'Glance at desktop'],
  // Windows by title, app and desktop.
  ['station readings 06:00', 'windows', 'Station readings 06:00'],
  ['station', 'windows', 'Station readings'],
  ['readings', 'windows', 'Station readings'],
  ['observer', 'windows', 'Observer reports'],
  ['road closures', 'windows', 'Road closures'],
  ['closures', 'windows', 'Road closures'],
  ['handover', 'windows', 'Handover'],
  ['call sheet', 'windows', 'Call sheet'],
  ['sheet', 'windows', 'Call sheet'],
  ['ridge camera', 'windows', 'Ridge camera'],
  ['camera', 'windows', 'Ridge camera'],
  ['radio', 'windows', 'Ridge radio'],
  ['atlas', 'windows', 'Trail atlas'],
  ['snow pit', 'windows', 'Snow pit'],
  ['tarn ridge', 'windows', 'Snow pit, Tarn Ridge'],
  ['snowpack', 'windows', 'Snowpack run'],
  ['duty', 'windows', 'Duty rota'],
  ['run output', 'windows', 'Run output'],
  ['output', 'windows', 'Run output'],
  ['hazard', 'windows', 'Hazard wording'],
  ['tomorrow', 'windows', 'Bulletin for tomorrow'],
  ['yesterday', 'windows', 'Yesterday’s bulletin'],
  ['table field', 'windows', ''],
  ['reports observer', 'windows', 'Observer reports'],
  ['rota duty', 'windows', 'Duty rota'],
  ['document rota', 'windows', 'Handover'],
  // Apps.
  ['countdown', 'apps', 'Countdown'],
  ['messages', 'apps', 'Messages'],
  ['player', 'apps', 'Player'],
  ['table', 'apps', 'Table'],
  ['web page', 'apps', 'Web page'],
  // Text, where no name says it.
  ['kestrel bowl', 'windows', 'Run notes'],
  ['mast', 'windows', ''],
  ['upper marker', 'windows', 'Observer reports'],
  ['danger rises', 'windows', 'Bulletin for tomorrow'],
  ['gust', 'windows', 'Station readings'],
  // Settings by what one would call them.
  ['sound', 'settings', ''],
  ['dark', 'settings', 'Theme: dark'],
  ['theme', 'settings', 'Theme'],
  ['wrap', 'settings', 'Wrap around'],
  ['gap', 'settings', 'Gap between'],
  // Stowed ones stand last, and are found.
  ['avalanche', 'stowed', ''],
  ['course outline', 'stowed', 'Course outline'],
  ['bring avalanche', 'commands', 'Bring Avalanche course back'],
  // Verb and place.
  ['send rota', 'commands', 'Send “'],
  ['send to rota', 'commands', 'Send “'],
  ['carry model', 'commands', 'Carry “'],
  ['go model', 'commands', 'Go to Model'],
  ['go to public', 'commands', 'Go to Public line'],
  ['switch rota', 'commands', 'Go to Rota'],
  ['fold field', 'commands', 'Fold Field'],
  ['fold field into model', 'commands', 'Fold Field into Model'],
  ['stow breather', 'commands', 'Stow Breather'],
  ['solo rota', 'commands', 'Solo “Duty rota”'],
  ['solo handover', 'commands', 'Solo “Handover”'],
  ['open table', 'commands', 'Open Table'],
  ['open table on bulletin', 'commands', 'Open Table on Bulletin'],
  ['send handover to field', 'commands', 'Send “Handover” to Field'],
  ['move closures to rota', 'commands', 'Send “Road closures” to Rota'],
  ['close handover', 'commands', 'Close “Handover”'],
  ['minimize atlas', 'commands', 'Minimise “Trail atlas”'],
  // One slip of the finger.
  ['buletin', 'desktops', 'Bulletin'],
  ['bulletni', 'desktops', 'Bulletin'],
  ['modle', 'desktops', 'Model'],
  ['breathre', 'desktops', 'Breather'],
  ['obsrver', 'windows', 'Observer reports'],
  ['hanover', 'windows', 'Handover'],
  ['radoi', 'windows', 'Ridge radio'],
  ['camrea', 'windows', 'Ridge camera'],
  ['trnsition', 'settings', ''],
  ['setings', 'commands', 'Settings'],
  ['minimse', 'commands', 'Minimise'],
  ['closrues', 'windows', 'Road closures'],
]

test('there are at least 120 cases', () => {
  expect(CASES.length).toBeGreaterThanOrEqual(120)
})

test.each(CASES)('“%s” finds first, among %s: %s', (typed, kind, title) => {
  const [first] = find(typed)
  expect([first?.kind, first?.title.slice(0, title.length)]).toEqual([kind, title])
})

test('what is stowed never comes before what is open', () => {
  for (const [typed] of CASES) {
    const kinds = find(typed).map(({ kind }) => kind)
    const at = kinds.indexOf('stowed')
    if (at > 0) expect(kinds.slice(at).every((kind) => kind === 'stowed')).toBe(true)
  }
})
