import type { Part } from '../../catalogue/index.ts'
import { hdmiLead, screen } from '../../testing/wired.ts'
import { signalUnsupported } from './signal-unsupported.ts'
import { testCheck } from '../tester.ts'
import { shown } from '../../testing/lead-rigs.ts'

const taking = (...formats: NonNullable<NonNullable<Part['sockets']>[number]['formats']>) => ({
  sockets: (screen().sockets ?? []).map((own) => (own.id === 'in' ? { ...own, formats } : own)),
})

testCheck(signalUnsupported, {
  speaks: [
    {
      name: 'a screen for raw only',
      message: 'none',
      level: 'risk',
      parts: ['screen'],
      ...shown(hdmiLead(), [], taking('raw')),
    },
    {
      name: 'a recorder that gets less than the camera gives',
      message: 'less',
      level: 'hint',
      ...shown(hdmiLead(), [], { ...taking('hd60'), media: { codecs: [{ id: 'hd', title: 'HD', mbps: 50 }] } }),
    },
  ],
  silent: [
    { name: 'all of it', message: 'passes', ...shown(hdmiLead()) },
    { name: 'less, on a screen', message: 'enough', ...shown(hdmiLead('hdmi', { upTo: 'hd60' })) },
  ],
})
