/** What a browser or a system keeps for itself, on which platforms, and what gives it to the page. */
interface Kept {
  keys: string
  does: string
  on: ('windows' | 'linux' | 'mac')[]
  /** Whether it never reaches a page, or only in some browsers. */
  sure: 'always' | 'mostly'
  /** What lets the page have it: full screen where the browser locks the keyboard, an installed window. */
  freed?: 'full screen' | 'installed'
}

const ALL = ['windows', 'linux', 'mac'] as const
const WIDE = ['windows', 'linux'] as const

const kept = (
  keys: string,
  does: string,
  on: readonly Kept['on'][number][] = ALL,
  sure: Kept['sure'] = 'always',
  freed?: Kept['freed'],
): Kept => ({ keys, does, on: [...on], sure, ...(freed && { freed }) })

/** As far as is known; Ctrl stands for Command on a Mac. */
export const KEPT: Kept[] = [
  kept('Ctrl+W', 'closes the tab', ALL, 'always', 'full screen'),
  kept('Ctrl+T', 'opens a tab', ALL, 'always', 'full screen'),
  kept('Ctrl+N', 'opens a browser window', ALL, 'always', 'full screen'),
  kept('Ctrl+Shift+N', 'opens a private window', ALL, 'always', 'full screen'),
  kept('Ctrl+Shift+W', 'closes the browser window', ALL, 'always', 'full screen'),
  kept('Ctrl+Shift+T', 'reopens a tab', ALL, 'always', 'full screen'),
  kept('Ctrl+Tab', 'goes to the next tab', ALL, 'always', 'full screen'),
  kept('Ctrl+Shift+Tab', 'goes to the tab before', ALL, 'always', 'full screen'),
  kept('Ctrl+PageUp', 'goes to the tab before', WIDE, 'always', 'installed'),
  kept('Ctrl+PageDown', 'goes to the next tab', WIDE, 'always', 'installed'),
  kept('Ctrl+Q', 'ends the browser', ['linux', 'mac'], 'always', 'full screen'),
  kept('Ctrl+H', 'hides the application', ['mac']),
  kept('Ctrl+M', 'minimises the browser', ['mac']),
  kept('Ctrl+Space', 'opens the system search', ['mac']),
  kept('Alt+Tab', 'goes to another application', WIDE, 'always', 'full screen'),
  kept('Alt+Shift+Tab', 'goes to another application', WIDE, 'always', 'full screen'),
  kept('Alt+F4', 'closes the browser', WIDE, 'always', 'full screen'),
  kept('Alt+Space', 'opens the window menu', WIDE, 'always', 'full screen'),
  kept('Alt+Escape', 'goes to another application', ['windows']),
  kept('Ctrl+Escape', 'opens a menu of the system', ['windows'], 'always', 'full screen'),
  kept('Ctrl+Shift+Escape', 'opens the task manager', ['windows']),
  kept('Ctrl+Alt+Delete', 'is the system’s own', WIDE),
  kept('Ctrl+Alt+Left', 'switches the system’s workspace', ['linux'], 'mostly'),
  kept('Ctrl+Alt+Right', 'switches the system’s workspace', ['linux'], 'mostly'),
  kept('Ctrl+Alt+Up', 'switches the system’s workspace', ['linux'], 'mostly'),
  kept('Ctrl+Alt+Down', 'switches the system’s workspace', ['linux'], 'mostly'),
  kept('Ctrl+L', 'goes to the address', ALL, 'mostly', 'installed'),
  kept('Ctrl+R', 'loads the page anew', ALL, 'mostly'),
  kept('F5', 'loads the page anew', ALL, 'mostly'),
  kept('Ctrl+F', 'finds on the page', ALL, 'mostly'),
  kept('Ctrl+P', 'prints', ALL, 'mostly'),
  kept('F11', 'fills the screen', WIDE, 'mostly'),
  kept('F12', 'opens the developer tools', WIDE, 'mostly'),
  kept('Ctrl+Shift+I', 'opens the developer tools', WIDE, 'mostly'),
  kept('Alt+Home', 'opens the first page of the browser', WIDE, 'mostly', 'installed'),
  kept('Alt+Left', 'goes back a page', WIDE, 'mostly'),
  kept('Alt+Right', 'goes forward a page', WIDE, 'mostly'),
]
export type Platform = Kept['on'][number]
