import { fromBase64 } from '@/core/text/base64'

/** A file as it was, from its data address. */
export function blobOf(data: string): Blob {
  const [head = '', body = ''] = data.split(',', 2)
  const type = /^data:([^;,]+)/.exec(head)?.[1] ?? ''
  if (!head.endsWith(';base64')) return new Blob([decodeURIComponent(body)], { type })
  return new Blob([fromBase64(body)], { type })
}

/** A file as a data address. @throws when it cannot be read */
export function addressOf(blob: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result))
    reader.onerror = () => reject(reader.error)
    reader.readAsDataURL(blob)
  })
}
