const WORD =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}]|[\p{L}\p{N}](?:[\p{L}\p{M}\p{N}]|[’'.,:-](?=[\p{L}\p{N}]))*/gu

/** How many words a text has; where none stand apart, each sign is one. */
export function counted(text: string): number {
  let count = 0
  for (const _ of text.matchAll(WORD)) count++
  return count
}
