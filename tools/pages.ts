import { rigFileSchema } from '@zucchini/core/formats'
import { standards } from '@zucchini/core/catalogue'
import { checks, families, type Family } from '@zucchini/core/checks'
import { z } from 'zod'

const list = (messages: Readonly<Record<string, string>>): string =>
  Object.entries(messages)
    .map(([id, text]) => `  - \`${id}\`: ${text}`)
    .join('\n')

/** The page of all checks, from the fields of each check's file. */
export const checksPage = (): string =>
  [
    '# Checks\n',
    'Made from the check files by `npm run docs`; do not edit by hand. Words in braces are measured values, limits and names.\n',
    ...families.flatMap((family) => [`# ${family[0]?.toUpperCase() ?? ''}${family.slice(1)}\n`, ...ofFamily(family)]),
  ].join('\n')

const ofFamily = (family: Family): readonly string[] =>
  checks
    .filter((check) => check.family === family)
    .map((check) => {
      const { speaks, silent, cannotTell } = check.messages
      const options = Object.entries(check.defaults as Record<string, unknown>).map(
        ([key, value]) => `\`${key}\` = ${String(value)}`,
      )
      return [
        `## ${check.title}\n`,
        `\`${check.id}\` · usually a **${check.level}**\n`,
        `${check.why}\n`,
        `- Limit from: ${check.source}`,
        options.length > 0 ? `- Options: ${options.join(', ')}` : '',
        check.needs.length > 0 ? `- Reads: ${check.needs.join(', ')}` : '- Reads: the placed joints',
        `- Speaks:\n${list(speaks)}`,
        `- Silent:\n${list(silent)}`,
        Object.keys(cannotTell).length > 0 ? `- Cannot tell:\n${list(cannotTell)}` : '',
      ]
        .filter(Boolean)
        .join('\n')
        .concat('\n')
    })

/** The page of all mounting standards. */
export const standardsPage = (): string =>
  [
    '# Mounting standards\n',
    'Made from `core/catalogue/interfaces/` by `npm run docs`; do not edit by hand.\n',
    '| id | socket | plug | also takes | keeps from turning | steps | lifts a rig | carries | tool | seconds |',
    '|---|---|---|---|---|---|---|---|---|---|',
    ...standards.map((s) => {
      const others = s.accepts.filter((id) => id !== s.id).map((id) => `\`${id}\``)
      const step = s.turnStepDeg >= 360 ? 'one way' : s.turnStepDeg === 1 ? 'free' : `${s.turnStepDeg}°`
      return `| \`${s.id}\` | ${s.ends.holds} | ${s.ends.sits} | ${others.join(', ') || '–'} | ${s.holdsTwist ? 'yes' : 'no'} | ${step} | ${s.mayLift ? 'yes' : 'no'} | ${s.limitG === undefined ? 'as rated' : `${s.limitG} g`} | ${s.tool} | ${s.seconds} |`
    }),
    '',
  ].join('\n')

/** JSON Schema (draft 2020-12) of the rig file, from the Zod schema the program itself reads with. */
export const rigSchemaText = (): string =>
  `${JSON.stringify(z.toJSONSchema(rigFileSchema, { io: 'input' }), null, 2)}\n`
