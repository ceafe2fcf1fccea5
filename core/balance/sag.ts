import { type Assembly, guestsOf, type PlacedPart, rodRails } from '../assembly/index.ts'
import { mountOf, type Part } from '../catalogue/index.ts'
import { direction, dot, point, subtract, flatMap } from '../kernel/index.ts'
import type { JointLoad } from './ground.ts'

/** What rods may be made of. */
export type RodMatter = NonNullable<Part['rod']>['matter']
/** How stiff it is along the rod, N/mm2: usual figures for drawn aluminium, wound carbon tube and steel. */
export const STIFFNESS: Readonly<Record<RodMatter, number>> = { aluminium: 69_000, carbon: 100_000, steel: 200_000 }
const G = 9.81

/** What it weighs, g/mm3: usual figures for the same. */
export const DENSITY: Readonly<Record<RodMatter, number>> = { aluminium: 0.0027, carbon: 0.00155, steel: 0.00785 }

/**
 * What rods of other matter and the same shape would weigh more, g; less than nothing when they are lighter.
 * @example two aluminium tubes of 15 mm with a wall of 1.5, 300 mm long: 38 mm3 a mm, 103 g; in carbon 44 g less
 */
export const heavierBy = (
  { count, acrossMm, wallMm, matter }: NonNullable<Part['rod']>,
  lengthMm: number,
  of: RodMatter,
): number => {
  const hollow = wallMm === undefined ? 0 : (acrossMm - 2 * wallMm) ** 2
  return (count * Math.PI * (acrossMm ** 2 - hollow) * lengthMm * (DENSITY[of] - DENSITY[matter])) / 4
}

/** How far some rods bend down under what rides on them. */
export interface Sag {
  readonly rods: PlacedPart
  /** What rides farthest out, and how far that is from where the rods are held, mm. */
  readonly by: PlacedPart
  readonly outMm: number
  readonly carriedG: number
  /** Where that sits, mm. */
  readonly sagMm: number
}

/** Second moment of area of a round bar or tube, mm4: `pi (D^4 - d^4) / 64`. @example 15 mm with a wall of 1.5: 1467 */
export const areaMoment = (acrossMm: number, wallMm: number | undefined): number =>
  (Math.PI * (acrossMm ** 4 - (wallMm === undefined ? 0 : (acrossMm - 2 * wallMm) ** 4))) / 64

const straight: readonly Sag[] = []

/**
 * How far rods that are held at one end bend where their farthest load sits: `F a^2 (3 x - a) / 6 E I` for a load at `a`
 * seen at `x` (beam held at one end), summed over all that rides on them.
 * @param among the pieces it is asked of, where the others are known to be no rods
 * @returns nothing where it is unknown how the rods are made, where nothing rides on them, or where they bear the rig
 * @example 1 kg 300 mm out on two aluminium tubes of 15 mm with a wall of 1.5: 9.81 x 300^3 / 3 x 69,000 x 2935 = 0.44
 */
export const sagsOf = (
  { placed }: Pick<Assembly, 'placed'>,
  loads: ReadonlyMap<string, JointLoad>,
  among: readonly PlacedPart[] = placed,
): readonly Sag[] =>
  flatMap(among, (rods): readonly Sag[] => {
    const { rod } = rods.part
    if (!rod) return straight
    const [rail] = rodRails(rods.part)
    const own = mountOf(rods.part, rods.joint?.guestMount ?? '')
    if (!rail?.travel || !own || loads.get(rods.instance.id)?.far !== 'guest') return []
    const along = direction(rods.frame, rail.travel.along)
    const held =
      dot(subtract(point(rods.frame, own.at), rods.frame.at), along) + (own.travel ? (rods.joint?.slideMm ?? 0) : 0)
    const level = Math.sqrt(Math.max(0, 1 - along[1] ** 2))
    const riders = flatMap(guestsOf(placed).get(rods) ?? [], (piece) => {
      const mount = mountOf(piece.part, piece.joint?.guestMount ?? '')
      const load = loads.get(piece.instance.id)
      if (!mount || load?.far !== 'guest') return []
      const at = dot(subtract(point(piece.frame, mount.at), rods.frame.at), along)
      return [{ piece, outMm: Math.abs(at - held), side: Math.sign(at - held), massG: load.massG }]
    })
    const [far] = [...riders].sort((a, b) => b.outMm - a.outMm)
    if (!far) return []
    const stiff = STIFFNESS[rod.matter] * rod.count * areaMoment(rod.acrossMm, rod.wallMm)
    const same = riders.filter(({ side }) => side === far.side)
    const sagMm = same.reduce(
      (sum, { outMm, massG }) =>
        sum + ((massG / 1000) * G * level * outMm ** 2 * (3 * far.outMm - outMm)) / (6 * stiff),
      0,
    )
    return [{ rods, by: far.piece, outMm: far.outMm, carriedG: same.reduce((sum, { massG }) => sum + massG, 0), sagMm }]
  })
