import fc from 'fast-check'
import { edit, placeSetup, setupOf } from '../assembly/index.ts'
import { runsOf } from '../cabling/index.ts'
import { catalogueOf, type Part } from '../catalogue/index.ts'
import { cablesOf, drawIn, networkOf, runDown } from '../power/index.ts'
import { on, plug, socket, tinyPart, type TinyRig } from '../testing/index.ts'
import {
  hdmiLead,
  inBay,
  lead,
  link,
  mic,
  micLead,
  mixingReceiver,
  pack,
  screen,
  tank,
  tapLead,
  usbLead,
  wiredRig,
} from '../testing/wired.ts'
import {
  demandsOf,
  type LeadOption,
  leadsBetween,
  othersFor,
  planWiring,
  schoolsOf,
  type Stock,
  UNMET_COST,
} from './index.ts'

const assemblyOf = ({ rig, context }: TinyRig) => {
  const setup = setupOf(rig, 'main')
  if (!setup) throw new Error('a set-up')
  return placeSetup(rig, setup, context.catalogue)
}
const stockOf = ({ context }: TinyRig): Stock => ({
  catalogue: context.catalogue,
  owned: context.owned,
  freeMm: () => Infinity,
})
const planFor = (tiny: TinyRig, trickle = false) => planWiring(assemblyOf(tiny), stockOf(tiny), trickle)
const said = (leads: readonly LeadOption[]) =>
  leads.map(({ what, from, to, part }) => `${what} ${from.piece.instance.id} ${to.piece.instance.id} ${part.id}`).sort()

const shopLeads = [
  hdmiLead('shop-hdmi', { lengthMm: 400 }),
  tapLead('shop-tap'),
  micLead('shop-jack'),
  usbLead('shop-usb'),
]
const all = wiredRig(
  [pack(), screen(), tank(), mic()],
  [
    inBay(),
    on('screen', 'foot', 'camera', 'pinned'),
    on('tank', 'foot', 'camera', 'hole'),
    on('mic', 'foot', 'camera', 'shoe'),
  ],
  [],
  { extra: shopLeads },
)

test('the plan powers, shows and records all that is there, and the edits do it', () => {
  const plan = planFor(all)
  expect(said(plan.leads)).toEqual([
    'picture camera screen shop-hdmi',
    'power tank screen shop-tap',
    'sound mic camera shop-jack',
  ])
  expect(plan).toMatchObject({ unmet: [], exact: true, toBuyMinor: 3000, massG: 60 })
  const edited = edit(all.rig, plan.commands, all.context.catalogue)
  if (!edited.ok) throw new Error(edited.issues[0]?.code)
  const wired = { ...all, rig: edited.value }
  expect(planFor(wired)).toMatchObject({ leads: [], unmet: [] })
})

test('leads at hand come before the shop, and a nuisance is weighed against the price', () => {
  const owned = { ...all, context: { ...all.context, owned: new Map([['shop-hdmi', 1]]) } }
  expect(planFor(owned)).toMatchObject({ toBuyMinor: 2000 })
  // A lead of two metres in the drawer hangs over by far more than a new one costs.
  const long = hdmiLead('long', { lengthMm: 2000 })
  const drawer = wiredRig(
    [pack(), screen(), tank()],
    [inBay(), on('screen', 'foot', 'camera', 'pinned'), on('tank', 'foot', 'camera', 'hole')],
    [],
    {
      extra: [...shopLeads, long],
      owned: { long: 1 },
    },
  )
  expect(said(planFor(drawer).leads)).toContain('picture camera screen shop-hdmi')
})

test('what can not be wired is left open, with the reason', () => {
  const unmet = (tiny: TinyRig) =>
    planFor(tiny).unmet.map(({ demand, why }) => `${demand.what} ${demand.piece.instance.id}: ${why}`)
  const only = (extra: readonly Part[], more: Partial<Part> = {}) =>
    wiredRig(
      [pack(), screen('screen', more), tank()],
      [inBay(), on('screen', 'foot', 'camera', 'pinned'), on('tank', 'foot', 'camera', 'hole')],
      [],
      {
        extra,
      },
    )
  expect(unmet(only([tapLead()]))).toEqual(['picture screen: no-plugs'])
  expect(unmet(only([tapLead(), hdmiLead('hdmi', { lengthMm: 120 })]))).toEqual(['picture screen: too-far'])
  const five = (screen().sockets ?? []).map((own) =>
    own.id === 'dc' ? { ...own, volts: { min: 4.8, max: 5.2 } } : own,
  )
  expect(unmet(only([tapLead(), hdmiLead()], { sockets: five }))).toEqual(['power screen: voltage'])
  expect(unmet(only([tapLead(), hdmiLead()], { power: { drawW: 95 } }))).toEqual(['power screen: watts'])
})

test('a mic mixed in through a receiver needs no second input; two mics and one input leave one open', () => {
  const mixed = wiredRig(
    [pack(), mic(), mixingReceiver()],
    [inBay(), on('mic', 'foot', 'camera', 'shoe'), on('receiver', 'foot', 'camera', 'pinned')],
    [],
    { extra: [micLead('short'), micLead('longer', { lengthMm: 600 })] },
  )
  expect(said(planFor(mixed).leads).map((line) => line.split(' ').slice(0, 3).join(' '))).toEqual([
    'sound mic receiver',
    'sound receiver camera',
  ])
  const two = wiredRig(
    [pack(), mic(), mic('second')],
    [inBay(), on('mic', 'foot', 'camera', 'shoe'), on('second', 'foot', 'camera', 'shoe')],
    [],
    {
      extra: [micLead('short', { lengthMm: 500 })],
    },
  )
  expect(planFor(two).unmet.map(({ why }) => why)).toEqual(['sockets-taken'])
})

test('the three schools: own packs, trickle beside the pack, and a dummy pack in the bay', () => {
  const dummy = pack('dummy', {
    role: 'dummy',
    power: {},
    sockets: [
      {
        id: 'lead',
        connector: 'dummy',
        direction: 'in',
        at: [0, 0, 0],
        out: [0, -1, 0],
        carries: ['power'],
        volts: { min: 6.5, max: 8.6 },
        watts: 40,
      },
    ],
  })
  const step = lead('step', 'd-tap', 'dummy', {
    carries: ['power'],
    lengthMm: 500,
    converts: { volts: { min: 7.4, max: 7.8 }, watts: 30 },
  })
  const tiny = wiredRig([pack(), tank()], [inBay(), on('tank', 'foot', 'camera', 'hole')], [], {
    extra: [dummy, step, usbLead('shop-usb', { lengthMm: 400 })],
  })
  const found = schoolsOf(assemblyOf(tiny), stockOf(tiny))
  expect(found.map(({ school, why }) => `${school} ${why ?? 'goes'}`)).toEqual([
    'own goes',
    'trickle goes',
    'dummy goes',
  ])
  const minutes = found.map(({ rig }) => {
    if (!rig) return NaN
    const assembly = assemblyOf({ ...tiny, rig })
    const cables = cablesOf(assembly, (id) => tiny.context.catalogue.parts.get(id))
    return runDown(networkOf(assembly, cables, 20), drawIn('roll')).nodeMin.get('camera') ?? NaN
  })
  // 18 Wh at 6 W; 90 Wh at 6 / 0.9 W (USB-C) and the 18 Wh after it; 90 Wh at 6 / 0.9 W (the step-down lead).
  expect(minutes[0]).toBeCloseTo(180, 6)
  expect(minutes[1]).toBeCloseTo((90 / (6 / 0.9)) * 60 + 180, 6)
  expect(minutes[2]).toBeCloseTo((90 / (6 / 0.9)) * 60, 6)
  const bare = wiredRig([pack()], [inBay()], [], { extra: [dummy] })
  expect(schoolsOf(assemblyOf(bare), stockOf(bare)).map(({ why }) => why)).toEqual([
    undefined,
    'no-source',
    'no-source',
  ])
})

/**
 * Every way to meet the demands, tried one by one, written without a look at the planner: each demand open or met by
 * any option.
 */
const cheapest = (tiny: TinyRig): number => {
  const assembly = assemblyOf(tiny)
  const stock = stockOf(tiny)
  const runs = runsOf(assembly, new Map())
  const options = demandsOf(assembly, runs).map((demand) =>
    demand.own.flatMap((own) =>
      othersFor(assembly, demand).flatMap(
        (other) =>
          (demand.way === 'in'
            ? leadsBetween(assembly, stock, other, own, demand.what)
            : leadsBetween(assembly, stock, own, other, demand.what)
          ).options,
      ),
    ),
  )
  const key = ({ piece, socket: own }: LeadOption['from']) => `${piece.instance.id}/${own.id}`
  const whole = (chosen: readonly LeadOption[]) => {
    const ends = chosen.flatMap(({ from, to }) => [key(from), key(to)])
    if (new Set(ends).size < ends.length) return false
    const owned = chosen.filter(({ source }) => source === 'owned').map(({ part }) => part.id)
    if (owned.some((id) => owned.filter((other) => other === id).length > (stock.owned.get(id) ?? 0))) return false
    const comesFromCamera = (id: string, what: string, left: number): boolean =>
      id === 'camera' ||
      (left > 0 &&
        chosen.some(
          (hop) =>
            hop.what === what &&
            hop.to.piece.instance.id === id &&
            comesFromCamera(hop.from.piece.instance.id, what, left - 1),
        ))
    return chosen.every(
      (hop) => hop.what !== 'picture' || comesFromCamera(hop.from.piece.instance.id, 'picture', chosen.length),
    )
  }
  let best = Infinity
  const walk = (i: number, chosen: readonly LeadOption[], cost: number): void => {
    const here = options[i]
    if (!here) {
      if (whole(chosen)) best = Math.min(best, cost)
      return
    }
    walk(i + 1, chosen, cost + UNMET_COST)
    for (const option of here) walk(i + 1, [...chosen, option], cost + option.cost)
  }
  walk(0, [], 0)
  return best
}

test('on small random cases the plan is as cheap as the best of all ways', () => {
  const price = fc.integer({ min: 100, max: 3000 })
  const length = fc.constantFrom(150, 250, 350, 600)
  const loop = (screens: number, i: number) =>
    i < screens - 1
      ? [
          {
            id: 'on',
            connector: 'hdmi-a' as const,
            direction: 'out' as const,
            at: [0, 15, 10] as const,
            out: [0, 0, 1] as const,
            carries: ['picture' as const],
          },
        ]
      : []
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: 0, max: 2 }),
      fc.array(fc.tuple(fc.constantFrom('hdmi', 'tap', 'jack'), price, length, fc.boolean()), {
        minLength: 2,
        maxLength: 6,
      }),
      (screens, some, list) => {
        // Trying all ways grows fast: three screens are enough by themselves.
        const mics = screens === 3 ? 0 : some
        const bar = tinyPart({
          id: 'bar',
          mounts: [
            plug('foot', 'thread-1/4'),
            ...[0, 1, 2, 3].map((i) => socket(`hole-${i}`, 'thread-1/4', [30 * i - 45, 20, 0])),
          ],
        })
        const parts = Array.from({ length: screens }, (_, i) =>
          screen(`screen-${i}`, { sockets: [...(screen().sockets ?? []), ...loop(screens, i)] }),
        )
        const ears = Array.from({ length: mics }, (_, i) => mic(`mic-${i}`))
        const leads = list.map(([kind, usual, lengthMm], i) => {
          const made = kind === 'hdmi' ? hdmiLead : kind === 'tap' ? tapLead : micLead
          return { ...made(`lead-${i}`, { lengthMm }), price: { low: usual, usual, high: usual } }
        })
        const tiny = wiredRig(
          [pack(), bar, ...parts, ...ears, tank()],
          [
            inBay(),
            on('bar', 'foot', 'camera', 'hole'),
            ...parts.map((part, i) => on(part.id, 'foot', 'bar', `hole-${i}`)),
            on('tank', 'foot', 'bar', 'hole-3'),
            ...ears.map((part) => on(part.id, 'foot', 'camera', 'shoe')),
          ],
          [],
          {
            extra: leads,
            owned: Object.fromEntries(list.flatMap(([, , , has], i) => (has ? [[`lead-${i}`, 1]] : []))),
          },
        )
        const plan = planFor(tiny)
        const cost = plan.leads.reduce((sum, option) => sum + option.cost, 0) + plan.unmet.length * UNMET_COST
        expect(plan.exact).toBe(true)
        expect(cost).toBeCloseTo(cheapest(tiny), 6)
      },
    ),
    { numRuns: 60 },
  )
})

test('the choice does not hang on the order of the catalogue', () => {
  const turned = {
    ...all,
    context: { ...all.context, catalogue: catalogueOf([...all.context.catalogue.parts.values()].reverse()) },
  }
  expect(said(planFor(turned).leads)).toEqual(said(planFor(all).leads))
})

test('leads that are in stay in, and their sockets are not given away', () => {
  const wired = wiredRig(
    [pack(), screen(), screen('second'), hdmiLead()],
    [inBay(), on('screen', 'foot', 'camera', 'hole'), on('second', 'foot', 'camera', 'pinned')],
    [link('hdmi', 'camera/hdmi', 'screen/in')],
    { extra: [hdmiLead('more')] },
  )
  const plan = planFor(wired)
  expect(plan.leads).toEqual([])
  expect(plan.unmet.filter(({ demand }) => demand.what === 'picture').map(({ why }) => why)).toEqual(['sockets-taken'])
})

test('a plate without a battery feeds nothing, and a battery no more than it gives itself', () => {
  const between = (more: Partial<Part>) => {
    const tiny = wiredRig(
      [screen(), tank('tank', more)],
      [on('screen', 'foot', 'camera', 'pinned'), on('tank', 'foot', 'camera', 'hole')],
      [],
      { extra: [tapLead()] },
    )
    const assembly = assemblyOf(tiny)
    const at = (id: string, socketId: string) => {
      const piece = assembly.byInstance.get(id)
      const found = piece?.part.sockets?.find((one) => one.id === socketId)
      if (!piece || !found) throw new Error(id)
      return { piece, socket: found }
    }
    const { options, why } = leadsBetween(assembly, stockOf(tiny), at('tank', 'tap'), at('screen', 'dc'), 'power')
    return options.length > 0 ? 'a lead' : why
  }
  const store = { capacityWh: 100, volts: { min: 11, max: 16.8 }, gauge: true }
  expect(between({})).toBe('a lead')
  // The screen draws 5 W.
  expect(between({ power: { store: { ...store, maxW: 5 } } })).toBe('a lead')
  expect(between({ power: { store: { ...store, maxW: 4.9 } } })).toBe('watts')
  expect(between({ power: {} })).toBe('watts')
})

test('of leads at hand the best of each length and angle is kept: one kind does not crowd out the others', () => {
  const kinds = [300, 350, 400].flatMap((lengthMm) =>
    [1, 2, 3, 4].map((n) => hdmiLead(`lead-${lengthMm}-${n}`, { lengthMm })),
  )
  const angled = hdmiLead('angled', { lengthMm: 400, a: { connector: 'hdmi-a', angle: 'down' } })
  const tiny = wiredRig([pack(), screen(), ...kinds, angled], [inBay(), on('screen', 'foot', 'camera', 'pinned')])
  const assembly = assemblyOf(tiny)
  const here = (id: string, socketId: string) => {
    const piece = assembly.byInstance.get(id)
    const found = piece?.part.sockets?.find((one) => one.id === socketId)
    if (!piece || !found) throw new Error(id)
    return { piece, socket: found }
  }
  const { options } = leadsBetween(assembly, stockOf(tiny), here('camera', 'hdmi'), here('screen', 'in'), 'picture')
  const atHand = options.filter(({ source }) => source === 'kit').map(({ part }) => part.id)
  expect(atHand).toEqual(expect.arrayContaining(['lead-300-1', 'lead-350-1', 'lead-400-1', 'angled']))
  expect(atHand).toHaveLength(4)
})
