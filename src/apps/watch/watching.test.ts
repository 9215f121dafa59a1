import fc from 'fast-check'
import { begun, looked } from './watching'

const wants = fc.record({ changes: fc.boolean(), still: fc.integer({ min: 0, max: 8 }) })

test('each change after a stillness and each stillness are told once, and at the time', () => {
  fc.assert(
    fc.property(fc.array(fc.boolean(), { maxLength: 80 }), wants, (looks, given) => {
      const after = given.still || 3
      let watching = begun(0)
      const told: string[] = []
      // Reckoned anew from all looks: the stretches without a change, one look a second.
      const expected: string[] = []
      let [last, still] = [0, false]
      looks.forEach((changed, at) => {
        const { now, tells } = looked(watching, changed, at * 1000, given)
        watching = now
        if (tells) told.push(`${tells} ${at}`)
        if (changed) {
          if (still && given.changes) expected.push(`changed ${at}`)
          ;[last, still] = [at, false]
        } else if (!still && at - last >= after) {
          still = true
          if (given.still) expected.push(`still ${at}`)
        }
      })
      expect(told).toEqual(expected)
    }),
  )
})

test('what has just been chosen is not told as a change', () => {
  const given = { changes: true, still: 5 }
  expect(looked(begun(0), true, 400, given).tells).toBeNull()
  expect(looked({ moves: false, last: 0 }, true, 400, given).tells).toBe('changed')
})
