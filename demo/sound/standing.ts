import { basicH1, fullH1, h1, halfH1, out, tripod, type WrittenRig } from './common.ts'

/** Sound rigs on sticks, sliders and gimbals. */
export const standing: readonly WrittenRig[] = [
  {
    id: 'desk-bare',
    name: 'A clip at the desk, bare body',
    brief: { kind: 'desk' },
    camera: 'calabash-h1',
    setups: {
      desk: {
        support: 'tripod',
        poses: out,
        on: [
          ...h1,
          'mic=papyr-mini foot>camera.shoe',
          'plate=typha-plate-38 screw>camera.tripod',
          ...tripod('plate.foot'),
        ],
        leads: ['trs=luffa-trs-150 mic/out>camera/35-trs-1'],
      },
    },
  },
  {
    id: 'desk-cage',
    name: 'Self-shot in a cage, mic on top',
    brief: { kind: 'desk' },
    camera: 'chayote-m',
    setups: {
      desk: {
        support: 'tripod',
        on: [
          'zoom=chayote-16-50 bayonet>camera.lens',
          'pack=chayote-pack contacts>camera.bay',
          'cage=sedgewick-half-m seat>camera.seat',
          'mic=papyr-scratch foot>cage.shoe',
          'plate=typha-plate-38 screw>cage.base',
          ...tripod('plate.foot'),
        ],
        leads: ['trs=luffa-trs-150 mic/out>camera/35-trs-1'],
      },
    },
  },
  {
    id: 'promo-interview',
    bag: ['luffa-slab-17'],
    name: 'Promo and interviews on sticks',
    brief: { kind: 'promo', conditions: ['interviews'] },
    without: ['scratch-sound'],
    camera: 'calabash-h1',
    setups: {
      interview: {
        support: 'tripod',
        on: [
          'zoom=kabocha-24-70 bayonet>camera.lens',
          'vnd=phragma-vnd-82 rear>zoom.thread',
          'pack=calabash-pack contacts>camera.bay',
          fullH1,
          'receiver=luffa-receiver foot>cage.shoe',
          'tilt=tromba-ball-14 foot>cage.top-right',
          'monitor=crookneck-m5 bottom>tilt.stud',
          'slab=luffa-slab-17 back>monitor.slab',
          ...tripod('cage.dovetail'),
        ],
        leads: [
          'trs=luffa-trs-300 receiver/out>camera/35-trs-1',
          'hdmi=papyr-hdmi-500 camera/hdmi-a-4>monitor/hdmi-in',
        ],
      },
    },
  },
  {
    id: 'event-brick',
    name: 'A long event, brick on rods behind',
    brief: { kind: 'event' },
    without: ['scratch-sound'],
    camera: 'cushaw-c6',
    setups: {
      sticks: {
        support: 'tripod',
        on: [
          'zoom=cushaw-24-105 bayonet>camera.lens',
          'pack=cushaw-pack contacts>camera.bay',
          'cage=cushaw-half-c6 seat>camera.seat',
          'handle=cushaw-top-low foot>cage.top-front',
          'receiver=rushlight-receiver foot>cage.shoe',
          'head=gourdwell-head-8 clamp>cage.dovetail',
          'legs=gourdwell-legs top>head.legs',
        ],
        leads: ['xlr=delicata-mini-trs receiver/out>camera/xlr-mini-1'],
      },
    },
  },
  {
    id: 'narrative-rods',
    name: 'Narrative: rods, matte box, follow focus, lens support',
    brief: { kind: 'narrative' },
    without: ['nd', 'xlr'],
    camera: 'calabash-h1',
    setups: {
      sticks: {
        support: 'tripod',
        on: [
          'adapter=luffa-bud-tendril rear>camera.lens',
          'cine=pattypan-35-cine bayonet>adapter.front',
          'pack=calabash-pack contacts>camera.bay',
          basicH1,
          'riser=sedgewick-riser-20 screw>cage.base',
          'riser-2=sedgewick-riser-20 screw>riser.foot',
          'base=reedsmith-rod-base screw>riser-2.foot',
          'rods=papyr-rods-200 end>base.rods-front',
          'follow=reedsmith-follow clamp>rods.above@-60',
          'box=phragma-matte-rods clamp>rods.above@82',
          ...tripod('base.foot'),
        ],
      },
    },
  },
  {
    id: 'narrative-clamp',
    name: 'Narrative, matte box clamped on the lens',
    brief: { kind: 'narrative' },
    without: ['xlr'],
    camera: 'calabash-h1',
    setups: {
      sticks: {
        support: 'tripod',
        on: [
          'adapter=luffa-bud-tendril rear>camera.lens',
          'cine=pattypan-50-cine bayonet>adapter.front',
          'box=phragma-matte-80 ring>cine.front',
          'nd=phragma-nd-12 edge>box.tray',
          'pack=calabash-pack contacts>camera.bay',
          fullH1,
          ...tripod('cage.dovetail'),
        ],
      },
    },
  },
  {
    id: 'gimbal-day',
    name: 'A gimbal day, stripped body',
    brief: { kind: 'gimbal' },
    camera: 'calabash-h1',
    setups: {
      walk: {
        support: 'gimbal',
        poses: out,
        on: [...h1, 'plate=cushaw-plate-long screw>camera.tripod', 'gimbal=marrow-gimbal clamp>plate.foot'],
      },
    },
  },
  {
    id: 'arm-monitor',
    bag: ['luffa-slab-17'],
    name: 'A monitor on an arm off the cage’s side',
    brief: { kind: 'promo' },
    without: ['nd', 'scratch-sound', 'wireless-sound'],
    camera: 'calabash-h1',
    setups: {
      sticks: {
        support: 'tripod',
        on: [
          ...h1,
          fullH1,
          'arm=pattypan-arm-110 foot>cage.rail-left',
          'monitor=bulrush-5 bottom>arm.stud^90',
          'slab=luffa-slab-17 back>monitor.slab',
          ...tripod('cage.dovetail'),
        ],
        poses: [{ instance: 'arm', hinge: 'tilt', position: 'ahead-60' }],
        leads: ['hdmi=papyr-hdmi-500 camera/hdmi-a-4>monitor/hdmi-in'],
      },
    },
  },
  {
    id: 'tap-dummy',
    name: 'Camera from a brick by a dummy pack, cinema body on rods',
    brief: { kind: 'narrative' },
    without: ['screen', 'xlr', 'headphones'],
    camera: 'kabocha-cube',
    setups: {
      sticks: {
        support: 'tripod',
        on: [
          'zoom=kabocha-24-70 bayonet>camera.lens',
          'cage=reedsmith-full-cube seat>camera.seat',
          'brick-plate=typha-v-plate-14 screw>cage.top-rear^180',
          'brick=gourdwell-v-50 back>brick-plate.plate',
          ...tripod('cage.dovetail'),
        ],
        leads: ['power=gourdwell-tap-pp brick-plate/d-tap>camera/pp-2-3'],
      },
    },
  },
  {
    id: 'slider',
    name: 'On a slider, a product turn',
    brief: { kind: 'promo' },
    without: ['nd', 'scratch-sound', 'wireless-sound'],
    camera: 'calabash-h1',
    setups: {
      slide: {
        support: 'tripod',
        on: [
          'tele=calabash-85 bayonet>camera.lens',
          'pack=calabash-pack contacts>camera.bay',
          halfH1,
          'plate=reedsmith-plate-38 screw>cage.base',
          'slider=bulrush-slider-40 clamp>plate.foot',
          'legs=gourdwell-legs top>slider.legs',
        ],
      },
    },
  },
  {
    id: 'long-lens',
    name: 'A long lens carried by its own foot',
    brief: { kind: 'event' },
    without: ['scratch-sound', 'xlr'],
    camera: 'calabash-h1',
    setups: {
      sticks: {
        support: 'tripod',
        on: [
          'tele=kabocha-70-200 bayonet>camera.lens',
          'pack=calabash-pack contacts>camera.bay',
          'plate=reedsmith-plate-38 screw>tele.foot',
          'head=gourdwell-head-8 clamp>plate.foot',
          'legs=gourdwell-legs top>head.legs',
        ],
      },
    },
  },
  {
    id: 'xlr-event',
    name: 'Sound from the desk, preamp under the camera',
    brief: { kind: 'event', conditions: ['interviews'] },
    without: ['scratch-sound', 'wireless-sound'],
    camera: 'calabash-h1',
    setups: {
      sticks: {
        support: 'tripod',
        on: [...h1, fullH1, 'preamp=tromba-preamp foot>cage.shoe', ...tripod('cage.dovetail')],
        leads: ['trs=luffa-trs-300 preamp/out>camera/35-trs-1'],
      },
    },
  },
  {
    id: 'screen-out',
    name: 'Screen folded out before a brick on rods stands behind it',
    brief: { kind: 'event' },
    without: ['scratch-sound', 'xlr'],
    camera: 'calabash-h1',
    setups: {
      sticks: {
        support: 'tripod',
        poses: out,
        on: [
          ...h1,
          basicH1,
          'base=reedsmith-rod-base screw>cage.base',
          'rear=reedsmith-rods-150 end>base.rods-rear',
          'plate=gourdwell-v-plate-rods clamp>rear.above@-20',
          'brick=gourdwell-v-50 back>plate.plate',
          ...tripod('base.foot'),
        ],
      },
    },
  },
]
