/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals'
import { act, render, screen, within } from '@testing-library/react'
import { MemoryRouter } from 'react-router'
import { costly } from '../../core/test/costly'
import { todayIso } from '../src/data'
import { DESKS } from '../src/desks'
import { dayText } from '../src/kit'
import { Dossier } from '../src/shared/Dossier'
import { all, bench, choose, lay, pickDay, put, saber, user } from './lay'

const press = (name: string | RegExp, nth = 0) => user.click(screen.getAllByRole('button', { name })[nth]!)
const tick = (name: string | RegExp) => user.click(screen.getByRole('checkbox', { name }))
/** What was stated just now by whoever sits at the bench. */
const said = (value: unknown, source: string) => ({ value, source, by: 'Maren', on: todayIso() })

test.each(all.flatMap((c) => DESKS.map((d) => [d, c.id] as const)))(
  'the desk %s of %s is laid',
  async (desk, which) => {
    await lay(desk, which)
    expect(document.querySelectorAll('h2, p').length).toBeGreaterThan(0)
  },
)

describe('facts', () => {
  costly('each kind of doubt has its heading, and what is stated leaves the desk', async () => {
    await lay('facts', 'cinder-oath')
    const heads = screen.getAllByRole('heading', { level: 2 }).map((h) => h.textContent)
    expect(heads).toEqual([
      ...['Contradictions: which is right? 1', 'Not recorded 2', 'From memory 2', 'Believed, not checked 1'],
      ...['Said by the client 1', 'Assumed 2'],
    ])
    const memory = screen.getByRole('region', { name: 'From memory' })
    const field = within(memory).getByLabelText('length')
    const neck = saber().hilt.sections.find((x) => x.name === 'neck')!
    expect(neck.length.source).toBe('recalled')
    await user.clear(field)
    await user.type(field, '24{Enter}')
    // The same value measured is measured from then on: nothing is left to doubt.
    expect(saber().hilt.sections.find((x) => x.id === neck.id)!.length).toMatchObject(said(24, 'measured'))
    expect(within(screen.getByRole('region', { name: 'From memory' })).queryByLabelText('length')).toBeNull()
  })
  costly('a contradiction is settled by one key, and Enter goes on to the next field', async () => {
    await lay('facts', 'cinder-oath')
    await press(/111.5 mm/)
    expect(saber().hilt.sections.find((x) => x.name === 'grip')!.length).toMatchObject({ value: 111.5 })
    const unknown = screen.getByRole('region', { name: 'Not recorded' })
    await user.click(within(unknown).getByLabelText('bore'))
    await user.keyboard('19{Enter}')
    expect(saber().hilt.sections.find((x) => x.name === 'neck')!.bore).toMatchObject(said(19, 'measured'))
    await act(() => new Promise((r) => requestAnimationFrame(r)))
    expect(document.activeElement?.getAttribute('aria-label')).toBe('volume')
  })
  costly('words are read off the thing, a question mark leaves them in doubt', async () => {
    await lay('facts', 'cinder-oath')
    const believed = screen.getByRole('region', { name: 'Believed, not checked' })
    const field = within(believed).getByLabelText('did')
    await user.clear(field)
    await user.type(field, 'turned and signed it?{Enter}')
    const { did } = saber().provenance[0]!
    expect(did).toMatchObject({
      value: 'turned it',
      source: 'believed',
      rivals: [said('turned and signed it', 'recalled')],
    })
  })
})

describe('to-do', () => {
  costly('work on anything: by whom, by when, what waits for it, done when and by whom · a day', async () => {
    await lay('to-do', 'ember-fair')
    expect(screen.queryByText(/tighten the screw/)).toBeNull()
    await put('grease the thread, polish the plug, edit the swing…', 'polish the plug')
    const made = () => bench().record!.toDos.find((t) => t.text === 'polish the plug')!
    expect(made()).toMatchObject({ who: 'shop', blocks: 'shipping', done: false })
    await choose('Who does polish the plug', 'the client')
    await put('Person for polish the plug', 'Edda')
    await choose('What waits for polish the plug', 'before filming')
    const day = await pickDay('Due day of polish the plug')
    expect(made()).toMatchObject({ who: 'client', person: 'Edda', blocks: 'filming', due: day })
    await tick('done: polish the plug')
    expect(made()).toMatchObject({ done: true, doneOn: todayIso(), doneBy: 'Maren' })
    expect(screen.queryByText(/polish the plug/)).toBeNull()
    await tick('show done')
    await choose('Whose work', 'Edda')
    await tick('done: polish the plug')
    expect('doneOn' in made() || 'doneBy' in made() || made().done).toBe(false)
    await choose('Whose work', 'everybody’s')
    await put('To-do grease the squealing thread', 'grease both threads')
    expect(bench().record!.toDos[0]!.text).toBe('grease both threads')
    await press('Remove grease both threads')
    expect(bench().record!.toDos.some((t) => t.text === 'grease both threads')).toBe(false)
  })
})

test('work is written down on the thing that it is to be done to', async () => {
  await lay('to-do', 'cinder-oath')
  await choose('On what', 'neck')
  await put('grease the thread, polish the plug, edit the swing…', 'grease it')
  expect(bench().record!.toDos.at(-1)).toMatchObject({ text: 'grease it', about: 'section:co-neck' })
})

describe('ledger', () => {
  costly('a wish has its rank, its price where it is offered, and a note for the shop', async () => {
    await lay('ledger', 'cinder-oath', (c) => void (c.requests[1]!.shape = 'offered'))
    const [first, second] = bench().record!.requests
    await put(`Rank of ${first!.text}`, '2')
    await put(`Rank of ${second!.text}`, '1')
    await put(`Price of ${second!.text}`, '40')
    await put(`Price of ${second!.text}, currency`, 'chf')
    await put(`Shop note on ${first!.text}`, 'he means it')
    const [a, b] = bench().record!.requests
    expect(a).toMatchObject({ rank: 2, shopNote: 'he means it' })
    expect(b).toMatchObject({ rank: 1, price: { amount: 40, currency: 'CHF' } })
    expect(screen.getAllByRole('row').map((r) => r.textContent)[1]).toContain(second!.text)
    await user.clear(screen.getByLabelText(`Price of ${second!.text}`))
    await user.tab()
    expect('price' in bench().record!.requests[1]!).toBe(false)
  })
  costly('what was decided, with what was given up, and consent where it cannot be undone · a day', async () => {
    await lay('ledger', 'cinder-oath')
    await put('what was chosen', 'cut the wire')
    const made = () => saber().decisions.at(-1)!
    await put('Why cut the wire', 'it opens more easily')
    await put('Given up for cut the wire', 'the old socket')
    await put('Who chose cut the wire', 'Osk')
    await choose('What cut the wire concerns', 'neck')
    await tick(/^cannot be undone.*cut the wire/)
    await put('Who agreed to cut the wire', 'Tobin')
    await put('Note for the client on cut the wire', 'the stub is insulated')
    await put('Shop note on cut the wire', 'kept the end')
    expect(made()).toMatchObject({
      ...{ chose: 'cut the wire', why: 'it opens more easily', gaveUp: 'the old socket', by: 'Osk', on: todayIso() },
      ...{ irreversible: true, consent: { who: 'Tobin', on: todayIso() }, about: expect.stringMatching(/^section:/) },
      ...{ note: 'the stub is insulated', shopNote: 'kept the end' },
    })
    const day = await pickDay('Agreed to cut the wire on')
    expect(made().consent!.on).toBe(day)
  })
  costly('a loss with cause, maker, cost, the day the client knew · a day', async () => {
    await lay('ledger', 'reed-warden')
    await put('what was lost', 'neck')
    const made = () => saber().losses.at(-1)!
    await choose('How neck was lost', 'remade')
    await put('Cause of neck', 'tap broke')
    await put('Maker of neck', 'Osk')
    await put('Cost of neck', '12,5')
    await choose('What neck belongs to', 'grip')
    const day = await pickDay('Client told of neck on')
    await put('Note for the client on neck', 'the new one is stronger')
    await put('Shop note on neck', 'order taps')
    expect(made()).toMatchObject({
      ...{ what: 'neck', how: 'remade', cause: 'tap broke', maker: 'Osk', cost: { amount: 12.5, currency: 'EUR' } },
      ...{ toldOn: day, on: todayIso(), about: expect.stringMatching(/^section:/) },
      ...{ note: 'the new one is stronger', shopNote: 'order taps' },
    })
  })
  costly('the client’s parts come out even, or say by how much they do not', async () => {
    const share = (id: string, fate: 'used' | 'returned' | 'undecided', count: number) => ({ id, fate, count })
    const part = (id: string, quantity: number, ...shares: ReturnType<typeof share>[]) => ({
      ...{ id, what: id, quantity, condition: '', shares, faults: [] },
    })
    await lay('ledger', 'cinder-oath', (c) => {
      c.arrivals = [
        part('panel', 4, share('s1', 'used', 3), share('s2', 'returned', 1)),
        part('screw', 6, share('s3', 'used', 4)),
        part('ring', 1, share('s4', 'used', 2)),
        part('lens', 2, share('s5', 'undecided', 2)),
      ]
    })
    const table = screen.getByRole('region', { name: 'The client’s parts, by what became of them' })
    const rows = within(table)
      .getAllByRole('row')
      .map((r) => [...r.querySelectorAll('td')].map((d) => d.textContent ?? ''))
    // part, came, used, altered, left over, returned, undecided, comes out, is now in
    expect(rows.slice(1, 5).map((r) => [r[0], r[1], r[2], r[5], r[6], r[7]])).toEqual([
      ['panel', '4', '3', '1', '', 'even'],
      ['screw', '6', '4', '', '', '2 missing'],
      ['ring', '1', '2', '', '', '1 too many'],
      ['lens', '2', '', '', '2', '2 undecided'],
    ])
    expect(rows[5]!.slice(0, 7)).toEqual(['all', '13', '9', '', '', '1', '2'])
  })
  costly('people, and who wrote a line of the log', async () => {
    await lay('ledger', 'cinder-oath')
    await put('name', 'Osk')
    await put('What Osk does', 'lathe')
    expect(bench().record!.people).toMatchObject([{ name: 'Osk', does: 'lathe' }])
    const { on } = bench().record!.log[0]!
    await put(`Who did the entry of ${on}`, 'Ilse')
    expect(bench().record!.log[0]!.by).toBe('Ilse')
    expect(screen.getByText(/1 hour in all/)).toBeTruthy()
  })
})

describe('saber', () => {
  costly('sabers are called, given a job, ordered, copied without what is one specimen’s, taken out', async () => {
    await lay('saber', 'ember-fair')
    const names = () => bench().record!.sabers.map((s) => s.name)
    await put('Name of saber 1', 'Torch')
    await choose('Job of Torch', 'conversion')
    await press('Torch later')
    expect(names()).toEqual(['Lamplighter', 'Torch', 'Old Bellwether'])
    await press('copy', 2)
    const copy = bench().record!.sabers.at(-1)!
    expect(copy).toMatchObject({ name: 'Old Bellwether, copy', tests: [], repairs: [], takes: [] })
    expect(copy.hilt.sections[0]!.length).toMatchObject({ source: 'assumed' })
    const ids = JSON.stringify(bench().record).match(/"id":"[^"]+"/g)!
    expect(new Set(ids).size).toBe(ids.length)
    await press('to the bench', 0)
    expect(bench().saberId).toBe(bench().record!.sabers[0]!.id)
  })
  costly('whose it is, which one, and what the shop stands behind', async () => {
    await lay('saber', 'crosswind')
    await put('Recipient', 'Wenna')
    await choose('How well the recipient knows it', 'has held it')
    await put('Giver', 'Halvard')
    await put('Edition or serial number', 'no. 7')
    await user.type(screen.getByLabelText('Warranty'), 'two years')
    await user.tab()
    await put('What ends the warranty', 'water')
    expect(saber()).toMatchObject({ recipient: { name: 'Wenna', knows: 'held' }, edition: 'no. 7' })
    expect(bench().record).toMatchObject({ giver: 'Halvard', warranty: { words: 'two years', ends: 'water' } })
    await user.clear(screen.getByLabelText('Recipient'))
    await choose('How well the recipient knows it', 'not said')
    expect('recipient' in saber()).toBe(false)
  })
  costly('what the board is set to', async () => {
    await lay('saber', 'crosswind')
    await put('sleeps after', '5 min')
    await put('display goes dark after', '20')
    await put('picture rotated by', '90')
    await put('volume steps', '6')
    await put('Name of the link', 'hilt-7')
    await put('pairing code', '0042')
    await put('Program of the link', 'the shop’s own')
    expect(saber().settings).toMatchObject({
      ...{ sleepAfter: { value: 300, unit: 's' }, displayTimeout: { value: 20 }, displayAngle: { value: 90 } },
      ...{
        volumeSteps: { value: 6 },
        link: { name: 'hilt-7', code: said('0042', 'configured'), program: 'the shop’s own' },
      },
    })
    await press('+ a sensitivity')
    await choose('Sense', 'clash')
    await put('clash is set to', '4 of 10')
    await tick('clash tried with plug')
    await put('Note for the client on the clash sensitivity', 'light taps count')
    await put('Shop note on the clash sensitivity', 'was 6')
    expect(saber().settings.sensitivities).toMatchObject([
      {
        ...{ sense: 'clash', value: said('4 of 10', 'configured'), triedWith: ['plug'] },
        ...{ note: 'light taps count', shopNote: 'was 6' },
      },
    ])
    await press('Remove the sensitivity of clash')
    expect(saber().settings.sensitivities).toEqual([])
  })
  costly('what goes with it: role, for what, how many, from whom, what to ask for', async () => {
    await lay('saber', 'crosswind')
    await put('charger, adapter, second pommel, spare screw…', 'round cell')
    await put('How many of round cell', '2')
    await choose('Role of round cell', 'spare of')
    await choose('Kind of round cell', 'cell')
    await choose('Who supplies round cell', 'the client buys it')
    await put('Type of round cell', 'high drain')
    await put('Size of round cell', '18650')
    await tick(/^protected.*round cell/)
    await tick(/^in the film.*round cell/)
    await put('Note for the client on round cell', 'button top')
    await put('Shop note on round cell', 'not by post')
    expect(saber().items).toMatchObject([
      {
        ...{
          what: 'round cell',
          quantity: 2,
          role: 'spare',
          kind: 'cell',
          supplied: 'notSupplied',
          type: 'high drain',
        },
        ...{ size: '18650', protected: true, shown: true, note: 'button top', shopNote: 'not by post' },
      },
    ])
    await press('Remove round cell')
    expect(saber().items).toEqual([])
  })
  costly('what it is not for, what it could do before, whose it was', async () => {
    await lay('saber', 'crosswind')
    await put('full-contact duelling, rain…', 'rain')
    await put('Why not rain', 'the port is open')
    await put('charge by cable, show a clock…', 'charge by cable')
    await choose('Kind of charge by cable', 'port')
    await tick(/^stays.*charge by cable/)
    await put('Instead of charge by cable', 'the charger in the box')
    await put('Note for the client on charge by cable', 'the hole is closed')
    await put('earlier owner or maker', 'Brann')
    await put('When Brann', '1998')
    await put('what Brann did', 'engraved it')
    await put('Shop note on Brann', 'ask Halvard')
    expect(saber()).toMatchObject({
      notFor: [{ what: 'rain', why: 'the port is open' }],
      before: [
        {
          ...{ what: 'charge by cable', kind: 'port', stays: false, insteadBy: 'the charger in the box' },
          note: 'the hole is closed',
        },
      ],
      provenance: [{ who: 'Brann', when: '1998', did: said('engraved it', 'client'), shopNote: 'ask Halvard' }],
    })
  })
})

describe('fields of other stations that are new', () => {
  costly('a part sent in is split, dated, its faults become work or a wish or are left · a day', async () => {
    await lay('brief', 'cinder-oath', (c) => void (c.arrivals = []))
    await put('part, as it came', 'cells')
    const made = () => bench().record!.arrivals[0]!
    expect(made()).toMatchObject({ quantity: 1, conditionOn: todayIso(), shares: [{ fate: 'undecided', count: 1 }] })
    await put('How many of cells', '4')
    expect(made().shares).toMatchObject([{ count: 4 }])
    await press('split it')
    await put('Share 1 of cells, how many', '3')
    await choose('Share 1 of cells, what became of it', 'used')
    await choose('Share 2 of cells, what became of it', 'returned')
    await choose('Share 1 of cells, where it is now', /Cell 18650/)
    expect(made().shares).toMatchObject([
      { count: 3, fate: 'used', saber: 'co', now: 'part:co-p2' },
      { count: 1, fate: 'returned' },
    ])
    expect(screen.getByText('4 of 4 accounted for')).toBeTruthy()
    await tick(/^whole saber.*cells/)
    await put('Note for the client on cells', 'three are in it')
    await put('Shop note on cells', 'old stock')
    for (const text of ['one flat', 'wrapper torn', 'dirty']) await put('fault on arrival', text)
    await press('to-do')
    await press('wish')
    await put('Why dirty is left', 'cleaned with the rest')
    expect(made()).toMatchObject({
      ...{ whole: true, note: 'three are in it', shopNote: 'old stock' },
      faults: [
        { text: 'one flat', became: `toDo:${bench().record!.toDos.at(-1)!.id}` },
        { text: 'wrapper torn', became: `request:${bench().record!.requests.at(-1)!.id}` },
        { text: 'dirty', left: 'cleaned with the rest' },
      ],
    })
    expect(bench().record!.toDos.at(-1)).toMatchObject({ text: 'cells: one flat', about: `arrival:${made().id}` })
  })
  costly('a question has its addressee and its day; the client is noted about · a day', async () => {
    await lay('brief', 'cinder-oath')
    await put('Whom question 1 is put to', 'the turner')
    const day = await pickDay('Question 1 asked on')
    await put('About the client', 'rings on Fridays')
    expect(bench().record!.questions[0]).toMatchObject({ to: 'the turner', askedOn: day })
    expect(bench().record!.client.note).toBe('rings on Fridays')
  })
  costly('a screw says where it comes from', async () => {
    await lay('hilt', 'crosswind')
    act(() => bench().light(`fastener:${saber().hilt.fasteners[0]!.id}`))
    await choose('comes from', 'the kit')
    expect(saber().hilt.fasteners[0]!.origin).toMatchObject(said('kit', 'recalled'))
  })
  costly('a test is set up, or not possible here; a repair in full · a day', async () => {
    await lay('proof', 'ember-fair', (c) => {
      c.sabers[0] = { ...c.sabers[2]!, id: 'only' }
      c.sabers.length = 1
      c.requests = []
      c.arrivals = []
      c.toDos = []
    })
    const { what } = saber().tests[0]!
    await press(`More on ${what}`)
    await choose(`Setup of ${what}`, 'with the plug')
    await put(`Why ${what} is not possible`, 'the meter is away')
    await put(`Why ${what} is left out`, 'the client saw it')
    await put(`Note for the client on ${what}`, 'measured cold')
    await put(`Shop note on ${what}`, 'again in spring')
    expect(saber().tests[0]).toMatchObject({
      ...{ setup: 'plug', notPossible: 'the meter is away', note: 'measured cold', shopNote: 'again in spring' },
      waived: { why: 'the client saw it', who: expect.any(String), on: expect.stringMatching(/^\d{4}-\d\d-\d\d$/) },
    })
    const { on } = saber().repairs[0]!
    await put(`fault as reported, ${dayText(on)}`, 'goes dark')
    await put(`Cause of ${on}`, 'a cold joint')
    await put(`Repair of ${on}`, 'soldered anew')
    await put(`Cycles of ${on}`, '40')
    await put(`Charge of ${on}`, '25')
    await put(`Note for the client on the repair of ${on}`, 'no charge for the wire')
    await put(`Shop note on the repair of ${on}`, 'use the sleeve')
    const reportedOn = await pickDay(`Repair of ${on} reported on`)
    expect(saber().repairs[0]).toMatchObject({
      ...{ cause: 'a cold joint', fix: 'soldered anew', cycles: 40, charge: { amount: 25, currency: 'EUR' } },
      ...{ reportedOn, note: 'no charge for the wire', shopNote: 'use the sleeve' },
      fault: { rivals: [said('goes dark', 'client')] },
    })
  })
  costly('notes of a preset and of a light', async () => {
    await lay('voice', 'crosswind')
    const { name } = saber().presets[0]!
    await put(`Note for the client on ${name}`, 'the quiet one')
    await put(`Shop note on ${name}`, 'needs another chime')
    expect(saber().presets[0]).toMatchObject({ note: 'the quiet one', shopNote: 'needs another chime' })
  })
})

describe('the dossier', () => {
  const open = (which: string, ref: Parameters<ReturnType<typeof bench>['light']>[0]) => {
    act(() => bench().light(ref))
    render(
      <MemoryRouter>
        <Dossier />
      </MemoryRouter>,
    )
    return screen.getByRole('region', { name: new RegExp(which) })
  }
  costly('all that the record knows of a thing is read in one place', async () => {
    await lay('facts', 'cinder-oath')
    const shown = open('emitter', 'section:co-emitter')
    expect(shown.textContent).toContain('drill the seized screw out')
    expect(shown.textContent).toContain('screw of the emitter')
    expect(shown.textContent).toMatch(/length58 mm/)
    expect(shown.textContent).toContain('measured, calliper')
  })
  costly('what was written stays as it was written; a choice is words', async () => {
    await lay('facts', 'reed-warden')
    const shown = open('shroud screw', 'fastener:rw-f3')
    expect(shown.textContent).toContain('threadM3')
    act(() => bench().light('fastener:rw-f1'))
    expect(shown.textContent).toContain('client mayloosen')
  })
})
