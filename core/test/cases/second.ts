import { deg, fact, type Job, job, mm, on, order, part, preset, row, screw, stated } from './plain'

/** Jobs 08 to 14. */
export const SECOND: readonly Job[] = [
  {
    id: 'c08',
    needs:
      'an in-hilt light with resistor and heatsink, a key to turn or pull, a question that blocks, a client’s own button reworked',
    make: job('c08', 'Tollgate', (s, c) => {
      s.hilt.origin = 'kit'
      s.blades[0]!.kind = 'inHilt'
      s.parts.push(
        part('c08-led', 'ih-3die', 160),
        part('c08-hs', 'hs-24', 165),
        part('c08-res', 'res-1-2w', null),
        part('c08-key', 'key-turn', 10, { note: 'Turn it a quarter; it need not come out.' }),
        part('c08-btn', 'sw-12', 140, {
          name: 'button of the client',
          clock: deg(180),
          shopNote: 'filed 0.4 off its flange',
        }),
      )
      s.cutPower = 'killKey'
      s.keyDoes = { out: 'open', in: 'open', turned: 'closed' }
      s.hilt.fasteners.push(
        screw('c08-other', 'second screw', 'M4', '2 mm', 205, 90, { purpose: 'other' }),
        screw('c08-grub', 'chassis screw', 'M3', '1.5 mm', 60, 0, { purpose: 'chassis', clientMay: 'never' }),
      )
      c.arrivals.push({
        id: 'c08-ar',
        what: 'button',
        quantity: 1,
        condition: 'worn',
        conditionOn: on('09-02'),
        shares: [{ id: 'c08-sh', fate: 'altered', count: 1, now: 'part:c08-btn' }],
        faults: [],
        note: 'reworked, its cap kept',
      })
      c.questions.push({
        id: 'c08-q',
        text: 'Which of the two screws holds your blade?',
        to: 'Aud',
        askedOn: on('11-01'),
        blocks: true,
      })
      s.items.push({
        id: 'c08-later',
        what: 'adapter for a pixel blade, later',
        role: 'accessory',
        quantity: 1,
        supplied: 'notSupplied',
        type: 'pixel adapter',
        size: '1 in',
      })
    }),
    told: ['Turn it a quarter', 'reworked, its cap kept', 'adapter for a pixel blade, later'],
    kept: ['filed 0.4 off'],
    raises: ['openQuestion.blocking'],
  },
  {
    id: 'c09',
    needs:
      'three sabers, two installs and a repair proved in cycles, screws left loose for the demonstration, volume below what is possible',
    make: () => {
      const c = order('c09', 'Three Sluices', ['Short Sluice', 'Middle Sluice', 'Old Sluice'])
      const [a, b, r] = c.sabers as [(typeof c.sabers)[0], (typeof c.sabers)[0], (typeof c.sabers)[0]]
      a.parts.push(part('c09-ch', 'ch-filament', 24, { heldBy: 'rails', note: 'The long rail towards the button.' }))
      b.hilt.fasteners[0]!.looseNow = true
      b.use.volume = fact(60, '%', 'configured')
      b.use.highestVolume = fact(90, '%', 'measured')
      b.presets[0]!.flickerHz = fact(14, 'Hz', 'configured')
      r.job = 'repair'
      r.fixes.push({
        ...{
          id: 'c09-fix',
          on: on('10-10'),
          reportedOn: on('10-01'),
          fault: stated('goes dark when it is closed', 'client'),
        },
        ...{
          cause: 'wires caught in the thread',
          fix: 'sleeved and led past it',
          cycles: 30,
          place: 'section:c09c-grip',
          retest: [],
        },
        note: 'Opened and closed thirty times since.',
      })
      c.requests.push({ id: 'c09-r', text: 'The short one for my sister', saber: a.id, status: 'met' })
      a.recipient = { name: 'Ebba', knows: 'neverSeen' }
      return c
    },
    told: [
      'goes dark when it is closed',
      'Opened and closed thirty times since.',
      'The long rail towards the button.',
      '30',
      'Ebba',
      '90 %',
    ],
    kept: [],
    raises: ['loose.loose', 'flashing.fast'],
  },
  {
    id: 'c10',
    needs:
      'from scratch and numbered, starts by itself when it is taken out, a hidden screw, files for a later firmware, controls that were never told',
    make: job('c10', 'Number Nine', (s, c) => {
      c.job = 'scratch'
      s.job = 'scratch'
      Object.assign(s, { edition: '9 of 12', firmware: stated('7.0 beta', 'read') })
      s.hilt.origin = 'scratch'
      s.hilt.fasteners.push(
        screw('c10-hid', 'hidden screw', 'M3', '1.5 mm', 190, 180, {
          purpose: 'joint',
          clientMay: 'remove',
          note: 'Under the emitter, which comes off first.',
        }),
      )
      s.parts.push(
        part('c10-ch', 'ch-split', 24, { heldBy: 'thread', note: 'It starts by itself when it is taken out.' }),
        part('c10-usb', 'port-usbc', 100, {
          beside: 'c10-board',
          otherEnd: { lead: 'USB-C', supply: '5 V', program: 'any file manager' },
        }),
        part('c10-card', 'card-16', null, { note: 'Holds files for the next firmware; leave them.' }),
        part('c10-plug', 'plug-1', 185, { note: 'Flat side up.' }),
      )
      s.controls = []
    }),
    told: [
      '9 of 12',
      '7.0 beta',
      'It starts by itself',
      'leave them',
      'Under the emitter',
      'any file manager',
      'Flat side up.',
    ],
    kept: [],
    raises: ['noIgnite.nothing'],
  },
  {
    id: 'c11',
    needs:
      'a display kit that keeps every part: a ledger that comes out even, an order of building, magnets, a dummy cell',
    make: job('c11', 'Kept Whole', (s, c) => {
      s.hilt.origin = 'kit'
      s.order = 'build'
      c.arrivals.push(
        {
          id: 'c11-ar1',
          what: 'panel',
          quantity: 4,
          condition: 'as new',
          conditionOn: on('09-02'),
          shares: [
            { id: 'c11-s1', fate: 'used', count: 3 },
            { id: 'c11-s2', fate: 'returned', count: 1 },
          ],
          faults: [],
        },
        {
          id: 'c11-ar2',
          what: 'screw',
          quantity: 6,
          condition: 'one bent',
          conditionOn: on('09-02'),
          shares: [
            { id: 'c11-s3', fate: 'used', count: 4 },
            { id: 'c11-s4', fate: 'leftOver', count: 1 },
          ],
          faults: [{ id: 'c11-f1', text: 'one bent', left: 'a spare is fitted' }],
        },
      )
      s.parts.push(
        part('c11-cov', 'cover-magnet', 60, { name: 'panel with magnets', note: 'This one first: it locks the rest.' }),
      )
      s.notFor.push({ id: 'c11-no', what: 'duelling', why: 'magnets hold the panels' })
      s.items.push({
        id: 'c11-dummy',
        what: 'dummy cell for charging',
        role: 'accessory',
        kind: 'charger',
        quantity: 1,
        supplied: 'shop',
      })
    }),
    told: [
      'This one first: it locks the rest.',
      'magnets hold the panels',
      'dummy cell for charging',
      'a spare is fitted',
      'returned',
    ],
    kept: [],
    raises: ['arrivals.sum'],
  },
  {
    id: 'c12',
    needs:
      'a rebuild of an inherited hilt: believed history, hard-wired cells, a glued dummy screw, a tinted jewel, a client who has not seen it',
    make: job('c12', 'Grandmother’s Lamp', (s, c) => {
      c.job = 'rebuild'
      s.job = 'rebuild'
      s.hilt.origin = 'inherited'
      c.brief = 'Old, and well kept. Nothing shiny.'
      s.provenance.push(
        {
          id: 'c12-o1',
          who: 'a keeper at the weir',
          when: 'long ago',
          did: stated('made the hilt', 'believed'),
          shopNote: 'the stamp is worn off',
        },
        { id: 'c12-o2', who: 'her daughter', did: stated('put a lamp into it', 'client') },
      )
      s.recipient = { knows: 'neverSeen' }
      s.parts = s.parts.map((p) => (p.kind === 'cell' ? { ...p, removable: false, wiring: 'parallel' as const } : p))
      s.parts.push(part('c12-port', 'port-21', 6, { otherEnd: { lead: 'round plug 2.1', supply: '8.4 V charger' } }))
      s.parts.at(-1)!.specs.chargeCurrent = fact(1, 'A', 'measured')
      s.hilt.fasteners.push(
        screw('c12-dummy', 'dummy screw', 'M4', '2 mm', 120, 180, {
          head: 'dummy',
          purpose: 'decoration',
          clientMay: 'never',
          note: 'Glued; it only looks like one.',
        }),
      )
      s.hilt.openings.push({
        id: 'c12-jewel',
        name: 'jewel',
        kind: 'window',
        at: mm(130),
        clock: deg(0),
        length: mm(12),
        width: mm(12),
        tint: '#802040',
      })
      s.firmware = stated('5.9 beta', 'configured')
      s.before.push({
        id: 'c12-was',
        what: 'a lamp that could be dimmed',
        kind: 'feature',
        stays: false,
        insteadBy: 'brightness in the menu',
      })
      s.decisions.push({
        id: 'c12-d',
        on: on('10-03'),
        by: 'Osk',
        chose: 'an extension of 12 mm',
        why: 'the cell asked for it',
        gaveUp: 'the old length',
      })
    }),
    told: [
      'Old, and well kept. Nothing shiny.',
      'a keeper at the weir',
      'believed',
      'Glued; it only looks like one.',
      '5.9 beta',
      'brightness in the menu',
      'the old length',
      '8.4 V charger',
    ],
    kept: ['the stamp is worn off'],
    raises: ['recalled.believed'],
  },
  {
    id: 'c13',
    needs:
      'exact colours, three near blues, a deflect that reads white, a thread locked with adhesive, a key that is forgotten',
    make: job('c13', 'Three Blues', (s, c) => {
      c.client.note = 'third one of hers'
      s.presets = [
        preset('c13-p1', 'Deep', 'Reed', '#1030ff', {
          askedBy: 'Aud',
          effects: { deflect: stated('#fff8b0', 'client') },
        }),
        preset('c13-p2', 'Deeper', 'Reed', '#1028f8'),
        preset('c13-p3', 'Deepest', 'Reed', '#0c28f0'),
        preset('c13-p4', 'Gauge', 'Reed', '#ffffff', { look: 'battery' }),
        preset('c13-p5', 'Fair', 'Reed', '#ffffff', { look: 'party' }),
      ]
      s.hilt.sections[0]!.joint = {
        kind: 'thread',
        stop: false,
        lockedForLife: true,
        note: 'Locked with adhesive, because nothing stops it.',
      }
      c.requests.push({
        id: 'c13-r',
        text: 'Yellow deflect on green',
        status: 'changed',
        answer: 'It reads white on this blue.',
        toldOn: on('10-20'),
        rank: 1,
      })
      s.items.push({ id: 'c13-key', what: 'hex key 2 mm', role: 'accessory', quantity: 1, supplied: 'shop' })
    }),
    told: ['Locked with adhesive', 'It reads white on this blue.', '#1030ff', '#fff8b0', 'hex key 2 mm'],
    kept: [],
    raises: ['alikeColours.alike'],
  },
  {
    id: 'c14',
    needs:
      'two buttons with poses, combat mode, exceptions by preset, screws by size without tools, a spoken menu that lacks a chime, a card to be backed up',
    make: job('c14', 'Rich Harbour', (s, c) => {
      s.hilt.origin = 'series'
      s.parts.push(
        part('c14-b2', 'sw-tact-6', 160, { clock: deg(0) }),
        part('c14-card', 'card-16', null, { note: 'Copy it before the first evening.' }),
      )
      s.inputs.push(
        { id: 'c14-i2', name: 'second button', kind: 'button', part: 'c14-b2' },
        { id: 'c14-m', name: 'hilt', kind: 'motion' },
      )
      s.controls.push(
        row('c14-combat', 'lit', 'c14-i1', 'chord', 'combatOn', { other: 'c14-i2', s: 1 }),
        row('c14-combat-off', 'combat', 'c14-i1', 'chord', 'combatOff', { other: 'c14-i2', s: 1 }),
        row('c14-except', 'lit', 'c14-i2', 'tap', 'deflect', { presets: ['c14-p1'] }),
        row('c14-twist', 'off', 'c14-m', 'twist', 'ignite', {
          says: 'ignite by twisting; not in Ferry bell',
          presets: ['c14-p1'],
        }),
        row('c14-menu', 'off', 'c14-i2', 'hold', 'menuOpen', {
          s: 1,
          cues: [{ at: 'start', as: 'voice', says: 'presets' }],
        }),
        row('c14-step', 'menu', 'c14-i2', 'tap', 'choose', { cues: [{ at: 'step', as: 'voice', says: 'its name' }] }),
        row('c14-take', 'menu', 'c14-i1', 'tap', 'keep', { says: 'take that preset' }),
        row('c14-unsure', 'lit', 'c14-i2', 'hold', 'melt', { s: 1, status: 'unsure' }),
      )
      s.modes = [
        {
          ...{ id: 'c14-mode-menu', name: 'preset menu', is: 'menu', on: 'c14-mode-off' },
          ...{ chooses: 'preset', by: 'stepping' },
        },
      ]
      s.hilt.fasteners.push(
        screw('c14-grub', 'chassis screw', 'M3', '1.5 mm', 60, 0, {
          purpose: 'chassis',
          clientMay: 'never',
          note: 'Not to be touched.',
        }),
      )
      s.items.push({
        id: 'c14-key',
        what: 'hex key 2 mm',
        role: 'accessory',
        quantity: 1,
        supplied: 'client',
        size: '2 mm',
      })
      c.toDos.push({
        id: 'c14-td',
        text: 'add the missing chime to the menu',
        about: 'part:c14-card',
        who: 'shop',
        blocks: 'shipping',
        done: false,
      })
      s.settings.sleepAfter = fact(120, 's', 'configured')
    }),
    told: [
      'Copy it before the first evening.',
      'Not to be touched.',
      'ignite by twisting; not in Ferry bell',
      'hex key 2 mm',
    ],
    kept: ['missing chime'],
    raises: ['toDos.open', 'unsureControl.unsure'],
  },
]
