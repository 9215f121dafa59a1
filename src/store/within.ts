/** Something of the browser that gave no answer in time. */
export class Silent extends Error {
  override name = 'Silent'
  constructor(what: string) {
    super(`${what} did not answer`)
  }
}

/**
 * What something answers, if it does in time: nothing is waited for without a limit.
 * @param time milliseconds
 * @param what it is, to begin a sentence
 * @throws Silent when there was no answer by then
 */
export async function within<T>(work: Promise<T>, time: number, what: string): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const silent = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new Silent(what)), time)
  })
  try {
    return await Promise.race([work, silent])
  } finally {
    clearTimeout(timer)
  }
}
