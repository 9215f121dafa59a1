/** What begins every command, for whom: with Alt held, or as it suits who needs Alt for typing. */
export const KEY_SETS = {
  auto: 'with Alt held, as long as Alt types nothing',
  alt: 'with Alt held',
  control: 'with Ctrl and Alt held (Control and Option)',
  leader: 'after Ctrl+.',
  layer: 'plain, after Alt was tapped twice, until Escape',
} as const
export type KeySet = keyof typeof KEY_SETS
