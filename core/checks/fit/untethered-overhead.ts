import { defineCheck, noOptions } from '../check.ts'
import { lotOfParts, type Sees } from '../../facts/index.ts'

const tethers = lotOfParts(({ provides }) => provides.includes('tether'))

/** Over people or water without a tether. */
export const untetheredOverhead = defineCheck<Sees, object>({
  id: 'untethered-overhead',
  family: 'fit',
  title: 'Nothing catches it',
  why: 'What lets go falls on somebody, or into the river. Tether everything over people or water; follow the rules of the place.',
  level: 'risk',
  source: 'The brief: the rig is used over people or water.',
  ...noOptions,
  needs: [],
  messages: {
    speaks: { untethered: 'Nothing catches the rig over people or water. Put on a safety tether.' },
    silent: { tethered: '{tether} catches the rig.' },
    cannotTell: {},
  },
  subjects: (facts) => (facts.assembly.rig.brief.conditions.includes('overhead') ? [facts] : []),
  judge: (facts) => {
    const [tether] = tethers(facts)
    return tether
      ? { group: 'silent', message: 'tethered', names: { tether: tether.part.name } }
      : { group: 'speaks', message: 'untethered', parts: [facts.assembly.setup.root] }
  },
  aims: () => [{ do: 'add', parts: ({ provides }) => provides.includes('tether'), supports: true, tried: 6 }],
})
