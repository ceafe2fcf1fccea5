import { type Assembly, everywhere, type SocketHere } from '../assembly/index.ts'
import type { ConnectorId, Volts } from '../catalogue/index.ts'

/** What USB-C sources and devices can agree on, V (the fixed steps of USB power delivery). */
export const USB_PROFILES = [5, 9, 15, 20] as const

const within = (volts: number, range: Volts): boolean => volts >= range.min && volts <= range.max

/**
 * Does what is given suit what is borne? All of the source's range has to lie in the bears of the input; a USB-C input
 * agrees with its source on a step that both know.
 * @example a D-tap, 11 to 16.8 V, into 6.5 to 8.6 V: no; into 7 to 17 V: yes; USB-C 5 to 9 V into 5 to 20 V: yes, at 9
 * V
 */
export const suits = (given: Volts, bears: Volts, inlet: ConnectorId): boolean =>
  inlet === 'usb-c'
    ? USB_PROFILES.some((step) => within(step, given) && within(step, bears))
    : given.min >= bears.min && given.max <= bears.max

/**
 * What stands at an outlet, V: its own regulated voltage, or that of the battery behind it; undefined when there is
 * none.
 */
export const voltsAt = (assembly: Assembly, { piece, socket }: SocketHere): Volts | undefined => {
  const { converts, store } = piece.part.power ?? {}
  if (socket.volts ?? converts ?? store) return socket.volts ?? converts?.volts ?? store?.volts
  const battery = everywhere(assembly).find((other) => other.host === piece && other.part.power?.store)
  return battery?.part.power?.store?.volts
}
