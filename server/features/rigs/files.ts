import { adoptRig, type Rig } from '@zucchini/core/assembly'
import { type FileReport, readRigFile, writeRigFile } from '@zucchini/core/formats'
import type { DataSource } from 'typeorm'
import { wordedIssues } from '../../errors.ts'
import { inTransaction, isTaken } from '../../transactions.ts'
import { raise } from '../../versions.ts'
import { partEntity } from '../catalogue/entity.ts'
import type { CatalogueService } from '../catalogue/service.ts'
import type { OperatorService } from '../operator/service.ts'
import type { RigService } from './service.ts'

/** What reading a file did, or would do. */
export interface ImportReport {
  readonly ok: boolean
  readonly name: string
  readonly newParts: string[]
  readonly differing: string[]
  /** Limits the file brings along; one's own stay. */
  readonly limits: number
  readonly issues: { path: string; message: string }[]
  /** The id the rig has, or would have, on this shelf. */
  readonly rigId: string
}

/** Another file may bring the same rig or the same parts at the same moment; then it is looked at anew. */
const MOST_TRIES = 40

const refused = (report: FileReport): ImportReport => ({
  ok: false,
  name: '',
  newParts: [],
  differing: [],
  limits: 0,
  issues: wordedIssues(report.issues),
  rigId: '',
})

/** Rigs as files: written whole, read all or nothing. */
export class RigFileService {
  readonly #db: DataSource
  readonly #rigs: RigService
  readonly #catalogue: CatalogueService

  readonly #operator: OperatorService

  constructor(db: DataSource, rigs: RigService, catalogue: CatalogueService, operator: OperatorService) {
    this.#operator = operator
    this.#db = db
    this.#rigs = rigs
    this.#catalogue = catalogue
  }

  async write(id: string): Promise<string> {
    const { rig } = await this.#rigs.get(id)
    const taken = adoptRig(rig, await this.#catalogue.catalogue())
    return writeRigFile(
      rig,
      taken.ok ? taken.value.catalogue : await this.#catalogue.catalogue(),
      await this.#operator.limits(),
    )
  }

  /** Reads a file; unless dry, its new parts and its rig are stored together or not at all. */
  async read(text: string, dry: boolean): Promise<ImportReport> {
    for (let tried = 1; ; tried++) {
      const report = readRigFile(text, await this.#catalogue.catalogue())
      if (!report.ok || !report.rig) return refused(report)
      const rig: Rig = { ...report.rig, id: await this.#rigs.freeId(report.rig.id) }
      try {
        if (!dry) await this.#store(rig, report)
      } catch (error) {
        if (isTaken(error) && tried < MOST_TRIES) continue
        throw error
      }
      return {
        ok: true,
        name: rig.name,
        newParts: report.newParts.map(({ name }) => name),
        differing: [...report.differing],
        limits: Object.values(report.limits ?? {}).reduce((sum, own) => sum + Object.keys(own).length, 0),
        issues: [],
        rigId: rig.id,
      }
    }
  }

  async #store(rig: Rig, { newParts }: FileReport): Promise<void> {
    const now = new Date()
    await inTransaction(this.#db, async (manager) => {
      if (newParts.length > 0) {
        await manager.insert(
          partEntity,
          newParts.map((part) => ({ id: part.id, role: part.role, origin: 'own', doc: part })),
        )
        await raise(manager, 'catalogue')
      }
      await this.#rigs.insert(manager, rig, 'read from a file', now)
      await raise(manager, 'rigs')
    })
  }
}
