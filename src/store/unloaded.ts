/** What reads a file is fetched when it is first needed, and did not come; to follow a colon. */
export class Unloaded extends Error {
  override message = 'what reads it could not be loaded. Try again when there is a connection'
}

/** Whether something failed because its code did not come. A part of the page names it so itself. */
export const isUnloaded = (error: unknown): boolean =>
  error instanceof Unloaded || (error instanceof Error && error.name === 'ChunkLoadError')
