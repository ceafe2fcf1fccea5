import { mate, mountOf, type Part, type Tool } from '../../catalogue/index.ts'
import { placeSetup, type PlacedPart } from '../../assembly/index.ts'
import { changeoverOf } from '../../build-order/index.ts'
import type { ChangeWith } from '../../brief/index.ts'
import { defineCheck, type Judgement, noOptions } from '../check.ts'

/** A piece that wants more than the operator wants in the pocket, and on the way to which set-ups. */
interface Wants {
  readonly instance: string
  readonly name: string
  readonly tool: string
  readonly to: readonly string[]
  readonly wish: ChangeWith
  /** Where it sits here; it may only come on in the other set-up. */
  readonly piece: PlacedPart | undefined
}

const inThePocket: Readonly<Record<ChangeWith, ReadonlySet<Tool>>> = {
  hands: new Set(['fingers', 'lever']),
  coin: new Set(['fingers', 'lever', 'coin']),
}
const wishWords: Readonly<Record<ChangeWith, string>> = { hands: 'bare hands', coin: 'a coin at most' }

/** Does a part go where this one sits by what is in the pocket? */
const goesBy =
  ({ host, joint, part }: PlacedPart, wish: ChangeWith) =>
  (other: Part): boolean => {
    const mount = host && joint && mountOf(host.part, joint.hostMount)
    return (
      host !== undefined &&
      mount !== undefined &&
      part.provides.every((gift) => other.provides.includes(gift)) &&
      other.mounts.some((own) => {
        const made = mate({ part: host.part, mount }, { part: other, mount: own })
        return made.ok && inThePocket[wish].has(made.value.tool)
      })
    )
  }

/** Joints between two set-ups of the rig that want another tool than the operator wants to carry. */
export const changeTool = defineCheck<Wants, object>({
  id: 'change-tool',
  family: 'need',
  title: 'Changing over wants a tool',
  why: 'A key is at the bottom of the bag when the ferry docks; what is changed in the field should go by hand or by coin.',
  level: 'risk',
  source: 'The brief says what changing over may take; tools are those of the joints that are made or loosed.',
  ...noOptions,
  needs: [],
  messages: {
    speaks: {
      tool: '{part} takes a {tool} on the way to {setups}; you want to change over with {wish}.',
    },
    silent: { fine: 'Every changeover goes with {wish}.' },
    cannotTell: {},
  },
  subjects: ({ assembly: { rig, setup, byInstance }, context: { catalogue } }) => {
    const wish = rig.brief.changeWith
    if (!wish || rig.setups.length < 2) return []
    const own = rig.setups.find(({ id }) => id === setup.id)
    const here = own && placeSetup(rig, own, catalogue)
    const found = new Map<string, Wants>()
    for (const other of here ? rig.setups : []) {
      if (!here || other.id === setup.id) continue
      for (const step of changeoverOf(here, placeSetup(rig, other, catalogue)).steps) {
        if (inThePocket[wish].has(step.tool)) continue
        const known = found.get(step.instance)
        const to = [...new Set([...(known?.to ?? []), other.name])]
        found.set(step.instance, {
          instance: step.instance,
          name: step.name,
          tool: step.toolName,
          to,
          wish,
          piece: byInstance.get(step.instance),
        })
      }
    }
    return found.size > 0 ? [...found.values()] : [{ instance: '', name: '', tool: '', to: [], wish, piece: undefined }]
  },
  judge: ({ instance, name, tool, to, wish, piece }): Judgement => {
    if (instance === '') return { group: 'silent', message: 'fine', names: { wish: wishWords[wish] } }
    return {
      group: 'speaks',
      message: 'tool',
      names: { part: name, tool, setups: to.join(', '), wish: wishWords[wish] },
      parts: [instance],
      ...(piece ? { at: piece.centre } : {}),
    }
  },
  aims: ({ piece, wish }) =>
    piece?.joint
      ? [
          { do: 'swap', piece, for: goesBy(piece, wish), most: 2 },
          {
            do: 'move',
            piece,
            most: 2,
            to: ({ piece: host, mount }) =>
              piece.part.mounts.some((own) => {
                const made = mate({ part: host.part, mount }, { part: piece.part, mount: own })
                return made.ok && inThePocket[wish].has(made.value.tool)
              }),
          },
        ]
      : [],
})
