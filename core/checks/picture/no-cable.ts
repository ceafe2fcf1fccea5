import type { Run } from '../../cabling/index.ts'
import type { Carried, Part } from '../../catalogue/index.ts'
import { type Demand, demandsOf } from '../../wiring/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { socketName } from '../../assembly/index.ts'

/** Power, timecode and the trigger are told about by checks of their own. */
const told: ReadonlySet<Carried> = new Set(['picture', 'sound', 'data'])

/** A demand, and the lead that meets it already. */
interface Wanted {
  readonly demand: Demand
  readonly run: Run | undefined
}

const wantedOf = ({ assembly, leads }: Sees<'leads'>): readonly Wanted[] =>
  demandsOf(assembly, [])
    .filter(({ what }) => told.has(what))
    .map((demand) => ({
      demand,
      run: leads.find(
        (run) =>
          run.cable.carries.includes(demand.what) &&
          [run.from, run.to].some((end) =>
            demand.own.some((own) => own.piece === end.piece && own.socket.id === end.socket.id),
          ),
      ),
    }))

/** A picture, a sound or a drive without the lead it needs. */
export const noCable = defineCheck<Wanted, object, 'leads'>({
  id: 'no-cable',
  family: 'picture',
  title: 'The lead is missing',
  why: 'Everything is packed but the one lead, and no shop near the slip has it.',
  level: 'risk',
  source: 'What the pieces take and give, and the leads of the set-up.',
  ...noOptions,
  about: 'electric',
  needs: ['leads'],
  messages: {
    speaks: {
      picture: 'No picture on {part}. No lead brings one.',
      sound: 'Nobody hears {part}. It needs a lead to an input.',
      data: 'Nothing records on {part}. It needs a lead to the camera.',
    },
    silent: { joined: '{part} has its lead: {cable}.' },
    cannotTell: {},
  },
  subjects: wantedOf,
  judge: ({ demand: { what, piece, own }, run }) => {
    const key = what
    const names = { part: piece.part.name, cable: run?.part.name ?? '', from: own[0] ? socketName(own[0]) : '' }
    return run
      ? { group: 'silent', message: 'joined', names, key }
      : { group: 'speaks', message: what, names, key, parts: [piece.instance.id], at: piece.centre }
  },
  aims: ({ demand }) => [
    { do: 'join', most: 2, demand },
    ...(demand.what === 'sound'
      ? [{ do: 'relay' as const, most: 2, through: ({ role }: Part) => role === 'preamp' }]
      : []),
  ],
})
