import type { Run } from '../../cabling/index.ts'
import type { Room } from '../../catalogue/index.ts'
import { type LeadIntrusion, leadIntrusionsOf } from '../../clearance/index.ts'
import { type PlacedPart, socketName } from '../../assembly/index.ts'
import { defineCheck, type Judgement, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { posedOpen } from '../room-check.ts'
import { runParts, runNames } from '../wires.ts'

type Intruder = LeadIntrusion<Run>

/** A cable is laid another way; a plug stands where its socket is. */
const movable: ReadonlySet<Room['kind']> = new Set(['hand', 'lever', 'turn', 'view', 'door'])

/** The lead of a dummy pack goes through the door of the bay it sits in: see the rule about that door. */
const throughDoor = (piece: PlacedPart, room: Room, end: Intruder['end']): boolean =>
  room.kind === 'door' && end?.piece.host === piece && end.piece.part.role === 'dummy'

/** A screen that stands open need not swing past the plug any more; nor one that a monitor stands in for. */
const intruders = (facts: Sees<'leadIntrusions' | 'screens'>): readonly Intruder[] =>
  facts.leadIntrusions.filter(
    ({ piece, room, what, end }) =>
      !(room.kind === 'swing' && (facts.screens.length > 0 || posedOpen(facts, piece, room))) &&
      (what === 'plug' ? !throughDoor(piece, room, end) : movable.has(room.kind)),
  )

/** A plug, a cable or a coil where a screen swings, a door opens or a hand goes. */
export const leadInRoom = defineCheck<Intruder, object, 'leadIntrusions' | 'screens'>({
  id: 'lead-in-room',
  family: 'clearance',
  title: 'A lead in the way',
  why: 'The screen stops at the plug, the hand closes on the cable, and both are pulled out in the take.',
  level: 'hint',
  source:
    'Bodies of plugs as usual ones are made, a first bend of five cable thicknesses, the cable on its way and what is coiled up of it, against the rooms in the parts’ data.',
  ...noOptions,
  needs: ['leadIntrusions', 'screens'],
  messages: {
    speaks: {
      swing:
        'The plug in {end} stops the screen. It opens {freeDeg:deg} of {fullDeg:deg}; {cable} would have to be angled away.',
      plug: 'The plug in {end} is in the way: {lost}. It reaches {intoMm:mm} into that room.',
      cable: '{cable} lies in the way: {lost}. It reaches {intoMm:mm} into that room; lay it round.',
      coil: 'What is coiled up of {cable} is in the way: {lost}. It reaches {intoMm:mm} into that room; a shorter one has no coil.',
    },
    silent: {},
    cannotTell: {},
  },
  subjects: intruders,
  judge: (found): Judgement => {
    const { lead, what, end, room, depthMm, freeDeg, fullDeg } = found
    const key = `${lead.link.cable} ${room.lost}`
    const names = { ...runNames(lead), end: end ? socketName(end) : '', lost: room.lost }
    const numbers = { intoMm: depthMm, freeDeg, fullDeg }
    const message = what === 'plug' && room.kind === 'swing' ? 'swing' : what
    const level = what === 'plug' && (room.kind === 'swing' || room.kind === 'door') ? 'risk' : 'hint'
    return { group: 'speaks', message, level, names, key, numbers, parts: runParts(lead), at: end?.exit ?? lead.middle }
  },
  aims: ({ lead, what, piece, index }) =>
    what === 'cable'
      ? []
      : [
          {
            do: 'lead',
            run: lead,
            most: 1,
            wanted: ({ run, part }) =>
              !leadIntrusionsOf([piece], [{ ...run, cable: part.cable, middle: lead.middle }]).some(
                (left) => left.index === index,
              ),
          },
        ],
})
