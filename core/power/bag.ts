import { type Assembly, everywhere } from '../assembly/index.ts'
import { type Mount, mate, type Part, standardOf } from '../catalogue/index.ts'
import { perPair, flatMap } from '../kernel/index.ts'
import type { Bays } from './charging.ts'
import type { Spare } from './day.ts'
import { batteryKind, type PowerMargins, usableWh, usualPowerMargins } from './network.ts'

/** The batteries of the kit that are not on the rig in this set-up. */
export const sparesOf = (
  { loose }: Assembly,
  celsius: number,
  { depth, healthOf }: PowerMargins = usualPowerMargins,
): readonly Spare[] =>
  flatMap(loose, ({ instance, part }): Spare[] => {
    const { store } = part.power ?? {}
    if (!store || instance.status !== 'in') return []
    return [
      {
        id: instance.id,
        kind: batteryKind(part) ?? part.id,
        usableWh: usableWh(store.capacityWh, celsius, instance.health ?? healthOf?.(part.id), depth),
      },
    ]
  })

const seats = (part: Part, side: Mount['side']): readonly Mount[] =>
  part.mounts.filter((mount) => mount.side === side && standardOf(mount.standard).kind === 'battery')

/** Does this charger take this battery? */
export const chargesPart = (charger: Part, battery: Part): boolean =>
  charger.power?.chargesW !== undefined && baysThatTake(charger, battery) > 0

/** How many bays of a charger take a battery: its others are for other kinds. */
const baysThatTake = perPair(
  'bays that take a battery',
  (charger: Part, battery: Part): number =>
    seats(charger, 'holds').filter((bay) =>
      seats(battery, 'sits').some((seat) => mate({ part: charger, mount: bay }, { part: battery, mount: seat }).ok),
    ).length,
)

/** What a piece puts back by its own sockets into the pack that sits in it, or that it is, W; 0 when it does not. */
const ownChargeW = ({ sockets = [] }: Part): number => Math.max(0, ...sockets.map(({ chargeW = 0 }) => chargeW))

/** Pieces of the kit that fill one pack of a kind by night: packs with a charging socket, cameras, plates, monitors. */
const onceBays = (kit: readonly Part[], kind: string, battery: Part): readonly Bays[] =>
  flatMap(kit, (part): Bays[] => {
    const watts = part.power?.chargesW ? 0 : ownChargeW(part)
    const fills = part.id === battery.id || baysThatTake(part, battery) > 0
    return watts > 0 && fills ? [{ kind, bays: 1, watts, once: true }] : []
  })

/**
 * The chargers of the kit, by the kinds of battery given; and what else of the kit fills a pack by night.
 */
export const baysOf = (
  { rig }: Assembly,
  batteries: readonly Part[],
  partOf: (id: string) => Part | undefined,
): readonly Bays[] => {
  const kit = flatMap(rig.kit, ({ partId, status }) => (status === 'in' ? (partOf(partId) ?? []) : []))
  const chargers = kit.filter((part) => part.power?.chargesW)
  return flatMap([...new Map(batteries.map((part) => [batteryKind(part) ?? part.id, part]))], ([kind, battery]) => [
    ...chargers
      .filter((charger) => chargesPart(charger, battery))
      .map((charger): Bays => ({ kind, bays: baysThatTake(charger, battery), watts: charger.power?.chargesW ?? 0 })),
    ...onceBays(kit, kind, battery),
  ])
}

/** Every battery of the kit, on the rig, off it or in the bag. */
export const batteriesOf = ({
  placed,
  off,
  loose,
}: Assembly): readonly { readonly id: string; readonly part: Part }[] =>
  [...everywhere({ placed, off }), ...loose.filter(({ instance }) => instance.status === 'in')]
    .filter(({ part }) => part.power?.store)
    .map(({ instance, part }) => ({ id: instance.id, part }))
