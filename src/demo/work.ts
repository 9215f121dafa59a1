import type { JobContent } from '@/apps/job/content'
import type { MessagesContent } from '@/apps/messages/content'

/** The snowpack run, a third done, and what is queued behind it; the service knows it by its id. */
export const run = (id: string): JobContent => ({
  jobs: [
    {
      id,
      name: 'Snowpack run, 24 h',
      steps: 24,
      at: 8,
      state: 'running',
      log: [
        'read 8 stations, 06:00',
        'HR-07 is silent, filled from HR-06',
        '07:00 layers settled at Kestrel Bowl, 5 of 8 stations',
        '08:00 layers settled at Tarn Ridge, 7 of 8 stations',
      ],
    },
    {
      id: `${id}-wind`,
      name: 'Wind field, Low Saddle',
      steps: 12,
      at: 0,
      state: 'waiting',
      log: [],
      fails: 5,
    },
  ],
})

const MINUTE = 60_000

/** What people have written this morning; the hut warden asks for the forecaster. */
export const publicLine = (now: number): MessagesContent => ({
  received: 0,
  threads: [
    {
      id: 'warden',
      who: 'hut warden',
      read: 2,
      messages: [
        { by: 'them', text: 'New snow at the hut 28 cm, still falling.', at: now - 95 * MINUTE },
        { by: 'me', text: 'Thanks. Please measure again at eleven.', at: now - 90 * MINUTE },
        {
          by: 'them',
          text: 'Forecaster: 34 cm now. Do I hold the two parties here?',
          at: now - 12 * MINUTE,
          mention: true,
        },
      ],
    },
    {
      id: 'road',
      who: 'road crew',
      read: 1,
      messages: [
        { by: 'them', text: 'Low Saddle stays closed until noon.', at: now - 60 * MINUTE },
      ],
    },
    {
      id: 'public',
      who: 'public',
      read: 2,
      messages: [
        { by: 'them', text: 'Is Alder Flats safe with children?', at: now - 40 * MINUTE },
        { by: 'me', text: 'Yes, stay off the slopes above the track.', at: now - 38 * MINUTE },
      ],
    },
  ],
})
