/**
 * Lithium packs as passenger baggage, by the energy printed on them. The airline and the regulator have the last word.
 */
export type AirBand = 'carry' | 'ask' | 'never'

/**
 * Up to this, carried in the cabin without asking; up to the next, with the airline's word and no more than two spares;
 * above, not as baggage. Wh
 */
export const AIR_FREE_WH = 100
export const AIR_ASK_WH = 160
export const AIR_ASK_SPARES = 2

/** @example 98 Wh: carry; 147 Wh: ask; 190 Wh: never */
export const airBand = (capacityWh: number): AirBand =>
  capacityWh <= AIR_FREE_WH ? 'carry' : capacityWh <= AIR_ASK_WH ? 'ask' : 'never'
