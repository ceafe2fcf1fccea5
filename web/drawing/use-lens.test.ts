import { mount } from '@vue/test-utils'
import { defineComponent, h, ref } from 'vue'
import { type Lens, wholeSheet, zoomedAt } from './lens.ts'
import { useLens } from './use-lens.ts'

/** A sheet of 400 x 200 px at the corner of the screen. */
const sheetWith = (start: Lens) => {
  const lens = ref(start)
  const presses = ref(0)
  const page = mount(
    defineComponent({
      setup: () => {
        const sheet = ref<HTMLElement | null>(null)
        const { handlers, click, dragging } = useLens(
          sheet,
          () => lens.value,
          (next) => (lens.value = next),
        )
        return () =>
          h(
            'div',
            {
              ref: (el) => {
                sheet.value = el as HTMLElement
                if (el)
                  (el as HTMLElement).getBoundingClientRect = () =>
                    ({ left: 0, top: 0, width: 400, height: 200 }) as DOMRect
              },
              'data-dragging': dragging.value,
              onWheel: handlers.wheel,
              onPointerdown: handlers.pointerdown,
              onPointermove: handlers.pointermove,
              onPointerup: handlers.pointerup,
              onClickCapture: click,
            },
            [h('button', { onClick: () => presses.value++ }, 'a piece')],
          )
      },
    }),
  )
  const pointer = (
    type: string,
    x: number,
    y: number,
    { buttons = 1, ...more }: { buttons?: number; pointerId?: number; pointerType?: string } = {},
  ) => {
    const event = new MouseEvent(type, { clientX: x, clientY: y, buttons, bubbles: true, cancelable: true })
    Object.assign(event, { pointerId: 1, pointerType: 'touch', ...more })
    page.element.dispatchEvent(event)
  }
  return { page, lens, presses, pointer }
}
const twice = zoomedAt(wholeSheet, 2)

test('the wheel comes nearer to the place under the pointer, and the page does not scroll', () => {
  const { page, lens } = sheetWith(wholeSheet)
  const event = new WheelEvent('wheel', { deltaY: -462, clientX: 100, clientY: 50, cancelable: true })
  page.element.dispatchEvent(event)
  expect(event.defaultPrevented).toBe(true)
  expect(lens.value.zoom).toBeCloseTo(2, 2)
  // A quarter in stays a quarter in.
  expect((0.25 - lens.value.u) / lens.value.zoom).toBeCloseTo(0.25, 6)
})

test('a drag moves the sheet by as much, and the click that ends it is no press', async () => {
  const { page, lens, presses, pointer } = sheetWith(twice)
  pointer('pointerdown', 200, 100)
  pointer('pointermove', 240, 110)
  expect([lens.value.u, lens.value.v]).toEqual([expect.closeTo(-0.4, 9), expect.closeTo(-0.45, 9)])
  pointer('pointerup', 240, 110)
  await page.find('button').trigger('click')
  expect(presses.value).toBe(0)
  await page.find('button').trigger('click')
  expect(presses.value).toBe(1)
})

test('the whole sheet is not moved: a finger on it scrolls the page, and a press is a press', async () => {
  const { page, lens, presses, pointer } = sheetWith(wholeSheet)
  pointer('pointerdown', 200, 100)
  pointer('pointermove', 200, 160)
  pointer('pointerup', 200, 160)
  expect(lens.value).toEqual(wholeSheet)
  await page.find('button').trigger('click')
  expect(presses.value).toBe(1)
})

test('a hand that trembles presses', async () => {
  const { page, lens, presses, pointer } = sheetWith(twice)
  pointer('pointerdown', 200, 100)
  pointer('pointermove', 202, 101)
  pointer('pointerup', 202, 101)
  await page.find('button').trigger('click')
  expect([lens.value, presses.value]).toEqual([twice, 1])
})

test('two fingers that part come nearer by as much as they part', () => {
  const { lens, pointer } = sheetWith(wholeSheet)
  pointer('pointerdown', 150, 100, { pointerId: 1 })
  pointer('pointerdown', 250, 100, { pointerId: 2 })
  pointer('pointermove', 350, 100, { pointerId: 2 })
  expect(lens.value.zoom).toBeCloseTo(2, 6)
})

test('a mouse button that was let go beside the sheet drags nothing when the mouse comes back', () => {
  const { lens, pointer } = sheetWith(twice)
  pointer('pointerdown', 200, 100, { pointerType: 'mouse', buttons: 1 })
  pointer('pointermove', 300, 150, { pointerType: 'mouse', buttons: 0 })
  expect(lens.value).toEqual(twice)
})
