import { deserialize, serialize } from 'node:v8'
import { buildPlanOf } from '@zucchini/core/assess'
import { viewIds } from '@zucchini/core/drawing'
import { createPinia, setActivePinia } from 'pinia'
import { ref } from 'vue'
import { useField } from '../../stores/field.ts'
import { useTicks } from '../../stores/ticks.ts'
import { first, onPage, second } from '../../testing/demo.ts'
import ScaleLoupe from './ScaleLoupe.vue'
import StepCard from './StepCard.vue'
import { sceneOf } from './step-picture.ts'
import { checkOf, howOf, proofWords, stepKey, titleOf } from './step-words.ts'

const style = { units: 'metric', currency: 'EUR' } as const
const rig = second()
const plan = buildPlanOf(rig)
const at = (instance: string) => plan.steps.findIndex((step) => step.instance === instance)

test('every step of the demo says what, how and what to look at; nothing is left to fill in', () => {
  for (const assessment of [rig, second('slip'), first(), first('slip')])
    for (const step of buildPlanOf(assessment).steps) {
      const words = [titleOf(step), ...howOf(step, style), checkOf(step)]
      expect(words.filter((one) => !one || /\{|undefined|NaN/.test(one))).toEqual([])
    }
})

test('the plan can be sent from the worker: it holds nothing but plain data, also where pieces do not go on', () => {
  const broken = buildPlanOf(first())
  expect(broken.unfit.length).toBeGreaterThan(0)
  expect(deserialize(serialize(broken))).toEqual(broken)
})

test('a step shows what stands so far, what comes from where it comes, and its place', () => {
  const handle = sceneOf(rig.assembly, plan.steps, at('handle'))
  expect(handle?.soFar.map(({ instance }) => instance.id)).toEqual(['camera', 'cage', 'plate'])
  expect(handle?.coming.map(({ instance }) => instance.id)).toEqual(['handle'])
  // It comes from above: it is drawn above its place, nowhere else.
  const [coming, place] = [handle?.coming[0], handle?.place[0]]
  expect((coming?.centre[1] ?? 0) - (place?.centre[1] ?? 0)).toBeGreaterThan(50)
  expect(coming?.centre[0]).toBeCloseTo(place?.centre[0] ?? NaN)
  expect(handle?.view).toBe('side')
  // What comes from the left is seen from the front, or one would see nothing of it.
  expect(sceneOf(rig.assembly, plan.steps, at('side'))?.view).toBe('front')
  for (const view of viewIds) expect(sceneOf(rig.assembly, plan.steps, 3, view)?.view).toBe(view)
  expect(sceneOf(rig.assembly, plan.steps, plan.steps.length)).toBeUndefined()
})

test('the card of a step: point, tool with its size, screw, seconds, check; the scale under a glass', async () => {
  const { page } = await onPage(StepCard, {
    props: { assembly: rig.assembly, steps: plan.steps, at: at('handle'), width: 760, height: 290 },
  })
  const text = page.text()
  for (const word of ['Sedgewick small top handle', 'cage top, front', '4 mm key', '40 s', 'Twist it hard'])
    expect(text).toContain(word)
  // The handle slides by 18 mm either way on its slot: at +6 it stands 24 mm from the end.
  expect(page.find('[data-loupe]').text()).toContain('24 mm')
  expect(page.find('[data-state="so-far"]').exists()).toBe(true)
  expect(page.find('[data-state="ghost"]').exists()).toBe(true)
})

test('the glass shows the figure between its neighbours, never less than nothing', async () => {
  const { page } = await onPage(ScaleLoupe, { props: { mm: 2, x: 60, y: 60, radius: 50, from: [200, 60] } })
  const figures = page.findAll('g text').map((one) => one.text())
  expect(figures).toContain('0')
  expect(figures.some((one) => one.startsWith('-'))).toBe(false)
})

test('a lead says its volts before it is plugged, and pictures go in last', () => {
  const fed = buildPlanOf(first('slip'))
  const power = fed.steps.find(({ volts }) => volts)
  if (!power) throw new Error('the first mark on the slip is fed by a lead')
  expect(howOf(power, style)[0]).toMatch(/^Before plugging: it gives .* V/)
  const leads = plan.steps.filter((step) => step.do === 'plug in')
  expect(leads.at(-1)?.carries).toContain('picture')
})

test('ticks are told of the rig; a step that is set otherwise since then is open again', async () => {
  setActivePinia(createPinia())
  // No network: everything is kept here and counts.
  globalThis.fetch = () => Promise.reject(new TypeError('no connection'))
  const [one, two] = plan.steps
  if (!one || !two) throw new Error('there are steps')
  const ticks = useTicks(
    () => ({ id: 'rig', revision: 4 }),
    () => 'build crossing',
    ref(plan.steps.map(stepKey)),
  )
  await ticks.tick(stepKey(one), true)
  await ticks.tick(stepKey(two), true)
  expect([ticks.isDone(stepKey(one)), ticks.count.value]).toEqual([true, 2])
  await ticks.tick(stepKey(two), false)
  expect(ticks.count.value).toBe(1)
  expect(ticks.isDone(stepKey({ ...one, commands: [] }))).toBe(false)
  await ticks.clear()
  expect(ticks.count.value).toBe(0)
  expect(useField().waiting.map(({ rigId, revision }) => [rigId, revision])).toEqual(Array(4).fill(['rig', 4]))
})

test('what to try at the end names the figure that is to be expected', () => {
  const said = plan.proofs.map((proof) => proofWords(proof, style))
  expect(said.some(({ expect: what }) => what.startsWith('2,276 g'))).toBe(true)
  expect(
    said.some(({ do: what, expect: figure }) => what.includes('one finger') && /0\.3° (level|nose down)/.test(figure)),
  ).toBe(true)
  for (const { do: what, expect: figure } of said) expect(`${what} ${figure}`).not.toMatch(/[{}]|undefined/)
})

test('what is joined in the hand is drawn without the rig, and comes to it with what carries it', () => {
  const [cage, handle] = [at('cage'), at('handle')].map((i) => plan.steps[i])
  if (!cage || !handle) throw new Error('cage and handle')
  const steps = [
    { ...handle, inHand: true, commands: [] },
    { ...cage, riders: [{ instance: handle.instance, name: handle.name }] },
  ]
  const inHand = sceneOf(rig.assembly, steps, 0)
  expect([inHand?.soFar, inHand?.coming].map((list) => list?.map(({ instance }) => instance.id))).toEqual([
    ['cage'],
    ['handle'],
  ])
  const both = sceneOf(rig.assembly, steps, 1)
  expect([both?.soFar, both?.place].map((list) => list?.map(({ instance }) => instance.id))).toEqual([
    ['camera'],
    ['cage', 'handle'],
  ])
  expect(howOf(steps[0] ?? cage, style)[0]).toBe('In the hand, before that goes on the rig.')
  expect(howOf(steps[1] ?? cage, style).join(' ')).toContain(`${handle.name} is on it already.`)
  expect(stepKey(steps[0] ?? cage)).toBe('join handle')
})
