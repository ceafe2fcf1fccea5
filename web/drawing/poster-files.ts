import { PAGE } from './poster.ts'

/** Two px for each of the sheet's: fine enough to print on A4. */
const PNG_SCALE = 2
/** A4 lying, mm (ISO 216). */
const A4_MM = [297, 210] as const

/**
 * An SVG as a picture.
 * @throws {Error} where the browser can't draw it
 */
export const pngOf = async (svg: string): Promise<Blob> => {
  const image = new Image()
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`
  await image.decode()
  const canvas = document.createElement('canvas')
  canvas.width = PAGE.width * PNG_SCALE
  canvas.height = PAGE.height * PNG_SCALE
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height)
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('The picture could not be drawn.'))), 'image/png'),
  )
}

/** Signs that the fonts every PDF reader has do not know. */
const inPlainFont = (svg: string): string =>
  svg.replaceAll('−', '-').replaceAll('≥ ', 'at least ').replaceAll('≤ ', 'at most ')

/** An SVG of the size of A4 as a PDF of one page, its lines as lines. */
export const pdfOf = async (svg: string): Promise<Blob> => {
  // Both are large, and few need them: they come when they are asked for.
  const [{ jsPDF }, { svg2pdf }] = await Promise.all([import('jspdf'), import('svg2pdf.js')])
  const parsed = new DOMParser().parseFromString(inPlainFont(svg), 'image/svg+xml').documentElement
  const document_ = new jsPDF({ orientation: 'landscape', unit: 'mm', format: 'a4' })
  await svg2pdf(parsed, document_, { x: 0, y: 0, width: A4_MM[0], height: A4_MM[1] })
  return document_.output('blob')
}
