import bold from '@expo-google-fonts/archivo/600SemiBold/Archivo_600SemiBold.ttf?url'
import regular from '@expo-google-fonts/archivo/400Regular/Archivo_400Regular.ttf?url'
import { jsPDF } from 'jspdf'
import { svg2pdf } from 'svg2pdf.js'
import { inPrint } from './in-print.ts'

export type PaperSize = 'a4' | 'a5'
/** Sheets standing, mm (ISO 216), and the white round what is printed. */
const SIZES: Readonly<Record<PaperSize, { readonly width: number; readonly height: number; readonly margin: number }>> =
  {
    a4: { width: 210, height: 297, margin: 18 },
    a5: { width: 148, height: 210, margin: 13 },
  }
const PT_MM = 25.4 / 72
const LEADING = 1.32

/** Signs that the font does not have; and a figure is never torn from its unit. */
const inFont = (text: string): string =>
  text
    .replaceAll('−', '–')
    .replaceAll('≥ ', 'at least ')
    .replaceAll('≤ ', 'at most ')
    .replaceAll(/(\d) (mm|in|g|oz|s|min|h|V|W|Wh|N m|%)(?![a-z])/g, '$1\u00a0$2')

const base64Of = async (url: string): Promise<string> => {
  const bytes = new Uint8Array(await (await fetch(url)).arrayBuffer())
  let text = ''
  const PIECE = 0x8000
  for (let i = 0; i < bytes.length; i += PIECE) text += String.fromCharCode(...bytes.subarray(i, i + PIECE))
  return btoa(text)
}

/** Sheets of paper, written from top to bottom; a block that does not fit goes on the next sheet whole. */
export class Paper {
  readonly #doc: jsPDF
  readonly #size: (typeof SIZES)[PaperSize]
  #y: number
  #page = 1
  readonly #foot: string

  private constructor(doc: jsPDF, size: PaperSize, foot: string) {
    this.#doc = doc
    this.#size = SIZES[size]
    this.#y = this.#size.margin
    this.#foot = foot
  }

  /** @param foot what stands at the foot of each sheet, beside its number */
  static async open(size: PaperSize, foot: string): Promise<Paper> {
    const doc = new jsPDF({ unit: 'mm', format: size, orientation: 'portrait', compress: true })
    const [plain, strong] = await Promise.all([base64Of(regular), base64Of(bold)])
    doc.addFileToVFS('Archivo.ttf', plain)
    doc.addFont('Archivo.ttf', 'Archivo', 'normal')
    doc.addFileToVFS('Archivo-SemiBold.ttf', strong)
    doc.addFont('Archivo-SemiBold.ttf', 'Archivo', 'bold')
    doc.setFont('Archivo', 'normal')
    const paper = new Paper(doc, size, foot)
    paper.#number()
    return paper
  }

  get width(): number {
    return this.#size.width - 2 * this.#size.margin
  }

  #number(): void {
    const { width, height, margin } = this.#size
    this.#doc.setFont('Archivo', 'normal').setFontSize(8).setTextColor('#5d6458')
    this.#doc.text(inFont(this.#foot), margin, height - margin / 2)
    this.#doc.text(String(this.#page), width - margin, height - margin / 2, { align: 'right' })
    this.#doc.setTextColor('#000000')
  }

  /** A new sheet, unless this one is still empty. */
  turn(): void {
    if (this.#y === this.#size.margin) return
    this.#doc.addPage()
    this.#page++
    this.#y = this.#size.margin
    this.#number()
  }

  /** Room for a block that must not be torn. */
  keep(heightMm: number): void {
    if (this.#y + heightMm > this.#size.height - this.#size.margin - 4) this.turn()
  }

  gap(mm: number): void {
    this.#y += mm
  }

  #lines(text: string, pt: number, weight: 'normal' | 'bold', width: number): string[] {
    this.#doc.setFont('Archivo', weight).setFontSize(pt)
    return this.#doc.splitTextToSize(inFont(text), width) as string[]
  }

  /** How high a text will be, mm. */
  heightOf(text: string, pt: number, weight: 'normal' | 'bold' = 'normal', indentMm = 0): number {
    return this.#lines(text, pt, weight, this.width - indentMm).length * pt * PT_MM * LEADING
  }

  text(text: string, pt: number, weight: 'normal' | 'bold' = 'normal', indentMm = 0): void {
    const step = pt * PT_MM * LEADING
    for (const line of this.#lines(text, pt, weight, this.width - indentMm)) {
      this.keep(step)
      this.#doc.setFont('Archivo', weight).setFontSize(pt)
      this.#doc.text(line, this.#size.margin + indentMm, this.#y + pt * PT_MM)
      this.#y += step
    }
  }

  rule(): void {
    this.#doc.setDrawColor('#cfcdbf').setLineWidth(0.2)
    this.#doc.line(this.#size.margin, this.#y, this.#size.width - this.#size.margin, this.#y)
    this.#y += 1.6
  }

  /** A line to tick, with what stands at its right. */
  tickLine(words: string, notes: string, right = ''): void {
    const BOX = 4.2
    const indent = BOX + 3
    const height =
      this.heightOf(words, 10.5, 'bold', indent + 18) + (notes ? this.heightOf(notes, 8.5, 'normal', indent) : 0)
    this.keep(Math.max(height, BOX) + 3)
    this.#doc.setDrawColor('#000000').setLineWidth(0.35)
    this.#doc.rect(this.#size.margin, this.#y + 0.3, BOX, BOX)
    if (right) {
      this.#doc.setFont('Archivo', 'normal').setFontSize(9)
      this.#doc.text(inFont(right), this.#size.width - this.#size.margin, this.#y + 3.6, { align: 'right' })
    }
    const top = this.#y
    for (const line of this.#lines(words, 10.5, 'bold', this.width - indent - 18)) {
      this.#doc.text(line, this.#size.margin + indent, this.#y + 10.5 * PT_MM)
      this.#y += 10.5 * PT_MM * LEADING
    }
    if (notes) this.text(notes, 8.5, 'normal', indent)
    this.#y = Math.max(this.#y, top + BOX) + 1.6
    this.rule()
  }

  /** A drawing in the middle. @param ratio its height by its width */
  async picture(svg: string, ratio: number, width = this.width): Promise<void> {
    const height = width * ratio
    this.keep(height)
    const drawn = new DOMParser().parseFromString(inPrint(svg), 'image/svg+xml').documentElement
    drawn.setAttribute('font-family', 'Archivo')
    const x = this.#size.margin + (this.width - width) / 2
    await svg2pdf(drawn, this.#doc, { x, y: this.#y, width, height })
    this.#y += height
  }

  bytes(): Blob {
    return this.#doc.output('blob')
  }
}
