import { type FileReport, readRigFile, writeRigFile } from '@zucchini/core/formats'
import type { Rig } from '@zucchini/core/assembly'
import type { DataSource } from 'typeorm'
import { wordedIssues } from '../../errors.ts'
import { partEntity } from '../catalogue/entity.ts'
import type { CatalogueService } from '../catalogue/service.ts'
import { rigEntity, rigRevisionEntity } from './entity.ts'
import type { RigService } from './service.ts'

/** What reading a file did, or would do. */
export interface ImportReport {
  readonly ok: boolean
  readonly name: string
  readonly newParts: string[]
  readonly differing: string[]
  readonly issues: { path: string; message: string }[]
  /** The id the rig has, or would have, on this shelf. */
  readonly rigId: string
}

const refused = (report: FileReport): ImportReport => ({
  ok: false,
  name: '',
  newParts: [],
  differing: [],
  issues: wordedIssues(report.issues),
  rigId: '',
})

/** Rigs as files: written whole, read all or nothing. */
export class RigFileService {
  readonly #db: DataSource
  readonly #rigs: RigService
  readonly #catalogue: CatalogueService

  constructor(db: DataSource, rigs: RigService, catalogue: CatalogueService) {
    this.#db = db
    this.#rigs = rigs
    this.#catalogue = catalogue
  }

  async write(id: string): Promise<string> {
    const { rig } = await this.#rigs.get(id)
    return writeRigFile(rig, await this.#catalogue.catalogue())
  }

  /** Reads a file; unless dry, its new parts and its rig are stored together or not at all. */
  async read(text: string, dry: boolean): Promise<ImportReport> {
    const report = readRigFile(text, await this.#catalogue.catalogue())
    if (!report.ok || !report.rig) return refused(report)
    const rig: Rig = { ...report.rig, id: await this.#freeId(report.rig.id) }
    if (!dry) await this.#store(rig, report)
    return {
      ok: true,
      name: rig.name,
      newParts: report.newParts.map(({ name }) => name),
      differing: [...report.differing],
      issues: [],
      rigId: rig.id,
    }
  }

  async #store(rig: Rig, { newParts }: FileReport): Promise<void> {
    const now = new Date()
    await this.#db.transaction(async (manager) => {
      if (newParts.length > 0)
        await manager.insert(
          partEntity,
          newParts.map((part) => ({ id: part.id, role: part.role, origin: 'own', doc: part })),
        )
      await manager.insert(rigEntity, {
        id: rig.id,
        revision: 1,
        name: rig.name,
        doc: rig,
        createdAt: now,
        updatedAt: now,
        removedAt: null,
      })
      await manager.insert(rigRevisionEntity, { rigId: rig.id, revision: 1, note: 'read from a file', doc: rig, savedAt: now })
    })
    this.#catalogue.refresh()
  }

  /** The file's own id, or that with -2, -3 ... when the shelf or its history has it already. */
  async #freeId(wanted: string): Promise<string> {
    for (let n = 1; ; n++) {
      const id = n === 1 ? wanted : `${wanted.slice(0, 56)}-${n}`
      if (!(await this.#db.manager.existsBy(rigEntity, { id }))) return id
    }
  }
}
