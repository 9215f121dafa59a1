import type { MetadataRoute } from 'next'

/** What the application is when it is installed: its files, and how it is shared with. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: '/shelf',
    name: 'Kite Shelf',
    short_name: 'Kite Shelf',
    description: 'Your running applications on named desktops, by keyboard.',
    start_url: '/shelf',
    scope: '/',
    display: 'standalone',
    // The rack reaches up to the edge of the window, between the controls the system draws there.
    display_override: ['window-controls-overlay'],
    background_color: '#efeae0',
    theme_color: '#efeae0',
    icons: [
      { src: '/icons/kite-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icons/kite-512.png', sizes: '512x512', type: 'image/png' },
      {
        src: '/icons/kite-maskable.png',
        sizes: '512x512',
        type: 'image/png',
        purpose: 'maskable',
      },
    ],
    // A shelf that is open is not loaded again: it is told, and loses nothing that is typed.
    launch_handler: { client_mode: 'focus-existing' },
    // What desktops there are only the browser knows.
    shortcuts: [{ name: 'The demo', url: '/demo' }],
    share_target: {
      action: '/shelf',
      method: 'GET',
      enctype: 'application/x-www-form-urlencoded',
      // An address stands in one or the other, whatever shares it.
      params: { url: 'add', text: 'text' },
    },
    file_handlers: [
      {
        action: '/shelf',
        accept: {
          'text/markdown': ['.md', '.markdown'],
          'text/plain': ['.txt'],
          'text/csv': ['.csv'],
          'text/tab-separated-values': ['.tsv'],
          'text/calendar': ['.ics'],
          'application/pdf': ['.pdf'],
          'image/png': ['.png'],
          'image/jpeg': ['.jpg', '.jpeg'],
          'image/svg+xml': ['.svg'],
          'audio/mpeg': ['.mp3'],
          'audio/ogg': ['.ogg', '.oga', '.opus'],
          'audio/wav': ['.wav'],
          'audio/mp4': ['.m4a'],
          'audio/flac': ['.flac'],
        },
      },
    ],
  }
}
