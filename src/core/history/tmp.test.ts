import type { State } from '@/core/model/types'
import { World } from '@/core/testing/world'

const diff = (a: unknown, b: unknown, at = ''): string[] => {
  if (JSON.stringify(a) === JSON.stringify(b)) return []
  if (typeof a === 'object' && a && typeof b === 'object' && b && !Array.isArray(a)) {
    const keys = new Set([...Object.keys(a), ...Object.keys(b)])
    return [...keys].flatMap((k) => diff((a as never)[k], (b as never)[k], `${at}.${k}`))
  }
  return [`${at}: ${JSON.stringify(a)} -> ${JSON.stringify(b)}`]
}
test.each([true, false])('x apart=%s', (apart) => {
  const w = new World()
  const [m, p] = w.desktops('Model', 'Public')
  w.open('notes', 'F1')
  w.open('notes', 'F2')
  w.run('desktop.go', { to: m })
  w.open('notes', 'M1')
  const m2 = w.open('notes', 'M2')
  w.run('desktop.go', { to: p })
  w.open('notes', 'P1')
  w.run('desktop.go', { to: 'first' })
  w.run('display.add', { name: 'Tall', width: 1000, height: 900 })
  if (!apart) {
    w.run('displays.together')
  }
  const tall = Object.keys(w.state.displays).find((d) => d !== 'near') ?? ''
  if (apart) {
    w.run('display.focus', { to: tall })
    w.run('display.focus', { to: 'near' })
  } else {
    const x = w.open('notes', 'T1')
    w.run('window.toDisplay', { window: x, to: 'right' })
  }
  if (apart) {
    const x = w.open('notes', 'T1')
    w.run('window.toDisplay', { window: x, to: 'right' })
  }
  const s: State[] = [w.state]
  const step = (id: string, args = {}) => {
    const o = w.try(id, args)
    if (!o.ok) console.log(id, o.reason)
    s.push(w.state)
  }
  step('display.unplug', { display: tall })
  step('desktop.go', { to: m })
  step('window.minimise', {})
  step('display.plug', { display: tall })
  const end = w.state
  console.log(s.map((x) => JSON.stringify(x.presence)))
  w.run('history.undo')
  console.log('plug undone', diff(s[3], w.state))
  w.run('history.undo')
  console.log('minimise undone', diff(s[2], w.state))
  w.run('history.undo')
  console.log('unplug undone', diff(s[0], w.state))
  w.run('history.redo')
  w.run('history.redo')
  w.run('history.redo')
  console.log('redone', diff(end, w.state))
  void m2
})
