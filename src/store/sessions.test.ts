import { makeShelf } from '@testing/shelf'
import { World } from '@testing/world'
import { initialState } from '@/core/model/initial'
import type { State } from '@/core/model/state'
import { type KeptSession, keepSessions, SESSION_EVERY } from './sessions'

/** A store that lives as long as the test, with what was last written. */
function memory() {
  let kept: unknown = null
  return {
    getItem: async () => kept,
    setItem: async (_key: string, value: unknown) => {
      kept = JSON.parse(JSON.stringify(value))
    },
    list: () => (kept ?? []) as KeptSession[],
  }
}

const withDesktop = (name: string): State => {
  const world = new World()
  world.desktops(name)
  return world.state
}

test('the arrangement the browser was closed with is kept on opening, once, the last ten', async () => {
  const store = memory()
  for (let n = 0; n < 12; n++) {
    const state = withDesktop(`Day ${n}`)
    for (const _ of [1, 2]) {
      const stop = await keepSessions(makeShelf({ clock: () => n }), store, state)
      stop()
    }
  }
  expect(store.list().map(({ at }) => at)).toEqual([11, 10, 9, 8, 7, 6, 5, 4, 3, 2])
})

test('once an hour a changed arrangement is kept, an unchanged one is not', async () => {
  jest.useFakeTimers()
  const store = memory()
  const shelf = makeShelf({ clock: () => 5 })
  const stop = await keepSessions(shelf, store, null)
  const put = (state: State) =>
    shelf.page.setState({ session: { ...shelf.page.getState().session, state } })
  put(initialState())
  await jest.advanceTimersByTimeAsync(SESSION_EVERY)
  await jest.advanceTimersByTimeAsync(SESSION_EVERY)
  expect(store.list()).toHaveLength(1)
  put(withDesktop('Later'))
  await jest.advanceTimersByTimeAsync(SESSION_EVERY)
  expect(store.list()).toHaveLength(2)
  stop()
  jest.useRealTimers()
})
