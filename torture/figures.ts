import { appendFileSync } from 'node:fs'

/** How often each thing is tried, from the script that runs it. */
export const times = (name: string, otherwise: number): number =>
  Number(process.env[`TORTURE_${name}`] ?? otherwise)

/** The seed of a run, so that it can be run again. */
export const seed = Number(process.env.TORTURE_SEED ?? 1)

/** Tells the script what was counted. */
export function count(figures: Record<string, number>): void {
  const file = process.env.TORTURE_FIGURES
  if (file) appendFileSync(file, `${JSON.stringify(figures)}\n`)
}
