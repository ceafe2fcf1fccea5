// The script of a page that stands alone: ticks and the day's log without a server and without a network. What is told
// is kept in this browser, and goes back as a file.
;(() => {
  'use strict'
  const { rigId, revision, stamp } = JSON.parse(document.getElementById('about').textContent)
  const place = `zucchini-field ${rigId} ${stamp}`
  const state = document.getElementById('state')
  let entries = []
  let isKept = true
  try {
    entries = JSON.parse(localStorage.getItem(place) ?? '[]')
  } catch {
    isKept = false
  }
  const freshId = () => {
    const bytes = crypto.getRandomValues(new Uint8Array(16))
    bytes[6] = (bytes[6] & 0x0f) | 0x40
    bytes[8] = (bytes[8] & 0x3f) | 0x80
    const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('')
    return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-')
  }
  let last = 0
  const told = document.getElementById('told')
  const show = () => {
    const ticked = new Set()
    for (const { what } of entries)
      if (what.kind === 'tick') ticked[what.on ? 'add' : 'delete'](`${what.list} ${what.key}`)
    for (const box of document.querySelectorAll('input[data-key]'))
      box.checked = ticked.has(`${box.dataset.list} ${box.dataset.key}`)
    for (const count of document.querySelectorAll('[data-count]')) {
      const boxes = [...document.querySelectorAll('input[data-key]')].filter(
        (box) => box.dataset.list === count.dataset.count,
      )
      count.textContent = `${boxes.filter((box) => box.checked).length} of ${boxes.length}`
    }
    const days = entries.filter(({ what }) => what.kind === 'day').length
    told.textContent = entries.length === 0 ? 'nothing told yet' : `${entries.length} told, ${days} of them a day’s log`
    state.textContent = isKept
      ? 'kept in this browser'
      : 'this browser keeps nothing: write the file before you close this page'
  }
  const tell = (what) => {
    last = Math.max(Date.now(), last + 1)
    entries.push({ id: freshId(), rigId, revision, at: new Date(last).toISOString(), what })
    try {
      localStorage.setItem(place, JSON.stringify(entries))
    } catch {
      isKept = false
    }
    show()
  }
  document.addEventListener('change', ({ target }) => {
    if (target.matches('input[data-key]'))
      tell({ kind: 'tick', list: target.dataset.list, key: target.dataset.key, on: target.checked })
  })
  const form = document.getElementById('log')
  form.addEventListener('submit', (event) => {
    event.preventDefault()
    const data = new FormData(form)
    const text = (name) => form.elements[name].value.trim()
    const refs = (name) =>
      data.getAll(name).map((text) => {
        const { piece, partId, joint } = JSON.parse(text)
        return name === 'loose' || name === 'inTheWay' ? { piece, partId, joint } : { piece, partId }
      })
    tell({
      kind: 'day',
      shoot: text('shoot'),
      day: text('day'),
      setups: data.getAll('setup'),
      carried: JSON.parse(form.dataset.carried),
      loose: refs('loose'),
      ranOut: [],
      inTheWay: refs('inTheWay'),
      unused: refs('unused'),
      gaps: [],
      measured: [],
      line: text('line'),
    })
    form.reset()
    document.getElementById('kept').hidden = false
  })
  document.getElementById('write').addEventListener('click', () => {
    const text = JSON.stringify({ format: 'zucchini-field', version: 1, entries }, null, 1)
    const link = document.createElement('a')
    link.href = URL.createObjectURL(new Blob([text], { type: 'application/json' }))
    link.download = `${rigId}-field.json`
    link.click()
  })
  show()
})()
