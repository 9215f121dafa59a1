/** What may follow a first stroke is told in groups, by what it is about. */
const GROUPS = {
  'This window': /^(window|pair|document)\.|^home\.ask$/,
  'This desktop': /^(desktop|grid)\./,
  Arrange: /^(arrange\.|window\.(side|edge|bringBack)$|home\.askPutRight$)/,
  'Look at': /^(line\.about$|unstack|loft|rack|apps|shelf\.inspector|plan\.go|display|tether)/,
  Shelf: /./,
}
type AfterGroup = keyof typeof GROUPS

/** The groups in the order they are read. */
export const AFTER_GROUPS = Object.keys(GROUPS) as AfterGroup[]

/** To arrange a window is told with the arranging of all. */
const FIRST: AfterGroup[] = ['Arrange', ...AFTER_GROUPS]

/** Which group a command is told in. */
export const afterGroup = (command: string): AfterGroup =>
  FIRST.find((name) => GROUPS[name].test(command)) ?? 'Shelf'

/** What is done again and again: for a while its key is heard once more without the first stroke. */
export const REPEATS = new Set(['desktop.reorder', 'window.side', 'window.edge'])
