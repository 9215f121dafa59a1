/**
 * A PDF (1.4) with a page for each word.
 * @param {string[]} words
 * @param {[width: number, height: number]} size of a page, in points
 */
export function pdf(words, [width, height] = [300, 200]) {
  const pages = words.map((_, at) => 4 + 2 * at)
  const objects = [
    '<< /Type /Catalog /Pages 2 0 R >>',
    `<< /Type /Pages /Kids [${pages.map((at) => `${at} 0 R`).join(' ')}] /Count ${words.length} >>`,
    '<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>',
    ...words.flatMap((word, at) => {
      const stream = `BT /F1 24 Tf 40 ${height / 2} Td (${word}) Tj ET`
      return [
        `<< /Type /Page /Parent 2 0 R /MediaBox [0 0 ${width} ${height}] /Contents ${5 + 2 * at} 0 R /Resources << /Font << /F1 3 0 R >> >> >>`,
        `<< /Length ${stream.length} >>\nstream\n${stream}\nendstream`,
      ]
    }),
  ]
  let text = '%PDF-1.4\n'
  const offsets = objects.map((object, at) => {
    const offset = text.length
    text += `${at + 1} 0 obj\n${object}\nendobj\n`
    return offset
  })
  const start = text.length
  const table = offsets.map((offset) => `${String(offset).padStart(10, '0')} 00000 n \n`).join('')
  const size = objects.length + 1
  return `${text}xref\n0 ${size}\n0000000000 65535 f \n${table}trailer\n<< /Size ${size} /Root 1 0 R >>\nstartxref\n${start}\n%%EOF`
}
