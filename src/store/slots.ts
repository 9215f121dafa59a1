/** The state in two alternating slots, each with a revision and a checksum. */

import { readState } from '@/core/formats/shelfFile'
import type { State } from '@/core/model/types'

export interface SlotStore {
  getItem(key: string): Promise<unknown>
  setItem(key: string, value: unknown): Promise<unknown>
}

interface Slot {
  revision: number
  checksum: string
  json: string
}

const NAMES = ['slot-a', 'slot-b'] as const

/** 53-bit mix of all characters: finds torn and altered records, does not guard against malice. */
export function checksum(text: string): string {
  let low = 0xdeadbeef
  let high = 0x41c6ce57
  for (let at = 0; at < text.length; at++) {
    const code = text.charCodeAt(at)
    low = Math.imul(low ^ code, 2654435761)
    high = Math.imul(high ^ code, 1597334677)
  }
  return `${text.length.toString(36)}-${(low >>> 0).toString(36)}-${(high >>> 0).toString(36)}`
}

export interface Loaded {
  state: State | null
  revision: number
  /** Records that could not be read, as they were found. */
  damaged: { slot: string; record: unknown }[]
}

/** The newest slot that is whole; a damaged one is reported, never written over unseen. */
export async function loadSlots(store: SlotStore): Promise<Loaded> {
  const loaded: Loaded = { state: null, revision: 0, damaged: [] }
  for (const name of NAMES) {
    const record = await store.getItem(name)
    if (record === null || record === undefined) continue
    const state = open(record)
    if (!state) loaded.damaged.push({ slot: name, record })
    else if (state.revision >= loaded.revision) Object.assign(loaded, state)
  }
  return loaded
}

function open(record: unknown): { state: State; revision: number } | null {
  const { revision, checksum: sum, json } = record as Partial<Slot>
  if (typeof revision !== 'number' || typeof json !== 'string' || checksum(json) !== sum)
    return null
  try {
    return { state: readState(JSON.parse(json)), revision }
  } catch {
    return null
  }
}

/** Writes a revision over the older of the two slots. */
export async function saveSlot(store: SlotStore, state: State, revision: number): Promise<void> {
  const json = JSON.stringify(state)
  const slot: Slot = { revision, checksum: checksum(json), json }
  await store.setItem(NAMES[revision % 2] ?? 'slot-a', slot)
}
