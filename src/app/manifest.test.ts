import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { OPENED } from '@/ui/files/openFiles'
import manifest from './manifest'

test('what the shelf opens is what the system may open with it', () => {
  const handled = (manifest().file_handlers ?? []).flatMap(({ accept }) =>
    Object.values(accept).flat(),
  )
  // A .zip may be anything: it is opened from within.
  expect(handled.toSorted()).toEqual(OPENED.filter((one) => one !== '.zip').toSorted())
})

test('its icons are there, and as large as they say', () => {
  for (const { src, sizes } of manifest().icons ?? []) {
    const png = readFileSync(join(process.cwd(), 'public', src))
    expect(png.toString('latin1', 1, 4)).toBe('PNG')
    expect(`${png.readUInt32BE(16)}x${png.readUInt32BE(20)}`).toBe(sizes)
  }
})
