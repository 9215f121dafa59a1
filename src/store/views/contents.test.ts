import { Contents } from './contents'

const letters = (text: string) => ({ saved: null, draft: { markdown: text } })

test('who has just come is told all of a document, after that what changed in it', () => {
  const [here, there] = [new Contents(), new Contents()]
  const told = here.tell('document:1', letters('Tid'))
  expect(told).toEqual({ whole: letters('Tid') })
  there.hear('here', 'document:1', told)
  const next = here.tell('document:1', letters('Tide'))
  expect(JSON.stringify(next)).not.toContain('Tid"')
  expect(there.hear('here', 'document:1', next)).toEqual(letters('Tide'))
  here.tellWhole()
  expect(here.tell('document:1', letters('Tides'))).toEqual({ whole: letters('Tides') })
})

test('what two views tell of one document is kept apart', () => {
  const [one, two, there] = [new Contents(), new Contents(), new Contents()]
  there.hear('one', 'document:1', one.tell('document:1', letters('Tide')))
  there.hear('two', 'document:1', two.tell('document:1', letters('Wind')))
  expect(there.hear('one', 'document:1', one.tell('document:1', letters('Tides')))).toEqual(
    letters('Tides'),
  )
})

test('what stands upon something not heard is asked for, what was taken away is told', () => {
  const [here, there] = [new Contents(), new Contents()]
  here.tell('document:1', letters('Tide'))
  expect(there.hear('here', 'document:1', here.tell('document:1', letters('Tides')))).toBe(
    undefined,
  )
  here.tellWhole('document:1')
  there.hear('here', 'document:1', here.tell('document:1', letters('Tides')))
  expect(there.hear('here', 'document:1', here.tell('document:1', null))).toBeNull()
  there.drop('here')
  expect(here.tell('document:1', letters('T'))).toEqual({ whole: letters('T') })
})
