import { type BuildSheet, buildSheetOf } from '../build-order/index.ts'
import { paceOf } from '../checks/index.ts'
import type { Room } from '../catalogue/index.ts'
import type { Assessment } from './evaluate.ts'
import { type ToolPlace, toolPlacesOf } from './tools.ts'

/** What is tried on a rig that stands built, and which figure to expect. */
export const proofCodes = [
  'weigh',
  'hang',
  'turns-over',
  'flat',
  'swings',
  'swings-so-far',
  'door',
  'door-shut',
  'leads',
  'shake',
] as const
export interface Proof {
  readonly what: (typeof proofCodes)[number]
  readonly numbers: Readonly<Record<string, number>>
  readonly names: Readonly<Record<string, string>>
}

export interface BuildPlan extends BuildSheet {
  readonly proofs: readonly Proof[]
  /** Where the tools are. */
  readonly places: readonly ToolPlace[]
}

/** Nobody feels less than this of a hand-held rig, degrees. */
const LEVEL_DEG = 0.5

const roomProofs = ({ facts, assembly }: Assessment, kind: Room['kind'], whole: Proof['what'], part: Proof['what']) =>
  assembly.placed
    .filter((piece) => piece.part.role === 'camera' && piece.part.rooms.some((room) => room.kind === kind))
    .map((piece): Proof => {
      const worst = facts.invasions
        .filter((one) => one.piece === piece && one.room.kind === kind)
        .sort((a, b) => a.freeDeg - b.freeDeg)[0]
      return worst
        ? {
            what: part,
            numbers: { freeDeg: worst.freeDeg, fullDeg: worst.fullDeg },
            names: { part: piece.part.name, by: worst.by.part.name },
          }
        : { what: whole, numbers: {}, names: { part: piece.part.name } }
    })

/** The proof steps of a set-up, with what the figures say should come out. */
const proofsOf = (assessment: Assessment): readonly Proof[] => {
  const { assembly, facts, mass, hang } = assessment
  const [lowest] = [...assembly.placed].sort((a, b) => a.bounds.min[1] - b.bounds.min[1])
  const hung = assembly.setup.support === 'hand-low' ? hang : undefined
  const hangProof: readonly Proof[] = hung
    ? [
        hung.underMm <= 0
          ? { what: 'turns-over', numbers: {}, names: { handle: hung.handle.part.name } }
          : {
              what: 'hang',
              numbers: { tiltDeg: Math.abs(hung.tiltDeg), rollDeg: Math.abs(hung.rollDeg) },
              names: {
                handle: hung.handle.part.name,
                way: Math.abs(hung.tiltDeg) < LEVEL_DEG ? 'level' : hung.tiltDeg > 0 ? 'nose down' : 'tail down',
                side: Math.abs(hung.rollDeg) < LEVEL_DEG ? 'level' : hung.rollDeg > 0 ? 'to the right' : 'to the left',
              },
            },
      ]
    : []
  return [
    { what: 'weigh', numbers: { massG: mass.inHandG }, names: {} },
    ...hangProof,
    ...(lowest ? [{ what: 'flat' as const, numbers: {}, names: { part: lowest.part.name } }] : []),
    ...roomProofs(assessment, 'swing', 'swings', 'swings-so-far'),
    ...roomProofs(assessment, 'door', 'door', 'door-shut'),
    ...(facts.leads.length > 0
      ? [
          {
            what: 'leads' as const,
            numbers: {
              count: facts.leads.length,
              held: facts.leads.filter(({ held }) => held.length > 0).length,
            },
            names: {},
          },
        ]
      : []),
    { what: 'shake', numbers: {}, names: {} },
  ]
}

/** How a set-up is built from its bare camera, by the operator's own seconds, and what to try once it stands. */
export const buildPlanOf = (assessment: Assessment): BuildPlan => {
  const sheet = buildSheetOf(assessment.assembly, assessment.facts.leads, paceOf(assessment.facts.context))
  return { ...sheet, proofs: proofsOf(assessment), places: toolPlacesOf([assessment], sheet.tools) }
}
