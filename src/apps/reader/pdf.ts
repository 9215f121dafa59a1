import * as pdfjs from 'pdfjs-dist'

pdfjs.GlobalWorkerOptions.workerSrc = new URL(
  'pdfjs-dist/build/pdf.worker.min.mjs',
  import.meta.url,
).toString()

/** Opens a PDF from a data address. The caller destroys it when it is done. */
export function openPdf(data: string) {
  const bytes = Uint8Array.from(atob(data.slice(data.indexOf(',') + 1)), (c) => c.charCodeAt(0))
  return pdfjs.getDocument({ data: bytes }).promise
}

/** @throws when it is not a PDF */
export async function pageCount(data: string): Promise<number> {
  const pdf = await openPdf(data)
  const { numPages } = pdf
  await pdf.loadingTask.destroy()
  return numPages
}
