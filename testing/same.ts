import { isDeepStrictEqual } from 'node:util'

/** As `toEqual`, which shows what differs, but four times as fast where nothing does. */
export function expectSame(found: unknown, wanted: unknown): void {
  if (!isDeepStrictEqual(found, wanted)) expect(found).toEqual(wanted)
}
