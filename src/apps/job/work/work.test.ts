import { PLAIN } from '@/core/formula/value'
import { contentProblem } from '../../contents'
import { JOBS } from '../content'
import type { Input, Outcome, Step } from './outcome'
import { Runner } from './runner'
import type { Work } from './works'

const READING = { forms: PLAIN, now: 0 }

const table = (id: string, columns: string[], rows: string[][]): Input => ({
  id,
  app: 'table',
  title: id,
  content: { columns, rows },
})
const text = (id: string, markdown: string): Input => ({
  id,
  app: 'document',
  title: id,
  content: { markdown },
})

/** All that is told of a work, and what came out. */
async function done(work: Work, inputs: Input[]) {
  const runner = new Runner()
  runner.begin(work, inputs, READING)
  const shares: number[] = []
  const log: string[] = []
  for (;;) {
    const step: Step | { why: string } = await runner.next()
    if ('why' in step) return { why: step.why, log, shares }
    shares.push(step.share)
    if (step.log) log.push(step.log)
    if (step.outcome) return { ...step.outcome, log, shares }
  }
}
const out = async (work: Work, inputs: Input[]) =>
  (await done(work, inputs)) as Outcome & { log: string[] }

const replace = (given: Partial<Work & { kind: 'replace' }>): Work => ({
  kind: 'replace',
  text: 'snow',
  instead: 'ice',
  caseSensitive: false,
  wholeWord: false,
  documents: [],
  ...given,
})

describe('words put in the place of others', () => {
  test('in documents, cells and texts; what has none is left alone', async () => {
    const { changed, table: told } = await out(replace({}), [
      text('note', 'Snow on snow, snowy'),
      text('other', 'Rain'),
      table('cells', ['snow'], [['snow 3'], ['=SUM(A1)']]),
      { id: 'read', app: 'reader', title: 'read', content: { kind: 'text', text: 'no snow' } },
      {
        id: 'seen',
        app: 'reader',
        title: 'seen',
        content: { kind: 'picture', data: 'data:image/snow' },
      },
      { id: 'empty', app: 'document', title: 'empty', content: null },
    ])
    expect(changed).toEqual([
      { id: 'note', content: { markdown: 'ice on ice, icey' } },
      { id: 'cells', content: { columns: ['snow'], rows: [['ice 3'], ['=SUM(A1)']] } },
      { id: 'read', content: { kind: 'text', text: 'no ice' } },
    ])
    expect(told.rows).toEqual([
      ['note', '3'],
      ['cells', '1'],
      ['read', '1'],
    ])
  })

  test('as whole words, with capitals, and as it is typed', async () => {
    const { changed } = await out(
      replace({ text: 'snow', instead: '$& (new)', wholeWord: true, caseSensitive: true }),
      [text('note', 'Snow, snow, snowy')],
    )
    expect(changed).toEqual([{ id: 'note', content: { markdown: 'Snow, $& (new), snowy' } }])
  })

  test('addresses and pictures in a document stay whole', async () => {
    const kept = [
      '![snow](data:image/png;base64,snowsnow==)',
      '[snow](https://snow.test/snow "snow")',
      '<https://snow.test>',
      'https://snow.test/a',
      '[one]: https://snow.test/b',
    ].join('\n\n')
    const { changed } = await out(replace({}), [text('note', kept)])
    expect(changed[0]?.content).toEqual({
      markdown: kept.replace('![snow]', '![ice]').replace('\n[snow]', '\n[ice]'),
    })
  })
})

describe('tables', () => {
  const stations = table(
    'stations',
    ['station', 'place', 'cm'],
    [
      ['HR-01', 'Kestrel', '18'],
      ['HR-02', 'Tarn', '=C1+2'],
      ['HR-03', '', '9'],
    ],
  )
  const reports = table(
    'reports',
    ['where', 'cm', 'saw'],
    [
      ['kestrel', '1', 'crack'],
      ['Kestrel', '2', 'slide'],
      ['Wren', '3', 'none'],
    ],
  )
  const join: Work = {
    kind: 'join',
    left: 'stations',
    right: 'reports',
    leftBy: 'place',
    rightBy: 'where',
  }

  test('are joined by a column of each: what has no other stands alone', async () => {
    const { table: joined, log } = await out(join, [stations, reports])
    expect(joined.columns).toEqual(['station', 'place', 'cm', 'cm (reports)', 'saw'])
    expect(joined.rows).toEqual([
      ['HR-01', 'Kestrel', '18', '1', 'crack'],
      ['HR-01', 'Kestrel', '18', '2', 'slide'],
      ['HR-02', 'Tarn', '20', '', ''],
      ['HR-03', '', '9', '', ''],
    ])
    expect(log).toEqual([
      '4 rows: 2 without a match in reports; 1 value of reports not in stations',
    ])
  })

  test('a table is joined with itself', async () => {
    const { table: joined } = await out(
      { kind: 'join', left: 'stations', right: 'stations', leftBy: 'station', rightBy: 'station' },
      [stations],
    )
    expect(joined.rows.map((row) => row.at(-1))).toEqual(['18', '20', '9'])
  })

  test('what would become endless, and a column that is gone, is told', async () => {
    const same = table(
      'stations',
      ['place'],
      Array.from({ length: 700 }, () => ['Kestrel']),
    )
    const again = { ...same, id: 'reports' }
    const many = { ...join, rightBy: 'place' }
    expect(await done(many, [same, again])).toMatchObject({
      why: expect.stringMatching(/200,000 rows/),
    })
    expect(await done({ ...join, leftBy: 'gone' }, [stations, reports])).toMatchObject({
      why: 'There is no column “gone” any more.',
    })
  })

  test('random ones join as one would by hand', async () => {
    let seed = 7
    const random = (below: number) => {
      seed = (seed * 48_271) % 2_147_483_647
      return seed % below
    }
    for (let round = 0; round < 60; round++) {
      const rows = (count: number) =>
        Array.from({ length: count }, (_, at) => [`k${random(6)}`, `v${at}`])
      const [a, b] = [rows(random(12)), rows(random(12))]
      const { table: joined } = await out(
        { kind: 'join', left: 'a', right: 'b', leftBy: 'k', rightBy: 'k' },
        [table('a', ['k', 'x'], a), table('b', ['k', 'y'], b)],
      )
      const byHand = a.flatMap(([key = '', value = '']) => {
        const found = b.filter(([other]) => other === key)
        return found.length
          ? found.map(([, other = '']) => [key, value, other])
          : [[key, value, '']]
      })
      expect(joined.rows).toEqual(byHand)
    }
  })

  test('are summed, by another column or as a whole', async () => {
    const given = table(
      'stations',
      ['place', 'cm'],
      [
        ['Tarn', '2'],
        ['tarn ', '=A1'],
        ['Wren', '1,200.5'],
        ['Tarn', '−4'],
        ['Wren', ''],
      ],
    )
    const { table: by, log } = await out(
      { kind: 'sum', table: 'stations', column: 'cm', by: 'place' },
      [given],
    )
    expect(by.columns).toEqual(['place', 'count', 'sum of cm', 'average', 'least', 'most'])
    expect(by.rows).toEqual([
      ['Tarn', '2', '−2', '−1', '−4', '2'],
      ['Wren', '1', '1200.5', '1200.5', '1200.5', '1200.5'],
    ])
    expect(log).toEqual(['2 rows; left out 1 cell without a number'])
    const { table: all } = await out({ kind: 'sum', table: 'stations', column: 'cm', by: '' }, [
      given,
    ])
    expect(all.rows).toEqual([['all', '3', '1198.5', '399.5', '−4', '1200.5']])
  })

  test('large ones are done in pieces', async () => {
    const large = table(
      'stations',
      ['cm'],
      Array.from({ length: 20_000 }, () => ['1']),
    )
    const { shares } = await done({ kind: 'sum', table: 'stations', column: 'cm', by: '' }, [large])
    expect(shares).toHaveLength(5)
    expect([...shares].sort((a, b) => a - b)).toEqual(shares)
  })
})

test('a job keeps its work, and nothing else for it', () => {
  const job = { id: 'a', name: 'b', steps: 100, at: 0, state: 'waiting', log: [] }
  const problem = (work: unknown) => contentProblem(JOBS, { jobs: [{ ...job, work }] })
  expect(problem(undefined)).toBeNull()
  expect(problem(replace({}))).toBeNull()
  expect(problem({ kind: 'resize', documents: ['a'], most: 800 })).toBeNull()
  expect(problem({ kind: 'resize', documents: ['a'], most: 1 })).toMatch(/most/)
  expect(problem({ kind: 'wish' })).not.toBeNull()
  expect(problem(5)).not.toBeNull()
})
