import { type Command, edit, placeSetup } from '@zucchini/core/assembly'
import { catalogueOf } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark, secondMark } from '@zucchini/demo/scenario'
import { checks, factsOf, factNames } from '@zucchini/core/checks'
const shelf = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
for (const [name, rig, rem, warm] of [
  ['second no cures warm edit', secondMark, false, true],
  ['first cures cold', firstMark, true, false],
] as const) {
  const t: Record<string, number> = {}
  const N = 200
  for (let i = 0; i < N + 50; i++) {
    if (i === 50) for (const k in t) t[k] = 0
    const clock = (k: string, f: () => unknown) => {
      const a = performance.now()
      f()
      t[k] = (t[k] ?? 0) + performance.now() - a
    }
    let r = warm ? rig : structuredClone(rig)
    if (warm) {
      const e = edit(rig, [{ do: 'set', setup: 'crossing', instance: 'mic', turnDeg: i % 2 ? 0 : 180 } as Command], shelf.catalogue)
      if (e.ok) r = e.value
    }
    const setup = r.setups[0]!
    let facts!: ReturnType<typeof factsOf>
    clock('place', () => {
      facts = factsOf(placeSetup(r, setup, shelf.catalogue), shelf)
    })
    for (const f of factNames) clock('fact ' + f, () => facts[f])
    for (const c of checks) clock(c.id, () => c.run(facts, rem))
  }
  console.log(name, 'total', (Object.values(t).reduce((a, b) => a + b) / N).toFixed(3))
  for (const [k, v] of Object.entries(t)
    .sort((a, b) => b[1] - a[1])
    .slice(0, 16))
    console.log('  ', k, (v / N).toFixed(3))
}
