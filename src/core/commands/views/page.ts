import { does, opens } from './showing'

/** What the page shows or does that is no word of its own. */
export const pageCommands = [
  opens('keys', 'shelf.keys', 'Key card'),
  does('rack', 'rack.walk', 'Go to the rack'),
  does('apps', 'apps.walk', 'Go to the apps'),
  opens('menu', 'shelf.menu', 'Menu of the whole shelf'),
  opens('displays', 'displays.arrange', 'Arrange displays'),
  does('full screen', 'shelf.fullScreen', 'Fill the screen with this page'),
  does('cover', 'shelf.cover', 'Cover the page'),
  does('float', 'line.float', 'Keep the line on top'),
  does('open file', 'shelf.openFile', 'Open a file from this computer…'),
  does('allow files', 'files.allow', 'Allow files of documents again'),
  does('export shelf', 'shelf.export', 'Export the shelf file'),
  opens('lock shelf', 'shelf.exportLocked', 'Export with a passphrase…'),
  does('export damaged', 'shelf.exportDamaged', 'Export damaged saved copies'),
  does('keep folder', 'shelf.keepFolder', 'Keep a copy in a folder…'),
  does('update', 'shelf.update', 'Load the newest Kite Shelf'),
  opens('folder', 'folder.open', 'Machines that share the folder…'),
  opens('health', 'shelf.health', 'Check saving and services…'),
  opens('clear up', 'documents.clearUp', 'Clear up documents…'),
  opens('import shelf', 'shelf.import', 'Import a shelf file…'),
  opens('sessions', 'sessions.open', 'Earlier sessions…'),
]
