import type { BuildPlan, PackList } from '@zucchini/core/assess'
import type { Assembly } from '@zucchini/core/assembly'
import { checkOf, howOf, proofWords, titleOf, toolsLine } from '../screens/build/step-words.ts'
import { bagWords, groupTitles, noteWords, packPlaces } from '../screens/pack/pack-words.ts'
import { grams, hoursMinutes, millimetres, type Style } from '../wording.ts'
import { Paper, type PaperSize } from './paper.ts'
import { stepSvgs } from './step-svgs.ts'

const PICTURE = { width: 560, height: 300 } as const
/** So wide a picture leaves room for two steps on a sheet of A4. mm */
const WIDEST_MM = 132

/** How a set-up is built, on paper: a step a sheet of A5, two a sheet of A4, what to try at the end. */
export const buildBooklet = async (
  size: PaperSize,
  rig: string,
  assembly: Assembly,
  plan: BuildPlan,
  style: Style,
): Promise<Blob> => {
  const { setup } = assembly
  const paper = await Paper.open(size, `${rig}: ${setup.name}`)
  const pictures = stepSvgs(assembly, plan.steps, PICTURE, 'p')
  paper.text(`${rig}: ${setup.name}`, 16, 'bold')
  paper.text(`${plan.steps.length} steps, ${hoursMinutes(plan.seconds)}; ${toolsLine(plan)}`, 10)
  paper.gap(3)
  const ratio = PICTURE.height / PICTURE.width
  const wide = Math.min(paper.width, WIDEST_MM)
  for (const [i, step] of plan.steps.entries()) {
    const how = howOf(step, style).join(' ')
    const check = `Check: ${checkOf(step)}`
    const height =
      paper.heightOf(titleOf(step), 12, 'bold', 8) +
      wide * ratio +
      paper.heightOf(how, 10) +
      paper.heightOf(check, 10, 'bold') +
      18
    paper.keep(height)
    paper.rule()
    paper.tickLine(`${i + 1} of ${plan.steps.length}  ${titleOf(step)}`, step.at, `${step.seconds} s`)
    const svg = pictures[i]
    if (svg) await paper.picture(svg, ratio, wide)
    paper.gap(1)
    paper.text(how, 10)
    const screw = step.screw
      ? `; ${step.screw.name}${step.screw.lengthMm === undefined ? '' : ` × ${millimetres(step.screw.lengthMm, style.units)}`}`
      : ''
    paper.text(`Tool: ${step.toolName}${screw}; ${step.firm}.`, 10)
    paper.text(check, 10, 'bold')
    paper.gap(4)
    if (size === 'a5') paper.turn()
  }
  paper.keep(40)
  paper.text('What to try at the end', 13, 'bold')
  paper.gap(2)
  for (const proof of plan.proofs) {
    const { do: what, expect } = proofWords(proof, style)
    paper.tickLine(what, expect)
  }
  return paper.bytes()
}

/** The bag on paper: what goes in, where it lies, what it weighs. */
export const packSheet = async (
  size: PaperSize,
  rig: string,
  list: PackList,
  places: ReadonlyMap<string, string>,
  style: Style,
): Promise<Blob> => {
  const paper = await Paper.open(size, `${rig}: pack`)
  paper.text(`${rig}: pack`, 16, 'bold')
  paper.text(`${list.lines.length} lines, ${grams(list.grams, style.units)}`, 10)
  for (const place of packPlaces(list)) {
    if (place.title) {
      paper.gap(4)
      paper.keep(30)
      paper.text(place.title, 13, 'bold')
      if (place.bag) paper.text(bagWords(place.bag, style), 9)
    }
    for (const { group, lines } of place.groups) {
      paper.gap(3)
      paper.keep(22)
      paper.text(groupTitles[group], 12, 'bold')
      paper.gap(1)
      for (const line of lines)
        paper.tickLine(
          line.count > 1 ? `${line.name} × ${line.count}` : line.name,
          [places.get(line.partId ?? '') ?? '', ...line.notes.map((one) => noteWords(one, style))]
            .filter(Boolean)
            .join('; '),
          line.grams > 0 ? grams(line.grams, style.units) : '',
        )
    }
  }
  paper.gap(3)
  paper.text(
    'Batteries: the maker’s and the airline’s word goes before any list. Loose ones travel in the hand luggage, their ends covered.',
    8.5,
  )
  return paper.bytes()
}
