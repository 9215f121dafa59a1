/** The page as it is loaded anew, with what a stopped page left. */
async function loaded() {
  jest.resetModules()
  return import('./opening')
}

const kept = new Map<string, string>()

beforeEach(() => {
  kept.clear()
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
    },
  })
})

test('what was being opened when the page stopped is known when it comes back', async () => {
  const before = await loaded()
  before.beginOpening('big')
  before.beginOpening('fine')
  before.endOpening('fine')
  const after = await loaded()
  expect([after.didNotEnd('big'), after.didNotEnd('fine')]).toEqual([true, false])
  after.endOpening('big')
  expect((await loaded()).didNotEnd('big')).toBe(false)
})

test('what stands there is not believed blindly', async () => {
  for (const odd of ['{', '5', '{"a":1}', 'null']) {
    kept.set('kite-shelf-opening', odd)
    expect((await loaded()).didNotEnd('a')).toBe(false)
  }
})

test('large is what has much text, wherever it stands', async () => {
  const { isLarge } = await loaded()
  expect(isLarge({ markdown: 'x'.repeat(300_000) })).toBe(true)
  expect(isLarge({ rows: Array.from({ length: 5000 }, () => ['x'.repeat(50)]) })).toBe(true)
  expect(isLarge({ text: 'short', more: null, n: 5 })).toBe(false)
})
