import { deg, fact, type Job, job, mm, on, part, pixelBlade, preset, row, screw, stated, told, val } from './plain'

/** Jobs 01 to 07. */
export const FIRST: readonly Job[] = [
  {
    id: 'c01',
    needs:
      'covers in order of fitting, a button and screws on one joint, accent lights, a kill switch that must be told',
    make: job('c01', 'Weir Keeper', (s, c) => {
      c.purpose = 'display'
      s.hilt.sections[1]!.joint = {
        ...{
          kind: 'buttonAndScrews',
          note: 'Screws first, then press the spring button; screws back in before a blade goes in.',
        },
      }
      s.hilt.fasteners.push(
        screw('c01-j1', 'top screw, left', 'M2', '0.9 mm', 176, 90, { purpose: 'joint', clientMay: 'remove' }),
        screw('c01-j2', 'top screw, right', 'M2', '0.9 mm', 176, 270, { purpose: 'joint', clientMay: 'remove' }),
        screw('c01-blade2', 'lower blade screw', 'M4', '2 mm', 215, 180),
      )
      s.hilt.sockets[0]!.retention.push('c01-blade2')
      s.parts.push(
        part('c01-chassis', 'ch-resin', 24, { heldBy: 'rails', note: 'The notch of the channel goes to the button.' }),
        part('c01-cover1', 'cover-magnet', 60, { name: 'lower cover', note: 'On first: it locks the upper one.' }),
        part('c01-cover2', 'cover-magnet', 90, { name: 'upper cover' }),
        part('c01-led', 'led-3-green', 120, { name: 'accent light', note: 'Lit as long as there is power.' }),
        part('c01-kill', 'kill-slide-5a', 170, { shopNote: 'third one, the first two rattled' }),
      )
      s.cutPower = 'killSwitch'
      s.access.push({
        ...{ id: 'c01-ak', goal: 'powerOff', at: 'part:c01-kill' },
        steps: [told('c01-aka', 'cut', 'part:c01-kill', 'Slide the kill switch towards the pommel')],
      })
    }),
    told: [
      'On first: it locks the upper one.',
      'screws back in before a blade goes in',
      'Lit as long as there is power',
      'kill switch',
    ],
    kept: ['third one, the first two rattled'],
    raises: [],
    silent: ['cutOff.unused'],
  },
  {
    id: 'c02',
    needs: 'a string blade, a trade of runtime for space, look-alike screws, who chose which font, a helper',
    make: job('c02', 'Salt Road', (s, c) => {
      s.hilt.origin = 'kit'
      s.hilt.sections[0]!.joint = {
        kind: 'thread',
        stop: false,
        note: 'Not further than the mark, or the cap will not fit.',
      }
      s.hilt.fasteners.push(
        screw('c02-never', 'grip screw', 'M4', '2 mm', 100, 0, {
          purpose: 'switch',
          clientMay: 'never',
          note: 'Looks like the blade screw; it is not.',
        }),
        screw('c02-third', 'pommel screw', 'M4', '2 mm', 20, 0, { purpose: 'joint', clientMay: 'loosen' }),
      )
      Object.assign(s.blades[0]!, {
        ...{ kind: 'string', name: 'string blade, 1 in', outside: mm(25.2), groups: val(6, '×', 'measured') },
        ...{ ledsPerGroup: val(16, '×', 'measured'), ledsTotal: val(98, '×', 'client'), groupCurrent: val(300, 'mA') },
        note: 'Push it straight in, never twist it: the plug is keyed.',
      })
      s.items.push({
        id: 'c02-adapter',
        what: 'adapter from ⅞ to 1 in',
        role: 'accessory',
        of: 'blade:c02-b1',
        quantity: 1,
        supplied: 'shop',
      })
      s.decisions.push({
        ...{
          id: 'c02-d1',
          on: on('09-20'),
          by: 'Maren',
          chose: 'two cells of 21700',
          why: 'three hours lit, as wished',
        },
        gaveUp: 'the larger speaker: its chamber was cut back',
      })
      s.presets[0]!.askedBy = 'Aud'
      s.presets[0]!.tracks = ['Tide table', 'Low bell']
      s.presets.push(preset('c02-p3', 'Salt wind', 'Gale', '#8090ff', { askedBy: 'Osk', why: 'fits the coat' }))
      c.credits.push({ id: 'c02-cr', who: 'Pell', did: 'wound the string' })
    }),
    told: [
      'never twist it',
      'the larger speaker: its chamber was cut back',
      'adapter from ⅞ to 1 in',
      'wound the string',
      'or the cap will not fit',
      'Looks like the blade screw',
      'Tide table',
    ],
    kept: [],
    raises: ['stringSums.differ', 'sameKey.key', 'overClosing.unknown'],
  },
  {
    id: 'c03',
    needs:
      'the client’s own work before, one button with poses, a demo blade shorter than the shipped one, a muffled sound',
    make: job('c03', 'Third Tide', (s, c) => {
      s.hilt.origin = 'clientOwn'
      s.provenance.push({
        id: 'c03-ow',
        who: 'the client',
        when: 'last winter',
        did: stated('bored the grip and cut the vents', 'client'),
      })
      s.blades.push(pixelBlade('c03-demo', 'bench blade, 61 cm', 'c03-socket', 25.4, 610, { use: 'demo' }))
      s.controls.push(
        row('c03-track', 'off', 'c03-i1', 'hold', 'track', { s: 2, pose: 'up' }),
        row('c03-quote', 'off', 'c03-i1', 'hold', 'quote', { s: 2, pose: 'down' }),
      )
      s.presets[0]!.why = 'the flood begins'
      s.presets[1]!.why = 'the bell that nobody heard'
      s.hilt.openings = []
      c.requests.push({
        id: 'c03-r',
        text: 'Could it be louder?',
        status: 'declined',
        answer: 'Only with vents in the pommel.',
        toldOn: on('10-02'),
      })
    }),
    told: [
      'bored the grip and cut the vents',
      'the bell that nobody heard',
      'Only with vents in the pommel.',
      '2026-10-02',
    ],
    kept: [],
    raises: ['vents.none', 'demoDiffers.other'],
  },
  {
    id: 'c04',
    needs: 'a model sheet without a client; menus, wake from sleep, and an off that is never told',
    make: job('c04', 'Causeway pattern', (s, c) => {
      c.job = 'model'
      s.job = 'model'
      c.client.name = ''
      s.hilt.origin = 'series'
      s.settings.sleepAfter = fact(300, 's', 'configured')
      s.controls = [
        row('c04-wake', 'asleep', 'c04-i1', 'tap', 'wake'),
        row('c04-on', 'off', 'c04-i1', 'tap', 'ignite'),
        row('c04-menu', 'off', 'c04-i1', 'hold', 'menuOpen', { s: 3, says: 'the colour menu' }),
        row('c04-keep', 'menu', 'c04-i1', 'tap', 'keep', { says: 'keep that colour' }),
        row('c04-next', 'off', 'c04-i1', 'tap', 'nextPreset', { times: 2 }),
      ]
      s.modes = [
        {
          ...{ id: 'c04-mode-menu', name: 'colour menu', is: 'menu', on: 'c04-mode-off' },
          ...{ chooses: 'colour', by: 'turning', after: fact(12, 's', 'configured') },
        },
      ]
      s.parts.push(
        part('c04-usb', 'port-usbc', 104, {
          beside: 'c04-board',
          otherEnd: { lead: 'USB-C', supply: 'any' },
          note: 'Lift the board by its rings.',
        }),
      )
    }),
    told: ['Lift the board by its rings.'],
    kept: [],
    raises: ['noOff.trap'],
  },
  {
    id: 'c05',
    needs: 'zones that follow, a display at its window, baffles, a brittle chassis, an effect to edit out, a timeout',
    make: job('c05', 'Glass Weir', (s, c) => {
      s.parts.push(
        part('c05-ch', 'ch-resin', 24, {
          material: 'resin',
          heldBy: 'setScrew',
          note: 'Cradle it in both hands: it is brittle.',
        }),
        part('c05-oled', 'oled-069', 120, { clock: deg(0) }),
        part('c05-strip', 'strip-chassis-8', 40, { clock: deg(90) }),
        part('c05-card', 'card-16', null),
      )
      s.hilt.openings.push({
        id: 'c05-win',
        name: 'display window',
        kind: 'window',
        at: mm(118),
        clock: deg(0),
        length: mm(28),
        width: mm(12),
      })
      s.zones.push(
        {
          id: 'c05-z1',
          name: 'spine',
          kind: 'chassis',
          leds: val(8, '×', 'measured'),
          channelCurrent: val(8, 'mA'),
          idleCurrent: val(0.5, 'mA'),
          part: 'c05-strip',
          note: 'Breathes while it sleeps.',
        },
        {
          id: 'c05-z2',
          name: 'ring',
          kind: 'accent',
          leds: val(7, '×', 'measured'),
          channelCurrent: val(8, 'mA'),
          idleCurrent: val(0.5, 'mA'),
          follows: 'c05-z1',
        },
      )
      s.settings.displayTimeout = fact(20, 's', 'configured')
      s.hilt.fasteners.push(
        screw('c05-gscrew', 'grip screw', 'M3', '1.5 mm', 60, 180, {
          purpose: 'chassis',
          clientMay: 'loosen',
          note: 'Loosen it; the grip does not unscrew.',
        }),
      )
      c.toDos.push({
        id: 'c05-td',
        text: 'edit the swing out of Ferry bell',
        about: 'preset:c05-p2',
        who: 'shop',
        person: 'Osk',
        blocks: 'shipping',
        done: false,
      })
    }),
    told: ['Cradle it in both hands', 'Breathes while it sleeps.', 'the grip does not unscrew', '20 s'],
    kept: ['edit the swing out'],
    raises: ['toDos.open'],
  },
  {
    id: 'c06',
    needs:
      'many looks and two blades, a splash with the client’s name, a lock sound that is missing, an alternative pommel that is shown and not shipped',
    make: job('c06', 'Many Lanterns', (s, c) => {
      s.blades.push(pixelBlade('c06-b2', 'blade, 92 cm', 'c06-socket', 25.4, 920))
      for (let i = 3; i <= 12; i++)
        s.presets.push(preset(`c06-p${i}`, `Lantern ${i}`, 'Reed', `#${(i * 1_300_000).toString(16).padStart(6, '0')}`))
      s.presets[0]!.extendMs = fact(800, 'ms', 'configured')
      s.presets[0]!.sounds = [
        { id: 'c06-w1', event: 'ignite', name: 'rise', seconds: 0.8 },
        { id: 'c06-w2', event: 'hum', name: 'hum' },
      ]
      s.controls.push(row('c06-lock', 'lit', 'c06-i1', 'holdStrike', 'lock'))
      s.items.push({
        id: 'c06-alt',
        what: 'pommel with a ring',
        role: 'alternative',
        of: 'section:c06-pommel',
        quantity: 1,
        supplied: 'bench',
        shown: true,
        note: 'Seen in the film; yours has none.',
      })
      c.requests.push({
        id: 'c06-r',
        text: 'My name when it wakes',
        status: 'met',
        answer: 'Its display greets Aud.',
        rank: 1,
      })
      s.parts.push(part('c06-conn', 'conn-10pin-lit', 175, { note: 'Its pins bend: push straight.' }))
    }),
    told: [
      'Seen in the film; yours has none.',
      'Its display greets Aud.',
      'Its pins bend',
      'Lantern 12',
      'blade, 92 cm',
    ],
    kept: [],
    raises: ['missingSound.silent', 'goesWith.shown'],
  },
  {
    id: 'c07',
    needs:
      'one button whose hold means five things, a handle that is twisted, a cell that goes in negative first, a list sent by mail',
    make: job('c07', 'Quiet Ferry', (s, c) => {
      c.people.push({ id: 'c07-w1', name: 'Maren', does: 'wiring' }, { id: 'c07-w2', name: 'Osk', does: 'turning' })
      s.controls = [
        row('c07-on', 'off', 'c07-i1', 'tap', 'ignite'),
        row('c07-h1', 'off', 'c07-i1', 'hold', 'nextPreset', { s: 1 }),
        row('c07-h2', 'lit', 'c07-i1', 'hold', 'retract', { s: 2 }),
        row('c07-h3', 'asleep', 'c07-i1', 'hold', 'wake', { s: 0.5 }),
        row('c07-menu', 'off', 'c07-i1', 'tap', 'menuOpen', { times: 3 }),
        row('c07-more', 'menu', 'c07-i1', 'tap', 'nextPreset'),
        row('c07-mute', 'lit', 'c07-i1', 'tap', 'mute', { times: 3 }),
        row('c07-h4', 'menu', 'c07-i1', 'hold', 'menuClose', { s: 3 }),
        row('c07-h5', 'muted', 'c07-i1', 'hold', 'unmute', { s: 4 }),
        row('c07-dbl', 'lit', 'c07-i1', 'tap', 'lock', { times: 2, says: 'lock; the two taps must be quick' }),
      ]
      s.modes = [{ id: 'c07-mode-menu', name: 'preset menu', is: 'menu', chooses: 'preset', by: 'stepping' }]
      const cell = s.parts.find((p) => p.kind === 'cell')!
      Object.assign(cell, {
        faces: stated('pommel', 'measured'),
        landmark: 'negative first, into the groove with the plus mark inside',
      })
      s.access.push({
        ...{ id: 'c07-open', goal: 'cell', at: 'part:c07-cell' },
        steps: [
          told('c07-open1', 'takeOff', 'section:c07-pommel', 'Twist the handle off', {
            caution: 'Twist, do not pull: the wires run through it.',
          }),
        ],
      })
      s.items.push({
        id: 'c07-list',
        what: 'list of every function, sent by mail',
        role: 'accessory',
        quantity: 1,
        supplied: 'shop',
      })
    }),
    told: [
      'the groove with the plus mark inside',
      'Twist, do not pull',
      'list of every function, sent by mail',
      'half a second',
      'four seconds',
    ],
    kept: [],
    raises: ['manyHolds.many'],
  },
]
