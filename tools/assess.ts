// npm run assess -- FILE [--setup NAME]: prints what is known about a rig file as JSON. Exit 0: no stop; 1: a stop; 2:
// the file can't be read.
import { readFileSync } from 'node:fs'
import { evaluate, knownBy, waysOut } from '@zucchini/core/assess'
import { limitsSchema } from '@zucchini/core/checks'
import { catalogueOf } from '@zucchini/core/catalogue'
import { readRigFile } from '@zucchini/core/formats'
import { fill } from '../web/wording.ts'

const USAGE = 'Usage: npm run assess -- FILE [--setup NAME]'

const refuse = (message: string): never => {
  process.stderr.write(`${message}\n`)
  process.exit(2)
}

const readOptions = (words: readonly string[]): { file: string; setup: string | undefined } => {
  const at = words.indexOf('--setup')
  const setup = at >= 0 ? words[at + 1] : undefined
  const [file, ...rest] = words.filter((_, i) => at < 0 || (i !== at && i !== at + 1))
  if (!file || rest.length > 0 || (at >= 0 && !setup)) refuse(USAGE)
  return { file: file ?? '', setup }
}

const readText = (file: string): string => {
  try {
    return readFileSync(file, 'utf8')
  } catch {
    return refuse(`${file} can't be read. Is the path right?`)
  }
}

const { file, setup } = readOptions(process.argv.slice(2))
const report = readRigFile(readText(file), catalogueOf([]))
if (!report.ok || !report.rig)
  refuse(
    `${file} is not a rig that can be assessed:\n${report.issues.map(({ code, path, names }) => `  ${path || 'file'}: ${code}${names ? ` ${Object.values(names).join(' ')}` : ''}`).join('\n')}`,
  )
const { rig } = report as { rig: NonNullable<typeof report.rig> }
const limits = limitsSchema.safeParse(report.limits ?? {})
if (!limits.success)
  refuse(
    `${file} has limits no check takes:\n${limits.error.issues.map(({ path, message }) => `  limits.${path.map(String).join('.')}: ${message}`).join('\n')}`,
  )
const shelf = { catalogue: catalogueOf(report.newParts), owned: new Map<string, number>(), limits: limits.data ?? {} }
const chosen = rig.setups.filter(({ id, name }) => setup === undefined || id === setup || name === setup)
if (chosen.length === 0) refuse(`No set-up "${setup}". This rig has: ${rig.setups.map(({ name }) => name).join(', ')}`)

const style = { currency: rig.brief.currency, units: 'metric' as const }
const setups = chosen.map(({ id, name }) => {
  const assessed = evaluate(rig, id, shelf)
  const { mass, size, hang, cost, setupSeconds, findings, facts } = assessed
  const known = knownBy(assessed, (other) => evaluate(rig, other, shelf, assessed))
  const end = (minute: number) => (Number.isFinite(minute) ? minute : null)
  return {
    setup: name,
    inHandG: mass.inHandG,
    totalG: mass.totalG,
    centreMm: mass.centre,
    tallMm: size.tallMm,
    hangTiltDeg: hang?.tiltDeg ?? null,
    hangRollDeg: hang?.rollDeg ?? null,
    toBuyMinor: cost.usual,
    currency: rig.brief.currency,
    setupSeconds,
    // null: never. Everything on and recording for what goes dark; the day of the brief for when it fails.
    darkMin: Object.fromEntries([...facts.runDown.nodeMin].map(([piece, minute]) => [piece, end(minute)])),
    dayMin: facts.day.minutes,
    dayFailsAtMin: end(facts.day.failsAtMin),
    leads: facts.leads.map(({ link, needMm, reachMm }) => ({
      cable: link.cable,
      from: link.from,
      to: link.to,
      needMm,
      reachMm,
    })),
    findings: findings.map((finding) => ({
      check: finding.check,
      level: finding.level,
      text: fill(finding.text, finding.numbers, finding.names, style),
      parts: finding.parts,
      numbers: finding.numbers,
      // Only what was tried in every set-up and held.
      remedies: waysOut(known, assessed, finding).map(({ remedy, as }) => ({
        text: fill(remedy.text, remedy.numbers, remedy.names, style),
        as,
        commands: remedy.commands,
      })),
    })),
  }
})
process.stdout.write(
  `${JSON.stringify({ rig: rig.name, note: 'Nothing is counted as owned: the locker is not part of a rig file.', setups }, null, 2)}\n`,
)
process.exit(setups.some(({ findings }) => findings.some(({ level }) => level === 'stop')) ? 1 : 0)
