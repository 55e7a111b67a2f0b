import { execFileSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { expect, open, saved, signIn, test } from './bench'
import { add, choose, chooseWords, type } from './hands'

test('a pile of doubtful facts is worked off from the keyboard, and nothing of it is lost', async ({
  page,
  server,
}) => {
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/cinder-oath/facts`)
  const desk = page.getByRole('navigation', { name: 'Desks' })
  await expect(desk.getByRole('link', { name: /^Facts/ })).toHaveAttribute('aria-current', 'page')
  const unknown = page.getByRole('region', { name: 'Not recorded' })
  await unknown.getByLabel('bore').focus()
  await page.keyboard.type('19')
  await page.keyboard.press('Enter')
  // Enter went on: the volume is next, then what was only remembered.
  await expect(unknown.getByLabel('volume')).toBeFocused()
  await page.keyboard.type('80')
  await page.keyboard.press('Enter')
  await expect(unknown).toHaveCount(0)
  const memory = page.getByRole('region', { name: 'From memory' })
  await expect(memory.getByRole('textbox', { name: 'length' })).toBeFocused()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Enter')
  await expect(memory).toHaveCount(0)
  await saved(page)
  await page.reload()
  await expect(page.getByRole('region', { name: 'Contradictions: which is right?' })).toBeVisible()
  await expect(memory).toHaveCount(0)
  const { record } = (await (await page.request.get(`${server.url}/api/commissions/cinder-oath`)).json()) as {
    record: { sabers: { hilt: { sections: { name: string; length: object; outside: object }[] } }[] }
  }
  const neck = record.sabers[0]!.hilt.sections.find((s) => s.name === 'neck')!
  for (const f of [neck.length, neck.outside]) expect(f).toMatchObject({ source: 'measured', by: 'Maren' })
})

test('work, a spare, a limit: entered on the desks, judged, and on the client’s paper', async ({
  page,
  server,
}, info) => {
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/crosswind/to-do`)
  await chooseWords(page, 'On what', /main blade/)
  await add(page, 'grease the thread, polish the plug, edit the swing…', 'sand the socket')
  await choose(page, 'Who does sand the socket', 'client')
  await open(page, `${server.url}/commission/crosswind/saber`)
  await add(page, 'full-contact duelling, rain…', 'full-contact duelling')
  await add(page, 'charger, adapter, second pommel, spare screw…', 'round cell')
  await choose(page, 'Who supplies round cell', 'notSupplied')
  await saved(page)
  await open(page, `${server.url}/commission/crosswind/handoff`)
  const against = page.getByRole('region', { name: 'Open issues' })
  await expect(against.getByText('round cell: the client cannot buy it yet')).toBeVisible()
  await expect(against.getByText('Not made for full-contact duelling: why?')).toBeVisible()
  await open(page, `${server.url}/commission/crosswind/saber`)
  await type(page, 'Why not full-contact duelling', 'three emitters stand in the way')
  await type(page, 'Type of round cell', 'high drain')
  await type(page, 'Size of round cell', '18650')
  await type(page, 'Note for the client on round cell', 'button top')
  await type(page, 'Shop note on round cell', 'never by post')
  await saved(page)
  const pdf = await page.request.get(`${server.url}/api/commissions/crosswind/handoff.pdf`)
  expect(pdf.status()).toBe(200)
  const file = info.outputPath('crosswind.pdf')
  writeFileSync(file, await pdf.body())
  const paper = execFileSync('pdftotext', [file, '-']).toString().replace(/\s+/g, ' ')
  for (const said of ['round cell', 'high drain', '18650', 'button top', 'sand the socket', 'three emitters stand'])
    expect(paper).toContain(said)
  expect(paper).not.toContain('never by post')
})
