/** How a plug stands to its cable. */
export const plugAngles = ['straight', 'left', 'right', 'up', 'down', 'swivel'] as const
export type PlugAngle = (typeof plugAngles)[number]

/** A family of plugs and what its straight plug needs in front of the socket. */
export interface Connector {
  readonly title: string
  /** The plug's body: how far it stands out, how wide and how tall it is, mm. */
  readonly bodyMm: number
  readonly wideMm: number
  readonly tallMm: number
  /** Thickness of a usual cable; it wants five times that to bend, mm. */
  readonly cableMm: number
  /** Plugs of one shape go into each other's sockets, whether they make contact or not. */
  readonly shape?: string
}

/** A cable bends without harm within this many times its own thickness (makers' usual figure for flexing leads). */
export const BEND = 5

const of = (
  title: string,
  bodyMm: number,
  wideMm: number,
  tallMm: number,
  cableMm: number,
  shape?: string,
): Connector => ({
  title,
  bodyMm,
  wideMm,
  tallMm,
  cableMm,
  ...(shape ? { shape } : {}),
})

export const connectors = {
  'hdmi-a': of('HDMI A', 24, 20, 11, 4),
  'hdmi-c': of('HDMI C', 22, 16, 10, 3.6),
  'hdmi-d': of('HDMI D', 20, 13, 9, 3.2),
  sdi: of('SDI', 30, 15, 15, 4.5),
  'usb-c': of('USB-C', 20, 12, 7, 4),
  'usb-a': of('USB-A', 28, 18, 10, 4),
  '3.5-trs': of('3.5 mm TRS', 18, 9, 9, 2.8, 'jack-3.5'),
  '3.5-trrs': of('3.5 mm TRRS', 18, 9, 9, 2.8, 'jack-3.5'),
  'xlr-3': of('XLR', 58, 20, 20, 6),
  'xlr-mini': of('mini XLR', 34, 12, 12, 4),
  'd-tap': of('D-tap', 24, 18, 12, 4),
  'dc-5.5x2.1': of('5.5 x 2.1 mm DC', 26, 11, 11, 3.2, 'dc-5.5'),
  'dc-5.5x2.5': of('5.5 x 2.5 mm DC', 26, 11, 11, 3.2, 'dc-5.5'),
  'pp-2': of('push-pull 2-pin', 34, 11, 11, 3.6),
  'pp-4': of('push-pull 4-pin', 36, 13, 13, 4),
  dummy: of('dummy pack lead', 12, 10, 8, 3),
  'timecode-din': of('timecode DIN', 26, 10, 10, 3),
  'timecode-3.5': of('timecode 3.5 mm', 18, 9, 9, 2.8, 'jack-3.5'),
  'trigger-2.5': of('2.5 mm trigger', 16, 8, 8, 2.4),
} as const satisfies Record<string, Connector>

export type ConnectorId = keyof typeof connectors
export const connectorIds = Object.keys(connectors) as [ConnectorId, ...ConnectorId[]]

/**
 * What a straight plug and the bend of its cable need in front of a socket, mm: body + 5 x cable. @example HDMI A: 24 +
 * 5 x 4 = 44
 */
export const straightPlugMm = (id: ConnectorId): number => connectors[id].bodyMm + BEND * connectors[id].cableMm

/**
 * Does a plug go into a socket at all? A TRS plug goes into a TRRS socket, a 2.1 mm one over a 2.5 mm pin: it goes in,
 * and works badly or not.
 */
export const goesIn = (plug: ConnectorId, socket: ConnectorId): boolean => {
  const [a, b]: Connector[] = [connectors[plug], connectors[socket]]
  return plug === socket || (a?.shape !== undefined && a.shape === b?.shape)
}

/** What an angled plug stands out in front of a socket at least, mm. */
export const FLAT_PLUG_MM = 12

/** What an angled plug's body lies to the side, as a part of its length. */
export const PLUG_ASIDE = 0.6

/** A lead may hang over by this much before it has to be coiled up, mm. */
export const HANGS_MM = 150
