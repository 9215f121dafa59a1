import { type RefObject, useEffect, useState } from 'react'
import { useErrorBoundary } from 'react-error-boundary'
import { isUnloaded } from '@/store/unloaded'
import { openPdf, viewerParts } from './pdf'

type Parts = Awaited<ReturnType<typeof viewerParts>>
type Viewer = InstanceType<Parts['PDFViewer']>
type Bus = InstanceType<Parts['EventBus']>

/** Fits a page into the width of the window. */
export const WIDTH = 'page-width'
/** Fits a whole page into the window. */
export const WHOLE = 'page-fit'

export interface Shown {
  pdf: Awaited<ReturnType<typeof openPdf>>['pdf']
  viewer: Viewer
  bus: Bus
  links: InstanceType<Parts['PDFLinkService']>
}

/**
 * Shows a PDF in a box: its pages one below the other, their text to be selected and found.
 * @param from where it was looked at last
 * @returns null until it is there, `'problem'` when it cannot be shown
 */
export function usePdf(
  box: RefObject<HTMLDivElement | null>,
  data: string,
  from: { page: number; zoom: string; spread: boolean },
): Shown | 'problem' | null {
  const { showBoundary } = useErrorBoundary()
  const [shown, setShown] = useState<Shown | 'problem' | null>(null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: where it was last only matters at first
  useEffect(() => {
    const container = box.current
    if (!container) return
    let left = false
    let close = () => {}
    const open = async () => {
      const [opened, { EventBus, PDFFindController, PDFLinkService, PDFViewer }] =
        await Promise.all([openPdf(data), viewerParts()])
      const { pdf } = opened
      close = opened.close
      if (left) return close()
      const bus = new EventBus()
      const linkService = new PDFLinkService({ eventBus: bus })
      const findController = new PDFFindController({ eventBus: bus, linkService })
      const viewer = new PDFViewer({
        container,
        eventBus: bus,
        linkService,
        findController,
        annotationMode: 0,
        removePageBorders: true,
      })
      linkService.setViewer(viewer)
      bus.on('pagesinit', () => {
        viewer.spreadMode = from.spread ? 1 : 0
        viewer.currentScaleValue = from.zoom
        viewer.currentPageNumber = Math.min(from.page, pdf.numPages)
        if (!left) setShown({ pdf, viewer, bus, links: linkService })
      })
      viewer.setDocument(pdf)
      linkService.setDocument(pdf)
      const fits = new ResizeObserver(() => {
        // What is not laid out, as while something else is printed, fits nothing.
        if (container.clientWidth === 0) return
        const { currentScaleValue: fit } = viewer
        if (fit === WIDTH || fit === WHOLE) viewer.currentScaleValue = fit
      })
      fits.observe(container)
      close = () => {
        fits.disconnect()
        viewer.cleanup()
        opened.close()
      }
    }
    // What shows a PDF lays its page out whether it is seen or not: it waits until it is.
    const seen = new IntersectionObserver((entries) => {
      if (!entries.some(({ isIntersecting }) => isIntersecting)) return
      seen.disconnect()
      open().catch((error) => {
        if (left) return
        if (isUnloaded(error)) showBoundary(error)
        else setShown('problem')
      })
    })
    seen.observe(container)
    return () => {
      left = true
      seen.disconnect()
      setShown(null)
      close()
    }
  }, [data])
  return shown
}
