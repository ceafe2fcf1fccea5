import { type Assessment, figureIds, type FigureId, reckoningOf } from '@zucchini/core/assess'
import { figureTitles, inUnit, valueWords } from '../figure-words.ts'
import { runsScale } from '../screens/bench/held-scale.ts'
import { orientationWords, supportWords } from '../screens/setups/setup-words.ts'
import type { Style } from '../wording.ts'
import { escaped, INK, PATTERNS, sheetOf, SOFT } from './export-svg.ts'

/** A4, lying, in px of 96 to the inch (ISO 216: 297 x 210 mm). */
export const PAGE = { width: 1123, height: 794 } as const
const EDGE = 40
const HEAD = 74
const FOOT = 118
const LEAF = '#2f6b3c'
const BRICK = '#b23b22'
const SCALE_BAR_MM = 100

const text = (x: number, y: number, size: number, said: string, more = ''): string =>
  `<text x="${x}" y="${y}" font-size="${size}" fill="${INK}" ${more}>${escaped(said)}</text>`

interface Told {
  readonly id: FigureId
  readonly title: string
  readonly value: string
  readonly limit: string
  readonly over: boolean
}

/** The figures under the drawing, as the bench's bars have them. */
const figuresOf = (assessment: Assessment, style: Style): readonly Told[] =>
  figureIds.flatMap((id): readonly Told[] => {
    if (id === 'runs') {
      const { figure, of, state } = runsScale(assessment)
      return [{ id, title: 'Runs', value: figure, limit: of, over: state === 'over' }]
    }
    const reckoning = reckoningOf(assessment, id)
    if (!reckoning) return []
    const { bound, value } = reckoning
    const over = bound !== undefined && (id === 'held' ? value < bound.value : value > bound.value)
    const [title = ''] = figureTitles[id].split(',')
    const [said = ''] = valueWords(reckoning, style).split(/ \(| ±/)
    const limit = bound ? `${id === 'held' ? 'wanted' : 'of'} ${inUnit(bound.value, reckoning.unit, style)}` : ''
    return [{ id, title, value: said, limit, over }]
  })

const figureRow = (assessment: Assessment, style: Style): string => {
  const told = figuresOf(assessment, style)
  const wide = (PAGE.width - 2 * EDGE) / Math.max(1, told.length)
  const y = PAGE.height - FOOT + 22
  return told
    .map(({ id, title, value, limit, over }, i) => {
      const x = EDGE + i * wide
      return (
        `<g data-figure="${id}"><path d="M${x} ${y - 16}v52" stroke="${SOFT}" stroke-width="0.6"/>` +
        text(x + 10, y, 11, title, `fill-opacity="0.75"`) +
        `<text x="${x + 10}" y="${y + 20}" font-size="15" font-weight="700" fill="${over ? BRICK : INK}">${escaped(value)}</text>` +
        text(x + 10, y + 36, 9.5, limit, `fill-opacity="0.7"`) +
        '</g>'
      )
    })
    .join('')
}

/** How many px a mm has on a sheet, from what its scale bar is drawn by. */
const scaleBar = (scale: number): string => {
  const [x, y] = [PAGE.width - EDGE - SCALE_BAR_MM * scale, PAGE.height - FOOT - 14]
  return (
    `<path d="M${x} ${y - 4}v8M${x + SCALE_BAR_MM * scale} ${y - 4}v8M${x} ${y}h${SCALE_BAR_MM * scale}" stroke="${INK}" stroke-width="1" fill="none"/>` +
    `<text x="${x + (SCALE_BAR_MM * scale) / 2}" y="${y - 7}" font-size="10" text-anchor="middle" fill="${INK}">${SCALE_BAR_MM} mm</text>`
  )
}

/**
 * The rig on one sheet of A4: side and front at one scale with their dimensions, and the figures with their limits. An
 * SVG that stands alone, black on white.
 */
export const posterOf = (assessment: Assessment, style: Style): string => {
  const { rig, setup } = assessment.assembly
  const high = PAGE.height - HEAD - FOOT - 10
  const whole = PAGE.width - 2 * EDGE
  const { longMm, wideMm } = assessment.size
  // Each view gets its share of the breadth, so that both come out at one scale.
  const share = Math.min(0.72, Math.max(0.5, longMm / Math.max(1, longMm + wideMm)))
  const side = { width: whole * share, height: high }
  const front = { width: whole * (1 - share), height: high }
  const scale = Math.min(
    ...(
      [
        [side, longMm],
        [front, wideMm],
      ] as const
    ).map(([box, mm]) => Math.min((box.width - 110) / mm, (box.height - 110) / assessment.size.tallMm)),
  )
  const title = `${rig.name}, ${setup.name}`
  const findings = assessment.findings.filter(({ level }) => level === 'stop').length
  return (
    `<?xml version="1.0" encoding="UTF-8"?>\n` +
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${PAGE.width} ${PAGE.height}" width="297mm" height="210mm" font-family="Helvetica, Arial, sans-serif" stroke-linejoin="round">` +
    `<title>${escaped(title)}</title>${PATTERNS}<rect width="${PAGE.width}" height="${PAGE.height}" fill="#ffffff"/>` +
    `<text x="${EDGE}" y="46" font-size="22" font-weight="700" fill="${INK}">${escaped(title)}</text>` +
    text(
      EDGE,
      64,
      11.5,
      `${assessment.assembly.placed.length} pieces, ${supportWords[setup.support]}, ${orientationWords[setup.orientation]}`,
      'fill-opacity="0.75"',
    ) +
    (findings > 0
      ? `<text x="${PAGE.width - EDGE}" y="46" font-size="12" font-weight="700" text-anchor="end" fill="${BRICK}">${findings} ${findings === 1 ? 'stop' : 'stops'} open</text>`
      : `<text x="${PAGE.width - EDGE}" y="46" font-size="12" font-weight="700" text-anchor="end" fill="${LEAF}">no stop open</text>`) +
    sheetOf('side', assessment, EDGE, HEAD, side, scale) +
    sheetOf('front', assessment, EDGE + side.width, HEAD, front, scale) +
    scaleBar(scale) +
    `<path d="M${EDGE} ${PAGE.height - FOOT}H${PAGE.width - EDGE}" stroke="${INK}" stroke-width="0.8"/>` +
    figureRow(assessment, style) +
    text(
      EDGE,
      PAGE.height - 26,
      9.5,
      'Made with Zucchini. Estimates; the makers’ ratings come first.',
      'fill-opacity="0.7"',
    ) +
    '</svg>\n'
  )
}
