import { useEffect, useState } from 'react'
import { ContentsMenu, type Place } from '@/parts/ContentsMenu'
import { expected } from '@/store/faults'
import type { Shown } from './usePdf'

/** How many entries are listed. */
const MOST = 500

/** The contents a PDF tells of itself, to go to one of them; nothing where it tells none. */
export function Contents({ shown, onLeave }: { shown: Shown; onLeave(): void }) {
  const [places, setPlaces] = useState<Place[]>([])
  useEffect(() => {
    let left = false
    void shown.pdf
      .getOutline()
      .catch(expected('what cannot tell its contents has none', null))
      .then((outline) => {
        if (!left) setPlaces(flat(shown, outline ?? [], 0).slice(0, MOST))
      })
    return () => {
      left = true
    }
  }, [shown])
  if (places.length === 0) return null
  return <ContentsMenu label="Contents" places={places} onLeave={onLeave} />
}

interface Node {
  title: string
  dest: string | unknown[] | null
  items: Node[]
}

const flat = (shown: Shown, nodes: Node[], level: number): Place[] =>
  nodes.flatMap(({ title, dest, items }) => [
    { title, level, go: () => dest && void shown.links.goToDestination(dest) },
    ...flat(shown, items, level + 1),
  ])
