import type { Part } from '../../catalogue/index.ts'
import { inShoe } from '../../testing/sound-rigs.ts'
import { link, mic, micLead, wiredCamera, wiredRig } from '../../testing/wired.ts'
import { testCheck } from '../tester.ts'
import { weakPreamp } from './weak-preamp.ts'

/** A mic in the shoe that gives so much at 1 Pa. */
const hot = (mvPerPa: number): Part => {
  const plain = mic()
  return { ...plain, sockets: (plain.sockets ?? []).map((socket) => ({ ...socket, mvPerPa })) }
}
const noisy = (noiseDbu: number): Part => ({
  ...wiredCamera,
  sockets: (wiredCamera.sockets ?? []).map((socket) => (socket.id === 'mic' ? { ...socket, noiseDbu } : socket)),
})
const into = (mvPerPa: number, noiseDbu: number) =>
  wiredRig([hot(mvPerPa), micLead('trs')], [inShoe()], [link('trs', 'mic/out', 'camera/mic')], {
    camera: noisy(noiseDbu),
  })

testCheck(weakPreamp, {
  speaks: [
    {
      // 10 mV/Pa at 0.02 Pa: 0.2 mV, 20 log (0.2 / 774.6) = -71.8 dBu; 26.2 dB over -98.
      name: 'a quiet mic into a noisy jack',
      message: 'hiss',
      level: 'hint',
      numbers: { overDb: 26.2, levelDbu: -71.8, leastDb: 40 },
      parts: ['trs', 'mic', 'camera'],
      ...into(10, -98),
    },
  ],
  silent: [
    // 40 dB over the noise, to a tenth: 20 log (0.2 / 774.6) = -71.76.
    { name: 'exactly 40 dB over it', message: 'clean', numbers: { overDb: 40 }, ...into(10, -111.76) },
    { name: 'a hot mic into the same jack', message: 'clean', numbers: { overDb: 40.2 }, ...into(50, -98) },
  ],
})
