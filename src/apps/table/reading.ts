import { FileProblem } from '../contract'
import { readCsv } from './csv'

/** Reads tables, with what is wrong with one in words: an error of ours does not come whole from a worker. */
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
