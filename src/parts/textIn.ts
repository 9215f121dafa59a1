/** What is written in an element, and where on the page each part of it stands. */
export function textIn(body: Element): { whole: string; range(from: number, to: number): Range } {
  const walker = document.createTreeWalker(body, NodeFilter.SHOW_TEXT)
  const nodes: { node: Node; from: number }[] = []
  let whole = ''
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    nodes.push({ node, from: whole.length })
    whole += node.textContent
  }
  return {
    whole,
    range(from, to) {
      const range = document.createRange()
      const first = nodes.findLast((one) => one.from <= from)
      const last = nodes.findLast((one) => one.from < to)
      if (first) range.setStart(first.node, from - first.from)
      if (last) range.setEnd(last.node, to - last.from)
      return range
    },
  }
}
