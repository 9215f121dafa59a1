import { InputRule } from '@tiptap/core'
import Image from '@tiptap/extension-image'
import { type NodeViewProps, NodeViewWrapper, ReactNodeViewRenderer } from '@tiptap/react'
import { READER } from '../reader/content'
import { useShownContent } from '../useContents'

/** A picture in a text. One of the shelf is shown from there; one from elsewhere by its words. */
function Picture({ node, selected }: NodeViewProps) {
  const { src, alt, title } = node.attrs as { src: string; alt: string; title: string | null }
  return (
    <NodeViewWrapper
      as="span"
      className={`inline-block max-w-full align-bottom ${selected ? 'outline-2 outline-ink outline-dashed' : ''}`}
    >
      {src.startsWith('kite:') ? (
        <OfShelf id={src.slice('kite:'.length)} alt={alt} title={title} />
      ) : /^(data:image\/|blob:|\/)/.test(src) ? (
        <img src={src} alt={alt} title={title ?? undefined} className="max-w-full" />
      ) : (
        <InWords alt={alt} where={src} />
      )}
    </NodeViewWrapper>
  )
}

function OfShelf({ id, alt, title }: { id: string; alt: string; title: string | null }) {
  const shown = useShownContent(READER, id)
  if (shown === undefined) return null
  return shown?.kind === 'picture' ? (
    <img src={shown.data} alt={alt} title={title ?? undefined} className="max-w-full" />
  ) : (
    <InWords alt={alt} where="it is not on this shelf" />
  )
}

const InWords = ({ alt, where }: { alt: string; where: string }) => (
  <span className="border border-seam border-dashed px-1.5 text-soft" title={where}>
    picture: {alt || where}
  </span>
)

/** A picture as it is written in Markdown, up to its last bracket. */
const WRITTEN = /!\[([^\]]*)\]\((\S+?)(?:\s+["“]([^"”]+)["”])?\)$/

export const picture = Image.extend({
  addInputRules() {
    return [
      new InputRule({
        find: WRITTEN,
        handler: ({ state, range, match: [, alt, src, title = null] }) => {
          state.tr.replaceWith(range.from, range.to, this.type.create({ alt, src, title }))
        },
      }),
    ]
  },
  addNodeView: () => ReactNodeViewRenderer(Picture),
})
