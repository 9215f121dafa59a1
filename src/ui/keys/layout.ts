import type { Layout } from './stroke'

/** The layout of this keyboard, in browsers that tell. */
export async function layoutMap(): Promise<Layout | undefined> {
  const { keyboard } = navigator as { keyboard?: { getLayoutMap(): Promise<Layout> } }
  try {
    return await keyboard?.getLayoutMap()
  } catch {
    return undefined
  }
}
