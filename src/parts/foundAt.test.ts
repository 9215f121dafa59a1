import { foundAt } from './foundAt'

test('the topmost that is sought, also where the browser lists none in the place of an element', () => {
  const row = { closest: (selector: string) => (selector === '.row' ? row : null) }
  const other = { closest: () => null }
  const page = { elementsFromPoint: (x: number) => (x === 1 ? [null, other, row] : [null]) }
  Object.assign(globalThis, { document: page })
  expect(foundAt('.row', 1, 0)).toBe(row)
  expect(foundAt('.row', 2, 0)).toBeNull()
})
