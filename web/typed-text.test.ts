import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { emptyBrief } from '@zucchini/core/brief'
import { mount } from '@vue/test-utils'
import DayStart from './screens/brief/DayStart.vue'

const templates = readdirSync(import.meta.dirname, { recursive: true, encoding: 'utf8' }).filter(
  (file) => file.endsWith('.vue') && !file.includes('node_modules'),
)

test('what is being typed stays while the page is drawn anew around it', async () => {
  const page = mount(DayStart, { props: { brief: emptyBrief } })
  const place = page.get('input[placeholder="a town, or any name"]')
  ;(place.element as HTMLInputElement).value = 'Tall'
  await place.trigger('input')
  await page.setProps({
    brief: { ...emptyBrief, about: 'changed elsewhere', light: { ...emptyBrief.light, date: '2026-12-01' } },
  })
  expect((place.element as HTMLInputElement).value).toBe('Tall')
  await page.setProps({
    brief: { ...emptyBrief, light: { ...emptyBrief.light, place: { ...emptyBrief.light.place, name: 'Oslo' } } },
  })
  expect((place.element as HTMLInputElement).value).toBe('Oslo')
})

// A value that is bound plainly is written at every drawing; one bound as a property only when it changes.
test.each(templates)('%s: fields that are read when they are left are bound as properties', (file) => {
  const text = readFileSync(join(import.meta.dirname, file), 'utf8')
  const tags = text.match(/<(?:input|textarea)\b(?:[^>"]|"[^"]*")*>/g) ?? []
  const plain = tags.filter(
    (tag) => /\s:value="/.test(tag) && tag.includes('@change') && !/type="(?:range|checkbox|radio)"/.test(tag),
  )
  expect(plain).toEqual([])
})
