import { BadSettingsFile, readSettingsFile, settingsFile } from '@/core/formats/settingsFile'
import { download } from '@/parts/download'
import type { Shelf } from '@/store/shelf'
import { chooseFiles } from '@/ui/files/openFiles'

/** Settings, homes and keys as a file of their own. */
export function exportSettings(shelf: Shelf): void {
  const json = JSON.stringify(settingsFile(shelf.state(), shelf.clock()), null, 1)
  const day = new Date(shelf.clock()).toISOString().slice(0, 10)
  download(new Blob([json], { type: 'application/json' }), `settings-${day}.kite-settings.json`)
  shelf.say('Exported settings, homes and keys')
}

/** Asks for such a file and brings it in, as one step; a broken one changes nothing. */
export async function importSettings(shelf: Shelf): Promise<void> {
  const [chosen] = await chooseFiles('.json', false)
  if (!chosen) return
  try {
    shelf.dispatchAny('settings.bring', { wanted: readSettingsFile(await chosen.text()) })
  } catch (error) {
    const why = error instanceof BadSettingsFile ? error.message : 'it cannot be read'
    shelf.say(
      `“${chosen.name}” is not a settings file: ${why}. Nothing was changed. Choose a .kite-settings.json file.`,
      { refused: true },
    )
  }
}
