import { type Command, edit, newRig, placeSetup, pointsOf, type Rig, seatingsAt } from '@zucchini/core/assembly'
import { bagRoles, catalogueOf, type Part, type Role, roleIds } from '@zucchini/core/catalogue'
import { demoParts } from './catalogue/index.ts'

const catalogue = catalogueOf(demoParts)

/** Puts a part on the first open point it goes on, by the same edits as the bench; undefined when there is none. */
const putOn = (rig: Rig, part: Part): Rig | undefined => {
  const [setup] = rig.setups
  if (!setup) return undefined
  const instance = { id: `piece-${rig.kit.length}`, partId: part.id, status: 'in' as const }
  for (const point of pointsOf(placeSetup(rig, setup, catalogue))) {
    const [seating] = point.open ? seatingsAt(point, instance, part) : []
    if (!seating) continue
    const commands: Command[] = [
      { do: 'add', instance },
      { do: 'place', setup: setup.id, joint: seating.joint },
    ]
    const edited = edit(rig, commands, catalogue)
    if (edited.ok) return edited.value
  }
  return undefined
}

/** A part goes on the rig by itself, or with one other part between. */
const goesOn = (rig: Rig, part: Part): Rig | undefined => {
  const direct = putOn(rig, part)
  if (direct) return direct
  for (const between of catalogue.parts.values()) {
    const wider = bagRoles.has(between.role) ? undefined : putOn(rig, between)
    const both = wider && putOn(wider, part)
    if (both) return both
  }
  return undefined
}

test('a part of every role that is bolted on goes on somewhere by the public edits', () => {
  const scaffold = [
    'reedsmith-full-h1',
    'calabash-20',
    'reedsmith-rod-base',
    'reedsmith-rods-200',
    'cushaw-top-long',
    'gourdwell-head-4',
  ].reduce(
    (rig, id) => {
      const part = catalogue.parts.get(id)
      const next = part && putOn(rig, part)
      if (!next) throw new Error(`${id} goes on`)
      return next
    },
    newRig('roles', 'roles', 'calabash-h1'),
  )
  const bare = newRig('bare', 'bare', 'calabash-h1')
  const known = roleIds.filter(
    (role) => !bagRoles.has(role) && role !== 'camera' && (catalogue.byRole.get(role)?.length ?? 0) > 0,
  )
  expect(known.length).toBeGreaterThan(40)
  const missing = known.filter(
    (role: Role) => !(catalogue.byRole.get(role) ?? []).some((part) => goesOn(scaffold, part) ?? goesOn(bare, part)),
  )
  expect(missing).toEqual([])
})

test('what belongs in the bag joins the kit and stays loose', () => {
  for (const role of bagRoles) {
    const [part] = catalogue.byRole.get(role) ?? []
    if (!part) throw new Error(`the catalogue has a ${role}`)
    const rig = newRig('bag', 'bag', 'calabash-h1')
    const added = edit(rig, [{ do: 'add', instance: { id: 'thing', partId: part.id, status: 'in' } }], catalogue)
    const [setup] = rig.setups
    expect(
      added.ok && setup && placeSetup(added.value, setup, catalogue).loose.map(({ part: own }) => own.role),
    ).toEqual([role])
  }
})
