import fc from 'fast-check'
import { adapterChains } from './adapters.ts'
import { catalogueOf, mate } from '../catalogue/index.ts'
import { plug, socket, tinyCamera, tinyPart } from '../testing/index.ts'

describe('adapters', () => {
  const riser = tinyPart({
    id: 'riser',
    massG: 24,
    mounts: [plug('below', 'thread-1/4'), socket('above', 'thread-3/8-pin', [0, 20, 0])],
  })
  const heavy = tinyPart({ ...riser, id: 'heavy', massG: 60 })
  const shoeHole = tinyPart({
    id: 'shoe-hole',
    massG: 12,
    mounts: [plug('below', 'shoe-cold'), socket('above', 'thread-1/4', [0, 20, 0])],
  })
  const handle = { part: tinyPart({ id: 'handle', role: 'top-handle' }), mount: plug('foot', 'thread-3/8-pin') }
  const hole = { part: tinyCamera, mount: socket('hole', 'thread-1/4', [0, 40, 0]) }
  const shoe = { part: tinyCamera, mount: socket('shoe', 'shoe-cold', [0, 40, 0]) }
  const names = (chains: ReturnType<typeof adapterChains>) =>
    chains.map(({ links }) => links.map(({ part }) => part.id).join('+'))

  test('the lighter comes first, the owned before that', () => {
    const catalogue = catalogueOf([riser, heavy, shoeHole])
    expect(names(adapterChains(hole, handle, catalogue, new Map()))).toEqual(['riser', 'heavy'])
    expect(names(adapterChains(hole, handle, catalogue, new Map([['heavy', 1]])))).toEqual(['heavy', 'riser'])
  })
  test('two in a row when one will not do; none when nothing will', () => {
    expect(names(adapterChains(shoe, handle, catalogueOf([riser, shoeHole]), new Map()))).toEqual(['shoe-hole+riser'])
    expect(adapterChains(shoe, handle, catalogueOf([riser]), new Map())).toEqual([])
  })
  test('every link of a chain mates with the next', () => {
    for (const { links } of adapterChains(shoe, handle, catalogueOf([riser, heavy, shoeHole]), new Map())) {
      const ends = links.flatMap(({ part, sitsBy, offers }) =>
        [sitsBy, offers].map((id) => ({ part, mount: part.mounts.find((mount) => mount.id === id) as never })),
      )
      const chain = [shoe, ...ends, handle]
      for (let i = 0; i < chain.length; i += 2) expect(mate(chain[i] as never, chain[i + 1] as never).ok).toBe(true)
    }
  })
})

test('the best chain is the best of all chains, tried one by one', () => {
  const ends = ['thread-1/4', 'thread-3/8', 'thread-1/4-pin', 'thread-3/8-pin', 'shoe-cold', 'nato'] as const
  const end = fc.constantFrom(...ends)
  const joiner = fc.record({
    below: end,
    above: end,
    massG: fc.integer({ min: 1, max: 60 }),
    price: fc.integer({ min: 1, max: 20 }),
  })
  const burdenOf = (parts: readonly ReturnType<typeof tinyPart>[], loose: number) =>
    parts.reduce((sum, part) => sum + part.massG / 10 + 20 / 5 + part.price.usual / 100, 0) + loose / 0.1
  fc.assert(
    fc.property(fc.array(joiner, { minLength: 1, maxLength: 7 }), end, end, (list, from, to) => {
      const more = (standard: string) =>
        standard === 'nato'
          ? { lengthMm: 40, travel: { along: [0, 0, 1] as const, minMm: 0, maxMm: 0, stepMm: 1 } }
          : {}
      const parts = list.map(({ below, above, massG, price }, i) =>
        tinyPart({
          id: `joiner-${i}`,
          massG,
          price: { low: price * 100, usual: price * 100, high: price * 100 },
          mounts: [plug('below', below, more(below)), socket('above', above, [0, 20, 0], [0, 1, 0], more(above))],
        }),
      )
      const host = { part: tinyCamera, mount: socket('host', from, [0, 40, 0], [0, 1, 0], more(from)) }
      const guest = { part: tinyPart({ id: 'guest' }), mount: plug('foot', to, more(to)) }
      let shortest = Infinity
      let least = Infinity
      const walk = (at: typeof host, used: readonly (typeof host.part)[], loose: number) => {
        if (used.length > 0) {
          const last = mate(at, guest)
          if (last.ok && used.length <= shortest) {
            const burden = burdenOf(used, loose + (last.value.holdsTwist ? 0 : 1))
            least = used.length < shortest ? burden : Math.min(least, burden)
            shortest = used.length
          }
        }
        if (used.length === 3) return
        for (const part of parts) {
          const [below, above] = part.mounts
          if (used.includes(part) || !below || !above) continue
          // An adapter may be turned over: either end may be the one it sits by.
          for (const [by, offer] of [
            [below, above],
            [above, below],
          ] as const) {
            const made = mate(at, { part, mount: by })
            if (made.ok) walk({ part, mount: offer }, [...used, part], loose + (made.value.holdsTwist ? 0 : 1))
          }
        }
      }
      walk(host, [], 0)
      const [chain] = adapterChains(host, guest, catalogueOf(parts), new Map())
      expect(chain?.links.length ?? Infinity).toBe(shortest)
      if (chain)
        expect(
          burdenOf(
            chain.links.map(({ part }) => part),
            chain.loose,
          ),
        ).toBeCloseTo(least, 6)
    }),
    { numRuns: 150 },
  )
})
