import { type PlacedPart, swapCommands } from '../assembly/index.ts'
import { isCapability, mate, mountOf, type Part, roles } from '../catalogue/index.ts'
import { byReadiness, lossesOf, type Remedy, useOf } from '../checks/index.ts'
import type { Facts } from '../facts/index.ts'
import { type Concern, moversOf, type Proposer } from './concern.ts'

/** Does a part go on where a piece sits? */
const goesThere = ({ host, joint }: PlacedPart, part: Part): boolean => {
  const mount = host && joint && mountOf(host.part, joint.hostMount)
  return (
    !host ||
    !mount ||
    part.mounts.some((own) => !own.carries && mate({ part: host.part, mount }, { part, mount: own }).ok)
  )
}

/** What nobody means by “the same but for this”: it would be another job. */
const otherJob: ReadonlySet<string> = new Set([
  'what it gives',
  'stops',
  'reach or light',
  'image circle',
  'room to record',
  'writing speed',
])

/** What does not go on at all takes no light either: one that does go on may well take more of it. */
const isOtherJob = (loss: string, { mate: made }: PlacedPart): boolean =>
  otherJob.has(loss) && !(loss === 'stops' && made?.ok === false)

/** Parts that could stand in for a piece: those that lose nothing of what is used of it first, then the readiest. */
export const rivalsOf = (facts: Facts, piece: PlacedPart): readonly Part[] => {
  const { catalogue } = facts.context
  const part = catalogue.parts.get(piece.part.id) ?? piece.part
  const use = useOf(facts, piece)
  const lost = new Map<Part, number>()
  for (const other of catalogue.byRole.get(part.role) ?? [])
    if (
      other.id !== part.id &&
      use.gifts.every((gift) => (other.provides as readonly string[]).includes(gift)) &&
      goesThere(piece, other)
    ) {
      const losses = lossesOf(part, other, use)
      if (!losses.some((loss) => isOtherJob(loss, piece))) lost.set(other, losses.length)
    }
  const ready = byReadiness(facts)
  return [...lost.keys()].sort((a, b) => (lost.get(a) ?? 0) - (lost.get(b) ?? 0) || ready(a, b))
}

/** The other part in the place of the piece, in every set-up; nothing where something would come off by it. */
export const swappedFor = (facts: Facts, piece: PlacedPart, to: Part): Remedy | undefined => {
  const commands = swapCommands(facts.assembly.rig, piece.instance.id, to, facts.context.catalogue)
  return commands.some((command) => command.do === 'take-off')
    ? undefined
    : {
        text: 'swap the {role} for {part}',
        numbers: {},
        names: { role: roles[piece.part.role].title, part: to.name },
        commands,
      }
}

/** What gives a need in the place of what is of its kind and does not. */
const forNeed = function* (facts: Facts, { finding: { key } }: Concern): Generator<Remedy> {
  if (!isCapability(key)) return
  for (const piece of facts.assembly.placed)
    if (piece.joint)
      for (const part of rivalsOf(facts, piece)) {
        const remedy = part.provides.includes(key) ? swappedFor(facts, piece, part) : undefined
        if (remedy) yield remedy
      }
}

/** Every piece for another of its role, a rival of each before the next rival of any. */
export const swap: Proposer = function* (facts, concern) {
  if (concern.finding.family === 'need') return yield* forNeed(facts, concern)
  const rivals = moversOf(concern).map((piece) => ({ piece, parts: rivalsOf(facts, piece) }))
  const most = Math.max(0, ...rivals.map(({ parts }) => parts.length))
  for (let i = 0; i < most; i++)
    for (const { piece, parts } of rivals) {
      const to = parts[i]
      const remedy = to && swappedFor(facts, piece, to)
      if (remedy) yield remedy
    }
}
