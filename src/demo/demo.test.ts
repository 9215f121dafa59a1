import { APPS } from '@/apps/list'
import { readShelfFile, shelfFile } from '@/core/formats/shelfFile'
import { momentOf } from '@/core/homes/matching'
import { putRightPlan } from '@/core/homes/putRight'
import { EVERY } from '@/core/model/kinds/window'
import { stack } from '@/core/model/selectors'
import { stateAt } from '@/core/past/past'
import { desktopSince, windowSince } from '@/core/past/since'
import { check } from '@/core/rules/check'
import { demo } from './demo'

const NOW = new Date(2026, 2, 4, 13, 46).getTime()
const { state, contents } = demo(NOW)
const windows = Object.values(state.windows)

test('the demo keeps all the rules, and is the same at the same moment', () => {
  expect(check(state)).toEqual([])
  expect(demo(NOW).state).toEqual(state)
})

test('every window shows a document of its app that has something in it', () => {
  expect(windows).toHaveLength(20)
  for (const window of windows) {
    expect(state.documents[window.document]).toMatchObject({ app: window.app })
    expect(contents[window.document]).toBeTruthy()
    const app = APPS.find(({ id }) => id === window.app)
    expect(window.limits).toEqual(app?.limits)
  }
})

test('six desktops, each with a letter, a hue and a backdrop that tell it from its neighbours', () => {
  const desktops = state.order.flatMap((id) => state.desktops[id] ?? [])
  expect(desktops).toHaveLength(6)
  for (const tells of ['letter', 'hue', 'name'] as const)
    expect(new Set(desktops.map((desktop) => desktop[tells])).size).toBe(6)
  for (const [at, desktop] of desktops.entries()) {
    expect(desktop.name.toUpperCase()).toContain(desktop.letter)
    expect(desktop.backdrop).not.toBe(desktops[at + 1]?.backdrop)
  }
})

test('exactly three windows are away from home, whatever day and time it is', () => {
  for (let day = 0; day < 7; day++)
    for (const hour of [0, 9, 16, 23]) {
      const moment = momentOf(new Date(2026, 2, 1 + day, hour).getTime())
      const away = putRightPlan(state, moment).map(({ window }) => window)
      expect(away.sort()).toEqual(['north', 'radio', 'sunday'])
    }
})

test('a home sends windows to desktops there are, of apps there are', () => {
  for (const { app, desktop } of state.homes) {
    expect(APPS.some(({ id }) => id === app)).toBe(true)
    expect([EVERY, ...state.order]).toContain(desktop)
  }
})

test('on every desktop the topmost window is the one that has the focus there, or is everywhere', () => {
  for (const id of state.order) {
    const { focus } = state.desktops[id] ?? {}
    const own = stack(state, id).filter((window) => window.desktop === id && !window.minimised)
    if (focus) expect(own.map((window) => window.id)).toContain(focus)
  }
  expect(windows.filter(({ desktop }) => desktop === EVERY).map(({ id }) => id)).toEqual(['due'])
})

test('it goes through a shelf file unchanged', () => {
  const documents = Object.fromEntries(
    Object.entries(contents).map(([id, saved]) => [id, { saved, draft: null }]),
  )
  const text = JSON.stringify(shelfFile(state, documents, NOW))
  expect(readShelfFile(text)).toMatchObject({ state, documents: JSON.parse(text).documents })
})

test('on the days before it stood otherwise, and by the rules at any moment', () => {
  const { past = [] } = demo(NOW)
  expect(past).toHaveLength(5)
  const [day] = past
  if (!day) throw new Error('No day')
  for (const { at } of day.changes) expect(check(stateAt(day, at))).toEqual([])
  const early = stateAt(day, day.at + 3_600_000)
  const closure = early.order.find((id) => early.desktops[id]?.name === 'Road closure') ?? ''
  expect(desktopSince(early, state, closure)).toBe('gone')
  expect(windowSince(early, state, 'pit')).toBe('elsewhere')
  // In the evening all is where it was.
  const last = stateAt(day, day.changes.at(-1)?.at ?? 0)
  for (const id of state.order) expect(desktopSince(last, state, id)).toBe('same')
})
