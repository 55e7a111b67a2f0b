import {
  deg,
  fact,
  type Job,
  job,
  joint,
  mm,
  need,
  on,
  order,
  part,
  pixelBlade,
  preset,
  row,
  screw,
  stated,
} from './plain'

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
        part('c08-key', 'key-turn', 10, { note: 'A quarter is enough; it need not come out.' }),
        part('c08-btn', 'sw-12', 140, {
          name: 'button of the client',
          clock: deg(180),
          shopNote: 'filed 0.4 off its flange',
        }),
      )
      s.spoken.push({ id: 'c08-sp', of: 'part:c08-btn', language: 'en', name: 'button you sent' })
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
        from: 'the address in the letter of 4 November',
      })
    }),
    carries: [
      need('in-hilt light of three dies', 'sabers/parts/kind=inHiltLed', {
        bench: 'dies.unsaid',
        s: 'This is the light in the hilt',
        p: 'In-hilt LED',
      }),
      need('resistor and heatsink', 'sabers/parts/kind=heatsink', { p: 'Heatsink', but: 'nobody handles them' }),
      need('key that is turned', 'sabers/keyDoes/turned=closed', {
        s: 'Put the kill key in and turn it',
        h: 'Put the kill key in and turn it',
        p: 'Put the kill key in and turn it',
      }),
      need('question that blocks', 'questions/blocks', {
        bench: 'openQuestion.blocking',
        p: 'Which of the two screws holds your blade?',
        but: 'asked, not told',
      }),
      need('chassis screws to be left alone', 'sabers/hilt/fasteners/clientMay=never', {
        s: 'Leave the chassis screw alone',
        p: 'chassis screw',
      }),
      need('client’s own button reworked', 'arrivals/shares/fate=altered', {
        s: 'reworked, its cap kept',
        p: 'reworked, its cap kept',
      }),
      need('adapter for later, and where it is to be had', 'sabers/items/from=letter', {
        s: 'You can get it here: the address in the letter',
        p: 'the address in the letter',
      }),
      need('no blade comes out', 'sabers/blades/kind=inHilt', {
        s: 'press the button once: it lights up',
        p: 'ignite',
      }),
    ],
    told: ['A quarter is enough', 'reworked, its cap kept', 'adapter for a pixel blade, later'],
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
      a.parts.push(part('c09-ch', 'ch-filament', 24, { heldBy: 'rails', removable: true }))
      a.joints.push(joint('c09-jc', 'part:c09-ch', { landmark: 'the long rail towards the button' }))
      b.hilt.fasteners[0]!.looseNow = true
      b.use.volume = fact(60, '%', 'configured')
      b.use.highestVolume = fact(90, '%', 'measured')
      b.presets[0]!.flickerHz = fact(14, 'Hz', 'configured')
      r.job = 'repair'
      r.repairs.push({
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
    carries: [
      need('three in one order, the shortest first', 'sabers/name=Middle Sluice', {
        s: 'This is Middle Sluice, the first of three',
        p: 'Middle Sluice',
      }),
      need('what is alike told once', 'sabers/controls/does=ignite', {
        s: 'It works just like Middle Sluice',
        p: 'ignite',
      }),
      need('for whom each is', 'sabers/recipient/name=Ebba', { s: 'Hello Ebba', p: 'Ebba' }),
      need('repair with its cause', 'sabers/repairs/cause=thread', {
        s: 'The cause: wires caught in the thread',
        p: 'wires caught in the thread',
      }),
      need('how often it was opened and closed since', 'sabers/repairs/cycles', {
        s: 'tried 30 times without the fault',
        p: '30 cycles',
      }),
      need('which way round the rails go', 'sabers/joints/landmark=long rail', {
        s: 'the long rail towards the button',
        h: 'the long rail towards the button',
        p: 'the long rail towards the button',
      }),
      need('screws loosened for the demonstration', 'sabers/hilt/fasteners/looseNow', {
        bench: 'loose.loose',
        but: 'tight before it ships',
      }),
      need('volume as shipped and as possible', 'sabers/use/highestVolume', {
        s: 'It’s shipped at volume 60',
        p: '90 %',
      }),
      need('strong flashing', 'sabers/presets/flickerHz', {
        bench: 'flashing.fast',
        s: 'flashes fast enough to trigger seizures',
        p: 'Marsh light flickers',
      }),
    ],
    told: [
      'goes dark when it is closed',
      'Opened and closed thirty times since.',
      'the long rail towards the button',
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
        part('c10-ch', 'ch-filament', 24, { heldBy: 'thread', removable: true }),
        part('c10-usb', 'port-usbc', 100, {
          beside: 'c10-board',
          otherEnd: { lead: 'USB-C', supply: '5 V', program: 'any file manager' },
        }),
        part('c10-card', 'card-16', null, { note: 'Holds files for the next firmware; leave them.' }),
        part('c10-oled', 'oled-069', 150, { clock: deg(0) }),
      )
      s.blades.push({
        ...{ ...structuredClone(s.blades[0]!), id: 'c10-plug', name: 'plug', kind: 'plug', length: mm(48) },
      })
      s.joints.push(
        joint('c10-jc', 'part:c10-ch', {
          ...{ byItself: 'wakes', towards: 'pommel', landmark: 'the display to the switch line again' },
          turns: fact(4, '×', 'measured'),
        }),
        joint('c10-jp', 'blade:c10-plug', { landmark: 'flat side up' }),
        joint('c10-je', 'section:c10-emitter', { who: 'client' }),
      )
      s.controls = []
    }),
    carries: [
      need('numbered piece', 'sabers/edition=9 of 12', { p: '9 of 12', but: 'a number is read' }),
      need('chassis that is threaded in', 'sabers/parts/heldBy=thread', {
        s: 'Unscrew the chassis and draw it out',
        h: 'Unscrew the chassis and draw it out',
        p: 'Unscrew the chassis',
      }),
      need('starts by itself when it is taken out', 'sabers/joints/byItself=wakes', {
        s: 'It wakes by itself when you do this',
        h: 'It wakes by itself when you do this',
        p: 'It wakes by itself when you do this',
      }),
      need('display aligned again when it is closed', 'sabers/joints/landmark=switch line', {
        s: 'the display to the switch line again',
        h: 'the display to the switch line again',
        p: 'the display to the switch line again',
      }),
      need('hidden screw under the emitter', 'sabers/hilt/fasteners/note=Under', {
        h: 'Take out the hidden screw',
        s: 'Take out the hidden screw',
        p: 'Under the emitter',
      }),
      need('which way the plug goes', 'sabers/joints/landmark=flat side', {
        h: 'flat side up',
        p: 'flat side up',
        s: 'flat side up',
      }),
      need('USB-C through the chassis', 'sabers/parts/otherEnd/program', {
        s: 'This is how you reach the port',
        h: 'Plug the charger into the charge port',
        p: 'any file manager',
      }),
      need('files for a later firmware', 'sabers/parts/note=next firmware', {
        s: 'Holds files for the next firmware; leave them',
        p: 'leave them',
      }),
      need('controls that were never told', 'sabers/inputs/name=button', {
        bench: 'noIgnite.nothing',
        p: 'Controls: not recorded.',
        but: 'nothing is recorded to tell',
      }),
    ],
    told: [
      '9 of 12',
      '7.0 beta',
      'It wakes by itself when you do this',
      'leave them',
      'Under the emitter',
      'any file manager',
      'flat side up',
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
        part('c11-chassis', 'ch-filament', 24, { removable: true, heldBy: 'rails' }),
        part('c11-cov', 'cover-magnet', 60, { name: 'long panel', note: 'This one first: it locks the rest.' }),
        part('c11-cov2', 'cover-magnet', 90, { name: 'short panel' }),
      )
      s.joints.push(
        joint('c11-j1', 'part:c11-cov', { after: ['part:c11-chassis', 'part:c11-cov2'] }),
        joint('c11-j2', 'part:c11-cov2', { after: ['part:c11-chassis'] }),
      )
      s.notFor.push({ id: 'c11-no', what: 'duelling', why: 'magnets hold the panels' })
      s.items.push({
        id: 'c11-dummy',
        what: 'dummy cell for charging',
        role: 'accessory',
        kind: 'cell',
        quantity: 1,
        supplied: 'shop',
      })
    }),
    carries: [
      need('ledger that comes out even', 'arrivals/shares/fate=returned', {
        bench: 'arrivals.sum',
        s: 'You sent us: panel. It’s coming back to you',
        p: 'returned',
      }),
      need('what was left over', 'arrivals/shares/fate=leftOver', {
        s: 'It wasn’t used, and it’s yours',
        p: 'not used',
      }),
      need('told by building it', 'sabers/order=build', {
        s: 'This is how it goes together, piece by piece',
        h: 'Put the long panel back',
        p: 'Put the long panel back',
      }),
      need('this one first, it locks the rest', 'sabers/parts/note=locks the rest', {
        s: 'This one first: it locks the rest',
        p: 'This one first: it locks the rest.',
      }),
      need('order of the panels', 'sabers/joints/after=part:c11-cov2', {
        h: 'Lift off the short panel',
        s: 'Lift off the short panel',
        p: 'Lift off the short panel',
      }),
      need('magnets, so not for duelling', 'sabers/notFor/what=duelling', {
        s: 'It’s not made for duelling: magnets hold the panels',
        p: 'magnets hold the panels',
      }),
      need('dummy cell for charging', 'sabers/items/what=dummy cell', {
        s: 'Also in the box: dummy cell for charging',
        p: 'dummy cell for charging',
      }),
      need('bent screw on arrival', 'arrivals/faults/left', {
        s: 'one bent. We left it as it was: a spare is fitted',
        p: 'a spare is fitted',
      }),
    ],
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
      s.parts.push(
        part('c12-port', 'port-21', 120, {
          clock: deg(180),
          otherEnd: { lead: 'round plug 2.1', supply: '8.4 V charger' },
        }),
      )
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
        note: 'The light behind it shows red.',
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
    carries: [
      need('whose it was', 'sabers/provenance/who=her daughter', {
        s: 'Before you it was with her daughter',
        p: 'her daughter',
      }),
      need('what is only believed', 'sabers/provenance/did=made the hilt', {
        bench: 'recalled.believed',
        s: 'it is believed, not known: made the hilt',
        p: 'believed',
      }),
      need('brief in words', 'brief=well kept', { p: 'Old, and well kept. Nothing shiny.', but: 'her own words' }),
      need('extension because of the cell', 'sabers/decisions/chose=extension', {
        s: 'an extension of 12 mm. The reason: the cell asked for it',
        p: 'the old length',
      }),
      need('cell wired in, charged by its port', 'sabers/parts/removable', {
        s: 'Plug the charger into the charge port',
        h: 'Plug the charger into the charge port',
        p: '8.4 V charger',
      }),
      need('dummy screw', 'sabers/hilt/fasteners/head=dummy', {
        bench: 'sameKey.dummy',
        s: 'Leave the dummy screw alone: it’s only decoration, and it’s glued in',
        p: 'Glued; it only looks like one.',
      }),
      need('tinted jewel', 'sabers/hilt/openings/note=red', {
        s: 'The light behind it shows red',
        p: 'The light behind it shows red',
      }),
      need('beta firmware', 'sabers/firmware=beta', { p: '5.9 beta', but: 'a number is read' }),
      need('client has not seen it', 'sabers/recipient/knows=neverSeen', {
        s: 'Without its blade it weighs about',
        p: 'Weight',
      }),
    ],
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
        preset('c13-p1', 'Deep', 'c13-reed', '#1030ff', { askedBy: 'Aud' }),
        preset('c13-p2', 'Deeper', 'c13-reed', '#1028f8'),
        preset('c13-p3', 'Deepest', 'c13-reed', '#0c28f0'),
        preset('c13-p6', 'Reed bed', 'c13-reed', '#20c840', {
          effects: { deflect: { colour: stated('#fff8b0', 'client') } },
        }),
        preset('c13-p4', 'Gauge', 'c13-reed', '#ffffff', { look: 'battery' }),
        preset('c13-p5', 'Fair', 'c13-reed', '#ffffff', { look: 'party' }),
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
        answer: 'It reads white on this green.',
        toldOn: on('10-20'),
        rank: 1,
      })
      s.items.push({ id: 'c13-key', what: 'hex key 2 mm', role: 'accessory', quantity: 1, supplied: 'shop' })
    }),
    carries: [
      need('colours as values', 'sabers/presets/colour=#1030ff', {
        p: '#1030ff',
        s: 'Three are blue: Deep, Deeper and Deepest',
      }),
      need('three near blues told apart', 'sabers/presets/name=Deepest', {
        bench: 'alikeColours.alike',
        s: 'Three are blue: Deep, Deeper and Deepest',
        p: '#0c28f0',
      }),
      need('a wish that reads otherwise, and when that was said', 'requests/status=changed', {
        s: 'it reads white on this green. We told you on 20 October 2026',
        p: 'It reads white on this green.',
      }),
      need('thread locked for good', 'sabers/hilt/sections/joint/lockedForLife', {
        bench: 'procedures.blocked',
        s: 'Do not try to unscrew the pommel',
        p: 'Locked with adhesive',
      }),
      need('key packed', 'sabers/items/what=hex key', { s: 'Also in the box: hex key 2 mm', p: 'hex key 2 mm' }),
      need('battery gauge is no colour', 'sabers/presets/look=battery', {
        s: 'Gauge shows on the blade how full the cell is',
        p: 'shows how full the cell is',
      }),
      need('a show of colours', 'sabers/presets/look=party', {
        s: 'Fair runs through many colours',
        p: 'many colours',
      }),
      need('deflect of its own colour', 'sabers/presets/effects/deflect/colour=#fff8b0', {
        bench: 'bleached.bleaches',
        p: 'deflect pale yellow',
        but: 'seen when it is struck',
      }),
    ],
    told: ['Locked with adhesive', 'It reads white on this green.', 'deflect pale yellow', 'hex key 2 mm'],
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
        row('c14-except', 'lit', 'c14-i2', 'tap', 'deflect', { presets: ['c14-p2'] }),
        row('c14-next', 'off', 'c14-i2', 'tap', 'nextPreset'),
        row('c14-twist', 'off', 'c14-m', 'twist', 'ignite', { presets: ['c14-p1'] }),
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
      s.presets.push(preset('c14-p3', 'Level', 'c14-reed', '#ffffff', { look: 'battery', needs: 'c14-b1' }))
      s.blades.push(pixelBlade('c14-demo', 'bench blade, 61 cm', 'c14-socket', 25.4, 610, { use: 'demo' }))
    }),
    carries: [
      need('two buttons with poses and combat mode', 'sabers/controls/does=combatOn', {
        s: 'combat mode is on',
        p: 'combat mode',
      }),
      need('exception by preset', 'sabers/controls/presets=c14-p2', { s: 'In Ferry bell only', p: '(Ferry bell)' }),
      need('screws by key, and which not to touch', 'sabers/hilt/fasteners/clientMay=never', {
        s: 'Leave the chassis screw alone',
        p: 'Not to be touched.',
      }),
      need('tools not supplied', 'sabers/items/supplied=client', {
        s: 'You have this already: hex key 2 mm',
        p: 'hex key 2 mm',
      }),
      need('when it sleeps', 'sabers/settings/sleepAfter', {
        s: 'it falls asleep by itself after 2 minutes',
        p: '120 s',
      }),
      need('a chime that is missing', 'toDos/text=chime', { bench: 'toDos.open', but: 'the shop’s own work' }),
      need('card to be copied at once', 'sabers/parts/note=Copy it', {
        s: 'Copy it before the first evening',
        h: 'copy all of it before changing anything',
        p: 'Copy it before the first evening.',
      }),
      need('level shown on the shipped blade only', 'sabers/presets/needs=c14-b1', {
        s: 'You need blade, 81 cm to see all of it',
        p: 'seen whole only with blade, 81 cm',
      }),
      need('a control nobody is sure of', 'sabers/controls/status=unsure', {
        bench: 'unsureControl.unsure',
        p: 'not sure: try it',
        but: 'what was not set up is not shown',
      }),
    ],
    told: ['Copy it before the first evening.', 'Not to be touched.', 'hex key 2 mm'],
    kept: ['missing chime'],
    raises: ['toDos.open', 'unsureControl.unsure'],
  },
]
