/** The longest name a file is given, in characters: systems take 255 bytes. */
const NAME_MOST = 80

/** A name as every system takes it: without what stands for a path, and not too long; its extension stays. */
export function fileName(name: string): string {
  const clean = name.replace(/[/\\:*?"<>|\p{Cc}]/gu, '-').replace(/^\.+|[. ]+$/g, '')
  const extension = /(\.\w{1,8}){0,2}$/.exec(clean)?.[0] ?? ''
  const stem = clean.slice(0, clean.length - extension.length)
  return `${[...stem].slice(0, NAME_MOST).join('').trim() || 'untitled'}${extension}`
}

/** Gives a file to the person to keep on the computer. */
export function download(content: Blob, name: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(content)
  link.download = fileName(name)
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
}
