import type { DesktopId } from '@/core/model/ids'
import { current } from '@/core/model/selectors'
import { addressOf } from '@/parts/dataAddress'
import { scaled } from '@/parts/scaled'
import { addDocument } from '@/store/documents/adding'
import { expected } from '@/store/faults'
import type { Shelf } from '@/store/shelf'
import { chooseFiles } from '@/ui/files/openFiles'

/** The longest side a backdrop is kept with, in pixels: it is drawn behind windows. */
const LONGEST = 2560

/** Asks for a picture and puts it behind the windows, no larger than it has to be. */
export async function choosePicture(shelf: Shelf, id: DesktopId): Promise<void> {
  const [file] = await chooseFiles('image/png,image/jpeg,image/webp,image/avif,image/gif', false)
  if (!file) return
  const data = await smaller(file).catch(expected('told below', null))
  if (!data)
    return shelf.say(
      `“${file.name}” is not a picture the browser can show. Nothing was changed. Choose a PNG or JPEG file.`,
      { refused: true },
    )
  const state = shelf.state()
  const title = file.name.replace(/\.\w+$/, '').slice(0, 200) || current(state).name
  const document = addDocument(shelf, { app: 'reader', title }, { kind: 'picture', data })
  const before = state.desktops[id]?.picture
  const picture = { fit: 'fill' as const, x: 50, y: 50, strength: 100, ...before, document }
  shelf.dispatch('desktop.look', { desktop: id, backdrop: 'picture', picture }, 'key')
}

/** The picture as a data address, made smaller where it is larger than a desktop needs. */
async function smaller(given: File): Promise<string> {
  const { file } = await scaled(given, LONGEST, { type: 'image/webp', quality: 0.86 })
  return addressOf(file)
}
