import type { Assessment } from '@zucchini/core/assess'
import { dimensionPath, overall } from './dimensions.ts'
import { leadLines } from './lead-lines.ts'
import {
  type Extent,
  extentOfRig,
  type Fit,
  fitTo,
  strokesOf,
  type ViewId,
  viewIds,
  views,
} from '@zucchini/core/drawing'

/** Ink on paper: what leaves the program does not depend on the theme. */
const fills: Readonly<Record<string, string>> = {
  plain: '#fdfcf8',
  metal: '#d9d9ce',
  grip: 'url(#grip)',
  ribs: '#f6f4ec',
  glass: '#cddbe0',
  screen: '#b9c6cc',
  foam: 'url(#foam)',
  knob: '#c3c2b4',
  detail: '#e9e6da',
  hole: '#5a6058',
  sensor: '#8fa7b3',
  mark: '#b23b22',
  fur: '#efeadb',
  leaf: '#2f6b3c',
  gold: '#d9a036',
  line: 'none',
  texture: 'none',
  sheen: 'none',
  '': 'none',
}
export const INK = '#20261f'
export const SOFT = '#5d6458'
/** Matter that has a pattern: soft hatched, rubber dotted. */
export const PATTERNS =
  `<defs><pattern id="foam" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><rect width="5" height="5" fill="#ebe7d8"/><path d="M0 0V5" stroke="${SOFT}" stroke-width="0.9"/></pattern>` +
  `<pattern id="grip" width="3.6" height="3.6" patternUnits="userSpaceOnUse" patternTransform="rotate(30)"><rect width="3.6" height="3.6" fill="#e3ddc6"/><circle cx="1.8" cy="1.8" r="0.55" fill="${SOFT}"/></pattern></defs>`

export const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;')

const SHEET = { width: 620, height: 460 }
const MARGIN = { left: 64, right: 40, top: 44, bottom: 56 }

/** An extent in the middle of a sheet, at a given scale, standing on one ground line. */
const scaledTo = (extent: Extent, sheet: { readonly width: number; readonly height: number }, scale: number): Fit => ({
  scale,
  x:
    MARGIN.left +
    (sheet.width - MARGIN.left - MARGIN.right - (extent.right - extent.left) * scale) / 2 -
    extent.left * scale,
  y: sheet.height - MARGIN.bottom + extent.bottom * scale,
})

/** How one view is drawn on a sheet at a place, with its dimensions; at a scale of its own, or as large as it goes. */
export const sheetOf = (
  view: ViewId,
  { assembly, facts, mass }: Assessment,
  x: number,
  y: number,
  sheet: { readonly width: number; readonly height: number } = SHEET,
  scale?: number,
): string => {
  const extent = extentOfRig(view, assembly)
  const largest = fitTo(extent, sheet.width, sheet.height, MARGIN)
  const fit = scale === undefined ? largest : scaledTo(extent, sheet, scale)
  const drawn = strokesOf(view, assembly, fit).map(
    ({ outline, detail, look, instance, onFace, said = [] }) =>
      `<g data-piece="${escaped(instance)}">` +
      (outline
        ? `<path d="${outline}" fill-rule="evenodd" fill="${fills[look] ?? '#fff'}" stroke="${INK}" stroke-width="${onFace ? 0.7 : 1.1}"/>`
        : '') +
      (detail
        ? `<path d="${detail}" fill="none" stroke="${look === 'sheen' ? '#fff' : INK}" stroke-width="${look === 'sheen' ? 1.4 : 0.5}" opacity="0.7"/>`
        : '') +
      said
        .map(
          ({ x, y, size, text }) =>
            `<text x="${x}" y="${y + size * 0.36}" font-size="${size}" text-anchor="middle" fill="${INK}">${escaped(text)}</text>`,
        )
        .join('') +
      '</g>',
  )
  const leads = leadLines(view, facts.leads, fit, mass.centre)
  const lead = (behind: boolean) =>
    leads
      .filter((line) => line.behind === behind)
      .map(
        ({ d, width, cable, name, plugs }) =>
          `<g data-lead="${escaped(cable)}" fill="none" stroke-linecap="round"><title>${escaped(name)}</title>` +
          `<path d="${d}" stroke="${INK}" stroke-width="${width + 1.6}"/><path d="${d}" stroke="${fills['knob'] ?? '#ccc'}" stroke-width="${Math.max(0.8, width - 0.4)}"/>${plugs.map(({ body, ribs }) => `<path d="${body}" fill="#e3ddc6" stroke="${INK}" stroke-width="0.9"/>${ribs ? `<path d="${ribs}" stroke="${INK}" stroke-width="0.5"/>` : ''}`).join('')}</g>`,
      )
      .join('')
  const dimensions = overall(extent, fit).map((dimension) => {
    const {
      from: [x1, y1],
      to: [x2, y2],
      lengthMm,
    } = dimension
    return (
      `<path d="${dimensionPath(dimension)}" fill="none" stroke="${SOFT}" stroke-width="0.9"/>` +
      `<rect x="${(x1 + x2) / 2 - 23}" y="${(y1 + y2) / 2 - 8}" width="46" height="16" fill="#ffffff"/>` +
      `<text x="${(x1 + x2) / 2}" y="${(y1 + y2) / 2 + 4}" font-size="12" text-anchor="middle" fill="${INK}">${Math.round(lengthMm)} mm</text>`
    )
  })
  return (
    `<g transform="translate(${x} ${y})"><text x="16" y="26" font-size="14" font-weight="700" fill="${INK}">${views[view].title}</text>` +
    `${lead(true)}${drawn.join('')}${lead(false)}${dimensions.join('')}</g>`
  )
}

/**
 * The elevations of a set-up as one SVG that stands alone: drawn to scale with overall dimensions in mm, every piece a
 * group of its own.
 * @param wanted the views to draw, in a row or two
 */
export const svgOf = (assessment: Assessment, wanted: readonly ViewId[] = viewIds): string => {
  const columns = Math.min(2, wanted.length)
  const width = SHEET.width * columns
  const height = SHEET.height * Math.ceil(wanted.length / columns) + 34
  const { rig, setup } = assessment.assembly
  const sheets = wanted.map((view, i) =>
    sheetOf(view, assessment, (i % columns) * SHEET.width, Math.floor(i / columns) * SHEET.height),
  )
  const title = `${rig.name}, ${setup.name}: ${Math.round(assessment.mass.inHandG)} g in the hand`
  return (
    `<?xml version="1.0" encoding="UTF-8"?>\n` +
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}" font-family="sans-serif" stroke-linejoin="round">` +
    `<title>${escaped(title)}</title>` +
    `${PATTERNS}` +
    `<rect width="${width}" height="${height}" fill="#ffffff"/>${sheets.join('')}` +
    `<text x="16" y="${height - 14}" font-size="12" fill="${SOFT}">${escaped(title)}</text></svg>\n`
  )
}
