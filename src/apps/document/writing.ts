import type { Editor, JSONContent } from '@tiptap/core'
import { Node } from '@tiptap/pm/model'
import type { DocumentId } from '@/core/model/ids'
import { changeContent, isPutIn, keptContent } from '@/store/documents/documents'
import { joinTalk } from '@/store/documents/talk'
import { expected } from '@/store/faults'
import type { Shelf } from '@/store/shelf'
import { asContent } from '../contents'
import { shownNow } from '../useContents'
import { type Blocks, docOf } from './blocks'
import { DOCUMENT } from './content'
import { type Said, stepsBetween, Together } from './together'
import { Origin } from './toMarkdown'

/**
 * What goes between an editor and what is kept of its document: what is typed is kept as Markdown and
 * told to other windows of the document; what comes from elsewhere is put in.
 */
export class Writing {
  /** What the editor begins with. */
  readonly begins: JSONContent
  private blocks: Blocks
  private editor: Editor | null = null
  private origin: Origin | null = null
  private together: Together | null = null
  private leave = () => {}
  /** Whether something was typed elsewhere before this editor was told what is there. */
  private missed = false

  /** @param agreed the text that the editor and the store last agreed on */
  constructor(
    private shelf: Shelf,
    private document: DocumentId,
    private agreed: string,
  ) {
    const { blocks, content } = docOf(agreed)
    this.blocks = blocks
    this.begins = content
  }

  /** The editor is there, and nothing was typed into it yet. */
  mount(editor: Editor): void {
    this.editor = editor
    this.origin ??= new Origin(this.blocks, editor.state.doc)
    const talk = joinTalk<Said>(this.shelf, this.document, (said) => together.hear(said))
    const together = new Together(editor.view, { ...talk, merged: () => this.write() })
    this.together = together
    void talk
      .turn(() => {
        // Whoever typed it is gone, and had not told it.
        if (this.missed && !together.knows) this.put()
        together.lead()
      })
      .catch(expected('it was shut before its turn came'))
    this.leave = () => {
      together.stop()
      talk.leave()
    }
  }

  unmount(): void {
    this.leave()
  }

  /** Something was typed. */
  typed(): void {
    this.write()
    this.together?.offer()
  }

  /** Something else is in the document; what was drawn of it may be older than what was typed since. */
  show(): void {
    const { markdown } = shownNow(this.shelf, DOCUMENT, this.document)
    if (markdown === this.agreed) return
    this.agreed = markdown
    // What was typed in another window comes by itself.
    if (isPutIn(this.shelf, this.document)) this.put()
    else this.missed = this.together?.knows === false
  }

  private write(): void {
    if (!this.editor || !this.origin) return
    const markdown = this.origin.write(this.editor.state.doc)
    if (markdown === this.agreed) return
    this.agreed = markdown
    // What was typed is a draft, unless it is again what was saved.
    const { shelf, document } = this
    const saved = asContent(DOCUMENT, keptContent(shelf, document)?.saved)
    if (markdown === saved.markdown) changeContent(shelf, document, saved, 'saved')
    else {
      const draft = { ...shownNow(shelf, DOCUMENT, document), markdown }
      changeContent(shelf, document, draft, 'draft')
    }
  }

  /** Puts in what is there now instead of what the editor shows; one editor does that for all. */
  private put(): void {
    if (!this.editor || !this.together) return
    const { view } = this.editor
    const { blocks, content } = docOf(this.agreed)
    const next = Node.fromJSON(view.state.schema, content)
    if (this.together.puts) {
      const { tr } = view.state
      // Only what is other, so that the caret stays where it is.
      for (const step of stepsBetween(tr.doc, next)) tr.step(step)
      if (tr.docChanged)
        view.dispatch(tr.setMeta('preventUpdate', true).setMeta('preventAutolink', true))
    }
    this.origin = new Origin(blocks, next.eq(view.state.doc) ? view.state.doc : next)
    this.together.offer()
  }
}
