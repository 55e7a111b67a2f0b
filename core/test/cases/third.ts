import {
  deg,
  fact,
  type Job,
  job,
  joint,
  mm,
  need,
  on,
  part,
  pixelBlade,
  row,
  screw,
  socket,
  stated,
  told,
  val,
} from './plain'

/** Jobs 15 to 21. */
export const THIRD: readonly Job[] = [
  {
    id: 'c15',
    needs:
      'a third one for the same client: spares and alternatives in the box, a thread to grease, a wireless link and its code, a feature nobody is sure of',
    make: job('c15', 'Boxed Again', (s, c) => {
      s.items.push(
        { id: 'c15-x1', what: 'spare blade screw', role: 'spare', quantity: 2, supplied: 'shop', size: 'M4 × 6' },
        {
          id: 'c15-x2',
          what: 'second pommel',
          role: 'alternative',
          of: 'section:c15-pommel',
          quantity: 1,
          supplied: 'shop',
        },
      )
      s.settings.link = { name: 'boxed-again', code: stated('4711', 'configured'), program: 'any radio terminal' }
      s.parts.push(part('c15-radio', 'aux-wireless', 120))
      s.recipient = { knows: 'owned' }
      s.presets[1]!.status = 'unsure'
      s.telling = { length: 'short', readers: ['returning'], differs: ['the plug is polished'] }
      c.toDos.push(
        {
          id: 'c15-t1',
          text: 'grease the squealing thread',
          about: 'section:c15-pommel',
          who: 'shop',
          blocks: 'shipping',
          done: false,
        },
        {
          id: 'c15-t2',
          text: 'polish the plug',
          who: 'shop',
          blocks: 'filming',
          done: true,
          doneOn: on('11-01'),
          doneBy: 'Osk',
        },
      )
      s.controls.push(row('c15-melt', 'lit', 'c15-i1', 'thrust', 'melt', { status: 'unsure' }))
      s.hilt.sockets[0]!.note =
        'A loose blade flickers: tighten it. When it freezes, take the cell out and count to ten.'
    }),
    carries: [
      need('spare parts in the box', 'sabers/items/role=spare', {
        s: 'There’s a spare in the box: 2 × spare blade screw',
        p: 'spare blade screw',
      }),
      need('alternative in the box', 'sabers/items/role=alternative', {
        s: 'It comes with another one to swap in: second pommel',
        p: 'second pommel',
      }),
      need('squealing thread to grease before it ships', 'toDos/text=grease', {
        bench: 'toDos.open',
        but: 'the shop’s own work',
      }),
      need('loose blade flickers, freezing', 'sabers/hilt/sockets/note=flickers', {
        s: 'A loose blade flickers: tighten it',
        p: 'count to ten',
      }),
      need('wireless link and its code', 'sabers/settings/link/code=4711', { s: 'The code is 4711', p: '4711' }),
      need('feature nobody is sure of', 'sabers/controls/status=unsure', {
        bench: 'unsureControl.unsure',
        p: 'not sure: try it',
        but: 'what was not set up is not shown',
      }),
      need('preset nobody is sure of', 'sabers/presets/status=unsure', {
        bench: 'unsurePreset.unsure',
        s: 'We’re not sure about this one: try it',
        p: 'not sure: try it',
      }),
      need('short for who has had others', 'sabers/telling/differs', {
        s: 'You know your last one. Here is what is different: the plug is polished',
        p: 'Boxed Again',
      }),
    ],
    told: ['spare blade screw', 'second pommel', '4711', 'any radio terminal', 'count to ten'],
    kept: ['grease the squealing thread', 'polish the plug'],
    raises: ['toDos.open', 'unsureControl.unsure'],
  },
  {
    id: 'c16',
    needs:
      'a shop’s own hilt bought later: a claw that can hurt, beeps that are counted, a blade that is turned, credits to others, and a tightening that is told only at removal',
    make: job('c16', 'Heron', (s, c) => {
      s.hilt.sections[2]!.sharp = true
      s.hilt.sections[2]!.note = 'The upper point is the sharpest.'
      s.hilt.sockets[0]!.insertion = 'clockwise'
      s.controls.push(
        row('c16-mute', 'off', 'c16-i1', 'hold', 'mute', { beeps: 2, says: 'mute' }),
        row('c16-unmute', 'muted', 'c16-i1', 'hold', 'unmute', { beeps: 2 }),
      )
      s.access = [
        {
          ...{ id: 'c16-in', goal: 'bladeIn', at: 'blade:c16-b1' },
          steps: [told('c16-in1', 'putOn', 'blade:c16-b1', 'Turn the blade in, clockwise')],
        },
        {
          ...{ id: 'c16-out', goal: 'bladeOut', at: 'blade:c16-b1' },
          steps: [
            told('c16-out1', 'loosen', 'fastener:c16-blade', 'Loosen the blade screw that you tightened'),
            told('c16-out2', 'takeOff', 'blade:c16-b1', 'Turn the blade out, clockwise too'),
          ],
        },
      ]
      s.items.push({
        id: 'c16-ch',
        what: 'charger of your last one',
        role: 'accessory',
        kind: 'charger',
        quantity: 1,
        supplied: 'client',
      })
      s.provenance.push({ id: 'c16-ow', who: 'Aud', client: true })
      c.credits.push({ id: 'c16-cr', who: 'Ysolde Marr', did: 'drew the claws' })
    }),
    carries: [
      need('claw that can hurt, before it is handled', 'sabers/hilt/sections/sharp', {
        s: 'Mind the points of the hilt',
        p: 'points and edges that can hurt',
      }),
      need('beeps counted in a hold', 'sabers/controls/beeps', {
        s: 'let go after the second beep',
        p: 'let go after the second beep',
      }),
      need('mute, and back', 'sabers/controls/does=unmute', { s: 'the sound is back', p: 'mute' }),
      need('blade turned in', 'sabers/hilt/sockets/insertion=clockwise', {
        s: 'Turn the blade in, clockwise',
        h: 'Turn the blade in, clockwise',
        p: 'Turn the blade in, clockwise',
      }),
      need('and turned out the same way', 'sabers/access/steps/text=clockwise too', {
        s: 'Turn the blade out, clockwise too',
        h: 'Turn the blade out, clockwise too',
        p: 'clockwise too',
      }),
      need('tightened when it goes in, not told at removal first', 'sabers/hilt/sockets/retention', {
        s: 'Tighten the blade screw until snug',
        h: 'Tighten the blade screw until snug',
        p: 'Tighten the blade screw until snug',
      }),
      need('charger owned already', 'sabers/items/supplied=client', {
        s: 'You have this already: charger of your last one',
        p: 'charger of your last one',
      }),
      need('others credited', 'credits/who=Ysolde Marr', {
        s: 'Ysolde Marr did this: drew the claws',
        p: 'drew the claws',
      }),
      need('earlier buyer is spoken to', 'sabers/provenance/client', {
        s: 'It was yours before it came to us',
        p: 'Aud (you)',
      }),
    ],
    told: ['The upper point is the sharpest.', 'let go after the second beep', 'drew the claws', 'clockwise too'],
    kept: [],
    raises: [],
  },
  {
    id: 'c17',
    needs:
      'from a drawing, for show: what only one view shows is assumed, ranked wishes, dies of mixed colour, a log of delays',
    make: job('c17', 'Drawn Once', (s, c) => {
      c.job = 'showcase'
      s.job = 'showcase'
      s.hilt.origin = 'scratch'
      s.hilt.sections[1]!.outside = mm(36, 'assumed')
      s.hilt.sections[1]!.outside.with = 'only the front is drawn'
      c.requests.push(
        { id: 'c17-r1', text: 'The front half as drawn', status: 'met', rank: 1 },
        { id: 'c17-r2', text: 'One colour for the switch', status: 'met', rank: 2, where: 'part:c17-button' },
      )
      s.blades[0]!.kind = 'inHilt'
      s.parts.push(part('c17-led', 'ih-4die', 160, { note: 'Two dies of amber, one red, one white.' }))
      for (let i = 0; i < 4; i++)
        s.parts.push(part(`c17-acc${i}`, 'led-3-white', 120, { clock: deg(90 * i), name: `accent ${i + 1}` }))
      c.log.push(
        { id: 'c17-l1', on: on('09-20'), text: 'bronze late by three weeks', kind: 'delay', by: 'Maren' },
        { id: 'c17-l2', on: on('10-12'), text: 'turned the front', kind: 'work', hours: 6.5, by: 'Osk' },
      )
    }),
    carries: [
      need('what only one view shows', 'sabers/hilt/sections/outside=36', {
        bench: 'recalled.assumed',
        but: 'a size, read off the drawing',
      }),
      need('wishes by rank', 'requests/rank', {
        s: 'You asked for this: the front half as drawn',
        p: 'The front half as drawn',
      }),
      need('where a wish is met', 'requests/where=part:c17-button', {
        s: 'one colour for the switch',
        p: 'One colour for the switch',
      }),
      need('dies of mixed colour', 'sabers/parts/note=Two dies', {
        s: 'Two dies of amber, one red, one white',
        p: 'Two dies of amber, one red, one white.',
      }),
      need('four lights told at once', 'sabers/parts/kind=accentLed', {
        s: 'Four small lights are set into it',
        p: 'accent',
      }),
      need('showcase only: it lights up', 'sabers/blades/kind=inHilt', { s: 'it lights up', p: 'ignite' }),
      need('delays logged', 'log/kind=delay', { but: 'the shop’s own log' }),
    ],
    told: ['The front half as drawn', 'Two dies of amber, one red, one white.'],
    kept: ['bronze late by three weeks'],
    raises: ['recalled.assumed'],
  },
  {
    id: 'c18',
    needs:
      'a re-install with half a chassis from the client: faults on arrival, a wish that could not be met, a socket to be sanded, extra hours',
    make: job('c18', 'Second Life', (s, c) => {
      s.job = 'rebuild'
      c.arrivals.push(
        {
          id: 'c18-ar1',
          what: 'your saber',
          quantity: 1,
          whole: true,
          saber: s.id,
          condition: 'opened before',
          conditionOn: on('09-02'),
          shares: [{ id: 'c18-s1', fate: 'used', count: 1 }],
          faults: [
            { id: 'c18-f1', text: 'card bent, unreadable', became: 'request:c18-r' },
            { id: 'c18-f2', text: 'cell flat', became: 'toDo:c18-t0' },
            { id: 'c18-f3', text: 'a screw glued in', left: 'left as it is, agreed' },
          ],
        },
        {
          id: 'c18-ar2',
          what: 'chassis, lower half',
          quantity: 1,
          condition: 'sound',
          conditionOn: on('09-02'),
          shares: [{ id: 'c18-s2', fate: 'altered', count: 1 }],
          faults: [],
        },
      )
      c.requests.push({
        id: 'c18-r',
        text: 'The old fonts again',
        status: 'declined',
        answer: 'The card could not be read.',
        toldOn: on('09-10'),
      })
      c.toDos.push(
        { id: 'c18-t0', text: 'renew the cell', who: 'shop', done: true, doneOn: on('09-12'), doneBy: 'Osk' },
        { id: 'c18-t1', text: 'sand the socket for your tube', about: 'socket:c18-socket', who: 'client', done: false },
      )
      s.blades[0]!.outside = mm(25.6)
      s.settings.displayAngle = fact(90, 'deg', 'measured')
      s.parts.push(part('c18-oled', 'oled-049', 130, { clock: deg(90) }))
      s.hilt.sections[1]!.joint = { kind: 'collar' }
      s.joints.push(
        joint('c18-jc', 'section:c18-emitter', {
          how: 'turn',
          who: 'client',
          byItself: 'showsDisplay',
          turns: fact(0.25, '×', 'measured'),
        }),
      )
      c.log.push({
        id: 'c18-l',
        on: on('09-30'),
        text: 'extra hours for the wiring',
        kind: 'work',
        hours: 4,
        by: 'Maren',
      })
    }),
    carries: [
      need('faults found on arrival', 'arrivals/faults/text=card bent', {
        s: 'we noted this (your saber): card bent, unreadable',
        p: 'card bent, unreadable',
      }),
      need('what became of each', 'arrivals/faults/became', { s: 'cell flat. We saw to that', p: 'cell flat' }),
      need('screw found glued, left so', 'arrivals/faults/left=agreed', {
        s: 'left as it is, agreed',
        p: 'left as it is, agreed',
      }),
      need('wish that could not be met, and when that was said', 'requests/status=declined', {
        s: 'We told you on 10 September 2026',
        p: '10 September 2026',
      }),
      need('socket tighter than the tube', 'sabers/blades/outside=25.6', {
        bench: 'socketFit.willNotEnter',
        s: 'Your blade doesn’t fit yet, so I’ll only describe it',
        p: 'sand the socket for your tube',
      }),
      need('client’s work to do', 'toDos/who=client', {
        s: 'One thing is left for you: sand the socket',
        p: 'sand the socket for your tube',
      }),
      need('half the chassis from the client', 'arrivals/what=chassis', {
        s: 'You sent us: chassis, lower half. It was altered',
        p: 'chassis, lower half',
      }),
      need('extra hours', 'log/hours', { but: 'on the bill, not in the record' }),
      need('display seen by turning a collar', 'sabers/joints/how=turn', {
        s: 'Turn the emitter',
        h: 'Turn the emitter',
        p: 'Turn the emitter',
      }),
    ],
    told: [
      'card bent, unreadable',
      'The card could not be read.',
      '2026-09-10',
      'left as it is, agreed',
      'sand the socket for your tube',
      'Turn the emitter',
    ],
    kept: ['extra hours for the wiring', 'renew the cell'],
    raises: ['socketFit.willNotEnter'],
  },
  {
    id: 'c19',
    needs:
      'an exposed crystal: re-planned with reasons, a wire that is cut for good at the maker’s own idea, a polarity unlike other sabers',
    make: job('c19', 'Open Heart', (s, c) => {
      s.hilt.sections[1]!.joint = { kind: 'none' }
      s.parts.push(part('c19-cham', 'chamber-22', 130), part('c19-px', 'pixel-crystal', 134, { beside: 'c19-cham' }))
      s.zones.push({
        id: 'c19-z',
        name: 'crystal',
        kind: 'crystal',
        leds: val(1, '×', 'measured'),
        channelCurrent: val(18, 'mA'),
        idleCurrent: val(0.6, 'mA'),
        part: 'c19-px',
      })
      s.decisions.push(
        {
          id: 'c19-d1',
          on: on('09-15'),
          by: 'Osk',
          chose: 'the chassis drawn anew',
          why: 'the switches came later than the drawing',
          gaveUp: 'a week',
        },
        {
          id: 'c19-d2',
          on: on('09-28'),
          by: 'Maren',
          chose: 'the ground wire cut and joined by a plug',
          why: 'it opens without solder',
          irreversible: true,
          consent: { who: 'Aud', on: on('09-27') },
        },
      )
      c.requests.push({ id: 'c19-r', text: 'Cut the wire for easier opening', shape: 'ownIdea', status: 'met' })
      const cell = s.parts.find((p) => p.kind === 'cell')!
      Object.assign(cell, {
        faces: stated('pommel', 'measured'),
        landmark: 'the other way round than your last one: plus to the pommel',
      })
    }),
    carries: [
      need('re-planned, and why', 'sabers/decisions/chose=drawn anew', {
        s: 'The reason: the switches came later than the drawing',
        p: 'the chassis drawn anew',
      }),
      need('exposed crystal', 'sabers/parts/kind=chamber', { s: 'this is the crystal chamber', p: 'crystal' }),
      need('conductor count', 'sabers/parts/kind=wire', { p: 'Sound board', but: 'counted on the bench' }),
      need('wire cut for good, agreed', 'sabers/decisions/consent/who=Aud', {
        s: 'the ground wire cut and joined by a plug',
        p: 'it cannot be undone, agreed by Aud',
      }),
      need('the maker’s own idea', 'requests/shape=ownIdea', {
        s: 'An idea of ours: cut the wire for easier opening',
        p: 'our own idea',
      }),
      need('polarity unlike others', 'sabers/parts/faces=pommel', {
        s: 'plus pole towards the pommel',
        h: 'the other way round than your last one',
        p: 'the other way round than your last one',
      }),
      need('pole said where the cell goes in', 'sabers/parts/landmark=other way', {
        s: 'the other way round than your last one',
        h: 'plus pole towards the pommel',
        p: 'plus pole towards the pommel',
      }),
    ],
    told: ['the chassis drawn anew', 'it opens without solder', 'the other way round than your last one'],
    kept: [],
    raises: [],
    silent: ['consent.decided'],
  },
  {
    id: 'c20',
    needs:
      'a crossguard, abroad: three emitters, three blades to buy, one test blade, three plugs to pack, an offered font, a cell named and not sent',
    make: job('c20', 'Old Crosswind', (s, c) => {
      c.job = 'conversion'
      s.job = 'conversion'
      c.client.country = 'abroad'
      for (const [i, side] of ['left', 'right'].entries()) {
        s.hilt.sections.push({
          ...structuredClone(s.hilt.sections[2]!),
          id: `c20-q${i}`,
          name: `${side} arm`,
          role: 'quillon',
          length: mm(40),
          outside: mm(24),
          bore: mm(15.9),
        })
        s.hilt.fasteners.push(screw(`c20-qs${i}`, `${side} screw`, 'M3', '1.5 mm', 200, 90 + 180 * i))
        s.hilt.sockets.push(socket(`c20-qk${i}`, `c20-q${i}`, 15.9, 20, [`c20-qs${i}`], { name: `${side} arm` }))
        s.blades.push(
          pixelBlade(`c20-qb${i}`, `${side} blade, 18 cm`, `c20-qk${i}`, 15.8, 180, {
            use: 'toBuy',
            supplied: 'notSupplied',
          }),
        )
      }
      Object.assign(s.blades[0]!, { use: 'toBuy', supplied: 'notSupplied' })
      // A plug for each socket, and the bench's one blade for the first.
      for (const [i, k] of s.hilt.sockets.entries())
        s.blades.push({
          ...structuredClone(s.blades[0]!),
          ...{ id: `c20-pl${i}`, name: `plug ${i + 1} of three`, kind: 'plug', use: 'ship', supplied: 'shop' },
          ...{ socket: k.id, length: mm(20), outside: mm(i ? 15.8 : 25.4) },
        })
      s.blades.push(pixelBlade('c20-test', 'test blade, 81 cm', 'c20-socket', 25.4, 810, { use: 'demo' }))
      Object.assign(s.parts.find((p) => p.kind === 'cell')!, {
        ...{ supplied: 'notSupplied', protected: true, note: 'No longer than 70 mm.' },
      })
      c.requests.push({
        id: 'c20-r',
        text: 'A font of the old gate',
        shape: 'offered',
        status: 'open',
        price: { amount: 25, currency: 'EUR' },
      })
      s.parts.push(
        part('c20-kill', 'kill-slide-10a', 160),
        part('c20-sp', 'spacer-5', 20, { note: 'Glued; leave it.' }),
      )
      s.cutPower = 'killSwitch'
    }),
    carries: [
      need('three emitters, three blades to buy, with their sizes', 'sabers/blades/use=toBuy', {
        bench: 'shopping.unsaid',
        s: 'The blade for the left arm is not in the box. Look for one that is 15.8 mm across, 180 mm long',
        p: 'left blade, 18 cm',
      }),
      need('one test blade for three ports', 'sabers/blades/use=demo', {
        s: 'go in the same way; they aren’t here to show',
        p: 'test blade',
      }),
      need('cell named and not sent', 'sabers/parts/supplied=notSupplied', {
        s: 'The cell is not in the box: you’ll need to get one yourself',
        p: '18650, protected',
      }),
      need('how long it may be', 'sabers/parts/note=No longer', {
        s: 'No longer than 70 mm',
        p: 'No longer than 70 mm',
      }),
      need('glued spacer', 'sabers/parts/note=Glued', { s: 'Glued; leave it', p: 'Glued; leave it' }),
      need('font offered, not in the price', 'requests/shape=offered', { but: 'not accepted, so not told' }),
      need('a plug for each port', 'sabers/blades/kind=plug', {
        h: 'Push the plug of the left arm',
        p: 'plug 3 of three',
        s: 'Pull the plug of the emitter',
      }),
      need('kill switch under power', 'sabers/cutPower=killSwitch', {
        s: 'it cuts the power altogether',
        h: 'Slide the kill switch on',
        p: 'kill switch',
      }),
    ],
    told: ['plug 3 of three', 'No longer than 70 mm', 'left blade, 18 cm', 'Glued; leave it.'],
    kept: [],
    raises: ['shopping.unsaid'],
    silent: ['openRequest.open'],
  },
  {
    id: 'c21',
    needs:
      'a gift for a beginner: the simplest key, sensitivities with and without a blade, colours by effect, film still to put in',
    make: job('c21', 'First Light', (s, c) => {
      c.purpose = 'beginner'
      c.giver = 'Aud'
      s.recipient = { name: 'Nils', knows: 'neverSeen' }
      s.settings.sensitivities = [
        {
          id: 'c21-s1',
          sense: 'swing',
          value: stated('3', 'configured'),
          triedWith: ['plug', 'blade'],
          note: 'Calm, for small rooms.',
        },
        { id: 'c21-s2', sense: 'clash', value: stated('6', 'configured'), triedWith: ['plug'] },
      ]
      s.presets[0]!.effects = {
        clash: { colour: stated('#ffffff', 'configured') },
        lock: { colour: stated('#ff3000', 'configured') },
      }
      s.blades.push({
        ...structuredClone(s.blades[0]!),
        id: 'c21-plug',
        name: 'blade plug',
        kind: 'plug',
        length: mm(60),
      })
      s.joints.push(joint('c21-jp', 'blade:c21-plug', { landmark: 'its flat side down' }))
      s.losses.push({
        id: 'c21-lo',
        on: on('10-01'),
        what: 'first grip',
        how: 'remade',
        cause: 'bored off centre',
        toldOn: on('10-02'),
      })
      c.toDos.push({
        id: 'c21-t',
        text: 'film into the blade',
        about: 'blade:c21-b1',
        who: 'shop',
        blocks: 'shipping',
        done: false,
      })
      s.items.push(
        { id: 'c21-x1', what: 'charger', role: 'accessory', kind: 'charger', quantity: 1, supplied: 'shop' },
        { id: 'c21-x2', what: 'card holder', role: 'accessory', quantity: 1, supplied: 'shop' },
      )
      c.warranty = { words: 'Two years on everything that we soldered.', ends: 'when the grip is opened with force' }
      s.notFor.push({ id: 'c21-n', what: 'full contact', why: 'the tube is thin' })
    }),
    carries: [
      need('whose gift, and to whom one speaks', 'giver=Aud', {
        s: 'Hello Nils. This is First Light; Aud had it made for you',
        p: 'A gift from Aud',
      }),
      need('why each thing is done', 'purpose=beginner', {
        s: 'Take it out whenever the saber travels',
        p: 'Put the blade in',
      }),
      need('plug turned down', 'sabers/joints/landmark=flat side', {
        s: 'its flat side down',
        h: 'its flat side down',
        p: 'its flat side down',
      }),
      need('sensitivity, with and without a blade', 'sabers/settings/sensitivities/triedWith=plug', {
        bench: 'sensitivity.untried',
        s: 'clash at 6 (tried with the plug in)',
        p: 'Calm, for small rooms.',
      }),
      need('colours by effect', 'sabers/presets/effects/lock/colour=#ff3000', {
        p: 'lock red',
        but: 'seen when it locks',
      }),
      need('film still to go into the blade', 'toDos/blocks=shipping', {
        bench: 'toDos.open',
        but: 'done before it ships',
      }),
      need('box, charger, card holder', 'sabers/items/what=card holder', {
        s: 'Also in the box: charger and card holder',
        p: 'card holder',
      }),
      need('a shop’s cause is not a child’s', 'sabers/losses/cause=off centre', {
        p: 'bored off centre',
        but: 'told to the giver',
      }),
    ],
    told: [
      'A gift from Aud',
      'Calm, for small rooms.',
      'its flat side down',
      'card holder',
      'Two years on everything',
      'opened with force',
      'lock red',
      'the tube is thin',
    ],
    kept: ['film into the blade'],
    raises: ['toDos.open', 'sensitivity.untried'],
  },
]
