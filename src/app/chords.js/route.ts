import { CHORDS } from '@/outside/chords'

/** Any site may take it: it does nothing outside of Kite Shelf. */
export const GET = (): Response =>
  new Response(CHORDS, {
    headers: {
      'content-type': 'text/javascript; charset=utf-8',
      'cross-origin-resource-policy': 'cross-origin',
      'cache-control': 'public, max-age=3600',
    },
  })
