/** How many times as often as in `npm test` random tests are run: fewer in `npm run quick`, more in the torture. */
const TIMES = Number(process.env.RUNS ?? 1)

/** Whether so few are run that not all there is can have come up. */
export const FEW = TIMES < 1

/** How often a random test is run, by how often `npm test` does. */
export const runs = (usual: number): { numRuns: number } => ({
  numRuns: Math.max(3, Math.round(usual * TIMES)),
})
