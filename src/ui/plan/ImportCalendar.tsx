import { useEffect, useRef, useState } from 'react'
import type { ReadCalendar } from '@/core/formats/calendar'
import { blocksFrom, type Topic, topicsOf } from '@/core/formats/fromCalendar'
import type { DesktopId } from '@/core/model/ids'
import { atMinute, dayOf } from '@/core/plan/plan'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import { timeOfDay } from '@/parts/Facts'
import { LongList } from '@/parts/LongList'
import { useArrangement, useShelf } from '@/store/useShelf'
import { chooseFiles } from '@/ui/files/openFiles'
import { readOffPage } from './calendar'

/** A calendar file that was chosen or dropped. */
interface Given {
  name: string
  text: string
}

/** So many topics have a choice of their own; the rest are decided together. */
const OWN_CHOICE = 60
const WEEKS = [1, 2, 4, 13, 26]

/** Asks for a calendar file and shows which blocks it would make, to choose their desktops. */
export function ImportCalendar({ given }: { given?: Given }) {
  const shelf = useShelf()
  const [file, setFile] = useState(given ?? null)
  const asked = useRef(false)
  useEffect(() => {
    if (file || asked.current) return
    asked.current = true
    void chooseFiles('.ics,text/calendar', false).then(async ([chosen]) =>
      chosen ? setFile({ name: chosen.name, text: await chosen.text() }) : shelf.closeView(),
    )
  }, [file, shelf])
  return file ? <Events file={file} /> : null
}

function Events({ file }: { file: Given }) {
  const shelf = useShelf()
  const [weeks, setWeeks] = useState(4)
  const [read, setRead] = useState<ReadCalendar | null>(null)
  useEffect(() => {
    let over = false
    const today = dayOf(shelf.clock())
    readOffPage(shelf, file.name, file.text, {
      from: today,
      until: atMinute(today, weeks * 7 * 24 * 60),
    })
      .then((found) => over || setRead(found))
      .catch((error: Error) => {
        if (over) return
        shelf.closeView()
        shelf.say(
          `“${file.name}” was not read: ${error.message}. Nothing was changed. Choose an .ics file.`,
          { refused: true },
        )
      })
    return () => {
      over = true
    }
  }, [file, weeks, shelf])
  if (!read) return null
  return (
    <Preview
      key={`${weeks} ${read.events.length}`}
      name={file.name}
      read={read}
      weeks={weeks}
      onWeeks={setWeeks}
    />
  )
}

const many = (count: number, one: string, more: string): string =>
  `${count} ${count === 1 ? one : more}`

/** What of the calendar makes no block, in words. */
function leftOut({ allDay, moments, unreadable }: ReadCalendar): string[] {
  const [first] = unreadable
  return [
    ...(allDay ? [`${many(allDay, 'event lasts', 'events last')} all day`] : []),
    ...(moments ? [`${many(moments, 'event takes', 'events take')} no time`] : []),
    ...(first
      ? [
          `${many(unreadable.length, 'event', 'events')} cannot be read, such as “${first.title}”: ${first.why}`,
        ]
      : []),
  ]
}

function Preview({
  name,
  read,
  weeks,
  onWeeks,
}: {
  name: string
  read: ReadCalendar
  weeks: number
  onWeeks(weeks: number): void
}) {
  const shelf = useShelf()
  const [topics, setTopics] = useState<Topic[]>(() => topicsOf(read.events, shelf.state()))
  const [own, rest] = [topics.slice(0, OWN_CHOICE), topics.slice(OWN_CHOICE)]
  const blocks = blocksFrom(topics, shelf.state())
  const left = leftOut(read)
  const choose = (changed: readonly Topic[], desktop: DesktopId | null) =>
    setTopics(topics.map((topic) => (changed.includes(topic) ? { ...topic, desktop } : topic)))
  const [problem, setProblem] = useState<string | null>(null)
  const restChoice = new Set(rest.map(({ desktop }) => desktop))
  return (
    <Dialog
      title={`Plan from “${name}”`}
      intro="Each block belongs to a desktop. What came from this calendar before is moved, not made again."
      width={560}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault()
          const outcome = shelf.dispatch('plan.put', { blocks }, 'key')
          if (outcome.ok) shelf.dispatch('plan.open', {}, 'key')
          else setProblem(outcome.reason)
        }}
      >
        <label className="mt-3 flex items-center gap-2">
          From today for
          <select
            className="field"
            value={weeks}
            onChange={(event) => onWeeks(Number(event.target.value))}
          >
            {WEEKS.map((count) => (
              <option key={count} value={count}>
                {many(count, 'week', 'weeks')}
              </option>
            ))}
          </select>
        </label>
        {topics.length === 0 ? (
          <p className="mt-3">This file has no events in that period.</p>
        ) : null}
        <LongList label="Events" className="mt-3 max-h-[42vh]">
          {own.map((topic) => (
            <Row
              key={topic.title}
              title={topic.title || 'Untitled'}
              detail={when(topic)}
              desktop={topic.desktop}
              onChoose={(desktop) => choose([topic], desktop)}
            />
          ))}
          {rest.length > 0 ? (
            <Row
              title={`${rest.length} others`}
              detail={many(
                rest.reduce((sum, { events }) => sum + events.length, 0),
                'time',
                'times',
              )}
              desktop={restChoice.size === 1 ? (rest[0]?.desktop ?? null) : 'various'}
              onChoose={(desktop) => choose(rest, desktop)}
            />
          ) : null}
        </LongList>
        {left.length > 0 ? <p className="mt-3 text-soft">Left out: {left.join('; ')}.</p> : null}
        {read.unknownZones.length > 0 ? (
          <p className="mt-3 text-soft">
            Unknown time zones, read as local time: {read.unknownZones.join(', ')}.
          </p>
        ) : null}
        {problem ? (
          <p role="alert" className="mt-3 text-alarm">
            {problem}
          </p>
        ) : null}
        <Answers disabled={blocks.length === 0} ready>
          {blocks.length ? `Plan ${many(blocks.length, 'block', 'blocks')}` : 'Plan'}
        </Answers>
      </form>
    </Dialog>
  )
}

/** “5 times, Mon 09:00 first”. */
function when({ events: [first, ...more] }: Topic): string {
  if (!first) return ''
  const day = new Date(first.start).toLocaleDateString('en', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
  })
  const at = `${day}, ${timeOfDay(first.start)}–${timeOfDay(first.end)}`
  return more.length ? `${at} and ${more.length} more` : at
}

function Row({
  title,
  detail,
  desktop,
  onChoose,
}: {
  title: string
  detail: string
  desktop: DesktopId | 'various' | null
  onChoose(desktop: DesktopId | null): void
}) {
  const order = useArrangement((state) => state.order)
  const desktops = useArrangement((state) => state.desktops)
  return (
    <li className="flex items-center gap-3 border-seam border-b border-dashed py-1.5 last:border-0">
      <span className="min-w-0 flex-1">
        <span dir="auto" className="block truncate font-semibold" title={title}>
          {title}
        </span>
        <span className="block truncate text-[12px] text-soft" title={detail}>
          {detail}
        </span>
      </span>
      <select
        aria-label={`Desktop for ${title}`}
        className="field w-44 shrink-0"
        value={desktop ?? ''}
        onChange={(event) => onChoose(event.target.value || null)}
      >
        {desktop === 'various' ? <option value="various">various</option> : null}
        <option value="">leave out</option>
        {order.map((id) => (
          <option key={id} value={id}>
            {desktops[id]?.name}
          </option>
        ))}
      </select>
    </li>
  )
}
