import type { Between, ReadCalendar } from '@/core/formats/calendar'
import { type OffPage, offPage } from '@/store/offPage'
import type { Shelf } from '@/store/shelf'
import { work } from '@/store/working'
import type { calendars } from './calendars'

const CALENDARS: OffPage<typeof calendars> = {
  worker: () => new Worker(new URL('./calendar.worker.ts', import.meta.url), { type: 'module' }),
  onPage: async () => (await import('./calendars')).calendars,
}

const fault = (why: string) => new Error(why)

/** What a calendar has between two moments. @throws Error with a sentence that says what is wrong */
export function readOffPage(
  shelf: Shelf,
  name: string,
  text: string,
  between: Between,
): Promise<ReadCalendar> {
  return work(shelf, `Reading “${name}”…`, async (working) => {
    const found = await offPage(
      CALENDARS,
      working,
      async (api) => await api.read(text, between),
      fault,
    )
    if ('problem' in found) throw new Error(found.problem)
    return found.calendar
  })
}

/** The plan as a calendar file. */
export async function planFile(shelf: Shelf): Promise<Blob> {
  const { plan, desktops } = shelf.state()
  const text = await work(shelf, 'Writing the calendar…', (working) =>
    offPage(CALENDARS, working, (api) => api.write([...plan], desktops, shelf.clock()), fault),
  )
  return new Blob([text], { type: 'text/calendar' })
}
