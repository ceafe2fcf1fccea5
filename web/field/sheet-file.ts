import type { BuildPlan, LogPlan, PackList } from '@zucchini/core/assess'
import type { Assembly } from '@zucchini/core/assembly'
import { escaped } from '../drawing/export-svg.ts'
import { checkOf, howOf, proofWords, stepKey, titleOf, toolsLine } from '../screens/build/step-words.ts'
import { bagWords, groupTitles, noteWords, packPlaces } from '../screens/pack/pack-words.ts'
import tokens from '../tokens.css?raw'
import { hoursMinutes, type Style } from '../wording.ts'
import script from './sheet-script.js?raw'
import sheetStyle from './sheet-style.css?raw'
import { stepSvgs } from './step-svgs.ts'

/** All that a day's page is made of. */
export interface SheetContents {
  readonly rig: { readonly id: string; readonly name: string; readonly revision: number }
  readonly shoot: string
  readonly day: string
  /** When it was made: what is ticked on it belongs to it alone. */
  readonly stamp: string
  readonly builds: readonly { readonly assembly: Assembly; readonly plan: BuildPlan }[]
  readonly pack: PackList
  readonly places: ReadonlyMap<string, string>
  readonly log: LogPlan
  readonly style: Style
}

const PICTURE = { width: 390, height: 262 } as const
const tickBox = (list: string, key: string): string =>
  `<input type="checkbox" data-list="${escaped(list)}" data-key="${escaped(key)}">`

const buildPart = ({ assembly, plan }: SheetContents['builds'][number], at: number, style: Style): string => {
  const { setup } = assembly
  const list = `build ${setup.id}`
  const pictures = stepSvgs(assembly, plan.steps, PICTURE, `b${at}-`)
  const steps = plan.steps.map(
    (step, i) =>
      `<li class="step"><label>${tickBox(list, stepKey(step))}<span><h3>${i + 1}. ${escaped(titleOf(step))}</h3><span class="label">${escaped(step.at)}</span></span></label>${pictures[i] ?? ''}<p>${escaped(howOf(step, style).join(' '))}</p><p class="label">${escaped(step.toolName)}; ${escaped(step.firm)}; ${step.seconds} s</p><p class="check"><strong>Check:</strong> ${escaped(checkOf(step))}</p></li>`,
  )
  const proofs = plan.proofs.map((proof) => {
    const { do: what, expect } = proofWords(proof, style)
    return `<li class="step">${escaped(what)} <strong>${escaped(expect)}</strong></li>`
  })
  return `<section id="build-${escaped(setup.id)}"><h2>Build, ${escaped(setup.name)} <span class="label" data-count="${escaped(list)}"></span></h2><p class="label">${plan.steps.length} steps, ${hoursMinutes(plan.seconds)}; ${escaped(toolsLine(plan))}</p><ol>${steps.join('')}</ol><h3>What to try at the end</h3><ul>${proofs.join('')}</ul></section>`
}

const packPart = ({ pack, places, style }: SheetContents): string => {
  const groups = packPlaces(pack).flatMap((place) => {
    const full = place.bag ? `<p class="label">${escaped(bagWords(place.bag, style))}</p>` : ''
    const title = place.title ? [`<h3>${escaped(place.title)}</h3>${full}`] : []
    const own = place.groups.map(({ group, lines }) => {
      const told = lines.map((line) => {
        const where = places.get(line.partId ?? '') ?? ''
        const notes = [where, ...line.notes.map((one) => noteWords(one, style))].filter(Boolean).join('; ')
        return `<label class="line">${tickBox('pack', line.key)}<span>${escaped(line.name)}${line.count > 1 ? ` × ${line.count}` : ''}<br><span class="label">${escaped(notes)}</span></span></label>`
      })
      return `<h4>${escaped(groupTitles[group])}</h4>${told.join('')}`
    })
    return [...title, ...own]
  })
  return `<section id="pack"><h2>Pack <span class="label" data-count="pack"></span></h2>${groups.join('')}<p class="label">Batteries: the maker’s and the airline’s word goes before any list. Loose ones travel in the hand luggage, their ends covered.</p></section>`
}

const logPart = ({ log, shoot, day }: SheetContents): string => {
  const choices = (name: string, title: string) =>
    `<fieldset><legend>${title}</legend>${log.pieces
      .filter(({ joint }) => name === 'unused' || joint)
      .map(
        ({ piece, partId, name: words, joint }) =>
          `<label><input type="checkbox" name="${name}" value="${escaped(JSON.stringify({ piece, partId, joint }))}">${escaped(words)}</label>`,
      )
      .join('')}</fieldset>`
  const carried = [...new Set(log.pieces.map(({ partId }) => partId))]
  return `<section id="day"><h2>Day’s done. One minute.</h2><form id="log" data-carried="${escaped(JSON.stringify(carried))}"><label>Which shoot?<input type="text" name="shoot" required maxlength="80" value="${escaped(shoot)}"></label><label>Day<input type="date" name="day" required value="${escaped(day)}"></label><fieldset><legend>Set-ups used</legend>${log.setups
    .map(
      ({ id, name }) =>
        `<label><input type="checkbox" name="setup" value="${escaped(id)}" checked>${escaped(name)}</label>`,
    )
    .join(
      '',
    )}</fieldset><details><summary>What came loose?</summary>${choices('loose', 'came loose')}</details><details><summary>What was in the way?</summary>${choices('inTheWay', 'in the way')}</details><details><summary>What was never used?</summary>${choices('unused', 'never used')}</details><label>In one line<input type="text" name="line" maxlength="280"></label><p><button>Keep the log</button></p><p id="kept" hidden>Kept. Rest now.</p></form></section>`
}

/** Words that end a script element must not stand in one. */
const inScript = (text: string): string => text.replaceAll('</', '<\\/')

/**
 * A day's sheets as one page that needs nothing else: steps with their pictures, the bag, the day's log. Ticks and the
 * log are kept in the browser that opens it, and go back as a file.
 */
export const sheetFile = (contents: SheetContents): string => {
  const { rig, builds, style, stamp } = contents
  const about = JSON.stringify({ rigId: rig.id, revision: rig.revision, stamp })
  const links = builds
    .map(({ assembly: { setup } }) => `<a href="#build-${escaped(setup.id)}">Build, ${escaped(setup.name)}</a>`)
    .join('')
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${escaped(rig.name)}</title>
<meta http-equiv="content-security-policy" content="default-src 'none'; style-src 'unsafe-inline'; script-src 'unsafe-inline'; img-src data:">
<style>${tokens}
${sheetStyle}</style></head><body>
<h1>${escaped(rig.name)}</h1><p class="label">of revision ${rig.revision}, made ${escaped(stamp.slice(0, 16).replace('T', ' '))}; <span id="state"></span></p>
<nav aria-label="Parts">${links}<a href="#pack">Pack</a><a href="#day">Log</a></nav>
${builds.map((build, i) => buildPart(build, i, style)).join('\n')}
${packPart(contents)}
${logPart(contents)}
<footer><span class="label" id="told"></span><button id="write" type="button">Write it down as a file, for the desk</button></footer>
<script type="application/json" id="about">${inScript(about)}</script>
<script>${inScript(`if (matchMedia('(prefers-color-scheme: dark)').matches) document.documentElement.dataset.theme = 'dark'\n${script}`)}</script>
</body></html>
`
}
