import { inBay } from '../../testing/wired.ts'

test('a powered rig is not asked for what it has', () => {
  expect(inBay('pack')).toMatchObject({ host: 'camera', hostMount: 'bay' })
})
