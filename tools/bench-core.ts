import { evaluate, fitsHere } from '@zucchini/core/assess'
import { type Command, edit, type Rig } from '@zucchini/core/assembly'
import { catalogueOf } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark, secondMark } from '@zucchini/demo/scenario'
import { Bench } from 'tinybench'

const shelf = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const bench = new Bench({ time: 1500, warmupTime: 500, retainSamples: true })

/** The same rig in new objects, so that nothing remembered from before helps. */
const anew = (rig: Rig): Rig => structuredClone(rig)
const slides = [8, 9, 10, 11].map((slideMm): Command[] => [{ do: 'set', setup: 'crossing', instance: 'handle', slideMm }])
let turn = 0

const before = evaluate(secondMark, 'crossing', shelf)
const point = before.points.find(({ piece, mount }) => piece.instance.id === 'cage' && mount.id === 'top-left')
if (!point) throw new Error('the second mark has no open point cage/top-left any more')

bench
  .add('evaluate, second mark, nothing remembered', () => void evaluate(anew(secondMark), 'crossing', shelf))
  .add('evaluate, first mark with its cures, nothing remembered', () => void evaluate(anew(firstMark), 'crossing', shelf))
  .add('edit one slide and evaluate', () => {
    const edited = edit(secondMark, slides[turn++ % slides.length] ?? [], shelf.catalogue)
    if (edited.ok) evaluate(edited.value, 'crossing', shelf)
  })
  .add(`fits here, ${demoParts.length} parts`, () => void fitsHere(secondMark, 'crossing', point, shelf, before))

await bench.run()
const ms = (value: number | undefined) => `${(value ?? NaN).toFixed(2)} ms`.padStart(9)
for (const { name, result } of bench.tasks) {
  if (result.state !== 'completed') throw new Error(`${name} did not finish: ${result.state}`)
  const samples = [...(result.latency.samples ?? [])].sort((a, b) => a - b)
  const at = (share: number) => samples[Math.floor((samples.length - 1) * share)]
  console.log(`${name.padEnd(58)} median ${ms(at(0.5))}   p95 ${ms(at(0.95))}   (${samples.length} runs)`)
}
