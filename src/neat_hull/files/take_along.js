// Keeps what is ticked and typed in this page's own storage, and gives it back as short text.
'use strict'
const page = document.body.dataset
const KEY = 'neat-hull-along-' + page.key
const said = document.getElementById('said')
let kept = {}
try {
  kept = JSON.parse(localStorage.getItem(KEY) || '{}')
} catch {
  kept = {}
}

const fields = [...document.querySelectorAll('[data-keep]')]
const ticked = (field) => field.type === 'checkbox' || field.type === 'radio'
for (const field of fields) {
  const was = kept[field.dataset.keep]
  if (was === undefined) continue
  if (field.type === 'radio') field.checked = was === field.value
  else if (field.type === 'checkbox') field.checked = was
  else field.value = was
}

function keep() {
  kept = {}
  for (const field of fields) {
    const name = field.dataset.keep
    if (field.type === 'radio') {
      if (field.checked) kept[name] = field.value
    } else if (field.type === 'checkbox') {
      if (field.checked) kept[name] = true
    } else kept[name] = field.value
  }
  try {
    localStorage.setItem(KEY, JSON.stringify(kept))
  } catch {
    said.textContent = 'This phone does not let the page keep anything: copy the result before you close it.'
  }
}
document.addEventListener('input', keep)
// A second tap on what is chosen takes it away again: not said.
document.addEventListener('click', (event) => {
  const field = event.target
  if (field.type !== 'radio' || !field.dataset.keep) return
  if (field.dataset.was) {
    field.checked = false
    delete field.dataset.was
    keep()
    return
  }
  for (const other of fields) if (other.name === field.name) delete other.dataset.was
  field.dataset.was = '1'
})
for (const field of fields) if (field.type === 'radio' && field.checked) field.dataset.was = '1'

const value = (name) => {
  const field = fields.find((one) => one.dataset.keep === name && (!ticked(one) || one.checked))
  return field ? field.value.trim().replace(/\s+/g, ' ') : ''
}
const plain = (name) => name.replace(/[()]/g, '')

function result() {
  const lines = ['Neat Hull trip 1', 'setup: ' + page.setup, 'revision: ' + page.revision]
  for (const [word, name] of [
    ['day', 'day'],
    ['out', 'out'],
    ['hours', 'hours'],
    ['where', 'where'],
    ['water', 'water'],
    ['wind', 'wind'],
    ['water temp', 'temp'],
    ['note', 'note'],
  ])
    if (value(name)) lines.push(word + ': ' + (name === 'hours' || name === 'temp' ? value(name).replace(',', '.') : value(name)))
  for (const row of document.querySelectorAll('[data-item]')) {
    const of = [...row.querySelectorAll('input:checked')].map((one) => one.value)
    if (of.length) lines.push('item ' + row.dataset.item + ': ' + of.join(', ') + ' (' + plain(row.dataset.name) + ')')
  }
  for (const row of document.querySelectorAll('[data-pack]')) {
    const [start, left] = [...row.querySelectorAll('select')].map((one) => one.value)
    const dark = row.querySelector('input:checked')
    if (left || dark)
      lines.push('pack ' + row.dataset.pack + ': ' + [start || '1', left, dark ? 'dark' : ''].filter(Boolean).join(' ') + ' (' + plain(row.dataset.name) + ')')
  }
  for (const list of document.querySelectorAll('[data-list]')) {
    const done = [...list.querySelectorAll('input:checked')].map((one) => one.value)
    if (done.length) lines.push('done ' + list.dataset.list + ': ' + done.join(', '))
  }
  return lines.join('\n') + '\n'
}

document.getElementById('copy').addEventListener('click', async () => {
  const day = document.querySelector('[data-keep=day]')
  const hours = document.querySelector('[data-keep=hours]')
  for (const field of [day, hours]) {
    if (field.value && field.checkValidity()) continue
    said.textContent = 'The day and the hours on the water are needed.'
    field.focus()
    return
  }
  const text = result()
  const box = document.getElementById('result')
  box.hidden = false
  box.value = text
  box.rows = text.split('\n').length
  try {
    await navigator.clipboard.writeText(text)
    said.textContent = 'Copied. Paste it into the Log of Neat Hull: Read a result.'
  } catch {
    box.focus()
    box.select()
    said.textContent = 'Copy what is selected, and paste it into the Log of Neat Hull: Read a result.'
  }
})
document.getElementById('clear').addEventListener('click', () => {
  if (!confirm('Clear all ticks and what is typed in this page?')) return
  localStorage.removeItem(KEY)
  location.reload()
})
