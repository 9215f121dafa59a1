import fc from 'fast-check'
import type { Said } from './said/choosing'
import { day } from './said/day'
import { desktops } from './said/desktops'
import { displays } from './said/displays'
import { homes } from './said/homes'
import { put } from './said/put'
import { windows } from './said/windows'
import { wishes } from './said/wishes'

/** Every command that changes the shelf, with what a person or a program may give it. */
export const said: fc.Arbitrary<Said> = fc.oneof(
  ...desktops,
  ...windows,
  ...homes,
  ...wishes,
  ...day,
  ...put,
  ...displays,
)
