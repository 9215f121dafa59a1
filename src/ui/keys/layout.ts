import type { Layout } from './stroke'

/** The layout of this keyboard, in browsers that tell. */
let told: Layout | undefined

/** Asks the browser for the layout; also again, since a person changes it. */
export async function askLayout(): Promise<void> {
  const { keyboard } = navigator as { keyboard?: { getLayoutMap(): Promise<Layout> } }
  try {
    told = await keyboard?.getLayoutMap()
  } catch {
    told = undefined
  }
}

/** The layout as it was told last; undefined where none was. */
export const layout = (): Layout | undefined => told

/** Whether this is a Mac, where Option types characters. */
export const isMac = (): boolean => /Mac|iPhone|iPad/.test(navigator.userAgent)
