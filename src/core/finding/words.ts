/** A text to look in: without accents and capitals. */
export const plain = (text: string): string =>
  text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

/** Whether texts have all words of a query, in any order; all have those of an empty one. */
export function allWords(query: string): (text: string) => boolean {
  const words = plain(query).split(/\s+/).filter(Boolean)
  return (text) => {
    const given = plain(text)
    return words.every((word) => given.includes(word))
  }
}
