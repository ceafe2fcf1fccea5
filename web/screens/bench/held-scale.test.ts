import { evaluate } from '@zucchini/core/assess'
import { momentOf } from '@zucchini/core/facts'
import { firstMark, secondMark } from '@zucchini/demo/scenario'
import { demoContext } from '../../testing/demo.ts'
import { heldScale } from './held-scale.ts'

const style = { units: 'metric', currency: 'EUR' } as const
const graders: Readonly<Record<string, string>> = { tripod: 'plate-offset', 'hand-low': 'hang-tilt' }
const setups = [firstMark, secondMark].flatMap((rig) => rig.setups.map((setup) => ({ rig, setup })))

test('a scale asks the one rule that grades it; all others wait for whoever looks at the findings', () => {
  let graded = 0
  for (const { rig, setup } of setups) {
    const grader = graders[setup.support]
    if (!grader) continue
    graded++
    const assessment = evaluate(structuredClone(rig), setup.id, demoContext)
    heldScale(assessment, style)
    const asked = [...momentOf(assessment.strict).evaluator.counts.keys()].filter((query) => query.startsWith('check '))
    expect([setup.id, asked]).toEqual([setup.id, [`check ${grader}`]])
  }
  expect(graded).toBeGreaterThan(2)
})

test('it is graded as the findings grade it: a stop or a risk is over, a hint is a look, else good', () => {
  const states = new Set<string>()
  for (const { rig, setup } of setups) {
    const grader = graders[setup.support]
    if (!grader) continue
    const assessment = evaluate(rig, setup.id, demoContext)
    const levels = assessment.findings.filter(({ check }) => check === grader).map(({ level }) => level)
    const wanted = levels.length === 0 ? 'good' : levels[0] === 'hint' ? 'look' : 'over'
    expect([setup.id, heldScale(assessment, style).state]).toEqual([setup.id, wanted])
    states.add(wanted)
  }
  expect(states.has('good') && states.has('over')).toBe(true)
})
