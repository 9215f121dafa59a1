import MarkdownIt from 'markdown-it'

/** The one Markdown engine: what documents are read with and what the reader shows. */
export const engine = new MarkdownIt({ html: true })

/** As it is shown: addresses in the text become links, and HTML stays text. */
const shown = new MarkdownIt({ html: false, linkify: true })

shown.renderer.rules.link_open = (tokens, at, options, _env, self) => {
  const token = tokens[at]
  // Never in place of the shelf.
  token?.attrSet('target', '_blank')
  token?.attrSet('rel', 'noopener noreferrer')
  return self.renderToken(tokens, at, options)
}

/** Markdown as HTML, which has to go through a sanitiser before it becomes elements. */
export const toHtml = (markdown: string): string => shown.render(markdown)
