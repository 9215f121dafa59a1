import { joined } from './join'
import { type Input, type Step, WorkProblem } from './outcome'
import { replaced } from './replace'
import { resized } from './resize'
import { summed } from './sum'
import type { Reading } from './tables'
import type { Work } from './works'

/** Does a work piece by piece, so that it can be stopped between two. */
export class Runner {
  private steps: Iterator<Step> | AsyncIterator<Step> | null = null

  begin(work: Work, inputs: Input[], reading: Reading): void {
    this.steps = stepsOf(work, inputs, reading)
  }

  /** The next piece; where it cannot be done, why. */
  async next(): Promise<Step | { why: string }> {
    try {
      const { value } = (await this.steps?.next()) ?? {}
      return value ?? { why: 'It was not begun.' }
    } catch (error) {
      if (error instanceof WorkProblem) return { why: error.message }
      throw error
    }
  }
}

function stepsOf(
  work: Work,
  inputs: Input[],
  reading: Reading,
): Generator<Step> | AsyncGenerator<Step> {
  switch (work.kind) {
    case 'replace':
      return replaced(work, inputs)
    case 'join':
      return joined(work, inputs, reading)
    case 'sum':
      return summed(work, inputs, reading)
    case 'resize':
      return resized(work, inputs)
  }
}
