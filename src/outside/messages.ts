import type { Incoming, WritingEvent } from '@/apps/messages/protocol'
import { isKey } from './guard'
import { numberIn, type Source } from './streams'

/** How long it is from one message to the next at speed 1, in milliseconds. */
export const MESSAGE_EVERY = 45_000
/** How long somebody is seen to write before it. */
const WRITES_FOR = 6000

const SAID: Omit<Incoming, 'number'>[] = [
  {
    thread: 'public',
    who: 'public',
    text: 'Is the path to Kestrel Bowl open this afternoon?',
    mention: false,
  },
  {
    thread: 'road',
    who: 'road crew',
    text: 'Drift at Low Saddle cleared on one side. Going on to Alder Flats.',
    mention: false,
  },
  {
    thread: 'warden',
    who: 'hut warden',
    text: 'Forecaster: a party of four wants the Tarn Ridge crossing. What do I tell them?',
    mention: true,
  },
  {
    thread: 'public',
    who: 'public',
    text: 'Thank you, we will stay below the trees.',
    mention: false,
  },
  {
    thread: 'observer',
    who: 'observer',
    text: 'Wren Couloir: new cracks above the upper marker, 20 m long.',
    mention: false,
  },
  {
    thread: 'road',
    who: 'road crew',
    text: 'Forecaster: can we open Low Saddle before dark?',
    mention: true,
  },
  {
    thread: 'warden',
    who: 'hut warden',
    text: 'Wind has dropped here, sky clearing from the west.',
    mention: false,
  },
]

/**
 * The message of a number, from 1: the same seed gives the same messages. Every round of seven
 * starts at another one.
 */
export function messageAt(seed: number, number: number): Incoming {
  const round = Math.floor((number - 1) / SAID.length)
  const at = (number - 1 + Math.floor(seed) + round * 3) % SAID.length
  return { number, ...(SAID[at] as Omit<Incoming, 'number'>) }
}

/** Messages after a number, one now and then. */
export function messageSource(query: URLSearchParams): Source | string {
  const key = query.get('key') ?? ''
  const seed = numberIn(query, 'seed', 1, 1e6)
  const asked = numberIn(query, 'speed', 1, 1000)
  const after = numberIn(query, 'after', 0, 1e9)
  if (!isKey(key) || seed === null || asked === null || after === null)
    return 'Say whose messages, and after which.'
  const speed = Math.max(0.01, asked)
  let number = Math.floor(after)
  return {
    key,
    begin(send) {
      const told = (event: Incoming | WritingEvent) => send(event)
      let timer: ReturnType<typeof setTimeout>
      const wait = () => {
        timer = setTimeout(
          () => {
            told({ writing: messageAt(seed, number + 1).thread })
            timer = setTimeout(() => {
              told(messageAt(seed, ++number))
              wait()
            }, WRITES_FOR / speed)
          },
          (MESSAGE_EVERY - WRITES_FOR) / speed,
        )
      }
      wait()
      return () => clearTimeout(timer)
    },
  }
}
