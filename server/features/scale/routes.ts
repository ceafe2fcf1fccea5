import * as contract from '@zucchini/contract'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { streamEvents } from '../../streams.ts'
import type { LockerService } from '../locker/service.ts'
import { type ScaleService, STEP_S } from './service.ts'

export const scaleRoutes =
  (scale: ScaleService, locker: LockerService): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.get(contract.SCALE_STREAM, { schema: { hide: true } }, async (_request, reply) =>
      streamEvents(reply, (send) => {
        const tell = () => send(scale.frame())
        tell()
        const timer = setInterval(tell, STEP_S * 1000)
        return () => clearInterval(timer)
      }),
    )

    app.post(
      contract.layOnScale.path,
      {
        schema: contract.layOnScale.schema,
      },
      async ({ body }) => toFrame(await scale.lay(body.parts)),
    )
    app.post(contract.tareScale.path, { schema: contract.tareScale.schema }, async () => toFrame(scale.tare()))
    app.post(
      contract.plugScale.path,
      {
        schema: contract.plugScale.schema,
      },
      async ({ body }) => toFrame(scale.plug(body.plugged)),
    )
    app.post(
      contract.weighPiece.path,
      {
        schema: contract.weighPiece.schema,
      },
      async ({ params, body }) => {
        const { piece } = await locker.piece(params.id)
        const { grams } = scale.steady()
        return locker.save({ ...piece, measuredG: grams, measuredOn: locker.today }, body.base)
      },
    )
    done()
  }

const toFrame = ({ holds, ...rest }: ReturnType<ScaleService['frame']>) => ({ ...rest, holds: [...holds] })
