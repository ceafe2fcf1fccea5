import { meterReadingOf, trueDrawW } from '@zucchini/core/power'
import type { MeterFrame } from '@zucchini/contract'
import { Refusal } from '../../errors.ts'
import type { CatalogueService } from '../catalogue/service.ts'

/** What stands before it where a part says no volts of its own. */
const USUAL_V = 7.4

/** The one simulated battery meter. It has no clock of its own: whoever looks moves it on. */
export class MeterService {
  readonly #catalogue: CatalogueService
  readonly #clock: () => number
  #behind: { readonly part: string; readonly trueW: number; readonly volts: number; readonly since: number } | undefined

  constructor(catalogue: CatalogueService, clock: () => number = () => Date.now()) {
    this.#catalogue = catalogue
    this.#clock = clock
  }

  /** @throws {Refusal} part-unknown */
  async plug(partId: string | null): Promise<MeterFrame> {
    if (partId === null) this.#behind = undefined
    else {
      const part = (await this.#catalogue.catalogue()).parts.get(partId)
      if (!part) throw new Refusal('part-unknown')
      const volts = part.sockets?.find((socket) => socket.direction === 'in' && socket.volts)?.volts
      this.#behind = {
        part: partId,
        trueW: trueDrawW(partId, part.power?.drawW ?? 0),
        volts: volts ? (volts.min + volts.max) / 2 : USUAL_V,
        since: this.#clock(),
      }
    }
    return this.frame()
  }

  frame(): MeterFrame {
    const { part = null, trueW = 0, volts = 0, since = 0 } = this.#behind ?? {}
    const seconds = part === null ? 0 : Math.max(0, (this.#clock() - since) / 1000)
    return { simulated: true, part, ...meterReadingOf({ seed: 0, trueW, volts, seconds }) }
  }
}
