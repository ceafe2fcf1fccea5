import { inHand } from '@zucchini/core/balance'
import { evaluate } from '@zucchini/core/assess'
import { edit } from '@zucchini/core/assembly'
import { slidStrokesOf, strokesOf } from '@zucchini/core/drawing'
import { demoContext, onPage, second } from '../testing/demo.ts'
import PartThumb from './PartThumb.vue'
import RigSketch from './RigSketch.vue'
import RigStrokes from './RigStrokes.vue'

const fit = { scale: 2, x: 200, y: 300 }
const strokes = strokesOf('side', second().assembly, fit)
const drawn = (more: object = {}) => onPage(RigStrokes, { props: { strokes, hatchId: 'hatch', ...more } })

test('a press anywhere on a piece picks it, wherever on it; beside it nothing is picked', async () => {
  const { page } = await drawn()
  await page.find('[data-instance="cage"] path').trigger('click')
  await page.find('defs').trigger('click')
  expect(page.emitted('pick')).toEqual([['cage']])
})

test('windows show through, what lies on a face is drawn finer, the picked piece heavier and amber', async () => {
  const { page } = await drawn({ picked: 'cage' })
  const paths = page.findAll('[data-instance="cage"] > path[fill-rule="evenodd"]')
  expect(paths.length).toBeGreaterThan(1)
  expect(new Set(paths.map((one) => one.attributes('stroke')))).toEqual(new Set(['var(--amber)']))
  const widths = (id: string) =>
    page
      .findAll(`[data-instance="${id}"] > path[fill-rule="evenodd"]`)
      .map((one) => Number(one.attributes('stroke-width')))
  expect(Math.max(...widths('cage'))).toBe(2)
  expect(new Set(widths('camera'))).toEqual(new Set([1.2, 0.8]))
})

test('rubber is dotted and soft matter hatched by patterns of this drawing alone', async () => {
  const { page } = await drawn()
  const fills = page.findAll('path').map((one) => one.attributes('fill') ?? '')
  expect(fills).toContain('url(#hatch-grip)')
  expect(page.find('#hatch-grip').exists()).toBe(true)
  expect(fills.filter((fill) => fill.startsWith('url(')).every((fill) => fill.startsWith('url(#hatch-'))).toBe(true)
})

test('a ghost is all leaf and without texture; a card has neither lines nor figures', async () => {
  const { page: ghost } = await drawn({ state: 'ghost' })
  expect(ghost.attributes('data-state')).toBe('ghost')
  expect(new Set(ghost.findAll('path[fill-rule]').map((one) => one.attributes('stroke')))).toEqual(
    new Set(['var(--leaf)']),
  )
  expect(ghost.findAll('path[opacity]').length).toBe(0)
  expect(ghost.findAll('text').length).toBe(0)
  const { page: ink } = await drawn()
  expect(ink.findAll('text').map((one) => one.text())).toContain('20')
  const { page: card } = await drawn({ thin: true })
  expect(card.findAll('path[opacity]').length + card.findAll('text').length).toBe(0)
})

test('strokes that stay the same object are not drawn again; another piece picked draws two pieces again', async () => {
  const { page } = await drawn({ picked: 'cage' })
  const before = page.find('[data-instance="handle"]').element
  await page.setProps({ picked: 'camera' })
  expect(page.find('[data-instance="handle"]').element).toBe(before)
  expect(page.find('[data-instance="camera"] path').attributes('stroke')).toBe('var(--amber)')
  expect(page.find('[data-instance="cage"] path').attributes('stroke')).toBe('var(--ink)')
})

test('what slid keeps its paths and is moved as it is; nothing else is touched', async () => {
  const slid = (slideMm: number) => {
    const rig = second()
    const edited = edit(
      rig.rig,
      [{ do: 'set', setup: rig.setupId, instance: 'handle', slideMm }],
      demoContext.catalogue,
    )
    if (!edited.ok) throw new Error('it slides')
    return slidStrokesOf('side', evaluate(edited.value, rig.setupId, demoContext).assembly, fit)
  }
  const { page } = await onPage(RigStrokes, { props: { strokes: slid(6), hatchId: 'hatch' } })
  const handle = () => page.findAll('[data-instance="handle"] path')
  const was = handle().map((one) => [one.element, one.attributes('d')])
  await page.setProps({ strokes: slid(9) })
  expect(handle().map((one) => [one.element, one.attributes('d')])).toEqual(was)
  const asideOf = (id: string) => page.find(`[data-instance="${id}"]`).element.parentElement?.getAttribute('transform')
  // Three millimetres at two px each, to the left or the right as the slide runs.
  expect(asideOf('handle')).toMatch(/^translate\(-?6 0\)$/)
  expect(asideOf('cage')).toBeNull()
})

test('a small picture shows the whole rig; a stand under it is cut by a break line, not by the frame', async () => {
  const sketch = (assembly: ReturnType<typeof second>['assembly'], view = 'side') =>
    onPage(RigSketch, { props: { assembly, view, width: 300, height: 200 } })
  const { page: carried } = await sketch(second().assembly)
  expect(carried.find('.break-line').exists()).toBe(false)
  const { assembly } = second('slip')
  const { page: standing } = await sketch(assembly)
  const cut = Number(/^M0 ([\d.]+)/.exec(standing.find('.break-line path').attributes('d') ?? '')?.[1])
  expect(cut).toBeGreaterThan(180)
  // What is in the hand stands wholly above the cut, the head crosses it.
  const lowest = (id: string) =>
    Math.max(
      ...standing
        .findAll(`[data-instance="${id}"] path`)
        .flatMap((one) => [...(one.attributes('d') ?? '').matchAll(/[\d.-]+ ([\d.-]+)/g)].map(([, y]) => Number(y))),
    )
  const held = assembly.placed
    .filter(inHand)
    .map(({ instance }) => lowest(instance.id))
    .filter(Number.isFinite)
  expect(Math.max(...held)).toBeLessThan(cut)
  const stand = assembly.placed.filter((piece) => !inHand(piece)).map(({ instance }) => lowest(instance.id))
  expect(Math.max(...stand)).toBeGreaterThan(cut)
  const { page: above } = await sketch(assembly, 'top')
  expect(above.find('.break-line').exists()).toBe(false)
})

test('a part of every kind has a picture within its frame, from where its kind is known best', async () => {
  for (const [part] of demoContext.catalogue.byRole.values()) {
    if (!part) continue
    const { page } = await onPage(PartThumb, { props: { part } })
    const paths = page.findAll('path[fill-rule]').map((one) => one.attributes('d') ?? '')
    expect([part.id, paths.length > 0]).toEqual([part.id, true])
    expect([part.id, paths.some((d) => /NaN|Infinity/.test(d))]).toEqual([part.id, false])
    for (const [, x, y] of paths.join(' ').matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)) {
      expect([part.id, Number(x) > -4 && Number(x) < 56]).toEqual([part.id, true])
      expect([part.id, Number(y) > -4 && Number(y) < 44]).toEqual([part.id, true])
    }
    page.unmount()
  }
})

test('what stands so far has the same lines as in ink, in grey, and nothing picked or marked shows on it', async () => {
  const { page: ink } = await drawn()
  const { page: soFar } = await drawn({ state: 'so-far' })
  const outlines = (page: typeof ink) => page.findAll('[data-instance] path').map((one) => one.attributes('d'))
  expect(outlines(soFar)).toEqual(outlines(ink))
  expect(soFar.attributes('data-state')).toBe('so-far')
  expect(soFar.classes()).toContain('so-far')
})
