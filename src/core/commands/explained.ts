/** Our own words, said where a command that has one in its title is met. */
const WORDS = {
  rack: 'Rack: the list of desktops',
  line: 'Line: find anything, run any command',
  loft: 'Loft: see every desktop and window, and move them',
  unstack: 'Unstack: windows side by side, none covering another',
  trail: 'Trail: the windows used last, in that order',
  pad: 'Pad: nine cells to place a window into',
  glance: 'Glance: look at a desktop without going there',
  fold: 'Fold: remove a desktop; its windows go to another',
  solo: 'Solo: one window, alone on a desktop of its own',
  pair: 'Pair: two windows share a desktop, with a divider between them',
  home: 'Home: where an app’s windows open',
  putRight: 'Put right: send windows home, once you have seen the list',
  sweep: 'Sweep: minimise everything here; do it again to bring it back',
  isolate: 'Isolate: show only the windows of this app here',
  tether: 'Tether: a small control in the line for a window that is elsewhere',
  quiet: 'Quiet: this desktop doesn’t ask for attention',
  stow: 'Stow: put a desktop away with its windows, to bring back later',
  pattern: 'Pattern: a template for new desktops',
  sequence: 'Sequence: steps to run again in one go',
  cover: 'Cover: a plain cloth over everything, until you press a key',
  run: 'Run: a walk through desktops and windows, to present or record',
}

const OF: Record<string, keyof typeof WORDS> = {
  'rack.walk': 'rack',
  'rack.furl': 'rack',
  'line.open': 'line',
  'line.float': 'line',
  'loft.open': 'loft',
  'loft.byApp': 'loft',
  'unstack.open': 'unstack',
  'unstack.desktop': 'unstack',
  'trail.open': 'trail',
  'window.pad': 'pad',
  'desktop.glance': 'glance',
  'desktop.previewFold': 'fold',
  'desktop.previewFoldOthers': 'fold',
  'window.solo': 'solo',
  'window.pair': 'pair',
  'home.ask': 'home',
  'home.list': 'home',
  'window.goHome': 'home',
  'home.askPutRight': 'putRight',
  'windows.sweep': 'sweep',
  'windows.isolate': 'isolate',
  'window.tether': 'tether',
  'desktop.quiet': 'quiet',
  'desktop.askQuiet': 'quiet',
  'desktop.stow': 'stow',
  'pattern.keep': 'pattern',
  'patterns.open': 'pattern',
  'sequences.open': 'sequence',
  'runs.open': 'run',
  'shelf.cover': 'cover',
}

/** What the word of ours in a command’s title means; undefined where it has none. */
export const explained = (command: string): string | undefined => {
  const word = OF[command]
  return word && WORDS[word]
}
