import type { Part } from '@/store/health'

/** What each part is called. */
export const PART_NAMES: Record<Part, string> = {
  database: 'Saving',
  snapshot: 'Snapshots',
  copy: 'Second copy',
  folder: 'Copy in a folder',
  sessions: 'Earlier sessions',
  tabs: 'Several tabs',
  workers: 'Background work',
  offline: 'Without a connection',
  services: 'Services',
}

export const STATE_NAMES = { good: 'Good', off: 'Off', amiss: 'Needs a look' } as const
