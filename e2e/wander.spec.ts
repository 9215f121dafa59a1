import { test } from '@playwright/test'
import fc from 'fast-check'
import { visit } from '../scripts/visit.mjs'
import { walks } from './wandering/steps'
import { Wanderer } from './wandering/wanderer'

/**
 * A walk at random through all that can be done. `npm run wander` goes far, this one a short way that
 * is always the same. A failure prints its seed and the shortest walk that shows it.
 */
const given = process.env.WANDER_SEED
/** Of each shelf one walk that is long enough. */
const seeds = given ? [Number(given)] : [22, 25]
const steps = Number(process.env.WANDER_STEPS ?? 18)
/** Steps of one walk: short enough to be made shorter where it fails. */
const LENGTH = Number(process.env.WANDER_LENGTH ?? 24)
/** How long it is tried to make a failing walk shorter, in milliseconds. */
const SHORTEN = Number(process.env.WANDER_SHORTEN ?? 120) * 1000

for (const seed of seeds)
  test(`wandering, seed ${seed}`, async ({ browser }) => {
    test.setTimeout(60_000 + steps * 4000 + SHORTEN)
    let taken = 0
    let failed = false
    await fc.assert(
      fc.asyncProperty(walks(LENGTH), async (walk) => {
        // Walks are of all lengths: as many are made as it takes.
        if (taken >= steps && !failed) return
        taken += walk.steps.length
        const context = await browser.newContext({
          viewport: { width: 1280, height: 800 },
          reducedMotion: 'reduce',
        })
        try {
          // As from a person's second visit on.
          const before = await context.newPage()
          await visit(before)
          await before.close()
          await Wanderer.walk(context, walk)
        } catch (error) {
          // At once: to make it shorter takes its time.
          if (!failed) console.log(error instanceof Error ? error.message : error)
          failed = true
          throw error
        } finally {
          await context.close()
        }
      }),
      {
        seed,
        numRuns: 10 * Math.ceil(steps / LENGTH),
        interruptAfterTimeLimit: steps * 4000 + SHORTEN,
        markInterruptAsFailure: true,
        endOnFailure: SHORTEN === 0,
        verbose: 0,
      },
    )
    console.log(`seed ${seed}: ${taken} steps`)
  })
