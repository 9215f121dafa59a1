import { Silent, within } from './within'

test('an answer in time is passed on, a fault too; silence is one', async () => {
  expect(await within(Promise.resolve(3), 1000, 'The disk')).toBe(3)
  await expect(within(Promise.reject(new Error('no')), 1000, 'The disk')).rejects.toThrow('no')
  const never = new Promise(() => {})
  await expect(within(never, 5, 'The disk')).rejects.toThrow('The disk did not answer')
  await expect(within(never, 5, 'The disk')).rejects.toBeInstanceOf(Silent)
})
