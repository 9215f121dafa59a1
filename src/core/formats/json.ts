/** Where JSON broke, as “ (line 3)”. */
export function lineOf(content: string, error: unknown): string {
  const position = /position (\d+)/.exec(String(error))?.[1]
  return ` (line ${position ? content.slice(0, Number(position)).split('\n').length : 1})`
}
