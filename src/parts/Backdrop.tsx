import { type CSSProperties, type ReactNode, useEffect, useState } from 'react'
import type { DesktopId, DocumentId } from '@/core/model/ids'
import type { BackdropPicture } from '@/core/model/kinds/look'
import { peekContent } from '@/store/documents/documents'
import { expected } from '@/store/faults'
import { useDesktop, useShelf } from '@/store/useShelf'
import { Pattern } from './Pattern'

const SIZES = { fill: 'cover', whole: 'contain', repeat: 'auto' }

/** What lies behind a desktop's windows: a pattern in its hue, or a picture of the person's own. */
export function Backdrop({
  of,
  className,
  style,
  children,
}: {
  of: DesktopId
  className?: string
  style?: CSSProperties
  children?: ReactNode
}) {
  const { hue, backdrop, picture } = useDesktop(of, ['hue', 'backdrop', 'picture'])
  return (
    <div className={`hue-${hue} backdrop ${className ?? ''}`} style={style}>
      {backdrop === 'picture' && picture ? <Own picture={picture} /> : <Pattern of={backdrop} />}
      {children}
    </div>
  )
}

function Own({ picture: { document, fit, x, y, strength } }: { picture: BackdropPicture }) {
  const data = usePicture(document)
  if (!data) return null
  return (
    <div
      aria-hidden
      className="absolute inset-0"
      style={{
        backgroundImage: `url("${data}")`,
        backgroundSize: SIZES[fit],
        backgroundRepeat: fit === 'repeat' ? 'repeat' : 'no-repeat',
        backgroundPosition: `${x}% ${y}%`,
        opacity: strength / 100,
      }}
    />
  )
}

/** The data address of a picture that is kept as a document. */
function usePicture(document: DocumentId): string | null {
  const shelf = useShelf()
  const [data, setData] = useState<string | null>(null)
  useEffect(() => {
    let wanted = true
    void peekContent(shelf, document)
      .catch(expected('a desktop is seen without its picture', null))
      .then((kept) => {
        const found = (kept?.saved as { data?: unknown } | null)?.data
        if (wanted) setData(typeof found === 'string' && isPicture(found) ? found : null)
      })
    return () => {
      wanted = false
    }
  }, [document, shelf])
  return data
}

/** What came with a file could be anything; only a picture goes into a style. */
const isPicture = (data: string): boolean =>
  /^data:image\/[a-z+]+;base64,[A-Za-z0-9+/=]+$/.test(data)
