import { flatMap } from '../kernel/index.ts'
import { type Advice, adviceFor, type Need, stationOfNeed } from '../brief/index.ts'
import { roles, type Station, stations } from '../catalogue/index.ts'
import { type Finding, type Level, levels } from '../checks/index.ts'
import { type Facts } from '../facts/index.ts'

/** One stop of the working order: what is there, what is still asked for, and the worst that is said about it. */
export interface StationState {
  readonly station: Station
  readonly instances: readonly string[]
  readonly openNeeds: readonly Need[]
  readonly worst: Level | undefined
  readonly findings: readonly Finding[]
  readonly advice: Advice
}

const stationOfFinding = (finding: Finding, facts: Facts): Station => {
  if (finding.station) return finding.station
  const first = finding.parts[0] ?? ''
  const part =
    facts.assembly.byInstance.get(first)?.part ??
    facts.assembly.loose.find(({ instance }) => instance.id === first)?.part
  return part ? roles[part.role].station : 'proof'
}

/** What works on the rig without sitting on a mount: leads between sockets, cards in their slots. */
const offTheJoints = (facts: Facts, station: Station): readonly string[] => {
  if (station === 'cables') return facts.leads.map(({ link }) => link.cable)
  if (station === 'media')
    return flatMap(facts.recordings, ({ media }) => media.filter(({ onRig }) => !onRig).map(({ id }) => id))
  return []
}

export const stationsOf = (facts: Facts, findings: readonly Finding[]): readonly StationState[] => {
  const advice = adviceFor(facts.assembly.rig.brief)
  return stations.map((station): StationState => {
    const own = findings.filter((finding) => stationOfFinding(finding, facts) === station)
    return {
      station,
      instances: [
        ...facts.assembly.placed
          .filter((piece) => roles[piece.part.role].station === station)
          .map((piece) => piece.instance.id),
        ...offTheJoints(facts, station),
      ],
      openNeeds: facts.unmet.filter((need) => stationOfNeed(need) === station),
      worst: levels.find((level) => own.some((finding) => finding.level === level)),
      findings: own,
      advice: advice.find((entry) => entry.station === station) as Advice,
    }
  })
}
