import { laidOn, later, newScale, type Reading, readingOf, type Scale, tared, trueMassG } from '@zucchini/core/locker'
import { Refusal } from '../../errors.ts'
import type { CatalogueService } from '../catalogue/service.ts'

/** What the scale shows at one moment; it is simulated, and says so. */
export interface ScaleFrame {
  readonly simulated: true
  readonly plugged: boolean
  readonly grams: number | null
  readonly stable: boolean
  readonly holds: readonly string[]
}

/** One step of the simulation, s. */
export const STEP_S = 0.2

/** The one simulated scale on the bench. It has no clock of its own: whoever looks moves it on. */
export class ScaleService {
  readonly #catalogue: CatalogueService
  readonly #clock: () => number
  #scale: Scale
  #holds: readonly string[] = []
  #at: number

  constructor(catalogue: CatalogueService, clock: () => number = () => Date.now(), seed = 20_261_125) {
    this.#catalogue = catalogue
    this.#clock = clock
    this.#scale = newScale(seed)
    this.#at = clock()
  }

  /**
   * Lays pieces of some parts on the scale in place of what was there; none takes everything off. @throws {Refusal}
   * part-unknown
   */
  async lay(partIds: readonly string[]): Promise<ScaleFrame> {
    const { parts } = await this.#catalogue.catalogue()
    const loadG = partIds.reduce((sum, id) => {
      const part = parts.get(id)
      if (!part) throw new Refusal('part-unknown')
      return sum + trueMassG(id, part.massG)
    }, 0)
    this.#scale = laidOn(this.#moved(), loadG)
    this.#holds = partIds
    return this.frame()
  }

  /** @throws {Refusal} scale-gone, scale-unsteady */
  tare(): ScaleFrame {
    const now = this.#moved()
    if (!now.plugged) throw new Refusal('scale-gone')
    const next = tared(now)
    if (!next) throw new Refusal('scale-unsteady')
    this.#scale = next
    return this.frame()
  }

  plug(plugged: boolean): ScaleFrame {
    this.#scale = { ...this.#moved(), plugged }
    return this.frame()
  }

  frame(): ScaleFrame {
    const reading = readingOf(this.#moved())
    return {
      simulated: true,
      plugged: this.#scale.plugged,
      grams: reading?.grams ?? null,
      stable: reading?.stable ?? false,
      holds: this.#holds,
    }
  }

  /** A reading to be kept. @throws {Refusal} scale-gone, scale-unsteady, scale-empty */
  steady(): Reading {
    const reading = readingOf(this.#moved())
    if (!reading) throw new Refusal('scale-gone')
    if (!reading.stable) throw new Refusal('scale-unsteady')
    if (reading.grams <= 0 || this.#holds.length === 0) throw new Refusal('scale-empty')
    return reading
  }

  /** The scale now: as many steps on as time has passed, at most a minute's. */
  #moved(): Scale {
    const now = this.#clock()
    const steps = Math.min(300, Math.floor((now - this.#at) / (STEP_S * 1000)))
    for (let i = 0; i < steps; i++) this.#scale = later(this.#scale, STEP_S)
    this.#at += steps * STEP_S * 1000
    if (now - this.#at > 1000) this.#at = now
    return this.#scale
  }
}
