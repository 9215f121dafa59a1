import { addressOf, blobOf } from '@/parts/dataAddress'
import { logged } from '@/store/faults'
import type { AudioFileContent, Chapter } from './content'

/** A file as it is kept. @throws when this browser does not play it */
export async function readAudio(file: File): Promise<AudioFileContent> {
  const address = URL.createObjectURL(file)
  try {
    const length = await lengthOf(address)
    const name = file.name.replace(/\.\w+$/, '') || file.name
    const chapters = await chaptersOf(file).catch(logged('The chapters of a file', []))
    return { name, data: await addressOf(file), length, ...(chapters.length > 0 && { chapters }) }
  } finally {
    URL.revokeObjectURL(address)
  }
}

/** The chapters a file tells of: those of ID3 (CHAP) and of MP4. */
async function chaptersOf(file: File): Promise<Chapter[]> {
  const { parseBlob } = await import('music-metadata')
  const { format } = await parseBlob(file, { includeChapters: true, skipCovers: true })
  return (format.chapters ?? []).map(({ title, start, timeScale = 1 }) => ({
    title,
    at: start / timeScale,
  }))
}

function lengthOf(address: string): Promise<number> {
  return new Promise((resolve, reject) => {
    const audio = new Audio()
    audio.preload = 'metadata'
    audio.onloadedmetadata = () => resolve(audio.duration)
    audio.onerror = () => reject(new Error('not played'))
    audio.src = address
  })
}

/** The address of what is kept, for an element that plays it. */
export const playedFrom = (data: string): string => URL.createObjectURL(blobOf(data))
