import type { PDFDocumentProxy } from 'pdfjs-dist'
import { print } from '@/parts/print'
import type { Shelf } from '@/store/shelf'
import { work } from '@/store/working'

/** How fine a page is drawn for paper, in dots per inch; a PDF counts 72 to one. */
const DOTS = 200

export const cannotPrint = (shelf: Shelf) => () => {
  shelf.say('This can’t be printed here. Export it and print the file.', {
    refused: true,
  })
}

/** Prints the pages of a PDF: each is drawn, one after the other, and it can be ended meanwhile. */
export function printPdf(shelf: Shelf, pdf: PDFDocumentProxy, title: string): Promise<void> {
  return work(shelf, `Printing “${title}”`, async ({ progress, signal }) => {
    const pages: HTMLImageElement[] = []
    try {
      for (let number = 1; number <= pdf.numPages && !signal.aborted; number++) {
        pages.push(await drawn(pdf, number))
        progress(number / pdf.numPages)
      }
      if (signal.aborted) {
        letGo(pages)
        return shelf.say(`“${title}” was not printed`)
      }
      addEventListener('afterprint', () => letGo(pages), { once: true })
      print(pages, title)
    } catch {
      letGo(pages)
      cannotPrint(shelf)()
    }
  })
}

const letGo = (pages: HTMLImageElement[]): void => {
  for (const { src } of pages) URL.revokeObjectURL(src)
}

async function drawn(pdf: PDFDocumentProxy, number: number): Promise<HTMLImageElement> {
  const page = await pdf.getPage(number)
  const viewport = page.getViewport({ scale: DOTS / 72 })
  const canvas = document.createElement('canvas')
  canvas.width = Math.ceil(viewport.width)
  canvas.height = Math.ceil(viewport.height)
  await page.render({ canvas, viewport, intent: 'print' }).promise
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', 0.92))
  if (!blob) throw new Error('not drawn')
  const image = Object.assign(new Image(), { src: URL.createObjectURL(blob), alt: '' })
  await image.decode()
  return image
}
