import { initialState } from '@/core/model/initial'
import { World } from '@/core/testing/world'
import { CHOICES, KINDS, named, settingsInWords } from './choices'

const { settings } = initialState()

test('every setting can be chosen, and choosing it makes it chosen', () => {
  const set = new Set<string>()
  for (const choice of CHOICES) {
    const world = new World()
    const change = choice.set(settings)
    for (const name of Object.keys(change)) set.add(name)
    world.run('settings.set', change)
    expect(choice.chosen(world.state.settings)).toBe(choice.of ? true : !choice.chosen(settings))
  }
  expect([...set].sort()).toEqual(Object.keys(settings).sort())
})

test('of one of several exactly one is chosen', () => {
  for (const kind of ['Cloth', ...KINDS] as const)
    expect(CHOICES.filter((one) => one.of === kind && one.chosen(settings))).toHaveLength(1)
})

test('a change is said as what is chosen now', () => {
  expect(settingsInWords(settings, { ...settings, cloth: 'night' })).toBe('Night cloth')
  expect(settingsInWords(settings, { ...settings, wrap: false, restAfter: 0 })).toBe(
    'Wrap around at the ends: off, Put desktops to rest after: never',
  )
  expect(settingsInWords(settings, settings)).toBe('Changed the setting')
  expect(new Set(CHOICES.map(named)).size).toBe(CHOICES.length)
})
