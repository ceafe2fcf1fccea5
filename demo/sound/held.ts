import { emptyBrief } from '@zucchini/core/brief'
import { basicH1, fullH1, h1, halfH1, type WrittenRig } from './common.ts'

/** Upright pictures only. */
const tall = { ...emptyBrief.light, aspect: '9:16' as const }

/** Sound rigs in the hand, at the chest and on the shoulder. */
export const held: readonly WrittenRig[] = [
  {
    id: 'documentary-low',
    bag: ['luffa-slab-17'],
    name: 'Documentary, carried low',
    brief: { kind: 'run-and-gun', conditions: ['running', 'wind'] },
    camera: 'calabash-h1',
    setups: {
      low: {
        support: 'hand-low',
        on: [
          ...h1,
          'vnd=phragma-vnd-67 rear>prime.thread',
          halfH1,
          'handle=sedgewick-top-14 foot>cage.top-front@6',
          'tilt=crookneck-tilt-shoe foot>handle.shoe',
          'monitor=crookneck-m5 bottom>tilt.stud',
          'slab=luffa-slab-17 back>monitor.slab',
          'mic=rushlight-onboard foot>cage.shoe',
          'side=typha-side-short foot>cage.rail-left',
        ],
        leads: [
          'hdmi=reedsmith-hdmi-swivel camera/hdmi-a-4>monitor/hdmi-in',
          'trs=luffa-trs-150 mic/out>camera/35-trs-1',
        ],
      },
      'two hands': {
        support: 'two-hand',
        on: [
          ...h1,
          'vnd=phragma-vnd-67 rear>prime.thread',
          halfH1,
          'mic=rushlight-onboard foot>cage.shoe',
          'side=typha-side-short foot>cage.rail-left',
        ],
        leads: ['trs=luffa-trs-150 mic/out>camera/35-trs-1'],
      },
    },
  },
  {
    id: 'documentary-click',
    name: 'Documentary, all on rails without tools',
    brief: { kind: 'run-and-gun' },
    camera: 'kabocha-s',
    setups: {
      low: {
        support: 'hand-low',
        on: [
          'zoom=kabocha-16-35 bayonet>camera.lens',
          'pack=kabocha-pack contacts>camera.bay',
          'cage=sedgewick-half-ks seat>camera.seat',
          'rail=bulrush-rail-70 screw>cage.top-front',
          'handle=sedgewick-top-nato foot>rail.rail',
          'side=reedsmith-side-nato foot>cage.rail-left',
          'mic=papyr-scratch foot>cage.shoe',
        ],
        leads: ['trs=luffa-trs-150 mic/out>camera/35-trs-1'],
      },
    },
  },
  {
    id: 'upright-two-handles',
    name: 'Upright, a handle above and one below',
    brief: { kind: 'upright', light: tall },
    camera: 'calabash-h1',
    setups: {
      upright: {
        support: 'two-hand',
        orientation: 'upright',
        on: [
          'wide=calabash-20 bayonet>camera.lens',
          'pack=calabash-pack contacts>camera.bay',
          fullH1,
          'left=reedsmith-side-nato foot>cage.rail-left',
          'right=sedgewick-side-wood foot>cage.rail-right',
        ],
      },
    },
  },
  {
    id: 'shoulder-brick',
    name: 'On the shoulder, a brick behind as counterweight',
    brief: { kind: 'run-and-gun' },
    without: ['nd', 'scratch-sound'],
    camera: 'calabash-h1',
    setups: {
      shoulder: {
        support: 'shoulder',
        on: [
          'zoom=kabocha-24-70 bayonet>camera.lens',
          'pack=calabash-pack contacts>camera.bay',
          basicH1,
          'base=reedsmith-rod-base screw>cage.base',
          'front=reedsmith-rods-150 end>base.rods-front',
          'rear=reedsmith-rods-300 end>base.rods-rear',
          'pad=gourdwell-pad-rods clamp>rear.below@-80',
          'plate=gourdwell-v-plate-rods clamp>rear.above@136',
          'brick=gourdwell-v-98 back>plate.plate',
          'clamp=sedgewick-rod-clamp clamp>front.below@40',
          'grip=sedgewick-rosette-grip bolt>clamp.left',
          'grip-2=sedgewick-rosette-grip bolt>clamp.right',
        ],
      },
    },
  },
  {
    id: 'shoe-mic-light',
    name: 'One hand, a mic on the shoe',
    brief: { kind: 'desk' },
    camera: 'calabash-h1',
    setups: {
      hand: {
        support: 'two-hand',
        on: [...h1, 'mic=rushlight-onboard foot>camera.shoe', 'strap=bulrush-wrist foot>camera.tripod'],
        leads: ['trs=luffa-trs-150 mic/out>camera/35-trs-1'],
      },
    },
  },
  {
    id: 'chest',
    name: 'Held to the chest, two side handles',
    brief: { kind: 'run-and-gun' },
    without: ['nd'],
    camera: 'calabash-h1',
    setups: {
      chest: {
        support: 'chest',
        on: [
          ...h1,
          fullH1,
          'left=marrow-side-nato foot>cage.rail-left',
          'right=reedsmith-side-nato foot>cage.rail-right',
          'mic=papyr-scratch foot>cage.shoe',
        ],
        leads: ['trs=luffa-trs-150 mic/out>camera/35-trs-1'],
      },
    },
  },
  {
    id: 'vintage',
    name: 'An old lens on an adapter, by hand',
    brief: { kind: 'desk' },
    without: ['scratch-sound'],
    camera: 'calabash-h1',
    setups: {
      hand: {
        support: 'two-hand',
        on: [
          'adapter=typha-pip-tendril rear>camera.lens',
          'old=typha-58-vintage bayonet>adapter.front',
          'pack=calabash-pack contacts>camera.bay',
        ],
      },
    },
  },
  {
    id: 'recorder-cage',
    bag: ['papyr-card-325', 'luffa-slab-35'],
    name: 'A recorder on a low mount, with a hood of its own screen',
    brief: { kind: 'narrative' },
    without: ['nd', 'xlr'],
    camera: 'calabash-h1',
    setups: {
      hand: {
        support: 'two-hand',
        on: [
          ...h1,
          halfH1,
          'handle=sedgewick-top-14 foot>cage.top-front',
          'mount=pattypan-low-14 foot>handle.front',
          'recorder=delicata-5-recorder bottom>mount.stud^180',
          'slab=luffa-slab-35 back>recorder.slab',
          'side=marrow-side-nato foot>cage.rail-left',
        ],
        poses: [{ instance: 'mount', hinge: 'tilt', position: 'ahead-45' }],
        leads: ['hdmi=papyr-hdmi-500 camera/hdmi-a-4>recorder/hdmi-in'],
      },
    },
  },
  {
    id: 'bushing',
    name: 'A plain handle on a pinned cage, by a bushing',
    brief: { kind: 'run-and-gun' },
    without: ['nd', 'scratch-sound', 'side-grip'],
    camera: 'calabash-h1',
    setups: {
      low: {
        support: 'hand-low',
        on: [
          ...h1,
          fullH1,
          'bushing=typha-bushing-14 below>cage.top-front',
          'handle=bulrush-top-plain foot>bushing.above',
        ],
      },
    },
  },
]
