import type { Part } from '../../catalogue/index.ts'
import { on } from '../../testing/index.ts'
import { hdmiLead, link, screen, wiredCamera, wiredRig } from '../../testing/wired.ts'
import { testCheck } from '../tester.ts'
import { codecUnmet } from './codec-unmet.ts'

type Formats = NonNullable<NonNullable<Part['sockets']>[number]['formats']>
const upTo = (part: Part, id: string, formats: Formats): Part => ({
  ...part,
  sockets: (part.sockets ?? []).map((socket) => (socket.id === id ? { ...socket, formats } : socket)),
})
const all: Formats = ['hd60', 'uhd30', 'uhd60', 'raw']
const recorder = (formats: Formats): Part =>
  upTo(
    {
      ...screen('recorder'),
      media: {
        codecs: [
          { id: 'uhd', title: 'UHD', mbps: 400 },
          { id: 'raw', title: 'raw', mbps: 2000 },
        ],
        takes: ['sd'],
      },
    },
    'in',
    formats,
  )
/** A camera that sends so much, a recorder that takes so much, and a lead between them or none. */
const asked = (codec: string, sends: Formats, takes: Formats, joined = true) =>
  wiredRig(
    [recorder(takes), hdmiLead()],
    [on('recorder', 'foot', 'camera', 'hole')],
    joined ? [link('hdmi', 'camera/hdmi', 'recorder/in')] : [],
    { brief: { codec }, camera: upTo(wiredCamera, 'hdmi', sends) },
  )

testCheck(codecUnmet, {
  speaks: [
    {
      name: 'a recorder for raw, and a camera that sends UHD',
      message: 'path',
      level: 'risk',
      parts: ['recorder'],
      ...asked('raw', ['hd60', 'uhd30'], all),
    },
    { name: 'a recorder for raw, and no lead', message: 'unfed', ...asked('raw', all, all, false) },
    { name: 'nobody makes it', message: 'none', parts: ['camera'], ...asked('film', all, all) },
  ],
  silent: [
    { name: 'raw all the way', message: 'made', ...asked('raw', all, all) },
    { name: 'the camera’s own', message: 'made', ...asked('uhd', ['hd60'], all) },
  ],
})
