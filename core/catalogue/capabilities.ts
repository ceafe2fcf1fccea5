import type { Station } from './roles.ts'

/** What a part can do for a shoot. A brief asks for these; a camera or an accessory gives them. */
export const capabilities = {
  cage: { title: 'a cage to build on', station: 'body' },
  'quick-plate': { title: 'a quick-release plate', station: 'base' },
  'top-handle': { title: 'a handle on top', station: 'grip' },
  'side-grip': { title: 'a grip for the second hand', station: 'grip' },
  nd: { title: 'neutral density', station: 'glass' },
  'wide-view': { title: 'a wide view (28 mm or wider)', station: 'glass' },
  screen: { title: 'a screen seen from any height', station: 'view' },
  'sun-view': { title: 'a picture seen in full sun', station: 'view' },
  'scratch-sound': { title: 'a microphone off the camera body', station: 'sound' },
  'wireless-sound': { title: 'wireless sound from a person', station: 'sound' },
  xlr: { title: 'XLR inputs', station: 'sound' },
  headphones: { title: 'a headphone jack', station: 'sound' },
  'wind-cover': { title: 'wind protection for the mic', station: 'sound' },
  tether: { title: 'a safety tether', station: 'grip' },
  stabiliser: { title: 'a stabilised picture', station: 'grip' },
} as const satisfies Record<string, { title: string; station: Station }>

export type Capability = keyof typeof capabilities
export const capabilityIds = Object.keys(capabilities) as [Capability, ...Capability[]]

export const isCapability = (id: string): id is Capability => (capabilityIds as readonly string[]).includes(id)
