import { readdirSync, writeFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { stringsOf } from '@testing/strings'
import { registry } from '@/core/commands/registry'

const files = readdirSync(__dirname, { recursive: true, encoding: 'utf8' })
  .filter((file) => /\.tsx?$/.test(file) && !/\.test\.|testing/.test(file))
  .sort()
  .map((file) => join(__dirname, file))
/** The title of a command is read in menus; that of anything else beside it, as a label is. */
const said = files
  .flatMap(stringsOf)
  .map((one) =>
    one.kind === 'title' && !/core.commands/.test(one.file)
      ? { ...one, kind: 'label' as const }
      : one,
  )

/** The most letters each may have. */
const MOST = { title: 32, label: 60, help: 90, error: 160, text: 400 }

/** A rule of the wording, and what breaks it. */
const RULES: [rule: string, broken: (text: string, kind: keyof typeof MOST) => boolean][] = [
  ['is not too long', (text, kind) => text.length > MOST[kind]],
  [
    'names a thing or an act',
    (text, kind) => (kind === 'title' || kind === 'label') && /^(What|It|That) /.test(text),
  ],
  ['tells being on or off by a tick', (text) => /, (and back|or not)$/.test(text)],
  ['is not bent', (text) => /\bthat which\b|\bit is\b.*\bit is\b|\bnot\b.*\bnot\b/i.test(text)],
  ['neither shouts nor begs', (text) => /!(\s|$)|\b(please|sorry)\b/i.test(text)],
  ['has typographic marks', (text) => /\.\.\.|"|\p{Letter}'\p{Letter}/u.test(text)],
  ['is said once', (text) => /\b(\p{Letter}+) \1\b/iu.test(text)],
  [
    'is spelt the British way',
    (text) => /\b(minimi|maximi|organi|recogni)z|\bcolor|\bcenter/i.test(text),
  ],
]

test('the sentences of the page are found', () => {
  expect(said.length).toBeGreaterThan(1000)
  expect(said).toContainEqual(expect.objectContaining({ kind: 'title', text: 'Maximise window' }))
  expect(said).toContainEqual(
    expect.objectContaining({ kind: 'label', text: 'Gap between placed windows' }),
  )
})

test.each(RULES)('every sentence %s', (_, broken) => {
  const found = said
    .filter(({ text, kind }) => broken(text, kind))
    .map(({ text, file }) => `${relative(__dirname, file)}: ${text}`)
  expect(found).toEqual([])
})

test('no two commands that the line lists have the same title', () => {
  const titles = [...registry.values()].flatMap(({ title, unlisted }) => (unlisted ? [] : title))
  expect(titles.filter((title, at) => titles.indexOf(title) !== at)).toEqual([])
})

/** `npm run strings` writes them all down, to be read in one go. */
const list = process.env.STRINGS
if (list)
  test('all sentences are written down', () => {
    const parts = files.flatMap((file) => {
      const lines = said
        .filter((one) => one.file === file)
        .map(({ kind, text }) => `- ${kind}: ${text.replace(/[\\`*_<>[\]]/g, '\\$&')}`)
      return lines.length > 0 ? `## ${relative(__dirname, file)}\n\n${lines.join('\n')}\n` : []
    })
    writeFileSync(
      list,
      `# What Kite Shelf says\n\nMade by \`npm run strings\`, to be read in one go. What is filled in later is shown as […].\n\n${parts.join('\n')}`,
    )
  })
