import { z } from 'zod'
import { pathToRoot, type PlacedPart, ridesOn } from '../../assembly/index.ts'
import { mate } from '../../catalogue/index.ts'
import { defineCheck, partsThat } from '../check.ts'
import { isFirm, type Sees } from '../../facts/index.ts'

/** The shoe between a handle and the camera, unless a screw or another firm hold spans it as well. */
const weakLink = ({ assembly }: Sees, handle: PlacedPart): PlacedPart | undefined =>
  pathToRoot(handle).find(
    (piece) =>
      piece.mate?.ok &&
      !piece.mate.value.mayLift &&
      piece.mate.value.standard.kind === 'shoe' &&
      !assembly.braces.some(
        (brace) =>
          isFirm(brace) &&
          brace.mate.ok &&
          brace.mate.value.mayLift &&
          ridesOn(brace.guest, piece) !== ridesOn(brace.host, piece),
      ),
  )

/** A carrying handle that holds the rig by an accessory shoe. */
export const liftByShoe = defineCheck<PlacedPart, object, 'mass'>({
  id: 'lift-by-shoe',
  family: 'fit',
  title: 'Carried by a shoe',
  why: 'An accessory shoe holds a microphone, not a camera: it pulls out, and the rig falls.',
  level: 'stop',
  source: 'ISO 518 describes the shoe for accessories; no maker rates it for lifting.',
  options: z.object({}),
  defaults: {},
  needs: ['mass'],
  messages: {
    speaks: { lifts: '{handle} lifts the rig by a shoe. {inHandG:g} would hang from it.' },
    silent: { firm: '{handle} holds the rig by a firm joint.' },
    cannotTell: {},
  },
  subjects: partsThat(({ grips }) => grips.some((grip) => grip.kind === 'top')),
  judge: (handle, facts) => {
    const { mass } = facts
    const names = { handle: handle.part.name }
    const weak = weakLink(facts, handle)
    return weak
      ? {
          group: 'speaks',
          message: 'lifts',
          names,
          numbers: { inHandG: mass.inHandG },
          parts: [handle.instance.id],
          at: handle.centre,
        }
      : { group: 'silent', message: 'firm', names }
  },
  aims: (handle, facts) => {
    const link = weakLink(facts, handle) ?? handle
    return [
      {
        do: 'move',
        piece: link,
        to: (point) =>
          pathToRoot(point.piece).every((piece) => !piece.mate?.ok || piece.mate.value.mayLift) &&
          link.part.mounts.some((mount) => {
            const made = mate({ part: point.piece.part, mount: point.mount }, { part: link.part, mount })
            return made.ok && made.value.mayLift
          }),
      },
      { do: 'take-off', piece: link },
    ]
  },
})
