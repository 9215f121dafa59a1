import { APPS, World } from '@testing/world'
import { registry } from '@/core/commands/registry'
import { desktopsFor, everything } from './find'
import { partners } from './partners'
import { rank } from './rank'
import { Texts } from './texts'

function office() {
  const world = new World()
  const [rota] = world.desktops('Rota', 'Field').slice(0, 1)
  const titles = ['Station readings', 'Run notes', 'Notes on stations', 'Closures']
  const ids = titles.map((title) => world.open('notes', title))
  world.run('window.send', { window: ids[0], to: rota })
  const document = world.state.windows[ids[3] ?? '']?.document ?? ''
  const texts = new Texts()
  texts.read([[document, { markdown: 'wet snow from the gullies' }]])
  const find = (typed: string) =>
    rank(everything(world.state, { apps: APPS }), typed, { hits: texts.look(typed) })
  return { world, ids, find }
}

const titles = (found: { kind: string; title: string }[], kind: string) =>
  found.filter((one) => one.kind === kind).map(({ title }) => title)

test('the start of a title comes before a later word, and that before scattered letters', () => {
  const { find } = office()
  expect(titles(find('station'), 'windows')).toEqual(['Station readings', 'Notes on stations'])
  expect(titles(find('rnts'), 'windows')[0]).toBe('Run notes')
})

test('among equals the more recently used window is first', () => {
  const { world, ids, find } = office()
  world.run('window.focus', { window: ids[1] })
  expect(titles(find('notes'), 'windows')[0]).toBe('Notes on stations')
  expect(titles(find(''), 'windows')[0]).toBe('Run notes')
})

test('a window is found by its document, its app and its desktop', () => {
  const { find } = office()
  expect(titles(find('gullies'), 'windows')).toEqual(['Closures'])
  expect(titles(find('rota'), 'windows')).toEqual(['Station readings'])
  expect(titles(find('rota'), 'desktops')).toEqual(['Rota'])
})

test('closed documents, apps and commands are found; what asks where to lists desktops and a new one', () => {
  const { world, ids, find } = office()
  world.run('window.close', { window: ids[3] })
  expect(titles(find('closures'), 'windows')).toEqual([])
  expect(titles(find('closures'), 'documents')).toEqual(['Closures'])
  expect(titles(find('dial'), 'apps')).toEqual(['Dial'])
  expect(find('send').find(({ kind }) => kind === 'commands')).toMatchObject({
    title: 'Send window to…',
    asks: 'to',
  })
  const answers = desktopsFor(world.state, 'window.send', { window: ids[1] })
  expect(answers.at(-1)).toMatchObject({ args: { window: ids[1], to: 'new' } })
  expect(answers).toHaveLength(4)
})

test('all words in any order, over title, app, desktop and text; letters in order only as a last resort', () => {
  const { find } = office()
  expect(titles(find('rota station'), 'windows')).toEqual(['Station readings'])
  expect(titles(find('snow closures gullies'), 'windows')).toEqual(['Closures'])
  expect(titles(find('stations elsewhere'), 'windows')).toEqual([])
  expect(titles(find('undo'), 'apps')).toEqual([])
  expect(find('undo').map(({ title }) => title)).toContain('Undo the last change')
})

test('what is found in a text comes with its passage, what the names say already does not', () => {
  const { world, find } = office()
  const [found] = find('WET snow')
  expect(found?.passage).toEqual({ before: '', match: 'wet snow', after: ' from the gullies' })
  expect(find('closures')[0]?.passage).toBeUndefined()
  const long = `${'before '.repeat(20)}Äste\nliegen${' after'.repeat(20)}`
  const felled = world.open('notes', 'Felled')
  const document = world.state.windows[felled]?.document ?? ''
  const texts = new Texts()
  texts.read([[document, { text: long }]])
  const all = everything(world.state, { apps: APPS })
  const first = (typed: string) => rank(all, typed, { hits: texts.look(typed) })[0]
  const passage = first('liegen')?.passage
  expect(passage?.match).toBe('liegen')
  expect(passage?.before).toMatch(/^….*before Äste $/)
  expect(passage?.after).toMatch(/after.*…$/)
  // Found without its accent, it is shown as it is written.
  expect(first('aste')).toMatchObject({ title: 'Felled', passage: { match: 'Äste' } })
})

test('settings are found by what one would call them, with what they are', () => {
  const { find } = office()
  const [night] = find('dark').filter(({ kind }) => kind === 'settings')
  expect(night).toMatchObject({
    title: 'Theme: dark, by night',
    args: { cloth: 'night' },
    on: false,
  })
  expect(titles(find('wrap'), 'settings')).toContain('Wrap around at the ends')
  expect(find('wrap')).toContainEqual(expect.objectContaining({ on: true, args: { wrap: false } }))
})

test('every command that is listed can be run as it is, or asks which desktop', () => {
  const { world } = office()
  const [field] = world.state.order
  const listed = everything(world.state, { apps: APPS })
  const incomplete = listed.filter(({ command, args, asks }) => {
    const given = asks ? { ...args, to: field } : args
    return !registry.get(command)?.args.isValidSync(given, { strict: true })
  })
  expect(incomplete.map(({ command }) => command)).toEqual([])
})

test('a window is paired with what stands beside it first, then with what was used last', () => {
  const world = new World()
  const [left, middle, right, other] = ['Left', 'Middle', 'Right', 'Other'].map((title) =>
    world.open('notes', title),
  ) as [string, string, string, string]
  const put = (window: string, x: number) => world.run('window.move', { window, x, y: 100 })
  for (const [window, x] of [
    [left, 0],
    [middle, 300],
    [right, 600],
  ] as const)
    put(window, x)
  world.run('window.minimise', { window: other })
  world.run('window.focus', { window: middle })
  const names = partners(world.state, APPS, middle).map(({ title }) => title)
  expect(names.slice(0, 2).sort()).toEqual(['Left', 'Right'])
  expect(names).toHaveLength(3)
})
