import { expose } from 'comlink'
import { FileProblem } from '../contract'
import { readCsv } from './csv'

/** Reads tables off the page, so that a large one can be ended. */
export const reading = {
  read(text: string) {
    try {
      return { content: readCsv(text) }
    } catch (error) {
      if (error instanceof FileProblem) return { problem: error.message }
      throw error
    }
  },
}

expose(reading)
