/** Runs once when the server starts, before it takes requests. */
export async function register(): Promise<void> {
  // Said so that what is of the server is left out of all else.
  if (process.env.NEXT_RUNTIME === 'nodejs') await import('@/outside/atStart')
}
