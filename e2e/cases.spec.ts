import { execFileSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { atRack, expect, saved, test } from './bench'
import { check, enter, hit, made, pick, turnTo, write } from './hands'

const noPointer = (page: Page) =>
  page.addInitScript(() => {
    addEventListener('pointerdown', () => {
      throw new Error('a pointer was used')
    })
  })
/** How many acts a job may take at the most: as many as it took when it was last looked at. */
const within = (most: number) => {
  test.info().annotations.push({ type: 'acts', description: String(made.acts) })
  expect(made.acts).toBeLessThanOrEqual(most)
}
/** Begins a commission from the rack. Nothing may be pressed with a pointer, and every act is counted. */
async function begin(page: Page, title: string, client: string) {
  made.acts = 0
  await page.keyboard.press('n')
  await write(page, 'What is it called?', title)
  await write(page, 'Who is it for?', client)
  await hit(page, page.getByRole('button', { name: 'Put it on the rack' }))
  await page.locator('nav[aria-label=Stations]').waitFor()
}
/** A part off the shelf, by its kind. */
const shelf = async (page: Page, kind: string, name: string) => {
  await pick(page, 'Kind of part', kind)
  await hit(page, page.getByRole('button', { name: `+ ${name}` }))
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
  await noPointer(page)
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
  within(24)
})

test('a re-install with faults on arrival and a wish that could not be met, with the keyboard alone', async ({
  page,
  server,
  folder,
}) => {
  await noPointer(page)
  await atRack(page, server.url)
  await begin(page, 'Second Lamp', 'Ebba Thorn')
  await enter(page, 'a wish, one per line', 'The old fonts again')
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
  within(34)
})

test('many looks on two blades, a greeting, a pommel that is only shown, and what is still owed', async ({
  page,
  server,
  folder,
}) => {
  await noPointer(page)
  await atRack(page, server.url)
  await begin(page, 'Many Lamps', 'Aud Merriwell')
  await hilt(page)
  await turnTo(page, /Fit/)
  await shelf(page, 'display', 'Display 0.69 in')
  await hit(page, page.getByRole('tab', { name: 'Parts' }))
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  for (const length of ['810', '920']) {
    await hit(page, page.getByRole('button', { name: '+ a blade for the emitter' }))
    await enter(page, 'tube length', length)
  }
  await turnTo(page, /Voice/)
  for (const name of ['Marsh lamp', 'Ferry lamp', 'Weir lamp']) await enter(page, 'name of a preset', name)
  await turnTo(page, /^Saber/)
  await enter(page, 'Greeting of the display', 'Aud’s own')
  await enter(page, 'Picture of the display', 'a lamp')
  await enter(page, 'charger, adapter, second pommel, spare screw…', 'pommel with a ring')
  await pick(page, 'Role of pommel with a ring', 'replaces')
  await pick(page, 'What pommel with a ring goes with', /pommel/)
  await pick(page, 'Who supplies pommel with a ring', /bench/)
  await check(page, /in the film.*pommel with a ring/)
  await turnTo(page, /^Ledger/)
  await enter(page, 'what was chosen', 'the two longest blades')
  await enter(page, 'Why the two longest blades', 'she is tall')
  await pick(page, 'Whose choice the two longest blades was', 'the client’s')
  await turnTo(page, /^To-do/)
  await enter(page, 'grease the thread, polish the plug, edit the swing…', 'send the lock sound')
  await check(page, /promised: .*send the lock sound/)
  const { record, text } = await paper(page, server.url, folder)
  expect(record).toMatchObject({
    toDos: [{ text: 'send the lock sound', promised: true, who: 'shop' }],
    sabers: [
      {
        blades: [{ length: { value: 810 } }, { length: { value: 920 } }],
        presets: [{ name: 'Marsh lamp' }, { name: 'Ferry lamp' }, { name: 'Weir lamp' }],
        settings: { greeting: 'Aud’s own', picture: 'a lamp' },
        items: [{ role: 'alternative', supplied: 'bench', shown: true, of: expect.stringMatching(/^section:/) }],
        decisions: [{ whose: 'client' }],
      },
    ],
  })
  for (const told of ['“Aud’s own”, a lamp', 'your choice', 'We owe you: send the lock sound'])
    expect(text).toContain(told)
  await turnTo(page, /Walkthrough/)
  await hit(page, page.getByRole('button', { name: 'compose from the record' }))
  for (const told of [
    '3 looks and two blades: that makes 6',
    'stays with us: pommel with a ring',
    'One thing we still owe you',
  ])
    await expect(page.getByText(told, { exact: false }).first()).toBeAttached()
  within(34)
})

test('a chassis in covers that lock each other, told act by act', async ({ page, server, folder }) => {
  await noPointer(page)
  await atRack(page, server.url)
  await begin(page, 'Lamp Keeper', 'Ebba Thorn')
  await hilt(page)
  await pick(page, 'Joint of pommel to the next', 'thread')
  await turnTo(page, /Fit/)
  await shelf(page, 'chassis', 'Chassis, resin, one piece')
  await check(page, 'can be taken out')
  await pick(page, 'Held by', 'rails')
  await enter(page, 'Chassis, resin, one piece, rear face from the pommel', '24')
  for (const [name, x] of [
    ['lower cover', '60'],
    ['upper cover', '90'],
  ] as const) {
    await shelf(page, 'cover', 'Metal cover, magnet held')
    await enter(page, 'Part name', name)
    await enter(page, `${name}, rear face from the pommel`, x)
  }
  await turnTo(page, /Access/)
  const joints = page.locator('section[aria-label=Joints]')
  await hit(page, joints.getByRole('button', { name: /^lower cover/ }))
  await pick(page, 'What must be off before lower cover', /upper cover/)
  await enter(page, 'What is felt at lower cover', 'the magnets pull it home')
  await hit(page, joints.getByRole('button', { name: /^Chassis, resin/ }))
  await enter(page, 'Landmark at Chassis, resin, one piece', 'the notch to the button')
  const { record, text } = await paper(page, server.url, folder)
  expect(record.sabers[0].joints).toMatchObject([
    { after: [expect.stringMatching(/^part:/)], feels: 'the magnets pull it home' },
    { landmark: 'the notch to the button' },
  ])
  expect(text).toContain('the notch to the button')
  expect(text.indexOf('Lift off the upper cover')).toBeLessThan(text.indexOf('Lift off the lower cover'))
  within(26)
})
