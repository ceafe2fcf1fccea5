import { dayOfScenes, disc, nd, stepUp, zoom } from '../../testing/glass.ts'
import { ndShort } from './nd-short.ts'
import { testCheck } from '../tester.ts'
import { shot, sun, wanted } from '../../testing/light-rigs.ts'

testCheck(ndShort, {
  speaks: [
    {
      name: 'sun off water wants six stops and the bare lens takes none; a filter of six in the locker cures it',
      message: 'bright',
      level: 'risk',
      numbers: { mostStops: 6, missesStops: 6, iso: 100 },
      remedies: 1,
      ...shot({ brief: { ...sun, ...wanted }, known: [disc('six', 5, nd(6)), disc('three', 5, nd(3))] }),
    },
    {
      name: 'a larger filter comes with its ring',
      message: 'bright',
      remedies: 1,
      ...shot({
        lens: zoom({ threadMm: 77 }),
        brief: { ...sun, ...wanted },
        known: [disc('six', 5, nd(6)), stepUp(77, 82)],
      }),
    },
    {
      name: 'nobody asked for a filter and f/32 is no way out: a hint',
      message: 'bright',
      level: 'hint',
      ...shot({ brief: sun }),
    },
    {
      name: 'night is five stops short: ISO 3200, and 1600 is the end',
      message: 'dark',
      level: 'risk',
      numbers: { mostStops: -5, wantedIso: 3200, isoMax: 1600 },
      remedies: 0,
      ...shot({ brief: dayOfScenes(['night']) }),
    },
  ],
  silent: [
    {
      name: 'two to five stops and three more',
      message: 'held',
      ...shot({ brief: { ...sun, ...wanted }, bag: [disc('v', 7, nd(2, 5)), disc('three', 5, nd(3))] }),
    },
    {
      name: 'a third of a stop is let pass',
      message: 'held',
      ...shot({ brief: { ...sun, ...wanted }, bag: [disc('near', 5, nd(5.67))] }),
    },
    {
      name: 'the camera’s own',
      message: 'held',
      ...shot({ brief: { ...sun, ...wanted }, sensor: { nd: { stops: [0, 2, 4, 6], smooth: false } } }),
    },
    {
      name: 'shade at f/8, when nobody asked for a filter',
      message: 'iris',
      ...shot({ brief: dayOfScenes(['overcast']) }),
    },
    { name: 'the operator does without', message: 'waived', ...shot({ brief: { ...sun, wishes: { nd: 'skip' } } }) },
    {
      name: 'night at the end of what is fit to show',
      message: 'held',
      ...shot({ brief: dayOfScenes(['night']), sensor: { isoMax: 3200 } }),
    },
  ],
  cannotTell: [
    {
      name: 'a camera that states no end',
      message: 'unknown',
      ...shot({ brief: dayOfScenes(['night']), sensor: { isoMax: undefined } }),
    },
  ],
})
