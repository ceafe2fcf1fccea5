/**
 * While a finger or a button is down nothing may move from under it: a press that begins leaves the field one was in, and
 * a complaint that goes or comes there would push what is pressed aside, so that the press were lost.
 */
let isDown = false
const waiting: (() => void)[] = []

const down = (): void => {
  isDown = true
}
const up = (): void => {
  isDown = false
  // The press itself is told in the same turn as its end.
  setTimeout(() => {
    for (const run of waiting.splice(0)) run()
  })
}
addEventListener('pointerdown', down, true)
for (const end of ['pointerup', 'pointercancel'] as const) addEventListener(end, up, true)
// A window that is left hears of no end. That a field was left does not come up to here.
addEventListener('blur', up)

/** Does something at once, or as soon as what is pressed is let go. */
export const oncePressed = (run: () => void): void => {
  if (isDown) waiting.push(run)
  else run()
}
