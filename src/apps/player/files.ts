import type { AudioFileContent } from './content'

/** A file as it is kept. @throws when this browser does not play it */
export async function readAudio(file: File): Promise<AudioFileContent> {
  const address = URL.createObjectURL(file)
  try {
    const length = await lengthOf(address)
    return { name: file.name.replace(/\.\w+$/, '') || file.name, data: await dataOf(file), length }
  } finally {
    URL.revokeObjectURL(address)
  }
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

function dataOf(file: File): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result))
    reader.onerror = () => reject(reader.error)
    reader.readAsDataURL(file)
  })
}

/** The address of what is kept, for an element that plays it. */
export function addressOf(data: string): string {
  const [head = '', body = ''] = data.split(',', 2)
  const bytes = Uint8Array.from(atob(body), (letter) => letter.charCodeAt(0))
  return URL.createObjectURL(new Blob([bytes], { type: /data:([^;]+)/.exec(head)?.[1] ?? '' }))
}
