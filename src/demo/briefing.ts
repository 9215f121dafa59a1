import type { Run } from '@/core/model/kinds/run'

const stop = (desktop: string, window: string | null, notes: string): Run['stops'][number] => ({
  id: `stop-${window ?? desktop}`,
  desktop,
  window,
  notes,
})

/** What the office is shown every morning at half past eight. */
export const BRIEFING: Run = {
  id: 'briefing',
  name: 'Morning briefing',
  back: true,
  stops: [
    stop('field', 'stations', 'HR-07 is silent since last night: say what stands for it.'),
    stop('field', 'pit', 'Where the weak layer is, and that it is still there.'),
    stop('model', 'output', 'Warmer from noon below 1,900 m.'),
    stop('bulletin', 'bulletin', 'Draft 3: what is missing? It is due at 16:00.'),
    stop('rota', null, 'Who is on call tonight.'),
  ],
}
