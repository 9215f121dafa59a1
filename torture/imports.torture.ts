import { said } from '@testing/sequences'
import { World } from '@testing/world'
import fc from 'fast-check'
import { FileProblem } from '@/apps/contract'
import { readBlocks } from '@/apps/document/blocks'
import { pictureSize } from '@/apps/reader/pictureSize'
import { readCsv } from '@/apps/table/csv'
import { BadAppFile, type DescribedApp, readAppFile } from '@/core/formats/appFiles'
import { BadShelfFile, readShelfFile, shelfFile } from '@/core/formats/shelfFile'
import { check } from '@/core/rules/check'
import { count, seed, times } from './figures'
import { mutated, mutations } from './mutated'

/** Exported shelves of some size, as text. */
const files: string[] = fc
  .sample(fc.array(said, { minLength: 20, maxLength: 120 }), { numRuns: 60, seed })
  .map((commands, at) => {
    const world = new World()
    let made = 0
    world.env.id = (kind) => `${kind}-${at}-${++made}`
    for (const { id, args } of commands) world.try(id, args(world.state))
    const documents = Object.fromEntries(
      Object.keys(world.state.documents).map((id) => [
        id,
        { saved: { markdown: 'x' }, draft: null },
      ]),
    )
    return JSON.stringify(shelfFile(world.state, documents, 0))
  })

test('mutated shelf files are read, or refused in words; what is read is imported and taken back', () => {
  const figures = { imports: 0, imported: 0, refusedFiles: 0, refusedMerges: 0 }
  fc.assert(
    fc.property(
      fc.nat(files.length - 1),
      mutations,
      fc.nat(files.length - 1),
      (file, given, other) => {
        let text = files[file] ?? ''
        for (const [kind, at, stray] of given) text = mutated(text, kind, at, stray)
        figures.imports++
        let read: ReturnType<typeof readShelfFile>
        try {
          read = readShelfFile(text)
        } catch (error) {
          if (!(error instanceof BadShelfFile)) throw error
          expect(error.message.length).toBeLessThan(500)
          figures.refusedFiles++
          return
        }
        const world = new World(readShelfFile(files[other] ?? '').state)
        const before = world.state
        const outcome = world.try('shelf.merge', { state: read.state })
        if (!outcome.ok) {
          if (outcome.broken) throw new Error(outcome.broken)
          figures.refusedMerges++
          expect(world.state).toBe(before)
          return
        }
        figures.imported++
        expect(check(world.state)).toEqual([])
        expect(readShelfFile(JSON.stringify(shelfFile(world.state, {}, 0))).state).toEqual(
          world.state,
        )
        world.run('history.undo')
        // Where one is on other displays is not undone.
        const here = { [before.display]: before.presence[before.display] }
        expect({ ...world.state, presence: here }).toEqual({ ...before, presence: here })
        expect(({} as { polluted?: number }).polluted).toBeUndefined()
      },
    ),
    { numRuns: times('IMPORTS', 400), seed },
  )
  count(figures)
})

const bytes = fc.uint8Array({ maxLength: 3000 })
const texts = fc.oneof(
  fc.string({ unit: 'binary', maxLength: 2000 }),
  fc
    .tuple(
      fc.constantFrom(
        '*a ',
        '[a](',
        '> ',
        '`',
        '"',
        ',',
        '|',
        '- ',
        '\t',
        '<b>',
        '&',
        '\\',
        '\r\n',
        '~~~\n',
      ),
      fc.nat(3000),
    )
    .map(([piece, times]) => piece.repeat(times)),
  fc
    .array(
      fc.constantFrom(
        '*',
        '_',
        '[',
        ']',
        '(',
        '`',
        '\n',
        '    ',
        '|',
        '-',
        '#',
        '>',
        '1. ',
        'x',
        '"',
        ',',
        ';',
      ),
      { maxLength: 800 },
    )
    .map((parts) => parts.join('')),
)

test('hostile files are read, or refused in words', () => {
  const figures = { hostile: 0 }
  const read = <T>(run: () => T): T | null => {
    try {
      return run()
    } catch (error) {
      if (
        error instanceof FileProblem ||
        error instanceof BadAppFile ||
        error instanceof BadShelfFile
      )
        return null
      throw error
    }
  }
  fc.assert(
    fc.property(texts, bytes, (text, data) => {
      figures.hostile += 6
      const { lead, blocks } = readBlocks(text)
      expect(lead + blocks.map(({ source }) => source).join('')).toBe(text)
      const table = read(() => readCsv(text))
      if (table) for (const row of table.rows) expect(row).toHaveLength(table.columns.length)
      read((): DescribedApp => readAppFile(text))
      read(() => readShelfFile(text))
      pictureSize(data)
      pictureSize(new Uint8Array([0xff, 0xd8, ...data]))
    }),
    { numRuns: times('FILES', 300), seed },
  )
  count(figures)
})
