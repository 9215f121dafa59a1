import { World } from '@testing/world'
import { readShelfFile, shelfFile } from '@/core/formats/shelfFile'
import { CHOICES, settingsInWords } from './choices'
import { searchSettings } from './search'
import { changedSettings, defaults, SETTING_NAMES, SETTINGS } from './table'

test('every setting can be chosen by name, and choosing it makes it chosen', () => {
  for (const choice of CHOICES) {
    const world = new World()
    const turned = 'choices' in SETTINGS[choice.setting] || 'unit' in SETTINGS[choice.setting]
    world.run('settings.set', choice.set(world.state.settings))
    expect(choice.chosen(world.state.settings)).toBe(turned || !choice.chosen(defaults()))
  }
  // But what has to be typed.
  const chosen = new Set(CHOICES.map(({ setting }) => setting))
  expect(SETTING_NAMES.filter((name) => !chosen.has(name))).toEqual(['coverPhrase'])
  expect(new Set(CHOICES.map(({ label }) => label)).size).toBe(CHOICES.length)
})

test('a change is said as what it is now', () => {
  const first = defaults()
  expect(settingsInWords(first, { ...first, cloth: 'night' })).toBe('Theme: dark, by night')
  expect(settingsInWords(first, { ...first, wrap: false, restAfter: 0, gap: 1 })).toBe(
    'Wrap around at the ends: off, Put desktops to rest after: never, Gap between placed windows: 1 pixel',
  )
  expect(settingsInWords(first, first)).toBe('Nothing was changed')
})

test('settings are found by label, help, section, choices and other words for them, in any order', () => {
  expect(searchSettings('dark')).toEqual(['cloth'])
  expect(searchSettings('NIGHT')).toEqual(['cloth'])
  expect(searchSettings('rows wrap')).toEqual(['wrapRows'])
  expect(searchSettings('displays swap')).toEqual(['elsewhere'])
  expect(searchSettings('  ')).toEqual(SETTING_NAMES)
  expect(searchSettings('nonsense')).toEqual([])
})

test('one or all are set back to how they were at first, and what already is so is told', () => {
  const world = new World()
  expect(world.refusal('settings.reset')).toMatch(/No setting was changed/)
  world.run('settings.set', { gap: 24, cloth: 'night' })
  expect(changedSettings(world.state.settings)).toEqual(['gap', 'cloth'])
  expect(world.refusal('settings.reset', { name: 'wrap' })).toMatch(/already at its default/)
  world.run('settings.reset', { name: 'gap' })
  expect(changedSettings(world.state.settings)).toEqual(['cloth'])
  world.run('settings.reset')
  expect(world.state.settings).toEqual(defaults())
  world.run('history.undo')
  expect(world.state.settings.cloth).toBe('night')
})

test.each([{ gap: 33 }, { gap: -1 }, { gap: 1.5 }, { cloth: 'red' }, { wrap: 'yes' }])(
  '%j is refused',
  (args) => {
    expect(new World().refusal('settings.set', args)).not.toBe('')
  },
)

test('whatever is set is kept in the shelf file, and undone by one step', () => {
  for (const choice of CHOICES) {
    const world = new World()
    const before = world.state.settings
    world.run('settings.set', choice.set(before))
    const file = JSON.stringify(shelfFile(world.state, {}, 0))
    expect(readShelfFile(file).state.settings).toEqual(world.state.settings)
    if (world.state.settings === before) continue
    world.run('history.undo')
    expect(world.state.settings).toEqual(before)
  }
})
