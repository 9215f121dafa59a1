import { runningNow } from '@/core/runs/runs'
import { download } from '@/parts/download'
import type { Shelf } from '@/store/shelf'

/** Films the page from the first stop of a run to its end, and gives the person the file. */
export async function record(shelf: Shelf, run: string): Promise<void> {
  const media: Partial<MediaDevices> = navigator.mediaDevices ?? {}
  if (!media.getDisplayMedia || typeof MediaRecorder === 'undefined') {
    shelf.say(
      'This browser cannot record a page. Start the run and record it with another program.',
      {
        refused: true,
      },
    )
    return
  }
  let stream: MediaStream
  try {
    // This page is offered first, where a browser knows how to.
    const wanted = {
      video: true,
      audio: false,
      preferCurrentTab: true,
    } as DisplayMediaStreamOptions
    stream = await media.getDisplayMedia(wanted)
  } catch {
    shelf.say(
      'Nothing is recorded: the browser was not allowed to. Start it again to choose anew.',
      {
        refused: true,
      },
    )
    return
  }
  const parts: Blob[] = []
  const recorder = new MediaRecorder(stream)
  const name = shelf.state().runs.find(({ id }) => id === run)?.name ?? 'run'
  recorder.addEventListener('dataavailable', ({ data }) => data.size && parts.push(data))
  recorder.addEventListener('stop', () => {
    for (const track of stream.getTracks()) track.stop()
    const type = recorder.mimeType || 'video/webm'
    download(new Blob(parts, { type }), `${name}.${type.includes('mp4') ? 'mp4' : 'webm'}`)
    shelf.say(`Recorded ${name}`)
  })
  const stop = () => recorder.state === 'inactive' || recorder.stop()
  // The person may end it in the browser as well.
  for (const track of stream.getTracks()) track.addEventListener('ended', stop)
  recorder.start()
  if (!shelf.dispatch('run.start', { run }, 'key').ok) return void stop()
  const off = shelf.page.subscribe(({ session: { state } }) => {
    if (runningNow(state)) return
    off()
    stop()
  })
}
