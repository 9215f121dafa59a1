import { Extension } from '@tiptap/core'

/**
 * Tab stays in the text: it indents where something can be indented, goes from cell to cell in a
 * table, and else does nothing. Escape, then Tab, leaves the text.
 */
export const Tab = Extension.create<object, { leaves: boolean }>({
  name: 'tab',
  // After lists and tables, which have their own.
  priority: 10,
  addStorage: () => ({ leaves: false }),
  addKeyboardShortcuts() {
    const stays = (inCode: () => boolean) => () => {
      const leaves = this.storage.leaves
      this.storage.leaves = false
      return leaves ? false : inCode() || true
    }
    return {
      Escape: () => {
        this.storage.leaves = true
        return false
      },
      Tab: stays(
        () => this.editor.isActive('codeBlock') && this.editor.commands.insertContent('\t'),
      ),
      'Shift-Tab': stays(() => false),
    }
  },
  onSelectionUpdate() {
    this.storage.leaves = false
  },
  onUpdate() {
    this.storage.leaves = false
  },
})
