/** Where on the bench a part belongs, in the order the work is done. */
export const stations = ['body', 'base', 'grip', 'glass', 'view', 'sound', 'power', 'media', 'cables', 'proof'] as const
export type Station = (typeof stations)[number]

/** Every role a part can have, its name in the trade, and the station where it is chosen. */
export const roles = {
  camera: { title: 'camera', station: 'body' },
  cage: { title: 'cage', station: 'body' },
  'cage-part': { title: 'cage part', station: 'body' },
  'top-plate': { title: 'top plate', station: 'body' },
  plate: { title: 'plate', station: 'base' },
  'base-plate': { title: 'base plate', station: 'base' },
  rods: { title: 'rods', station: 'base' },
  'rod-clamp': { title: 'rod clamp', station: 'base' },
  riser: { title: 'riser', station: 'base' },
  tripod: { title: 'tripod', station: 'base' },
  head: { title: 'head', station: 'base' },
  gimbal: { title: 'gimbal', station: 'base' },
  slider: { title: 'slider', station: 'base' },
  'top-handle': { title: 'top handle', station: 'grip' },
  'side-handle': { title: 'side handle', station: 'grip' },
  strap: { title: 'strap', station: 'grip' },
  tether: { title: 'tether', station: 'grip' },
  'shoulder-pad': { title: 'shoulder pad', station: 'grip' },
  lens: { title: 'lens', station: 'glass' },
  'lens-adapter': { title: 'lens adapter', station: 'glass' },
  'lens-support': { title: 'lens support', station: 'glass' },
  'matte-box': { title: 'matte box', station: 'glass' },
  filter: { title: 'filter', station: 'glass' },
  'step-ring': { title: 'step ring', station: 'glass' },
  hood: { title: 'hood or flag', station: 'glass' },
  cap: { title: 'cap', station: 'glass' },
  'follow-focus': { title: 'follow focus', station: 'glass' },
  'gear-ring': { title: 'gear ring', station: 'glass' },
  monitor: { title: 'monitor', station: 'view' },
  finder: { title: 'finder', station: 'view' },
  'monitor-mount': { title: 'monitor mount', station: 'view' },
  arm: { title: 'arm', station: 'view' },
  mic: { title: 'microphone', station: 'sound' },
  'mic-mount': { title: 'mic mount', station: 'sound' },
  windscreen: { title: 'windscreen', station: 'sound' },
  receiver: { title: 'receiver', station: 'sound' },
  preamp: { title: 'preamp', station: 'sound' },
  'headphone-tap': { title: 'headphone tap', station: 'sound' },
  timecode: { title: 'timecode box', station: 'sound' },
  battery: { title: 'battery', station: 'power' },
  'battery-plate': { title: 'battery plate', station: 'power' },
  dummy: { title: 'dummy pack', station: 'power' },
  charger: { title: 'charger', station: 'power' },
  light: { title: 'light', station: 'power' },
  drive: { title: 'drive', station: 'media' },
  'drive-holder': { title: 'drive holder', station: 'media' },
  card: { title: 'card', station: 'media' },
  recorder: { title: 'recorder', station: 'media' },
  transmitter: { title: 'transmitter', station: 'media' },
  converter: { title: 'converter', station: 'media' },
  'power-cable': { title: 'power cable', station: 'cables' },
  'video-cable': { title: 'video cable', station: 'cables' },
  'audio-cable': { title: 'audio cable', station: 'cables' },
  'data-cable': { title: 'data cable', station: 'cables' },
  'cable-clamp': { title: 'cable clamp', station: 'cables' },
  coupler: { title: 'port saver', station: 'cables' },
  adapter: { title: 'adapter', station: 'base' },
  case: { title: 'case', station: 'proof' },
  tool: { title: 'tool', station: 'proof' },
} as const satisfies Record<string, { title: string; station: Station }>

export type Role = keyof typeof roles
export const roleIds = Object.keys(roles) as [Role, ...Role[]]

/** Roles that live in the bag or pocket, or run between sockets, and are never bolted to a rig. */
export const bagRoles: ReadonlySet<Role> = new Set([
  'charger',
  'cap',
  'card',
  'case',
  'tool',
  'power-cable',
  'video-cable',
  'audio-cable',
  'data-cable',
  'coupler',
])

/** Parts that join two others and do no work of their own. */
export const joiningRoles: ReadonlySet<Role> = new Set(['adapter', 'riser', 'step-ring', 'lens-adapter'])
