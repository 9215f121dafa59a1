import localforage from 'localforage'

/** The stores of one shelf in the browser. The demo and a person's own shelf never share them. */
export interface Stores {
  slots: LocalForage
  documents: LocalForage
  journal: LocalForage
  sessions: LocalForage
}

export const openStores = (shelfName: string): Stores => {
  const open = (storeName: string) =>
    localforage.createInstance({
      name: `kite-shelf-${shelfName}`,
      storeName,
      driver: localforage.INDEXEDDB,
    })
  return {
    slots: open('slots'),
    documents: open('documents'),
    journal: open('journal'),
    sessions: open('sessions'),
  }
}
