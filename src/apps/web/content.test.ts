import { goBack, goForward, goTo, type WebContent } from './content'

const at = (...visited: string[]): WebContent => ({ visited })

test('back and forward lead over what was visited; going elsewhere forgets what was ahead', () => {
  const here = goTo(goTo(at('a'), 'b'), 'c')
  const back = goBack(goBack(here))
  expect(back).toEqual({ visited: ['a'], ahead: ['b', 'c'] })
  expect(goForward(back)).toEqual({ visited: ['a', 'b'], ahead: ['c'] })
  expect(goForward(goForward(back))).toEqual(here)
  expect(goTo(back, 'd')).toEqual(at('a', 'd'))
})

test('where there is nothing before or ahead one stays', () => {
  const only = at('a')
  expect(goBack(only)).toBe(only)
  expect(goForward(only)).toBe(only)
  expect(goBack(at())).toEqual(at())
})

test('only so much is kept, and what else is known of the window stays', () => {
  const allowed: WebContent = { visited: ['a'], passes: 'a.example', outside: true }
  let far = allowed
  for (let n = 0; n < 80; n++) far = goTo(far, String(n))
  expect(far.visited).toHaveLength(50)
  expect(far.visited.at(-1)).toBe('79')
  for (let n = 0; n < 80; n++) far = goBack(far)
  expect(far).toMatchObject({ visited: ['30'], passes: 'a.example', outside: true })
  expect(far.ahead).toHaveLength(49)
})
