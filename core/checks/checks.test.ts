import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'
import { filled, type Unit } from '../kernel/index.ts'
import { on, plug, socket, tinyCamera, tinyPart, tinyRig } from '../testing/index.ts'
import type { Aim } from './aim.ts'
import { defineCheck, families, type Found, piecesThat } from './check.ts'
import { edit, placeSetup, type PlacedPart, type Rig } from '../assembly/index.ts'
import { askable, type FactName, factNames, type Facts, factsAfter, factsOf, momentOf } from '../facts/index.ts'
import { checks, findingsOf } from './index.ts'
import { blankWhereFailed } from '../facts/index.ts'
import { complaints } from './tester.ts'

test('the list of checks holds to the directories, to the docs and to the alphabet; a rule stands in the folder of its family', () => {
  const files = families.flatMap((family) =>
    readdirSync(join(import.meta.dirname, family))
      .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && name !== 'index.ts')
      .map((name) => `${family}/${name.replace('.ts', '')}`),
  )
  expect(checks.map(({ id, family }) => `${family}/${id}`).sort()).toEqual(files.sort())
  expect(checks.map(({ id }) => id)).toEqual(checks.map(({ id }) => id).sort())
  const docs = readFileSync(join(import.meta.dirname, '../../docs/checks.md'), 'utf8')
  for (const { id, title, why } of checks) for (const text of [`\`${id}\``, title, why]) expect(docs).toContain(text)
})

test.each(checks.map((check) => [check.id, check] as const))('%s is stated whole', (_, check) => {
  for (const text of [check.title, check.why, check.source]) expect(text.length).toBeGreaterThan(8)
  expect(check.options.safeParse(check.defaults).success).toBe(true)
  for (const fact of check.needs) expect(factNames).toContain(fact)
  expect(Object.keys(check.messages.speaks).length).toBeGreaterThan(0)
  expect(Object.values(check.messages.speaks).every((text) => text.includes('. ') || text.endsWith('.'))).toBe(true)
})

describe('the tester refuses', () => {
  const tiny = tinyRig([], [])
  const shaped = (
    judge: () => { group: 'speaks' | 'silent'; message: string; numbers?: Record<string, number> },
    more = {},
  ) =>
    defineCheck({
      id: 'shaped',
      family: 'fit' as const,
      title: 'shaped',
      why: 'why',
      level: 'risk',
      source: 'test',
      options: z.object({}),
      defaults: {},
      needs: [],
      messages: { speaks: { loud: 'It is {sizeMm:mm}.' }, silent: { calm: 'ok' }, cannotTell: {} },
      subjects: () => [1],
      judge,
      ...more,
    })
  const loud = shaped(() => ({ group: 'speaks', message: 'loud', numbers: { sizeMm: 5 } }))
  const asked = { name: 'a', message: 'loud', ...tiny }

  test('a message no case reaches', () =>
    expect(complaints(loud, { speaks: [asked], silent: [] })).toEqual(['no case reaches silent/calm']))
  test('a wrong number', () =>
    expect(complaints(loud, { speaks: [{ ...asked, numbers: { sizeMm: 6 } }], silent: [] })[0]).toContain(
      'sizeMm is 5, expected 6',
    ))
  test('a wrong level', () =>
    expect(complaints(loud, { speaks: [{ ...asked, level: 'stop' }], silent: [] })[0]).toContain('is a risk'))
  test('the same case twice', () =>
    expect(complaints(loud, { speaks: [asked, asked], silent: [] })).toContain('a: the same case stands here twice'))
  test('a limit no case meets', () =>
    expect(
      complaints(
        shaped(() => ({ group: 'speaks', message: 'loud', numbers: { sizeMm: 5, most: 4 } }), {
          limit: { measured: 'sizeMm', allowed: 'most' },
        }),
        { speaks: [asked], silent: [] },
      ),
    ).toContain('no case lies exactly at the limit (sizeMm = most)'))
  test('a place left empty', () =>
    expect(
      complaints(
        shaped(() => ({ group: 'speaks', message: 'loud' })),
        { speaks: [asked], silent: [] },
      )[0],
    ).toContain('leaves {sizeMm} empty'))
  test('a remedy that cures nothing', () => {
    const idle = {
      aims: (_: number, { context }: Facts): readonly Aim[] => [
        { do: 'pack', choices: [...context.catalogue.parts.values()].map((part) => ({ part, count: 1 })) },
      ],
    }
    expect(
      complaints(
        shaped(() => ({ group: 'speaks', message: 'loud', numbers: { sizeMm: 5 } }), idle),
        { speaks: [asked], silent: [] },
      )[0],
    ).toContain('does not clear it')
  })
  test('a judgement of another kind', () =>
    expect(complaints(loud, { speaks: [], silent: [{ ...asked, message: 'calm' }] })[0]).toContain(
      'judged speaks/loud',
    ))
})

describe('what a rule made of a piece stands as long as what it read of the rest does', () => {
  const block = (id: string, massG: number) => tinyPart({ id, massG, mounts: [plug('foot', 'thread-1/4')] })
  const tiny = tinyRig(
    [block('near', 100), block('far', 200)],
    [on('near', 'foot', 'camera', 'hole'), on('far', 'foot', 'camera', 'second')],
    { extra: [{ ...tinyCamera, mounts: [...tinyCamera.mounts, socket('second', 'thread-1/4', [0, 40, 0])] }] },
  )
  let judged: string[] = []
  const base = {
    family: 'fit' as const,
    title: 'Counted',
    why: 'why',
    level: 'hint' as const,
    source: 'test',
    options: z.object({}),
    defaults: {},
    messages: { speaks: { loud: 'It is {massG:g}.' }, silent: {}, cannotTell: {} },
    subjects: piecesThat((piece) => piece.host !== undefined),
  }
  const alone = defineCheck({
    ...base,
    id: 'counted-alone',
    needs: [],
    judge: ({ instance, part: { massG } }) => {
      judged.push(instance.id)
      return { group: 'speaks', message: 'loud', parts: [instance.id], numbers: { massG } }
    },
  })
  const together = defineCheck<PlacedPart, object, 'mass'>({
    ...base,
    id: 'counted-together',
    needs: ['mass'],
    judge: ({ instance }, { mass }) => {
      judged.push(instance.id)
      return { group: 'speaks', message: 'loud', parts: [instance.id], numbers: { massG: mass.totalG } }
    },
  })
  for (const { id, judgeAll, about } of [alone, together]) askable(id, { about, answer: judgeAll })
  const said = (facts: Facts, id: string) => {
    judged = []
    const found = momentOf(facts).evaluator.get(`check ${id}`) as readonly Found[]
    return found.map(({ finding: { parts, numbers } }) => [parts[0], numbers['massG']])
  }
  const [setup] = tiny.rig.setups
  const turned = edit(
    tiny.rig,
    [{ do: 'set', setup: setup?.id ?? '', instance: 'far', turnDeg: 90 }],
    tiny.context.catalogue,
  )
  const taken = edit(tiny.rig, [{ do: 'take-off', setup: setup?.id ?? '', instance: 'far' }], tiny.context.catalogue)
  if (!setup || !turned.ok || !taken.ok) throw new RangeError('two edits')
  const place = (rig: Rig) => placeSetup(rig, rig.setups[0] ?? setup, tiny.context.catalogue)
  const first = factsOf(place(tiny.rig), tiny.context)

  test('by itself: only the piece that changed is judged; with a figure: all, when the figure is another', () => {
    const camera = first.assembly.placed[0]?.part.massG ?? 0
    expect(said(first, 'counted-alone')).toEqual([['near', 100], ['far', 200]]) // prettier-ignore
    expect(judged).toEqual(['near', 'far'])
    expect(said(first, 'counted-together').map(([, g]) => g)).toEqual([camera + 300, camera + 300])
    const tried = factsAfter(first, place(turned.value), tiny.context, true)
    expect(said(tried, 'counted-alone')).toEqual([['near', 100], ['far', 200]]) // prettier-ignore
    expect(judged).toEqual(['far'])
    const less = factsAfter(first, place(taken.value), tiny.context, true)
    expect(said(less, 'counted-alone')).toEqual([['near', 100]])
    expect(judged).toEqual([])
    expect(said(less, 'counted-together')).toEqual([['near', camera + 100]])
    expect(judged).toEqual(['near'])
  })
})

describe('a rule or a figure that throws takes nothing else with it', () => {
  const { rig, context } = tinyRig([], [])
  const [setup] = rig.setups
  if (!setup) throw new RangeError('a set-up')
  const base = {
    id: 'broken',
    family: 'fit' as const,
    title: 'Broken on purpose',
    why: 'why',
    level: 'stop' as const,
    source: 'test',
    options: z.object({}),
    defaults: {},
    needs: [],
    messages: { speaks: { loud: 'It is.' }, silent: {}, cannotTell: {} },
  }
  const facts = () => factsOf(placeSetup(rig, setup, context.catalogue), context)
  const fails = (): never => {
    throw new RangeError('planted')
  }

  test('at one subject: the others are judged', () => {
    const check = defineCheck<number, object>({
      ...base,
      subjects: () => [1, 2, 3],
      judge: (n) => (n === 2 ? fails() : { group: 'speaks', message: 'loud' }),
    })
    expect(check.run(facts()).map(({ level, message }) => [level, message])).toEqual([
      ['stop', 'loud'],
      ['hint', 'rule-failed'],
      ['stop', 'loud'],
    ])
    expect(check.run(facts())[1]).toMatchObject({
      group: 'cannotTell',
      names: { rule: 'Broken on purpose', reason: 'planted' },
    })
  })
  test('while it tells which pieces are its own: it says so, and all others go on', () => {
    const picky = defineCheck<PlacedPart, object>({ ...base, subjects: piecesThat(fails), judge: fails })
    expect(picky.run(facts())).toMatchObject([{ check: 'broken', message: 'rule-failed' }])
    expect(findingsOf(facts()).filter(({ message }) => message === 'rule-failed')).toEqual([])
  })
  test('while it looks for its subjects, by an unknown message, or in its ways out', () => {
    const [none] = defineCheck({ ...base, subjects: fails, judge: fails }).run(facts())
    expect(none).toMatchObject({ check: 'broken', message: 'rule-failed' })
    const [unknown] = defineCheck({
      ...base,
      subjects: () => [1],
      judge: () => ({ group: 'speaks', message: 'unheard-of' }),
    }).run(facts())
    expect(unknown).toMatchObject({
      message: 'rule-failed',
      names: { reason: expect.stringContaining('unheard-of') as string },
    })
    const [cured] = defineCheck({
      ...base,
      subjects: () => [1],
      judge: () => ({ group: 'speaks', message: 'loud' }),
      aims: fails,
    }).run(facts())
    expect([cured?.message, cured?.aims?.list]).toEqual(['loud', []])
  })
  test('a figure that fails is told once, by its name, and reads as blank on screens', () => {
    // A camera whose centre is no number is refused on its way in; here it stands for any defect of ours.
    const strict = factsOf({ ...placeSetup(rig, setup, context.catalogue), placed: undefined } as never, context)
    const findings = findingsOf(strict)
    const told = findings.filter(({ message }) => message === 'fact-failed').map(({ names }) => names['fact'])
    expect(new Set(told).size).toBe(told.length)
    expect(told).toContain('mass')
    const failed = new Set<FactName>()
    expect(blankWhereFailed(strict, failed).mass).toEqual({ totalG: 0, inHandG: 0, unknown: [], centre: [0, 0, 0] })
    expect([...failed]).toEqual(['mass'])
  })
})

test('beside every rule stands its test, and it puts the rule to the strict tester', () => {
  for (const { id, family } of checks) {
    const file = join(import.meta.dirname, family, `${id}.test.ts`)
    expect([id, existsSync(file) && /\btestCheck\(/.test(readFileSync(file, 'utf8'))]).toEqual([id, true])
  }
})

test('a message states the unit of each figure it tells, and it is the one in the figure’s name', () => {
  const inName: readonly (readonly [RegExp, Unit])[] = [
    [/Minor$/, 'minor'],
    [/Mm$/, 'mm'],
    [/Nm$/, 'N m'],
    [/(Watts|^watts)$/, 'W'],
    [/Wh$/, 'Wh'],
    [/(Volts|^volts)$/, 'V'],
    [/Percent$/, '%'],
    [/Deg$/, 'deg'],
    [/[a-z]G$/, 'g'],
  ]
  const wrong: string[] = []
  for (const check of checks)
    for (const group of Object.values(check.messages))
      for (const text of Object.values(group))
        filled(text, ({ name, unit }) => {
          const wanted = inName.find(([ending]) => ending.test(name))?.[1]
          if (wanted !== undefined && unit !== wanted) wrong.push(`${check.id}: {${name}:${unit ?? ''}}`)
          return ''
        })
  expect(wrong).toEqual([])
})

test('a rule names kinds of move and what they should reach; the edits are made elsewhere', () => {
  const rules = families.flatMap((family) =>
    readdirSync(join(import.meta.dirname, family))
      .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
      .map((file) => join(import.meta.dirname, family, file)),
  )
  const builds = rules.filter((file) => /\bcommands\b|\bCommand\b|remedies\//.test(readFileSync(file, 'utf8')))
  expect(builds).toEqual([])
  expect(rules.length).toBeGreaterThan(checks.length)
})
