import type { AppFacts, OwnApp } from '@/core/model/kinds/app'

/** What core has to know of an app the person added. */
export const ownFacts = ({ id, name }: OwnApp): AppFacts => ({
  id,
  name,
  plural: `${name} windows`,
  untitled: name,
  width: 720,
  height: 520,
  limits: { minWidth: 320, minHeight: 240 },
})
