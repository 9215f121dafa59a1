import fc from 'fast-check'
import { strToU8, zipSync } from 'fflate'
import { type Pictured, packed, picturesIn, unpacked, utf8 } from './packing'

const word = fc.stringMatching(/^[a-z ().:/?é雪]{1,12}$/)
const given = fc.record({
  title: word,
  pictures: fc.uniqueArray(
    fc.record({
      id: fc.stringMatching(/^p\d{1,4}$/),
      name: word,
      bytes: fc.uint8Array({ maxLength: 50 }),
    }),
    { maxLength: 5, selector: ({ id }) => id },
  ),
})

test('what is packed is the same again, whatever pictures are called', async () => {
  await fc.assert(
    fc.asyncProperty(given, async ({ title, pictures }) => {
      const markdown = `# ${title}\n\n${pictures.map(({ id, name }) => `![${name}](kite:${id}) and [a link](kite:${id})`).join('\n\n')}\n\n![away](https://a.test/b.png)`
      expect(picturesIn(markdown)).toEqual(pictures.map(({ id }) => id))
      const zip = packed(
        { name: title, markdown, bytes: utf8.bytes },
        new Map(pictures.map(({ id, name, bytes }) => [id, { name: `${name}.png`, bytes }])),
      )
      const kept = new Map<string, Pictured>()
      const { bytes, put } = await unpacked(zip, async (picture) => {
        const id = `new${kept.size}`
        kept.set(id, picture)
        return id
      })
      const again = await put(utf8.text(bytes))
      // Pictures have other ids; links to documents stay as they were.
      const expected = pictures.reduce(
        (text, { id }, at) => text.replace(`](kite:${id}) and`, `](kite:new${at}) and`),
        markdown,
      )
      expect(again).toBe(expected)
      expect([...kept.values()].map((one) => [...one.bytes])).toEqual(
        pictures.map((one) => [...one.bytes]),
      )
    }),
    { numRuns: 200 },
  )
})

test('a picture that is not there, or is none, stays as it was written', async () => {
  const markdown = '![a](kite:gone) ![b](kite:here)'
  const picture = { name: 'b.png', bytes: new Uint8Array([1]) }
  const zip = packed({ name: 'T', markdown, bytes: utf8.bytes }, new Map([['here', picture]]))
  const { name, bytes, put } = await unpacked(zip, async () => null)
  expect(name).toBe('T')
  expect(await put(utf8.text(bytes))).toBe('![a](kite:gone) ![b](pictures/b.png)')
})

test('a text of another program is found with its pictures, in its folder', async () => {
  const zip = zipSync({
    'notes/deep/other.md': strToU8('other'),
    'notes/North.md': strToU8('![](./img/one%20two.png) ![](../up.png)'),
    'notes/img/one two.png': new Uint8Array([1, 2]),
  })
  const { name, bytes, put } = await unpacked(zip, async ({ name }) =>
    name === 'one two.png' ? 'x' : null,
  )
  expect(name).toBe('North')
  expect(await put(utf8.text(bytes))).toBe('![](kite:x) ![](../up.png)')
})

test('what is no such file is told', async () => {
  const take = async () => null
  await expect(unpacked(new Uint8Array([1, 2, 3]), take)).rejects.toThrow('no ZIP')
  await expect(unpacked(zipSync({ 'a.txt': strToU8('a') }), take)).rejects.toThrow('no Markdown')
  const large = zipSync({ 'a.md': new Uint8Array(1024 * 1024 + 1) })
  await expect(unpacked(large, take, 1024 * 1024)).rejects.toThrow('more than 1 MB')
})
