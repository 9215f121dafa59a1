import { APPS, World } from '@testing/world'
import { KEY_SETS, type KeySet } from '@/core/settings/keySets'
import { appGroups, cardGroups, keyCard, searchCard, shortRows } from './card'
import { cardAsMarkdown, cardIntro } from './markdown'

const card = (world: World) => keyCard(world.state, (id) => id)

test('the card as Markdown: a table for each group, with every row of it', () => {
  const world = new World()
  world.run('desktop.rename', { desktop: 'first', name: 'A | B' })
  const written = cardAsMarkdown(card(world), 'auto')
  for (const { name, rows } of cardGroups(card(world))) {
    const [, after = ''] = written.split(`## ${name}\n`)
    const [table = ''] = after.trim().split('\n\n')
    expect(table.split('\n')).toHaveLength(rows.length + 2)
  }
  expect(written).toContain('| A \\| B |')
  expect(written).toContain('| `` Alt+` `` | Recent windows |')
})

test.each(Object.keys(KEY_SETS) as KeySet[])(
  'in the set “%s” the card says how commands begin',
  (set) => {
    const world = new World()
    if (set !== 'auto') world.run('settings.set', { keys: set })
    const rows = cardGroups(card(world)).flatMap((group) => group.rows)
    const undo = rows.find(({ does }) => does.startsWith('Undo'))
    const wanted = {
      auto: 'Alt+Z',
      alt: 'Alt+Z',
      control: 'Ctrl+Alt+Z',
      leader: 'Ctrl+. Z',
      layer: 'Alt Alt Z',
    }
    expect(undo?.keys).toBe(wanted[set])
    // On the card what begins them stands above, once.
    const short = cardGroups(card(world)).flatMap(shortRows)
    expect(short.find(({ does }) => does.startsWith('Undo'))?.keys).toBe('Z')
    expect(cardIntro(set)).toMatch(/verb, then a place/)
  },
)

test('the card is searched by words of keys and of what they do', () => {
  const found = searchCard(card(new World()), 'scroll bench')
  expect(found).toEqual([
    { name: 'In the loft', rows: [{ keys: 'PageUp PageDown', does: 'scroll the bench' }] },
  ])
  expect(searchCard(card(new World()), 'nothing like it')).toEqual([])
})

test('a key switched off or bound otherwise is told so on the card, in places too', () => {
  const world = new World()
  world.run('keys.unbind', { keys: 'Space', place: 'loft' })
  world.run('keys.bind', { keys: 'T', place: 'loft', command: 'window.minimise' })
  const loft = cardGroups(card(world)).find(({ name }) => name === 'In the loft')
  expect(loft?.rows.some(({ does }) => does === 'mark')).toBe(false)
  expect(loft?.rows).toContainEqual({ keys: 'T', does: 'Minimise window' })
})

test('many keys that do the same are told by the first and the last, with Shift once', () => {
  const { there } = card(new World())
  const pad = there.find(({ name }) => name === 'On the pad')?.rows.map(({ keys }) => keys)
  expect(pad).toEqual(expect.arrayContaining(['Q…C', 'Shift+Q…C']))
})

test('apps tell keys of their own, but for those the shelf takes; they are found as well', () => {
  const world = new World()
  const [notes] = APPS
  if (!notes) throw new Error('no app')
  const keys: [string, string][] = [
    ['Ctrl+K', 'link'],
    ['Alt+Enter', 'taken by the shelf'],
  ]
  const groups = appGroups(world.state, [
    { ...notes, keys },
    { ...notes, keys: undefined },
    undefined,
  ])
  expect(groups).toEqual([{ name: 'Notes', rows: [{ keys: 'Ctrl+K', does: 'link' }] }])
  expect(searchCard(card(world), 'notes link', groups)).toEqual(groups)
})
