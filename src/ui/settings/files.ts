import { BadSettingsFile, readSettingsFile, settingsFile } from '@/core/formats/settingsFile'
import { dispatchAny, getState, say } from '@/store/shelf'
import { chooseFiles } from '@/ui/documents/openFiles'
import { download } from '@/ui/parts/download'

/** Settings, homes and keys as a file of their own. */
export function exportSettings(): void {
  const json = JSON.stringify(settingsFile(getState(), Date.now()), null, 1)
  const day = new Date().toISOString().slice(0, 10)
  download(new Blob([json], { type: 'application/json' }), `settings-${day}.kite-settings.json`)
  say('Exported settings, homes and keys')
}

/** Asks for such a file and brings it in, as one step; a broken one changes nothing. */
export async function importSettings(): Promise<void> {
  const [chosen] = await chooseFiles('.json', false)
  if (!chosen) return
  try {
    dispatchAny('settings.bring', { wanted: readSettingsFile(await chosen.text()) })
  } catch (error) {
    const why = error instanceof BadSettingsFile ? error.message : 'it cannot be read'
    say(
      `“${chosen.name}” is not a settings file: ${why}. Nothing was changed. Choose a .kite-settings.json file.`,
      { refused: true },
    )
  }
}
