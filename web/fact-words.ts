import type { AskedFact } from '@zucchini/core/assess'
import { offPlaceWords } from '@zucchini/core/assembly'
import type { FactName, Facts } from '@zucchini/core/facts'
import { degrees, grams, hours, millimetres, money, type Style, wattHours } from './wording.ts'

/** A figure in words: what it is called, and how it is worked out. */
interface Said {
  readonly title: string
  readonly how: string
}

export const factSaid: Readonly<Record<FactName, Said>> = {
  points: { title: 'Mounting points', how: 'where every mount of every piece is, and what sits on it' },
  cables: { title: 'Leads that are plugged in', how: 'the parts of the leads in this set-up' },
  leads: {
    title: 'The way of each lead',
    how: 'straight where it can, round the nearest edges where it can’t, through its clamps; plus the plugs and 60 mm for each hinge between',
  },
  demands: {
    title: 'What wants joining',
    how: 'what draws power without a battery, takes a picture, or gives sound that goes nowhere',
  },
  pictures: {
    title: 'Ways of the picture',
    how: 'from each screen or recorder back along the leads to the camera; what every box adds in time',
  },
  sounds: { title: 'Ways of the sound', how: 'from each microphone or receiver along the leads to what records it' },
  recordings: {
    title: 'Room to record',
    how: 'gigabytes × 8000 ÷ megabits a second ÷ 60 × 0.93, against the rolling hours with some to spare',
  },
  mass: {
    title: 'Mass and its centre',
    how: 'the sum of all masses; the centre is the sum of mass × place ÷ the sum of masses. What stands under the rig is not in the hand',
  },
  leadWeights: { title: 'What the leads weigh', how: 'each lead at the middle of its way, half on either end' },
  ground: {
    title: 'What bears the rig',
    how: 'palms, pad, stand or knees; each takes its part by the lever rule over the level plane',
  },
  loads: {
    title: 'What each joint carries',
    how: 'all that lies on the side of the joint away from what bears the rig; braces share',
  },
  hangs: {
    title: 'How it hangs from each handle',
    how: 'atan (ahead ÷ below): how far the centre lies ahead of the palm, and how far under it',
  },
  hang: { title: 'How it hangs', how: 'from the top handle that leaves it most level' },
  stand: {
    title: 'How it stands on a table',
    how: 'the shortest way from under the centre to the edge of what it stands on',
  },
  worn: { title: 'Off the rig', how: 'what is worn or stands beside, and the half of each lead to it' },
  hands: { title: 'Two hands', how: 'the two handles that stand farthest apart' },
  grips: { title: 'Grips', how: 'where hands hold it' },
  palms: { title: 'Hands', how: 'a large hand round each grip that this way of holding uses' },
  onPlate: {
    title: 'Over the plate',
    how: 'how far the centre lies ahead of the middle of the plate, beside it and over it; tilted, that is a moment',
  },
  gimbal: { title: 'In the gimbal', how: 'how far beyond its arms’ travel the centre lies' },
  shoulder: { title: 'On the shoulder', how: 'mass × how far ahead of the pad it lies, less what lies behind' },
  tip: { title: 'When it goes over', how: 'atan (nearest edge of the legs ÷ height of the centre)' },
  steadiness: {
    title: 'Steadiness',
    how: 'moment of inertia of the bare camera ÷ that of the rig, both about the hand that holds them',
  },
  clashes: {
    title: 'Pieces in each other’s way',
    how: 'every drawn solid against every other; half a millimetre is allowed',
  },
  size: { title: 'Size', how: 'the box round everything that is in the hand' },
  invasions: {
    title: 'Room that is taken',
    how: 'hands, levers, doors, screens and rings in all their positions against every solid',
  },
  closeFits: {
    title: 'Close fits',
    how: 'how far each room that stays free could grow before something solid is in it; told under 5 mm',
  },
  gloved: { title: 'Room for gloves', how: 'levers and knobs with 8 mm more, when it is cold' },
  screens: {
    title: 'Screens that are watched',
    how: 'lines of sight from where the eye is in this set-up to the middle and the corners of each screen',
  },
  leadIntrusions: {
    title: 'Leads in the way',
    how: 'plugs, first bends, cables and coils against the rooms of screens, doors, hands, levers and rings',
  },
  ownScreen: {
    title: 'The camera’s own screen',
    how: 'the same lines of sight from the eye to it, wherever it is swung',
  },
  plugs: {
    title: 'Room for plugs',
    how: 'a straight plug and five times the lead’s thickness of bend, and what stands in the way',
  },
  entries: { title: 'Ways onto a rail', how: 'what shuts both ends of a rail that has to be slid onto' },
  crowds: { title: 'Sockets side by side', how: 'the bodies of two usual plugs, half a millimetre apart' },
  sight: { title: 'What the lens sees', how: 'the pyramid from the entrance pupil at the shortest focal length' },
  inShot: { title: 'In the picture', how: 'how far each solid stands into that pyramid' },
  jams: {
    title: 'Pieces that lock each other',
    how: 'what can leave is taken off, straight or out and aside, piece by piece; what stays at the end is locked',
  },
  network: {
    title: 'What feeds what',
    how: 'batteries, users and the leads between, with losses of converters and what the cold leaves',
  },
  spares: { title: 'Batteries in the bag', how: 'their charge × depth × cold × age' },
  bays: { title: 'Charging bays', how: 'the chargers that are along, and what hangs in them' },
  runDown: {
    title: 'How long it runs',
    how: 'everything on and recording: charge ÷ draw, until the next battery is empty, again and again',
  },
  day: { title: 'The day', how: 'part by part: drawn, charged and swapped, with one pack in one bay at a time' },
  front: {
    title: 'The front of the lens',
    how: 'what is screwed, clamped and slid before it, and how far from the pupil',
  },
  deliveries: {
    title: 'Pictures delivered',
    how: 'the part of the sensor that each picture uses, as the camera is held',
  },
  picture: { title: 'The chief picture', how: 'the first of the pictures delivered' },
  clean: {
    title: 'Clean corners',
    how: 'a ring at depth L leaves L × diagonal ÷ 2f + f ÷ 2T clear; the shortest focal length at which all do',
  },
  lensKit: { title: 'The lenses along', how: 'mount, adapter, image circle and thread of each on this camera' },
  light: { title: 'Light of the day', how: 'stops to take away = EV of the scene + log2 (ISO ÷ 100) − log2 (N² ÷ t)' },
  economy: { title: 'Filters for the whole kit', how: 'one large filter and rings against one for each lens' },
  supports: { title: 'Under the lens', how: 'how high the support must reach, and how high it does' },
  drives: { title: 'Focus drives', how: 'gear, reach and rods of each' },
  cost: {
    title: 'Still to buy',
    how: 'every piece of the kit that the locker has not; what comes in a box is paid once',
  },
  bill: { title: 'The bill', how: 'still to buy + sending + tax' },
  chance: {
    title: 'Likely within the money',
    how: 'prices drawn as their history spreads them, a quarter of it shared by all; the share of bills under the cap',
  },
  asked: { title: 'Asked for', how: 'what the kind of shoot, its conditions and you ask of the rig' },
  needs: { title: 'What the job asks for', how: 'from the kind of shoot, its conditions and your wishes' },
  unmet: { title: 'What nothing gives yet', how: 'what the job asks for, less what the pieces give' },
}

const leafWords: Readonly<Record<string, string>> = {
  'assembly.placed': 'the pieces on the rig, where they sit',
  'assembly.off': 'what goes along off the rig',
  'assembly.byInstance': 'the pieces on the rig, where they sit',
  'assembly.braces': 'second holds',
  'assembly.loose': 'the pieces in the bag',
  'electric.placed': 'the pieces that draw, give or carry power and signals',
  'electric.off': 'what goes along off the rig and draws, gives or carries power and signals',
  'electric.byInstance': 'the pieces that draw, give or carry power and signals',
  'electric.loose': 'batteries and leads in the bag',
  'electric.kit': 'batteries and leads of the kit',
  'glass.placed': 'camera, lens and what is before it',
  'glass.byInstance': 'camera, lens and what is before it',
  'glass.loose': 'glass in the bag',
  'glass.kit': 'the glass of the kit',
  'rig.kit': 'the kit',
  'rig.setups': 'the other set-ups',
  'setup.links': 'the leads that are plugged in',
  'setup.support': 'how this set-up is held',
  'setup.orientation': 'level or upright',
  'setup.root': 'the camera',
  'setup.capG': 'this set-up’s cap',
  'brief.budgetMinor': 'the brief: money',
  'brief.phases': 'the brief: parts of the day',
  'brief.hoursOnLocation': 'the brief: hours on location',
  'brief.hoursRolling': 'the brief: hours rolling',
  'brief.conditions': 'the brief: conditions',
  'brief.light': 'the brief: light, date and place',
  'brief.lenses': 'the brief: lenses',
  'brief.kind': 'the brief: kind of shoot',
  'brief.wishes': 'the brief: your wishes',
  'brief.changeWith': 'the brief: with what you change over',
  'brief.codec': 'the brief: codec',
  'brief.celsius': 'the brief: temperature',
  'context.catalogue': 'the parts’ data',
  'context.owned': 'the locker',
  'context.prices': 'the price ledger',
  'context.rules': 'tax and sending',
  'context.limits': 'How I work',
}

/** What a figure read besides other figures, in words, each once. */
export const readWords = ({ read }: AskedFact): readonly string[] => [
  ...new Set(
    read.map(
      (leaf) =>
        leafWords[leaf] ??
        leaf
          .replace(/^\w+\./, '')
          .replaceAll(/([A-Z])/g, ' $1')
          .toLowerCase(),
    ),
  ),
]

const of = (count: number, one: string, more = `${one}s`): string => `${count} ${count === 1 ? one : more}`

/** What a figure comes to, in a few words; nothing for those that are no single value. */
export const factValue = (name: FactName, facts: Facts, style: Style): string => {
  const mm = (value: number) => millimetres(Math.round(value), style.units)
  const sayings: Partial<Record<FactName, () => string>> = {
    mass: () => `${grams(facts.mass.inHandG, style.units)} in the hand`,
    leadWeights: () =>
      grams(
        facts.leadWeights.reduce((sum, { massG }) => sum + massG, 0),
        style.units,
      ),
    leads: () => of(facts.leads.length, 'lead'),
    worn: () =>
      facts.worn.map(({ at, massG }) => `${offPlaceWords[at]} ${grams(massG, style.units)}`).join(', ') || 'nothing',
    ground: () => facts.ground.bearings.map(({ by, share }) => `${by} ${Math.round(share * 100)} %`).join(', '),
    hang: () => (facts.hang ? degrees(Math.abs(facts.hang.tiltDeg)) : 'from no handle'),
    hangs: () => of(facts.hangs.length, 'handle'),
    stand: () => mm(facts.stand.marginMm),
    hands: () => (facts.hands ? `${mm(facts.hands.spreadMm)} apart` : 'none'),
    onPlate: () => (facts.onPlate ? `${mm(facts.onPlate.aheadMm)} ahead` : 'on no plate'),
    tip: () => (facts.tip ? degrees(facts.tip.tipDeg) : 'on no legs'),
    steadiness: () => (facts.steadiness ? `yaw ${facts.steadiness.yaw.toFixed(2)} ×` : 'on a stand'),
    size: () => `${mm(facts.size.longMm)} × ${mm(facts.size.wideMm)} × ${mm(facts.size.tallMm)}`,
    clashes: () => of(facts.clashes.length, 'clash', 'clashes'),
    network: () =>
      `${wattHours(facts.network.cells.reduce((sum, { usableWh }) => sum + usableWh, 0))}, ${of(facts.network.nodes.length, 'user')}`,
    day: () => `${hours(Math.min(facts.day.failsAtMin, facts.day.minutes))} of ${hours(facts.day.minutes)}`,
    cost: () => money(facts.cost.usual, style.currency),
    bill: () => money(facts.bill.totalMinor, style.currency),
    chance: () => (facts.chance.within === undefined ? '' : `${Math.round(facts.chance.within * 100)} %`),
    asked: () => of(facts.asked.size, 'wish', 'wishes'),
    needs: () => of(facts.needs.length, 'wish', 'wishes'),
    unmet: () => of(facts.unmet.length, 'wish', 'wishes'),
    lensKit: () => of(facts.lensKit.length, 'lens', 'lenses'),
    front: () => (facts.front ? of(facts.front.openings.length, 'ring') : 'no lens'),
    clean: () => (facts.clean?.fromMm === undefined ? '' : `from ${mm(facts.clean.fromMm)} on`),
    deliveries: () => of(facts.deliveries.length, 'picture'),
    cables: () => of(facts.cables.size, 'lead'),
  }
  return sayings[name]?.() ?? ''
}
