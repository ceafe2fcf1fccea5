import { flushPromises } from '@vue/test-utils'
import { onPage } from '../../testing/demo.ts'
import { alertsOf, fieldOf } from '../../testing/fields.ts'
import PriceForm from './PriceForm.vue'
import RateForm from './RateForm.vue'
import WatchForm from './WatchForm.vue'

interface Sent {
  readonly path: string
  readonly method: string
  readonly body: unknown
}
let sent: Sent[] = []
/** What the server says next; nothing: it takes it. */
let refuses: { readonly code: string; readonly message: string } | undefined

const overview = {
  home: 'EUR',
  rules: { shippingMinor: 0, freeFromMinor: 0, taxPercent: 0, taxIncluded: true },
  feed: { on: false, seed: 1 },
  today: '2026-11-26',
  rates: [],
  views: [],
  watches: [],
  notices: [],
}
beforeEach(() => {
  sent = []
  refuses = undefined
  globalThis.fetch = ((path: string, init: { method: string; body?: string }) => {
    sent.push({ path, method: init.method, body: JSON.parse(init.body ?? 'null') as unknown })
    const [status, body] = refuses ? [422, { error: refuses }] : [init.method === 'POST' ? 201 : 200, overview]
    return Promise.resolve({
      ok: status < 400,
      status,
      headers: new Map([['content-type', 'application/json']]),
      json: () => Promise.resolve(body),
      text: () => Promise.resolve(JSON.stringify(body)),
    })
  }) as unknown as typeof fetch
})

/** A form gathers what is typed for some milliseconds before it checks all of it. */
const settled = async () => {
  for (let i = 0; i < 6; i++) {
    await new Promise((done) => setTimeout(done, 5))
    await flushPromises()
  }
}
type Page = Awaited<ReturnType<typeof onPage>>['page']
const type = async (page: Page, label: string, text: string) => {
  await fieldOf(page, label).setValue(text)
  await fieldOf(page, label).trigger('change')
}
const send = async (page: Page) => {
  await page.find('form').trigger('submit')
  await settled()
}

describe('a price that was seen', () => {
  const open = async () =>
    (await onPage(PriceForm, { props: { partId: 'cube', home: 'EUR', today: '2026-11-26' } })).page

  test('is sent with the day and currency that stand for nothing typed; the amount is emptied for the next', async () => {
    const page = await open()
    await type(page, 'shop', ' The corner shop ')
    await type(page, 'price', '99,90')
    await fieldOf(page, 'second hand').setValue(true)
    await send(page)
    expect(sent).toEqual([
      {
        path: '/api/prices',
        method: 'POST',
        body: {
          partId: 'cube',
          shop: 'The corner shop',
          seenOn: '2026-11-26',
          amountMinor: 9990,
          shippingMinor: 0,
          currency: 'EUR',
          used: true,
          available: true,
        },
      },
    ])
    expect(page.emitted('stored')).toEqual([[overview]])
    expect([fieldOf(page, 'price').element.value, fieldOf(page, 'shop').element.value]).toEqual([
      '',
      ' The corner shop ',
    ])
  })

  test('without a shop, without a price or with words for an amount it is not sent, and each is said at its field', async () => {
    const page = await open()
    await send(page)
    expect(alertsOf(page)).toEqual(['Say which shop it was.', 'A price is 0 or more, such as 49.90.'])
    await type(page, 'shop', 'The corner shop')
    await type(page, 'price', '99')
    await type(page, 'sending', 'free')
    await send(page)
    expect(alertsOf(page)).toEqual(['Sending costs 0 or more, such as 5.90.'])
    expect(sent).toEqual([])
  })

  test('what the server refuses is said, stays to be mended, and goes with the next try', async () => {
    const page = await open()
    refuses = { code: 'rate-unknown', message: 'no rate is known from XYZ' }
    await type(page, 'shop', 'The corner shop')
    await type(page, 'price', '99')
    await type(page, 'currency', 'xyz')
    await send(page)
    expect(alertsOf(page)).toHaveLength(1)
    expect([page.emitted('stored'), fieldOf(page, 'price').element.value]).toEqual([undefined, '99.00'])
    expect(sent[0]?.body).toMatchObject({ currency: 'XYZ' })
    refuses = undefined
    await type(page, 'currency', '')
    await send(page)
    expect([alertsOf(page), page.emitted('stored')?.length]).toEqual([[], 1])
  })
})

describe('a price that is waited for', () => {
  const open = async (belowMinor?: number) => (await onPage(WatchForm, { props: { partId: 'cube', belowMinor } })).page

  test('is sent, and what is watched already stands in the field as a hint, with a way to stop', async () => {
    const page = await open(12000)
    expect(fieldOf(page, 'tell me when it is under').attributes('placeholder')).toBe('120.00')
    await type(page, 'tell me when it is under', '99')
    await send(page)
    const stop = page.findAll('button').find((one) => one.text() === 'Stop')
    await stop?.trigger('click')
    await settled()
    expect(sent.map(({ path, method, body }) => [path, method, body])).toEqual([
      ['/api/prices/watches/cube', 'PUT', { belowMinor: 9900 }],
      ['/api/prices/watches/cube', 'PUT', { belowMinor: null }],
    ])
  })

  test('nothing and zero are no mark to wait for', async () => {
    const page = await open()
    expect(page.findAll('button').map((one) => one.text())).toEqual(['Watch'])
    for (const text of ['', '0', 'cheap']) {
      await type(page, 'tell me when it is under', text)
      await send(page)
      expect([text, ...alertsOf(page)]).toEqual([text, 'Say under which price you want to know, such as 49.90.'])
    }
    expect(sent).toEqual([])
  })
})

test('a rate is sent in capitals for today; a currency of two letters and a rate of nothing are refused', async () => {
  const { page } = await onPage(RateForm, { props: { home: 'EUR', today: '2026-11-26' } })
  await type(page, 'currency', 'gb')
  await type(page, 'one is worth, EUR', '0')
  await send(page)
  expect(alertsOf(page)).toEqual([
    'Use a three-letter currency code, such as GBP.',
    'A rate must be more than 0: what one unit is worth here.',
  ])
  await type(page, 'currency', 'gbp')
  await type(page, 'one is worth, EUR', '1,17')
  await send(page)
  expect(sent[0]).toMatchObject({
    path: '/api/prices/rates',
    body: { currency: 'GBP', seenOn: '2026-11-26', rate: 1.17 },
  })
  expect(page.emitted('stored')).toHaveLength(1)
})
