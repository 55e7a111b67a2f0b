import {
  deg,
  fact,
  font,
  type Job,
  job,
  joint,
  mm,
  need,
  on,
  part,
  pixelBlade,
  preset,
  row,
  screw,
  stated,
  told,
  val,
} from './plain'

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
        part('c01-chassis', 'ch-resin', 24, { heldBy: 'rails', removable: true, material: 'resin' }),
        part('c01-cover1', 'cover-magnet', 60, { name: 'lower cover', note: 'On first: it locks the upper one.' }),
        part('c01-cover2', 'cover-magnet', 90, { name: 'upper cover' }),
        part('c01-led', 'led-3-green', 120, { name: 'accent light' }),
        part('c01-kill', 'kill-slide-5a', 170, { shopNote: 'third one, the first two rattled' }),
      )
      s.cutPower = 'killSwitch'
      s.joints.push(
        joint('c01-jc', 'part:c01-chassis', {
          landmark: 'the notch of the channel to the button',
          hurts: 'It is brittle: cradle it in both hands.',
        }),
        // The upper one comes off first, and so goes on last.
        joint('c01-jl', 'part:c01-cover1', {
          after: ['part:c01-chassis', 'part:c01-cover2'],
          feels: 'the magnets pull it home',
        }),
        joint('c01-ju', 'part:c01-cover2', { after: ['part:c01-chassis'] }),
        joint('c01-je', 'section:c01-emitter', { who: 'client', feels: 'the spring button clicks' }),
      )
      s.access.push(
        {
          ...{ id: 'c01-ak', goal: 'powerOff', at: 'part:c01-kill' },
          steps: [told('c01-aka', 'cut', 'part:c01-kill', 'Slide the kill switch towards the pommel')],
        },
        {
          ...{ id: 'c01-ap', goal: 'powerOn', at: 'part:c01-kill' },
          steps: [
            told('c01-apa', 'restore', 'part:c01-kill', 'Slide the kill switch towards the blade', {
              cue: 'The accent light comes on: it has power.',
            }),
          ],
        },
      )
    }),
    carries: [
      need('covers in their order', 'sabers/joints/after=part:c01-cover2', {
        h: 'Lift off the upper cover',
        s: 'Put the lower cover back',
        p: 'Lift off the upper cover',
      }),
      need('a button and screws on one joint', 'sabers/hilt/sections/joint/kind=buttonAndScrews', {
        h: 'Press the button of the joint and pull off the emitter',
        s: 'Press the button of the joint and pull off the emitter',
        p: 'Press the button of the joint',
      }),
      need('screws back in before a blade goes in', 'sabers/hilt/sections/joint/note=screws back in', {
        h: 'Tighten the top screw, left',
        s: 'Tighten both screws',
        p: 'screws back in before a blade goes in',
      }),
      need('accent light that proves power', 'sabers/access/steps/cue=it has power', {
        h: 'The accent light comes on',
        s: 'The accent light comes on',
        p: 'The accent light comes on',
      }),
      need('two screws for the blade', 'sabers/hilt/sockets/retention=c01-blade2', {
        s: 'Tighten both blade screws',
        h: 'Tighten the lower blade screw',
        p: 'lower blade screw',
      }),
      need('kill switch told', 'sabers/cutPower=killSwitch', {
        s: 'cuts the power altogether',
        h: 'Slide the kill switch towards the pommel',
        p: 'kill switch',
      }),
      need('channel that goes in one way', 'sabers/joints/landmark=notch', {
        h: 'the notch of the channel to the button',
        s: 'the notch of the channel to the button',
        p: 'the notch of the channel to the button',
      }),
      need('brittle chassis', 'sabers/joints/hurts=brittle', {
        h: 'cradle it in both hands',
        s: 'cradle it in both hands',
        p: 'cradle it in both hands',
      }),
    ],
    told: [
      'On first: it locks the upper one.',
      'screws back in before a blade goes in',
      'The accent light comes on: it has power.',
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
      })
      s.hilt.sockets[0]!.insertion = 'straight'
      s.joints.push(
        joint('c02-jb', 'blade:c02-b1', {
          landmark: 'the key of its plug upwards',
          hurts: 'Squeeze the two sprung ears together before you push.',
          feels: 'the ears spring open in the emitter',
        }),
        joint('c02-jp', 'section:c02-pommel', { landmark: 'not further than the mark' }),
      )
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
          whose: 'client',
        },
        gaveUp: 'the larger speaker: its chamber was cut back',
      })
      s.presets[0]!.askedBy = 'Aud'
      s.fonts.push(font('c02-gale', 'Gale'), {
        ...{ id: 'c02-bank', name: 'Tides', is: 'musicBank' },
        sounds: ['Tide table', 'Low bell'].map((name, i) => ({ id: `c02-track-${i}`, event: 'track', name })),
      })
      s.presets[0]!.tracks = ['c02-track-0', 'c02-track-1']
      s.presets.push(preset('c02-p3', 'Salt wind', 'c02-gale', '#8090ff', { askedBy: 'Osk', why: 'fits the coat' }))
      c.credits.push({ id: 'c02-cr', who: 'Pell', did: 'wound the string' })
    }),
    carries: [
      need('runtime against room, and what it cost', 'sabers/decisions/gaveUp=larger speaker', {
        s: 'The trade-off: the larger speaker',
        p: 'the larger speaker: its chamber was cut back',
      }),
      need('who chose', 'sabers/decisions/whose=client', { s: 'You chose this: two cells of 21700', p: 'your choice' }),
      need('LED counts that add up', 'sabers/blades/ledsTotal', {
        bench: 'stringSums.differ',
        p: '6 groups of 16',
        but: 'counts are read, not heard',
      }),
      need('sprung ears and key of the plug', 'sabers/joints/hurts=sprung ears', {
        h: 'Squeeze the two sprung ears',
        s: 'Squeeze the two sprung ears',
        p: 'Squeeze the two sprung ears',
      }),
      need('blade never twisted', 'sabers/hilt/sockets/insertion=straight', {
        h: 'straight in to the stop; never twist it',
        s: 'never twist it',
        p: 'never twist it',
      }),
      need('look-alike screws, one never to be turned', 'sabers/hilt/fasteners/clientMay=never', {
        bench: 'sameKey.key',
        s: 'Leave the grip screw alone',
        p: 'Looks like the blade screw; it is not.',
      }),
      need('thread that has no stop', 'sabers/hilt/sections/joint/stop', {
        bench: 'overClosing.unknown',
        h: 'not further than the mark',
        s: 'Nothing stops this thread',
        p: 'not further than the mark',
      }),
      need('adapter', 'sabers/items/of=blade:c02-b1', { s: 'adapter from ⅞ to 1 in', p: 'adapter from ⅞ to 1 in' }),
      need('fonts by who chose them, a music bank', 'sabers/presets/askedBy=Osk', {
        s: 'That one was Osk’s idea',
        p: 'Tide table',
      }),
      need('helper credited', 'credits/who=Pell', { s: 'Pell did this: wound the string', p: 'wound the string' }),
    ],
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
        client: true,
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
      s.presets[1]!.needs = 'c03-b1'
      s.hilt.openings = []
      c.requests.push({
        id: 'c03-r',
        text: 'Could it be louder?',
        status: 'declined',
        answer: 'Only with vents in the pommel.',
        toldOn: on('10-02'),
      })
    }),
    carries: [
      need('the client’s own work before', 'sabers/provenance/client', {
        s: 'You had it in your hands before us, last winter: bored the grip',
        p: 'the client (you)',
      }),
      need('track by pose', 'sabers/controls/pose=up', {
        s: 'hold the button for two seconds with the blade up: a track plays',
        p: 'with the blade up',
      }),
      need('line by pose', 'sabers/controls/pose=down', {
        s: 'with the blade down: it says a line',
        p: 'with the blade down',
      }),
      need('presets that tell one story', 'sabers/presets/why=flood', {
        s: 'Marsh light is green: the flood begins',
        p: 'the flood begins',
      }),
      need('blade on film shorter than the shipped one', 'sabers/blades/use=demo', {
        bench: 'demoDiffers.other',
        s: 'The blade you see here is the bench’s own',
        p: 'blade, 81 cm',
      }),
      need('what the short blade cannot show', 'sabers/presets/needs=c03-b1', {
        s: 'You need blade, 81 cm to see all of it',
        p: 'seen whole only with blade, 81 cm',
      }),
      need('muffled sound against the vents', 'sabers/parts/kind=speaker', {
        bench: 'vents.none',
        p: 'Only with vents in the pommel.',
        s: 'only with vents in the pommel',
      }),
      need('wish declined, and when that was said', 'requests/toldOn', {
        s: 'We told you on 2 October 2026',
        p: '2 October 2026',
      }),
    ],
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
        part('c04-chassis', 'ch-filament', 24, { heldBy: 'rails', removable: true }),
        part('c04-usb', 'port-usbc', 104, {
          ...{
            beside: 'c04-board',
            on: 'c04-board',
            otherEnd: { lead: 'USB-C', supply: 'any', program: 'any file manager' },
          },
        }),
      )
      Object.assign(s.parts.find((p) => p.kind === 'board')!, { removable: true, on: 'c04-chassis' })
      s.access.push({
        ...{ id: 'c04-ap', goal: 'port', at: 'part:c04-usb' },
        steps: [told('c04-apa', 'takeOff', 'part:c04-board', 'Lift the board by its rings')],
      })
    }),
    carries: [
      need('model without a client', 'job=model', { s: 'This is Causeway pattern.', p: 'Causeway pattern' }),
      need('a colour menu by turning', 'sabers/modes/by=turning', {
        s: 'In the colour menu',
        p: 'the colour by turning the hilt',
      }),
      need('which presets there are', 'sabers/presets/name=Ferry bell', { s: 'Ferry bell is orange', p: 'Ferry bell' }),
      need('wake from sleep', 'sabers/controls/does=wake', {
        s: 'When it sleeps, press the button once: it wakes',
        p: 'asleep',
      }),
      need('when it sleeps', 'sabers/settings/sleepAfter', {
        s: 'it falls asleep by itself after 5 minutes',
        p: '300 s',
      }),
      need('board lifted by its rings for the port', 'sabers/parts/removable', {
        h: 'Lift the board by its rings',
        s: 'Lift the board by its rings',
        p: 'Lift the board by its rings',
      }),
      need('what the port talks to', 'sabers/parts/otherEnd/program=file manager', {
        p: 'any file manager',
        but: 'the other end of a lead is read',
      }),
      need('never told how to turn it off', 'sabers/controls/mode=c04-mode-off', {
        bench: 'noOff.trap',
        but: 'there is nothing to tell: the bench stops it',
      }),
    ],
    told: ['Lift the board by its rings'],
    kept: [],
    raises: ['noOff.trap'],
  },
  {
    id: 'c05',
    needs: 'zones that follow, a display at its window, baffles, a brittle chassis, an effect to edit out, a timeout',
    make: job('c05', 'Glass Weir', (s, c) => {
      s.parts.push(
        part('c05-ch', 'ch-resin', 24, { material: 'resin', heldBy: 'setScrew', removable: true }),
        part('c05-oled', 'oled-069', 120, { clock: deg(0), on: 'c05-ch' }),
        part('c05-strip', 'strip-chassis-8', 40, { clock: deg(90), on: 'c05-ch' }),
        part('c05-sleeve', 'sleeve-grip-100', 40, { name: 'leather grip', heldBy: 'setScrew' }),
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
          purpose: 'sleeve',
          clientMay: 'loosen',
          note: 'Loosen it; the grip does not unscrew.',
        }),
        screw('c05-chscrew', 'chassis screw', 'M3', '1.5 mm', 34, 180, { purpose: 'chassis', clientMay: 'loosen' }),
      )
      s.spoken.push({ id: 'c05-sp', of: 'part:c05-sleeve', language: 'en', name: 'leather grip' })
      s.joints.push(
        joint('c05-jc', 'part:c05-ch', {
          ...{ landmark: 'the display to its window', hurts: 'It is brittle: cradle it in both hands.' },
        }),
      )
      Object.assign(s.hilt.sections[0]!, { outside: mm(36) })
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
    carries: [
      need('lit strips, one follows another', 'sabers/zones/follows=c05-z1', {
        p: 'what the spine shows',
        s: 'This is the lit strip',
      }),
      need('what the strip does asleep', 'sabers/zones/note=Breathes', {
        p: 'Breathes while it sleeps.',
        but: 'of a zone, not of a part',
      }),
      need('display at its window', 'sabers/hilt/openings/kind=window', {
        bench: 'displayWindow.none',
        s: 'you read it through its window',
        h: 'the display to its window',
        p: 'the display to its window',
      }),
      need('grip over a core, held by a screw that does not unscrew it', 'sabers/hilt/fasteners/purpose=sleeve', {
        s: 'Slide the leather grip off',
        h: 'Slide the leather grip off',
        p: 'the grip does not unscrew',
      }),
      need('brittle chassis', 'sabers/joints/hurts=brittle', {
        s: 'It is brittle: cradle it',
        h: 'It is brittle: cradle it',
        p: 'It is brittle: cradle it',
      }),
      need('display goes dark', 'sabers/settings/displayTimeout', {
        s: 'After 20 seconds the display goes dark by itself',
        p: '20 s',
      }),
      need('card with its files', 'sabers/parts/kind=card', {
        s: 'This is how you reach the card',
        h: 'Take the card out',
        p: 'Take the card out',
      }),
      need('an effect to be edited out before it ships', 'toDos/blocks=shipping', {
        bench: 'toDos.open',
        but: 'the shop’s own work',
      }),
    ],
    told: ['It is brittle: cradle it in both hands.', 'Breathes while it sleeps.', 'the grip does not unscrew', '20 s'],
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
        s.presets.push(
          preset(`c06-p${i}`, `Lantern ${i}`, 'c06-reed', `#${(i * 1_300_000).toString(16).padStart(6, '0')}`),
        )
      s.presets[0]!.extendMs = fact(800, 'ms', 'configured')
      s.fonts[0]!.sounds = [
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
        where: 'part:c06-oled',
      })
      s.parts.push(part('c06-conn', 'conn-10pin-lit', 175), part('c06-oled', 'oled-069', 120, { clock: deg(0) }))
      s.hilt.openings.push({
        ...{ id: 'c06-win', name: 'display window', kind: 'window', at: mm(118), clock: deg(0) },
        ...{ length: mm(28), width: mm(12) },
      })
      Object.assign(s.settings, { greeting: 'Aud’s own', picture: 'a lantern' })
      s.joints.push(joint('c06-jb', 'blade:c06-b1', { hurts: 'The pins in the socket bend, so push straight.' }))
      c.toDos.push({
        ...{ id: 'c06-td', text: 'send the lock sound for the two lanterns that lack it', about: 'saber:c06' },
        ...{ who: 'shop', promised: true, due: on('12-24'), done: false },
      })
    }),
    carries: [
      need('looks and blades counted', 'sabers/presets/name=Lantern 12', {
        s: '12 looks and two blades: that makes 24',
        p: 'Lantern 12',
      }),
      need('second blade told', 'sabers/blades/name=92 cm', {
        s: 'Two blades go with it: blade, 81 cm and blade, 92 cm',
        p: 'blade, 92 cm',
      }),
      need('ignition as long as the blade’s ramp', 'sabers/presets/extendMs', {
        p: '0.8 s',
        but: 'a time that is heard',
      }),
      need('a lock sound that is missing', 'sabers/fonts/sounds/event=ignite', {
        bench: 'missingSound.silent',
        but: 'found before anybody films',
      }),
      need('what is still owed for it', 'toDos/promised', {
        s: 'One thing we still owe you: send the lock sound',
        p: 'We owe you: send the lock sound',
      }),
      need('display that greets by name', 'sabers/settings/greeting=Aud', {
        s: 'its display says: “Aud’s own”',
        p: 'Aud’s own',
      }),
      need('pins that bend', 'sabers/joints/hurts=pins', {
        s: 'The pins in the socket bend, so push straight',
        h: 'The pins in the socket bend',
        p: 'The pins in the socket bend',
      }),
      need('another pommel, shown and not shipped', 'sabers/items/supplied=bench', {
        bench: 'goesWith.shown',
        s: 'This one is only shown here and stays with us: pommel with a ring',
        p: 'Seen in the film; yours has none.',
      }),
    ],
    told: [
      'Seen in the film; yours has none.',
      'Its display greets Aud.',
      'The pins in the socket bend',
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
        ...{ faces: stated('pommel', 'measured'), leads: stated('minus', 'measured'), heldBy: 'groove' },
        landmark: 'a plus is cut inside the groove',
      })
      s.access.push({
        ...{ id: 'c07-open', goal: 'cell', at: 'part:c07-cell' },
        steps: [
          told('c07-open1', 'takeOff', 'section:c07-pommel', 'Twist the handle off', {
            caution: 'Twist, do not pull: the wires run through it.',
          }),
        ],
      })
      c.packing.push({
        ...{ id: 'c07-list', what: 'list of every function, sent by mail', quantity: 1, packed: true },
        supply: 'hasAlready',
      })
      c.credits.push({ id: 'c07-cr1', who: 'Maren', did: 'wired it' }, { id: 'c07-cr2', who: 'Osk', did: 'turned it' })
    }),
    carries: [
      need('hold means five things', 'sabers/controls/gesture=hold', {
        bench: 'manyHolds.many',
        s: 'hold the button for one second: the next preset comes up',
        p: 'hold the button for one second',
      }),
      need('hold times, one by one', 'sabers/controls/hold', {
        s: 'hold the button for four seconds',
        p: 'half a second',
      }),
      need('double tap that has to be quick', 'sabers/controls/says=quick', {
        s: 'the two taps must be quick',
        p: 'the two taps must be quick',
      }),
      need('handle twisted, not pulled', 'sabers/access/steps/caution=Twist', {
        s: 'Twist, do not pull',
        h: 'Twist the handle off',
        p: 'Twist, do not pull',
      }),
      need('cell minus first into its groove', 'sabers/parts/leads=minus', {
        s: 'into its groove, minus pole first',
        h: 'into its groove, minus pole first',
        p: 'minus pole first',
      }),
      need('plus mark inside', 'sabers/parts/landmark=plus is cut', {
        s: 'a plus is cut inside the groove',
        h: 'a plus is cut inside the groove',
        p: 'a plus is cut inside the groove',
      }),
      need('list that came by mail', 'packing/supply=hasAlready', {
        p: 'list of every function, sent by mail',
        but: 'not in the box',
      }),
      need('two people named', 'credits/who=Osk', { s: 'Maren: wired it; Osk: turned it', p: 'turned it' }),
    ],
    told: [
      'a plus is cut inside the groove',
      'Twist, do not pull',
      'list of every function, sent by mail',
      'half a second',
      'four seconds',
    ],
    kept: [],
    raises: ['manyHolds.many'],
  },
]
