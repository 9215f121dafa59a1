import { bodyOf, isKey, isOwnHost, refusal } from './guard'

const asked = (given: Record<string, string>, hosts: string[] = []) =>
  refusal(new Headers({ host: 'localhost:4180', ...given }), hosts)?.status ?? 200

test('only our own pages are answered', () => {
  expect(asked({ 'sec-fetch-site': 'same-origin' })).toBe(200)
  for (const site of ['cross-site', 'same-site', 'none'])
    expect(asked({ 'sec-fetch-site': site })).toBe(403)
  expect(asked({})).toBe(200)
  expect(asked({ origin: 'http://localhost:4180' })).toBe(200)
  expect(asked({ origin: 'http://elsewhere.test' })).toBe(403)
  expect(asked({ origin: 'null' })).toBe(403)
})

test('a forged host is not believed', () => {
  expect(asked({ host: 'elsewhere.test', 'sec-fetch-site': 'same-origin' })).toBe(421)
  expect(asked({ host: 'shelf.test' }, ['shelf.test'])).toBe(200)
  expect(asked({}, ['shelf.test'])).toBe(421)
  expect(isOwnHost('127.0.0.1:80', [])).toBe(true)
  expect(isOwnHost('127.0.0.1.elsewhere.test', [])).toBe(false)
})

const sent = async (body: string) => {
  const read = await bodyOf(new Request('http://localhost/', { method: 'POST', body }))
  return read instanceof Response ? read.status : read
}

test('a body is an object of bounded length, or a bad request', async () => {
  expect(await sent('{"a":1}')).toEqual({ a: 1 })
  for (const bad of ['null', '[]', '5', '', '{', '"text"']) expect(await sent(bad)).toBe(400)
  expect(await sent(`{"a":"${'x'.repeat(20_000)}"}`)).toBe(413)
})

test('keys are texts that not every object has', () => {
  expect(isKey('job-1')).toBe(true)
  for (const bad of ['', '__proto__', 'constructor', 5, null, undefined, 'x'.repeat(300)])
    expect(isKey(bad)).toBe(false)
})
