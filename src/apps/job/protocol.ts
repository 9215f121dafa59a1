/** What the job service sends: how far a job is, or how it ended. */
export type JobEvent =
  | { kind: 'step'; step: number; log: string }
  | { kind: 'done' }
  | { kind: 'failed'; why: string }
