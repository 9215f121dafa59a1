import fc from 'fast-check'
import { JOBS, type JobContent } from '@/apps/job/content'
import { MESSAGES, type MessagesContent } from '@/apps/messages/content'
import type { JobEvent } from './job/protocol'
import { advance, heard, queue, remove, running, setState } from './job/queue'
import type { Incoming } from './messages/protocol'
import {
  markRead,
  mentioned,
  nextToSend,
  receive,
  reply,
  unread,
  withMessage,
  written,
} from './messages/threads'
import { TUNES } from './player/tunes'

const WHO = ['hut warden', 'road crew', 'public', 'observer']

/** A message of a number; the first asks for the person. */
const message = (number: number): Incoming => {
  const who = WHO[number % WHO.length] ?? ''
  return { number, thread: who, who, text: `Message ${number}`, mention: number === 1 }
}

const received = (count: number): MessagesContent => {
  let content = MESSAGES.empty
  for (let number = 1; number <= count; number++)
    content = receive(content, message(number), number)
  return content
}

test('messages go into the thread of who wrote; the same one twice is one', () => {
  const once = received(7)
  expect(once.threads.map(({ who }) => who).sort()).toEqual([
    'hut warden',
    'observer',
    'public',
    'road crew',
  ])
  expect(once.threads.reduce((sum, { messages }) => sum + messages.length, 0)).toBe(7)
  expect(receive(once, message(5), 99)).toBe(once)
})

test('a stream that breaks off and is joined again where it was loses and doubles nothing', () => {
  fc.assert(
    fc.property(fc.nat(30), fc.nat(30), (first, again) => {
      let content = received(first)
      // It begins anew at any number it may have been asked for, also an earlier one.
      for (let number = Math.min(first, again) + 1; number <= first + 5; number++)
        content = receive(content, message(number), number)
      const count = content.threads.reduce((sum, { messages }) => sum + messages.length, 0)
      expect(count).toBe(first + 5)
      expect(content.received).toBe(first + 5)
    }),
  )
})

test('a thread is unread until it is seen or answered, and a mention is told', () => {
  const content = received(1)
  const [thread] = content.threads
  if (!thread) throw new Error('nothing was received')
  expect([unread(thread), mentioned(thread)]).toEqual([1, true])
  const read = markRead(content, thread.id)
  expect(read.threads.map(unread)).toEqual([0])
  expect(markRead(read, thread.id)).toBe(read)
  const answered = reply(content, thread.id, written('Wait.', 'a', 5))
  expect(answered.threads.map(unread)).toEqual([0])
  expect(answered.threads[0]?.messages.at(-1)?.waiting).toBe(true)
})

test('what waits is sent in the order it was written, whatever the thread; each is marked by itself', () => {
  let content = received(4)
  const [one = '', two = ''] = content.threads.map(({ id }) => id)
  content = reply(content, one, written('First', 'a', 10))
  content = reply(content, two, written('Second', 'b', 11))
  content = reply(content, one, written('Third', 'c', 12))
  const order: (string | undefined)[] = []
  for (let next = nextToSend(content); next; next = nextToSend(content)) {
    order.push(next.text)
    const { waiting: _waiting, ...sent } = next
    content = withMessage(content, next, next.text === 'Second' ? { ...sent, failed: 'no' } : sent)
  }
  expect(order).toEqual(['First', 'Second', 'Third'])
  const mine = content.threads.flatMap(({ messages }) => messages.filter(({ by }) => by === 'me'))
  expect(mine.map(({ text, failed }) => [text, failed])).toEqual([
    ['First', undefined],
    ['Third', undefined],
    ['Second', 'no'],
  ])
  // One of an earlier version has no id; taken away, it takes no other along.
  const old = { by: 'me' as const, text: 'Old', at: 9, waiting: true }
  const more = reply(content, one, old)
  expect(withMessage(more, old, null).threads.find(({ id }) => id === one)?.messages).toEqual(
    content.threads.find(({ id }) => id === one)?.messages,
  )
})

test('one job runs at a time, the next begins when it ends, a paused one holds the queue', () => {
  let content: JobContent = queue(queue(JOBS.empty, 'a', 'First'), 'b', 'Second')
  expect(content.jobs.map(({ state }) => state)).toEqual(['running', 'waiting'])
  content = advance(setState(content, 'a', 'paused'))
  expect(running(content)).toBeUndefined()
  content = heard(setState(content, 'a', 'running'), 'a', { kind: 'done' })
  expect(content.jobs.map(({ state }) => state)).toEqual(['done', 'running'])
  content = heard(content, 'b', { kind: 'failed', why: 'no readings' })
  expect(content.jobs[1]).toMatchObject({ state: 'failed', why: 'no readings' })
  expect(remove(queue(content, 'c', 'Third'), 'a').jobs.map(({ state }) => state)).toEqual([
    'failed',
    'running',
  ])
})

test('progress only grows, whatever is told again after a lost connection', () => {
  const event = fc.nat(12).map((step): JobEvent => ({ kind: 'step', step, log: `step ${step}` }))
  fc.assert(
    fc.property(fc.array(event, { maxLength: 30 }), (events) => {
      let content = queue(JOBS.empty, 'a', 'Run')
      let before = 0
      for (const one of events) {
        content = heard(content, 'a', one)
        const { at = 0, log = [] } = content.jobs[0] ?? {}
        expect(at).toBeGreaterThanOrEqual(before)
        expect(new Set(log).size).toBe(log.length)
        before = at
      }
    }),
  )
})

test('tunes are the same every time, in order, inside their length and of audible pitch', () => {
  for (const { length, notes } of TUNES) {
    expect(notes.length).toBeGreaterThan(40)
    expect(notes.map(({ at }) => at)).toEqual(notes.map(({ at }) => at).toSorted((a, b) => a - b))
    for (const { at, length: sounds, hertz } of notes) {
      expect(at + sounds).toBeLessThanOrEqual(length + 1)
      expect(hertz).toBeGreaterThan(100)
      expect(hertz).toBeLessThan(2000)
    }
  }
  expect(TUNES[0]?.notes[0]?.hertz).not.toBe(TUNES[1]?.notes[0]?.hertz)
})
