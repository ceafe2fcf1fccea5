import { placeSetup } from '../../assembly/index.ts'
import { factsOf } from '../../facts/index.ts'
import { catalogueOf } from '../../catalogue/index.ts'
import { on, plug, socket, tinyCamera, tinyPart, tinyRig } from '../../testing/index.ts'
import { testCheck } from '../tester.ts'
import { screen, watching } from '../../testing/view-rigs.ts'
import { screenDim } from './screen-dim.ts'

const inSun = (nits: number, sun = true) => {
  const part = screen(80, 45)
  const tiny = watching({ ...part, optics: { ...part.optics, nits } as typeof part.optics })
  return { ...tiny, rig: { ...tiny.rig, brief: { ...tiny.rig.brief, conditions: sun ? ['sun' as const] : [] } } }
}

/** A monitor under a hood, or with one in the shops. */
const hooded = (nits: number, shade: number, isOn = true) => {
  const part = screen(80, 45)
  const roof = [0, 60, 0] as const
  const monitor = {
    ...part,
    optics: { ...part.optics, nits } as typeof part.optics,
    mounts: [...part.mounts, socket('roof', 'thread-1/4', roof)],
  }
  const hood = tinyPart({ id: 'hood', role: 'hood', shade, mounts: [plug('foot', 'thread-1/4')] })
  const tiny = watching(monitor)
  const [setup] = tiny.rig.setups
  if (!setup) throw new Error('a set-up')
  const parts = [...tiny.context.catalogue.parts.values(), hood]
  return {
    context: { ...tiny.context, catalogue: catalogueOf(parts) },
    rig: {
      ...tiny.rig,
      brief: { ...tiny.rig.brief, conditions: ['sun' as const] },
      kit: [...tiny.rig.kit, ...(isOn ? [{ id: 'hood', partId: 'hood', status: 'in' as const }] : [])],
      setups: [{ ...setup, joints: [...setup.joints, ...(isOn ? [on('hood', 'foot', 'screen', 'roof')] : [])] }],
    },
  }
}

/** The tiny camera held in two hands with a screen on its back, and nothing else to look at. */
const ownInSun = (nits: number) =>
  tinyRig([], [], {
    brief: { conditions: ['sun'] },
    setup: { support: 'two-hand' },
    extra: [
      {
        ...tinyCamera,
        screen: { at: [0, 0, 30], out: [0, 0, 1], up: [0, 1, 0], wideMm: 60, tallMm: 40, nits, solid: 0 },
      },
    ],
  })

testCheck(screenDim, {
  speaks: [
    {
      // A hood that keeps 0.6 off leaves 320 to be read against.
      name: 'the same, and a hood to be had that does',
      message: 'dim',
      remedies: 1,
      ...hooded(350, 0.6, false),
    },
    {
      name: 'under a hood that keeps too little off',
      message: 'dim',
      numbers: { nits: 350, openNits: 400 },
      ...hooded(350, 0.5),
    },
    {
      name: 'the camera’s own screen, where nothing else shows the picture',
      message: 'own',
      level: 'hint',
      numbers: { nits: 500, openNits: 800 },
      parts: ['camera'],
      remedies: 0,
      ...ownInSun(500),
    },
    {
      name: '350 nit in open sun',
      message: 'dim',
      level: 'risk',
      numbers: { nits: 350, openNits: 800 },
      parts: ['screen'],
      ...inSun(350),
    },
  ],
  silent: [
    {
      name: 'exactly what is read under its hood',
      message: 'hooded',
      numbers: { nits: 320, openNits: 320 },
      ...hooded(320, 0.6),
    },
    { name: 'a bright one on the camera itself', message: 'bright', ...ownInSun(900) },
    { name: 'exactly 800', message: 'bright', numbers: { nits: 800 }, ...inSun(800) },
  ],
})

test('indoors nobody asks', () => {
  const judged = (sun: boolean) => {
    const { rig, context } = inSun(350, sun)
    const [setup] = rig.setups
    if (!setup) throw new Error('a set-up')
    return screenDim.judgements(factsOf(placeSetup(rig, setup, context.catalogue), context)).length
  }
  expect([judged(true), judged(false)]).toEqual([1, 0])
})
