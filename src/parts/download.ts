/** Gives a file to the person to keep on the computer. */
export function download(content: Blob, name: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(content)
  link.download = name.replace(/[/\\:*?"<>|]/g, '-')
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
}
