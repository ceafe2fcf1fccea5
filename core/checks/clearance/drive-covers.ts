import type { PlacedPart } from '../../assembly/index.ts'
import { pathToRoot, ridesOn } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { mountOf, standardOf } from '../../catalogue/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { lotOf, type Sees } from '../../facts/index.ts'
import { drives } from '../places.ts'

const onShoe = ({ joint, host }: PlacedPart): boolean => {
  const mount = joint && host && mountOf(host.part, joint.hostMount)
  return mount !== undefined && standardOf(mount.standard).kind === 'shoe'
}

const onShoes = lotOf(onShoe)

/** What stands on a shoe and carries nothing but a drive. */
const holders = (facts: Sees): readonly PlacedPart[] =>
  onShoes(facts).filter(
    (piece) =>
      drives(facts).some((drive) => ridesOn(drive, piece)) &&
      pathToRoot(piece).every((other) => other === piece || !onShoe(other)),
  )

const openShoes = ({ points }: Sees<'points'>): number =>
  points.filter(({ open, mount }) => open && standardOf(mount.standard).kind === 'shoe').length

/** A drive on the only shoe. */
export const driveCovers = defineCheck<PlacedPart, object, 'points'>({
  id: 'drive-covers',
  family: 'clearance',
  title: 'The drive takes the last shoe',
  why: 'The mic, the receiver or the light has nowhere to go, and a drive would do on a screw or a pad.',
  level: 'hint',
  source: 'The shoes of the set-up that are still open.',
  ...noOptions,
  needs: ['points'],
  limit: { measured: 'wanted', allowed: 'open' },
  messages: {
    speaks: { last: 'The last shoe is taken by a drive. {part} would do on a screw or a pad.' },
    silent: { room: '{open} shoes are open beside the one under {part}.' },
    cannotTell: {},
  },
  subjects: holders,
  judge: (piece, facts) => {
    const names = { part: piece.part.name }
    const numbers = { open: openShoes(facts), wanted: 1 }
    return exceeds(1, numbers.open)
      ? { group: 'speaks', message: 'last', names, numbers, parts: [piece.instance.id], at: piece.centre }
      : { group: 'silent', message: 'room', names, numbers }
  },
})
