import purify from 'dompurify'
import { useEffect, useRef } from 'react'
import { toHtml } from './engine'

/** Markdown as elements: made by the engine, and through a sanitiser before it is drawn. */
export function Prose({ markdown }: { markdown: string }) {
  const place = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const elements = purify.sanitize(toHtml(markdown), {
      RETURN_DOM_FRAGMENT: true,
      ADD_ATTR: ['target'],
    })
    place.current?.replaceChildren(elements)
  }, [markdown])
  return <div ref={place} className="prose" />
}
