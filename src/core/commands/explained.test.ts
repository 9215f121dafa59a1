import { explained } from './explained'
import { registry } from './registry'

/** Our own words, as titles begin with them or name them. */
const OURS =
  /\b(loft|unstack|rack|fold|solo|pair|sweep|isolate|stow|glance|pad|put windows right|tether:|patterns?|homes?)\b/i

/** The word is used for something else, or it is explained where it is opened. */
const KNOWN =
  /^(apps\.|settings\.|run|place|pair\.swap|plan|stow|grid|arrange|desktop\.(bring|previewFold)|pattern|pair|home|window\.(goHome|nextPair))/

test('a title with a word of ours has it explained', () => {
  const bare = [...registry.values()].filter(
    ({ id, title, unlisted }) => !unlisted && OURS.test(title) && !explained(id) && !KNOWN.test(id),
  )
  expect(bare.map(({ id, title }) => `${id}: ${title}`)).toEqual([])
  for (const id of ['loft.open', 'window.pad', 'desktop.stow']) {
    expect(registry.has(id)).toBe(true)
    expect(explained(id)).toMatch(/^[A-Z][a-z ]+: /)
  }
  expect(explained('window.close')).toBeUndefined()
})
