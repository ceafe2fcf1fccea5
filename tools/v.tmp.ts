import { evaluate, knownBy } from '@zucchini/core/assess'
import { catalogueOf } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark, secondMark } from '@zucchini/demo/scenario'
import { soundRigs } from '@zucchini/demo/sound'
import { accept } from '@zucchini/core/ways-out'
import { namedWays, proposalsFor } from '@zucchini/core/remedies'
import { kindOf } from '@zucchini/core/checks'
const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const fill = (t: string, n: any, m: any) => t.replace(/\{(\w+)(?::([^{}]+))?\}/g, (_, k, u) => k in n ? `${Math.round(n[k] * 10) / 10}${u ?? ''}` : (m[k] ?? '?'))
const [, , which, setup, check, most = '8'] = process.argv
const rig = which === 'first' ? firstMark : which === 'second' ? secondMark : soundRigs.find((r) => r.id === which)!
const before = evaluate(rig, setup!, context)
const known = knownBy(before, (x) => evaluate(rig, x, context))
for (const f of before.findings.filter((f) => f.check === check)) {
  console.log(`[${f.level}] ${f.check}: ${fill(f.text, f.numbers, f.names)}`)
  const tell = (label: string, r: any) => { const v = accept(known, setup!, f, r); console.log(`   ${label} ${kindOf(r)} ${fill(r.text, r.numbers, r.names)} -> ${v.as} ${v.why ?? ''} ${v.gained.map((g) => `${g.setup}:${g.finding.level} ${g.finding.check} ${fill(g.finding.text, g.finding.numbers, g.finding.names)}`).join(' | ')}`) }
  for (const r of namedWays(f)) tell('named', r)
  for (const { kind, proposals } of proposalsFor(before.strict, f)) { let n = 0; for (const r of proposals()) { if (n++ >= +most) break; tell(kind, r) } }
}
