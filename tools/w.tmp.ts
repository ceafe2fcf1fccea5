import { evaluate, knownBy, waysOut } from '@zucchini/core/assess'
import { catalogueOf } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark, secondMark } from '@zucchini/demo/scenario'
import { soundRigs } from '@zucchini/demo/sound'
const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const fill = (t: string, n: any, m: any) => t.replace(/\{(\w+)(?::([^{}]+))?\}/g, (_, k, u) => k in n ? `${Math.round(n[k] * 10) / 10}${u ?? ''}` : (m[k] ?? '?'))
const which = process.argv[2] ?? 'first'
const rig = which === 'first' ? firstMark : which === 'second' ? secondMark : soundRigs.find((r) => r.id === which)!
if (which === 'list') { for (const r of soundRigs) console.log(r.id, r.kit.map((k) => k.partId).join(' '), r.setups.map((s) => s.id + ':' + s.support).join(' ')); process.exit() }
for (const { id } of rig.setups.filter((s) => !process.argv[3] || s.id === process.argv[3])) {
  const before = evaluate(rig, id, context)
  const known = knownBy(before, (x) => evaluate(rig, x, context))
  console.log('=====', id)
  for (const f of before.findings) {
    if (f.level === 'hint' && !process.argv[4]) continue
    console.log(`[${f.level}] ${f.check}: ${fill(f.text, f.numbers, f.names)}`)
    for (const w of waysOut(known, before, f).slice(0, 5)) console.log(`     ${w.kind} (${w.as}) ${fill(w.remedy.text, w.remedy.numbers, w.remedy.names)}`)
  }
}
