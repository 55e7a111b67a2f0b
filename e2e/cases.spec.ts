import { execFileSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { atRack, expect, saved, test } from './bench'
import { check, enter, hit, pick, turnTo, write } from './hands'

/** Begins a commission from the rack, and lays out a hilt of four plain sections. */
async function begin(page: Page, title: string, client: string) {
  await page.keyboard.press('n')
  await write(page, 'What is it called?', title)
  await write(page, 'Who is it for?', client)
  await hit(page, page.getByRole('button', { name: 'Put it on the rack' }))
  await page.locator('nav[aria-label=Stations]').waitFor()
}
const hilt = async (page: Page) => {
  await turnTo(page, /Hilt/)
  await hit(page, page.getByRole('button', { name: 'Lay out pommel, grip, neck and emitter' }))
}
const paper = async (page: Page, url: string, folder: string) => {
  await saved(page)
  const id = page.url().split('/commission/')[1]!.split('/')[0]!
  const { record } = await (await page.request.get(`${url}/api/commissions/${id}`)).json()
  const file = join(folder, 'x.pdf')
  writeFileSync(file, await (await page.request.get(`${url}/api/commissions/${id}/handoff.pdf?paper=A4`)).body())
  return { record, text: execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }).replace(/\s+/g, ' ') }
}

test('a gift for a beginner, entered with the keyboard alone, reaches its paper', async ({ page, server, folder }) => {
  // Nothing may be pressed with a pointer.
  await page.addInitScript(() => {
    addEventListener('pointerdown', () => {
      throw new Error('a pointer was used')
    })
  })
  await atRack(page, server.url)
  await begin(page, 'First Lamp', 'Aud Merriwell')
  await pick(page, 'Purpose', /beginner/)
  await write(page, 'Brief', 'His first one. It should forgive him a lot.')
  await hilt(page)
  await turnTo(page, /Voice/)
  await enter(page, 'name of a preset', 'Marsh light')
  await turnTo(page, /^Saber/)
  await enter(page, 'Recipient', 'Nils')
  await enter(page, 'Giver', 'Aud')
  await write(page, 'Warranty', 'Two years on what we soldered.')
  await hit(page, page.getByRole('button', { name: '+ a sensitivity' }))
  await enter(page, 'swing is set to', '3 of 10')
  await check(page, 'swing tried with plug')
  await enter(page, 'Note for the client on the swing sensitivity', 'Calm, for small rooms.')
  await enter(page, 'charger, adapter, second pommel, spare screw…', 'card holder')
  await enter(page, 'Shop note on card holder', 'from the second drawer')
  await enter(page, 'full-contact duelling, rain…', 'full contact')
  await enter(page, 'Why not full contact', 'the tube is thin')
  await turnTo(page, /^To-do/)
  await enter(page, 'grease the thread, polish the plug, edit the swing…', 'film into the blade')
  await turnTo(page, /Handoff/)
  await expect(page.getByText('film into the blade', { exact: false }).first()).toBeVisible()
  const { record, text } = await paper(page, server.url, folder)
  expect(record).toMatchObject({
    ...{ purpose: 'beginner', giver: 'Aud', warranty: { words: 'Two years on what we soldered.' } },
    toDos: [{ text: 'film into the blade', blocks: 'shipping', who: 'shop' }],
    sabers: [
      {
        recipient: { name: 'Nils' },
        settings: { sensitivities: [{ sense: 'swing', triedWith: ['plug'], value: { value: '3 of 10' } }] },
        items: [{ what: 'card holder' }],
        notFor: [{ what: 'full contact', why: 'the tube is thin' }],
        presets: [{ name: 'Marsh light' }],
      },
    ],
  })
  expect(record.sabers[0].hilt.sections).toHaveLength(4)
  for (const told of [
    'A gift from Aud',
    'Nils',
    'Calm, for small rooms.',
    'card holder',
    'the tube is thin',
    'Two years',
  ])
    expect(text).toContain(told)
  for (const kept of ['from the second drawer', 'film into the blade']) expect(text).not.toContain(kept)
})

test('a re-install with faults on arrival and a wish that could not be met, with the keyboard alone', async ({
  page,
  server,
  folder,
}) => {
  await page.addInitScript(() => {
    addEventListener('pointerdown', () => {
      throw new Error('a pointer was used')
    })
  })
  await atRack(page, server.url)
  await begin(page, 'Second Lamp', 'Ebba Thorn')
  await enter(page, 'one wish a line', 'The old fonts again')
  await pick(page, 'Status of request 1', /declined/)
  await enter(page, 'Answer to request 1', 'Its card could not be read.')
  await enter(page, 'part, as it came', 'saber')
  await enter(page, 'Condition of saber', 'opened before')
  await pick(page, 'What became of saber', /used/)
  await hit(page, page.locator('section[aria-label="Parts that arrived"] summary'))
  await enter(page, 'fault on arrival', 'card bent')
  await hit(page, page.getByRole('button', { name: 'wish', exact: true }))
  await enter(page, 'fault on arrival', 'cell flat')
  await hit(page, page.getByRole('button', { name: 'to-do', exact: true }))
  await enter(page, 'fault on arrival', 'a screw glued in')
  await enter(page, 'Why a screw glued in is left', 'left as it is, agreed')
  await enter(page, 'question to the client', 'Which font may take its place?')
  await hilt(page)
  await hit(page, page.getByRole('button', { name: 'screw', exact: true }))
  await hit(page, page.getByRole('button', { name: 'put it in the middle' }))
  await enter(page, 'Screw name', 'grip screw')
  await enter(page, 'from pommel', '60')
  await enter(page, 'Note for the client on grip screw', 'Loosen it only.')
  await turnTo(page, /^Saber/)
  await enter(page, 'earlier owner or maker', 'a shop at the weir')
  await enter(page, 'what a shop at the weir did', 'wired it first')
  await enter(page, 'charge by cable, show a clock…', 'show the hour')
  await check(page, /^stays.*show the hour/)
  await enter(page, 'Instead of show the hour', 'the cell’s level')
  await turnTo(page, /^To-do/)
  await pick(page, 'On what', /grip screw/)
  await enter(page, 'grease the thread, polish the plug, edit the swing…', 'sand the socket for your tube')
  await pick(page, 'Who does sand the socket for your tube', 'the client')
  const { record, text } = await paper(page, server.url, folder)
  expect(record).toMatchObject({
    requests: [
      { status: 'declined', answer: 'Its card could not be read.' },
      { text: expect.stringContaining('card bent') },
    ],
    arrivals: [
      {
        what: 'saber',
        condition: 'opened before',
        faults: [
          { text: 'card bent', became: expect.stringMatching(/^request:/) },
          { text: 'cell flat', became: expect.stringMatching(/^toDo:/) },
          { text: 'a screw glued in', left: 'left as it is, agreed' },
        ],
      },
    ],
    questions: [{ text: 'Which font may take its place?' }],
    toDos: [
      { text: expect.stringContaining('cell flat') },
      { who: 'client', about: expect.stringMatching(/^fastener:/) },
    ],
    sabers: [
      {
        hilt: { fasteners: [{ name: 'grip screw', at: { value: 60, source: 'measured' }, note: 'Loosen it only.' }] },
        provenance: [{ who: 'a shop at the weir', did: { value: 'wired it first' } }],
        before: [{ what: 'show the hour', insteadBy: 'the cell’s level' }],
      },
    ],
  })
  for (const told of [
    'Its card could not be read.',
    'card bent',
    'left as it is, agreed',
    'Loosen it only.',
    'wired it first',
  ])
    expect(text).toContain(told)
  expect(text).toContain('sand the socket for your tube')
})
