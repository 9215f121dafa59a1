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

/**
 * Whether a word is meant that was typed with one slip: a letter left out, doubled, other, or two the
 * other way round. What is typed may stop before the word does.
 */
export function near(word: string, typed: string): boolean {
  if (typed.length < 4) return word.startsWith(typed)
  let same = 0
  while (same < typed.length && word[same] === typed[same]) same++
  if (same === typed.length) return true
  const rest = (from: number) => typed.slice(from)
  const begins = (at: number, what: string) => word.startsWith(what, at)
  return (
    begins(same + 1, rest(same)) ||
    begins(same, rest(same + 1)) ||
    begins(same + 1, rest(same + 1)) ||
    (word[same] === typed[same + 1] &&
      word[same + 1] === typed[same] &&
      begins(same + 2, rest(same + 2)))
  )
}
