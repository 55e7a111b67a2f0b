import type { Cases, LanguagePack, Noun, NounKind, Which } from './noun'
import type { SayingCode } from './sayings'

/** English, in ICU MessageFormat. */
const messages: Readonly<Record<SayingCode, string>> = {
  action: `{action, select,
    powerOn {power on} powerOff {cut the power} wake {wake it} sleep {send it to sleep} ignite {ignite} retract {retract}
    nextPreset {next preset} previousPreset {previous preset} lock {lock} drag {drag the tip} melt {melt}
    deflect {deflect} surge {surge} quote {play a quote} track {play a track} trackStop {stop the track}
    colour {change the colour} volumeUp {louder} volumeDown {quieter} mute {mute} unmute {unmute}
    menuOpen {open the menu} menuClose {leave the menu} combatOn {combat mode on} combatOff {combat mode off}
    battery {show the battery level} choose {next entry} chooseBack {previous entry} keep {save the choice} discard {cancel} other {something else}}`,
  task: `{task, select,
    powerOn {Switch it on} powerOff {Cut the power} bladeIn {Put the blade in} bladeOut {Take the blade out}
    open {Open the hilt} cellIn {Put the cell in} cellOut {Take the cell out} close {Close the hilt}
    charge {Charge it} card {Get to the memory card} port {Get to the port} other {Show what is inside}}`,
  state: `{state, select, asleep {asleep} off {off} lit {lit} menu {menu} muted {muted} combat {combat} other {}}`,

  seconds: `{form, select, half {half a second}
    whole {{n, plural, =1 {one second} =2 {two seconds} =3 {three seconds} =4 {four seconds} =5 {five seconds} =6 {six seconds} =7 {seven seconds} =8 {eight seconds} =9 {nine seconds} =10 {ten seconds} other {# seconds}}}
    other {{text} seconds}}`,
  times:
    '{n, plural, =1 {once} =2 {twice} =3 {three times} =4 {four times} =5 {five times} =6 {six times} =7 {seven times} =8 {eight times} =9 {nine times} other {once}}',
  input: 'the {name}',
  'input.unknown': 'the button',
  'play.dead':
    'No power: {cut, select, yes {it is cut} other {{named, select, yes {the {out} is out} other {there is no cell in it}}}}.',
  'play.did': '{what}{lasts, select, yes {, for as long as it is held} other {}}',
  'play.ended': '{what}: released',
  'play.waits': 'waits {ms} ms, since pressing {times} does something else',
  'play.beep': 'beep {n}',
  'play.slowed': 'Shown {times} times slower than it is: it flashes faster than is safe on a screen.',
  'play.went': 'by itself: {to}',
  'play.nothing': '{made} {times}: nothing is set for that here',
  'play.chose': 'set to {n}',
  'practice.ask': `{state, select, lit {With the blade lit} off {With the blade off} asleep {While it sleeps} menu {In the {mode}} other {In {mode}}}, try this: {what}.`,
  'practice.hint': 'Like this: {gesture}.',
  'practice.right': 'That was it.',
  'practice.miss': `{code, select,
    mode {It is in {mode} now, and there that does nothing.}
    pose {Right move, but hold the saber with the blade {pose, select, up {up} down {down} other {level}}.}
    input {That was the {input}.}
    count {That was {did}; it needs {wants}.}
    tooShort {{counted, select, yes {Too soon: wait for {beeps, plural, one {the beep} other {# beeps}}, which takes {from}.} other {Let go too soon, after {held}: hold it for {from}.}}}
    tooLong {{counted, select, yes {Too late: let go after {beeps, plural, one {the beep} other {# beeps}}.} other {Held too long, {held}: let go before {to}.}}}
    gesture {Not that way.}
    other {That did something else: {what}.}}`,
  'gesture.holdFor': ` {known, select,
      no {for a time not recorded}
      beeps {and let go after the {beeps, selectordinal, =1 {first} =2 {second} =3 {third} =4 {fourth} =5 {fifth} =6 {sixth} one {#st} two {#nd} few {#rd} other {#th}} beep}
      held {for as long as you like}
      other {for {about, select, yes {about } other {}}{seconds}}}{bounded, select, yes {, and let go before {most}} other {}}{lasts, select, yes {, and keep holding} other {}}`,
  gesture: `{gesture, select,
    tap {press {input} {times}}
    hold {hold {input}{holdFor}}
    holdThenTap {hold {input} and press {other} {times}}
    chord {{ordered, select, yes {press {input} and with it {other}} other {{held, select, yes {hold {input} and {other} together{holdFor}} other {press {input} and {other} together}}}}}
    holdStrike {hold {input} and strike the blade}
    holdFlick {hold {input} and flick the hilt}
    twist {twist the hilt {times}}
    thrust {thrust forward}
    swing {swing}
    shake {shake the hilt}
    slide {slide {input}}
    insert {use {input}}
    other {}}{pose, select, up { with the blade up} level { with the blade level} down { with the blade down} other {}}`,

  'step.loosenJoint': '{how, select, remove {Take out} other {Loosen}} {screw_nom}',
  'step.tighten': 'Tighten {screw_nom}',
  'step.unscrew': 'Unscrew {section_nom}',
  'step.screwOn': 'Screw on {section_nom}',
  'step.pullOff': 'Pull off {section_nom}',
  'step.pushOn': 'Push on {section_nom}',
  goal: `{goal, select, powerOn {Switch it on} powerOff {Cut the power} charge {Charge it} cell {Swap the cell} card {Get to the memory card} port {Get to {name}}
    bladeIn {{several, select, yes {Put the blade in: {name}} other {Put the blade in}}} bladeOut {{several, select, yes {Take the blade out: {name}} other {Take the blade out}}}
    plugIn {{several, select, yes {Put the plug in: {name}} other {Put the plug in}}} plugOut {{several, select, yes {Take the plug out: {name}} other {Take the plug out}}}
    show {Show: {name}} reset {If it freezes} open {Open the hilt} close {Close the hilt} other {Take it all apart}}`,
  'step.aligned':
    '{text}{told, select, yes {: {landmark}} other {}}{turned, select, yes {, at {angle}° from the switch} other {}}',
  'step.byItself':
    '{itself, select, wakes {It wakes by itself when you do this.} cutsPower {This also cuts the power.} other {This uncovers its display.}}',
  'step.chargeBeside': 'Charge the cell in a charger made for it',
  'step.unsaidPole': 'Put the cell back in. Which way round is not recorded: ask us first',
  'step.dark': 'Make sure the blade is off',
  'power.about': `{by, select,
    killSwitch {With {named, select, yes {{name_nom}} other {the kill switch}} off, the board has no current: nothing lights it, nothing wakes it, and the cell keeps its charge. Switch it back on and it starts up afresh.}
    killKey {{cuts, select, out {While {named, select, yes {{name_nom}} other {the key}} is out} in {While {named, select, yes {{name_nom}} other {the key}} is in}
      turned {While {named, select, yes {{name_nom}} other {the key}} is turned} outIn {Unless {named, select, yes {{name_nom}} other {the key}} is in and turned}
      inTurned {While {named, select, yes {{name_nom}} other {the key}} is in, turned or not} outTurned {While {named, select, yes {{name_nom}} other {the key}} is out or turned}
      other {With {named, select, yes {{name_nom}} other {the key}} cutting}}, the board has no current: nothing lights it, nothing wakes it, and the cell keeps its charge.}
    cellOut {Only taking the cell out cuts the power. Asleep it still draws a little; before you store it for weeks, take the cell out.}
    deepSleep {{timed, select, yes {It falls asleep by itself and then draws very little.} other {Asleep it draws very little.}}{cellOut, select, yes { Before you store it for months, take the cell out.} other { Before you store it for months, charge it to about half.}}}
    other {Nothing cuts the power here; asleep it still draws a little.{cellOut, select, yes { Before you store it for weeks, take the cell out.} other { Charge it every few weeks.}}}}`,
  'joint.closed': '{joint}: stays closed; nobody opens it.',
  'step.leftHand': '{text}, {way}: its thread is left-handed',
  'step.tethered': 'It hangs on its wires: pull it no further than they reach.',
  'steps.as': 'Begin as under “{like}”, 1 to {n}.',
  'steps.closeAs': 'Then close it the same way.',
  'joint.feels': 'You feel: {what}.',
  'joint.hurts': 'If it is done wrong: {what}.',
  'step.turnOff': 'Turn {section_nom} and pull it off',
  'step.turnOn': 'Push {section_nom} on and turn it until it holds',
  'step.cellSlide':
    'Let {several, select, yes {{cell_nom}} other {the cell}} slide out at the {end, select, emitter {emitter} other {pommel}} end',
  'step.chassisOut': `{how, select, unscrew {Unscrew {name_nom} and draw it out} other {Slide {name_nom} out}} at the {end, select, emitter {emitter} other {pommel}} end{tethered, select, yes {, no further than its wires reach} other {}}`,
  'step.chassisIn': `{how, select, unscrew {Screw {name_nom} back in} other {Slide {name_nom} back in}} from the {end, select, emitter {emitter} other {pommel}} end`,
  'step.chassis.caution':
    '{brittle, select, yes {It is brittle: hold it in both hands, along its whole length.} other {Support it along its whole length.}}',
  'step.cardIn': 'Put the card back in; do not force it',
  'step.partOut':
    '{how, select, lift {Lift off {name_nom}} liftOut {Lift out {name_nom}} slideOff {Slide {name_nom} off} unscrew {Unscrew {name_nom}} slide {Slide out {name_nom}} other {Take out {name_nom}}}',
  'step.partIn': '{how, select, unscrew {Screw {name_nom} back in} other {Put {name_nom} back}}',
  'step.chargeIn': 'Put the cell in {charger_nom}',
  'step.unplug': 'Unplug the charger',
  'step.softSurface': 'Work over a soft surface.',
  'step.noWireInThread': 'Keep wires out of the thread.',
  'step.noStop': 'Nothing stops this thread: stop as soon as it sits flush, and leave no wire in it.',
  'step.turn': 'Turn {section_nom}{back, select, yes { back} other {}}',
  'step.pressOff': 'Press the button of the joint and pull off {section_nom}',
  'step.key': `{move, select, pushIn {Push {key_nom} in} pullOut {Pull {key_nom} out} turn {Turn {key_nom}} turnBack {Turn {key_nom} back}
    inAndTurn {Put {key_nom} in and turn it} other {Turn {key_nom} back and pull it out}}{to, select, off { until everything is dark} other {}}`,
  'step.slide': 'Slide {named, select, yes {{switch_nom}} other {the kill switch}} {to, select, on {on} other {off}}',
  'step.loosenBlade': 'Loosen {screw_nom}; do not take it out',
  'step.bladeIn': `{how, select,
    clockwise {Turn the {what, select, plug {plug} other {blade}}{several, select, yes { of the {socket}} other {}} clockwise while pushing it in to the stop}
    pushAndHold {Push the {what, select, plug {plug} other {blade}}{several, select, yes { of the {socket}} other {}} in until it stops, and hold it there}
    other {Push the {what, select, plug {plug} other {blade}}{several, select, yes { of the {socket}} other {}} straight in to the stop; never twist it}}`,
  'step.bladeOut':
    '{how, select, clockwise {Turn the {what, select, plug {plug} other {blade}}{several, select, yes { of the {socket}} other {}} clockwise while pulling it out} other {Pull the {what, select, plug {plug} other {blade}}{several, select, yes { of the {socket}} other {}} straight out}}',
  'step.screws': `{act, select,
    loosen {Back {n, plural, =2 {both} other {all #}} {purpose, select, bladeRetention {blade screws} other {screws}} out{told, select, yes { with the {tool}} other {}}; leave them in}
    remove {Take {n, plural, =2 {both} other {all #}} {purpose, select, bladeRetention {blade screws} other {screws}} out{told, select, yes { with the {tool}} other {}}}
    keep {Screw {n, plural, =2 {both} other {all #}} {purpose, select, bladeRetention {blade screws} other {screws}} back in so that they do not get lost}
    other {Tighten {n, plural, =2 {both} other {all #}} {purpose, select, bladeRetention {blade screws} other {screws}} until snug; do not overtighten}}`,
  'step.tightenBlade': 'Tighten {screw_nom} until snug; do not overtighten',
  'step.pullCheck': 'Give the {what, select, plug {plug} other {blade}} a firm tug: it must not move',
  'step.pullCheck.caution': 'Never swing before this check.',
  'step.keepScrew': 'Screw {screw_nom} back in so that it does not get lost',
  poles:
    '{plus, select, emitter {plus pole towards the emitter} pommel {plus pole towards the pommel} other {}}{plus, select, unsaid {} other {{first, select, unsaid {} other {, }}}}{first, select, plus {plus pole in first} minus {minus pole in first} other {}}',
  'poles.recorded': 'As recorded: {poles}.',
  'step.cellIn': `Put {several, select, yes {{cell_nom}} other {the cell}} {kept, select, groove {into its groove} clip {into its clip} other {in}}{first, select, plus {, plus pole first} minus {, minus pole first} other {}}{plus, select, emitter {, plus pole towards the emitter} other {, plus pole towards the pommel}}{told, select, yes {: {landmark}} other {}}`,
  'step.cellIn.caution': 'Never a cell with a damaged wrap. Support the chassis while pressing.',
  'step.cellOut': `Lift {several, select, yes {{cell_nom}} other {the cell}} out{kept, select, ribbon { by its ribbon} groove { of its groove} clip { of its clip, one end first} other { by its middle}}`,
  'step.cellOut.caution': 'No metal tool against the wrap.',
  'step.chargePort': 'Plug the charger into {port_nom}',
  'step.chargePort.caution': 'Never charge unattended.',
  'step.chargeCell.caution': 'Never charge unattended. Use a charger made for this cell.',
  'step.card': 'Take the card out; copy all of it before changing anything',
  'step.card.caution': 'Card and USB sockets snap: pull straight.',
  tool: 'hex key {key}',

  'caution.cell.title': 'The cell',
  'caution.cell':
    'Lithium-ion can burn. {told, select, yes {Polarity: {polarity}. } other {}}{protected, select, yes {Use a protected cell of the same size only. } other {}}Never a cell with a damaged wrap, never loose in a pocket, never charged unattended; store it part-charged. Before you post it, ask the carrier; local rules apply.',
  'caution.flash.title': 'Flashing light',
  'caution.flash':
    '{named, select, yes {{presets} flickers more than {limit} times a second} other {Some effects flash quickly}}, which can trigger seizures in people with photosensitive epilepsy. Warn anyone watching.',
  'caution.blade.title': 'Blade and eyes',
  'caution.blade':
    'Secure the blade before every swing and clear the room. Do not look into a bare socket or a blade plug at full light. Eye and hand protection when duelling.',
  'caution.sharp.title': 'Sharp parts',
  'caution.sharp':
    'The hilt has points and edges that can hurt: watch hands and clothes, and keep it away from children.',
  'caution.inside.title': 'Opening it',
  'caution.inside':
    'Work over a soft surface, support the chassis when pressing a cell in, do not press the speaker cone, and leave no wire in a thread. Card and USB sockets snap when levered.',
  'caution.usual':
    'These are the usual cautions. Local rules, your carrier’s rules and licensed professionals come first.',

  'action.seen': `{action, select,
    powerOn {it has power} powerOff {the power is cut} wake {it wakes} sleep {it goes to sleep}
    ignite {{blade, select, no {it lights up} other {the blade comes out}}} retract {{blade, select, no {it goes dark} other {the blade goes out}}}
    nextPreset {the next preset comes up} previousPreset {it goes back to the previous preset}
    lock {it locks, as if two blades had caught each other} drag {the tip drags along and glows}
    melt {the tip melts its way} deflect {it sparks, as if it had caught a bolt} surge {a surge runs along the blade}
    quote {it says a line} track {a track plays} trackStop {the track stops} colour {the colour changes}
    volumeUp {it is a step louder} volumeDown {it is a step quieter} mute {it is mute} unmute {the sound is back}
    menuOpen {the menu opens} menuClose {the menu closes} combatOn {combat mode is on} combatOff {combat mode is off}
    battery {it shows how full the cell is} choose {it goes to the next entry} chooseBack {it goes back one entry}
    keep {your choice is saved} discard {nothing changes} other {something else happens}}`,
  'caution.spoken': `{caution, select,
    cell {Lithium cells can burn{told, select, yes {, so mind the poles: {polarity}} other {}}. Take one of the same size, none with a damaged wrap, and never charge it unattended.}
    flash {{named, select, yes {{presets} flashes} other {Some effects flash}} fast enough to trigger seizures in people with photosensitive epilepsy: warn anyone watching.}
    blade {Before you swing: secure the blade, clear the room, and don’t look into the bare light.}
    sharp {Mind the points of the hilt: they can hurt, and they catch on clothes.}
    other {Work over something soft. Keep a hand under the chassis, your thumb off the speaker, and wires out of the threads.}}`,
  'topic.welcome.what': 'whose saber this is',
  'topic.welcome': `{named, select, yes {Hello {to}. } other {}}{of, plural, =1 {This is {saber}} other {This is {saber}, {nth, plural, =1 {the first} =2 {the second} =3 {the third} =4 {the fourth} =5 {the fifth} =6 {the sixth} =7 {the seventh} =8 {the eighth} =9 {the ninth} =10 {the tenth} =11 {the eleventh} other {the twelfth}} of {of, plural, =2 {two} =3 {three} =4 {four} =5 {five} =6 {six} =7 {seven} =8 {eight} =9 {nine} =10 {ten} =11 {eleven} other {twelve}}}}{gift, select, yes {{given, select, yes {; {giver} had it made for you} other {; it was made for you}}} other {{named, select, yes {, and it’s yours} other {}}}}.`,
  'topic.farewell.what': `goodbye`,
  'topic.farewell': `{more, select, yes {That was {saber}; the next one follows.} other {And that’s {saber}. {named, select, yes {Thank you, {to}. } other {}}If anything puzzles you, write to us. It’s all in the record, too.}}`,
  'topic.differs.what': `what is different from the last one`,
  'topic.differs': `You know your last one. Here is what is different: {what}.`,
  'topic.heft.what': `weight and balance`,
  'topic.heft': `{weighed, select, yes {Without its blade it weighs {mass}. } other {}}{balanced, select, yes {It balances {balance} from the pommel; that is where you hold it.} other {}}`,
  'topic.duel.what': `what works loose in a duel`,
  'topic.duel': `{n, plural, =0 {} =1 {Before every bout feel whether {screws} holds. } other {Before every bout feel whether {screws} hold. }}{threads, plural, =0 {} =1 {Blows also work on the thread of {joints}: turn it tight by hand.} other {Blows also work on the threads of {joints}: turn them tight by hand.}}`,
  'topic.part': `{kind, select,
    speaker {The sound comes from {end, select, pommel {the pommel end} emitter {the emitter end} other {here}}: that’s where {part_nom} sits, so keep it clear.}
    killSwitch {This is {part_nom}: it cuts the power altogether.}
    killKey {This is {part_nom}: it cuts the power altogether. Keep it somewhere safe.}
    chargePort {This is {part_nom}.}
    display {This is {part_nom}; you read it through its window.}
    chamber {And this is {part_nom}.}
    switch {This is {part_nom}.}
    cover {This is {part_nom}; it comes off.}
    sleeve {This is {part_nom}; it slides over the hilt.}
    other {This is {part_nom}.}}`,
  'topic.buttons': `It has {n, plural, =2 {two} =3 {three} =4 {four} other {#}} buttons: {parts}.`,
  'topic.never.what': '{screw}: not to be touched',
  'topic.never': `Leave {screw_nom} alone: it{dummy, select, yes {’s only decoration, and it’s glued in} other { holds {purpose, select, bladeRetention {the blade} joint {the hilt together} chassis {the chassis} cover {the cover} sleeve {the sleeve} switch {the switch} decoration {the decoration} other {it together}}}}.{noted, select, yes { {note}.} other {}}`,
  'topic.task': `{task, select,
    powerOn {First, switch the power on.} powerOff {Then cut the power.} bladeIn {Now put the blade in.} bladeOut {Now take the blade out.}
    open {Now let’s open it up.} cellIn {This is how a cell goes in.} cellOut {This is how the cell comes out.} close {Now close it up again.}
    charge {This is how you charge it.} card {This is how you reach the card.} port {This is how you reach the port.} other {And this is what’s underneath.}} {steps}{why, select, yes {{task, select, powerOn { Without it nothing wakes.} powerOff { That way nothing drains the cell in storage.} bladeIn { That’s what keeps it from flying out.} bladeOut { Take it out whenever the saber travels.}
    open { Only ever with everything off.} cellIn { The wrong way round, it can be damaged for good.} close { That way nothing shifts inside.} charge { Store it about half full.} card { All its sounds and settings are on that card.} other {}}} other {}}`,
  'topic.assemble.what': 'put together: {what}',
  'topic.assemble': '{first, select, yes {This is how it goes together, piece by piece. } other {}}{steps}',
  'topic.control': `{same, select, yes {} other {{state, select, lit {With the blade lit, } off {With the blade off, } asleep {When it sleeps, } menu {In the {mode}, } muted {In mute, } other {In combat mode, }}}}{gesture}: {what}.{limited, select, yes { In {only} only.} other {}}`,
  'topic.toPreset': `On to {preset}: {gesture}{times, plural, =1 {} =2 {, and once more} other {, # times one after the other}}.`,
  'topic.bladeLater': `{later, select, others {{told} {n, plural, =1 {The one for {sockets} goes} other {Those for {sockets} go}} {out, select, yes {out} other {in}} the same way; {n, plural, =1 {it isn’t} other {they aren’t}} here to show.} willNotEnter {{out, select, yes {Once it fits, it comes out like this. {steps}} other {Your blade doesn’t fit yet, so I’ll only describe it. {steps}}}} other {{out, select, yes {And out again like this. {steps}} other {There is no blade here to show it with; with yours it goes like this. {steps}}}}}`,
  'topic.firstAgain': `Back to the first preset: {gesture}{times, plural, =1 {} =2 {, and once more} other {, # times one after the other}}.`,
  'topic.again': 'And dark again: {gesture}.',
  'topic.likeFirst.what': `as with {saber}`,
  'topic.likeFirst': `{about, select, controls {It works just like {saber}.} other {What I said about {saber} goes for this one, too: take the same care with the cell, the light and the blade.}}`,
  'topic.off.what': 'how to turn it off',
  'topic.off': '(No control turns it off yet.)',
  'topic.preset.what': 'preset {preset}',
  'topic.preset': `{look, select, battery {{preset} shows on the blade how full the cell is} party {{preset} runs through many colours} varies {{preset} varies around {hue}} other {{preset} is {hue}}}{reasoned, select, yes {: {why}} other {}}.{asked, select, you { You asked for this one.} no {} other { That one was {asker}’s idea.}}{needs, select, yes { You need {blade} to see all of it; here you see part of it.} other {}}{unsure, select, yes { We’re not sure about this one: try it and tell us.} other {}}`,
  'topic.presets.asked': `{you, select, yes {You asked for {presets}.} other {{presets} was {who}’s idea.}}`,
  'topic.presets': `{n, plural, =2 {Two} =3 {Three} =4 {Four} =5 {Five} =6 {Six} other {#}} are {hue}: {presets}.{told, select, yes { {deep} is the deeper, {pale} the lighter.} other { They’re close together.}}`,
  hue: `{pale, select, yes {pale } other {}}{hue, select, pink {pink} red {red} orange {orange} yellow {yellow} green {green} teal {teal} skyBlue {sky blue} blue {blue} violet {violet} magenta {magenta} dark {dark} other {white}}`,
  'hue.apart': `{bare, select, yes {} other {the }}{by, select,
    light {{place, select, lower {darker} higher {lighter} lowest {darkest} highest {lightest} middle {middle} other {{n, selectordinal, =2 {second} =3 {third} =4 {fourth} =5 {fifth} =6 {sixth} one {#st} two {#nd} few {#rd} other {#th}} darkest}} }
    strong {{place, select, lower {duller} higher {stronger} lowest {dullest} highest {strongest} middle {middle} other {{n, selectordinal, =2 {second} =3 {third} =4 {fourth} =5 {fifth} =6 {sixth} one {#st} two {#nd} few {#rd} other {#th}} dullest}} }
    other {}}{pale, select, yes {pale } other {}}{hue, select, pink {pink} red {red} orange {orange} yellow {yellow} green {green} teal {teal} skyBlue {sky blue} blue {blue} violet {violet} magenta {magenta} dark {dark} other {white}}{by, select, lean {{place, select, middle { in the middle} other { nearer to {towards, select, red {red} orange {orange} yellow {yellow} green {green} teal {teal} blue {blue} violet {violet} other {pink}}}}} other {}}`,
  'topic.demoBlade.what': "the {blade} is the bench's, not the shipped one",
  'topic.demoBlade': `The blade you see here is the bench’s own. {has, select, yes {Yours is another one{sized, select, yes {: {size}} other {}}.} other {Yours is yet to be bought.}}`,
  'topic.bladeToBuy.what': '{blade} to be bought',
  'topic.bladeToBuy': `{several, select, yes {The blade for {socket_nom}} other {Its blade}} is not in the box.{sized, select, yes { Look for one that is {size}.} other {}}`,
  bladeSize: `{measured, select, yes {{diameter} across} other {}}{measured, select, yes {{long, select, yes {, } other {}}} other {}}{long, select, yes {{length} long} other {}}`,
  'topic.caution.what': 'caution: {title}',
  'topic.volume.what': 'shipped and highest volume',
  'topic.volume': `{set, select, yes {It’s shipped at volume {volume}.{known, select, yes { Don’t go above {highest}: the speaker would suffer.} other {}}} other {Go no higher than volume {highest}: above that the speaker suffers.}}`,
  'topic.request.what': '{own, select, yes {our own idea} other {your wish}}: {text}',
  'topic.request': `{own, select, yes {An idea of ours: {text}.} other {{gift, select, yes {{giver} asked for this: {text}.} other {You asked for this: {text}.}}}} {status, select, met {{answered, select, yes {{answer}.} other {And here it is.}}} open {That’s still open{answered, select, yes {: {answer}} other {}}.} changed {It turned out differently{answered, select, yes {: {answer}} other {}}.} other {We didn’t do that one{answered, select, yes {: {answer}} other {}}.}}{told, select, yes { {gift, select, yes {We said so on {on}.} other {We told you on {on}.}}} other {}}`,
  'topic.arrival.what':
    '{what}: {fate, select, leftOver {left over} returned {returned} altered {altered} used {used} other {undecided}}',
  'topic.arrival': `{gift, select, yes {{giver} sent us} other {You sent us}}: {what}. {fate, select, leftOver {It wasn’t used{gift, select, yes {} other {, and it’s yours}}} returned {It’s coming back{gift, select, yes {} other { to you}}} altered {It was altered} used {It’s built in} other {Nothing is decided about it yet}}{noted, select, yes {: {note}} other {}}.{placed, select, yes { It is {now} now.} other {}}`,
  'topic.credit.what': `made by {who}`,
  'topic.credit': `{n, plural, =1 {{who} did this: {did}.} other {It is the work of several hands. {did}.}}`,
  'topic.fault.what': `found on arrival: {fault}`,
  'topic.fault': `When it arrived, we noted this ({what}): {fault}. {why, select, yes {We left it as it was: {left}.} other {{became, select, repair {We repaired that.} request {{gift, select, yes {It was agreed what becomes of it.} other {You decided what becomes of it.}}} toDo {We saw to that.} open {That’s still to be done.} other {We noted it.}}}}`,
  'topic.toDo.what': `{who, select, client {for you to do} other {promised and still owed}}: {text}`,
  'topic.toDo': `{who, select, client {One thing is left for you: {text}.} other {One thing we still owe you: {text}{dated, select, yes {, by {due}} other {}}.}}`,
  'topic.item.what': `goes with it: {what}`,
  'topic.item': `{role, select, accessory {{from, select, shop {Also in the box: {what}} client {You have this already: {what}} notSupplied {You’ll need to get this yourself: {what}} other {This is only for the demonstration: {what}}}} spare {There’s a spare in the box: {what}} other {{from, select, bench {This one is only shown here and stays with us: {what}} client {You already have this one to swap in: {what}} notSupplied {You can also get another one: {what}} other {It comes with another one to swap in: {what}}}}}{named, select, yes {{role, select, alternative {, in place of {of_nom}} other {, for {of_nom}}}} other {}}.{asked, select, yes { Ask for: {ask}.} other {}}{placed, select, yes { You can get it here: {place}.} other {}}{noted, select, yes { {note}.} other {}}`,
  'topic.items': `Also in the box: {items}.`,
  'topic.notFor.what': `not made for {what}`,
  'topic.notFor': `It’s not made for {what}: {why}.`,
  'topic.fix.what': `repaired: {fix}`,
  'topic.fix': `{reported, select, yes {{gift, select, yes {{giver}} other {You}} told us: {fault}. } other {}}{known, select, yes {The cause: {cause}. } other {}}What we did: {fix}.{cycles, plural, =0 {} =1 {} other { Since then it was tried # times without the fault.}}`,
  'topic.ability.what': `no more: {what}`,
  'topic.ability': `One thing it can no longer do: {what}.{by, select, yes { Instead: {instead}.} other {}}`,
  'topic.loss.what': `made anew: {what}`,
  'topic.loss': `One thing you should know: {what} was {how, select, spoilt {ruined here} remade {made again} other {replaced}}. {cause}.`,
  'topic.decision.what': `chosen: {chose}`,
  'topic.decision': `{whose, select, client {{gift, select, yes {{giver} chose this} other {You chose this}}} both {{gift, select, yes {This was chosen with {giver}} other {We chose this together}}} other {We chose this}}: {chose}. The reason: {why}.{gave, select, yes { The trade-off: {gaveUp}.} other {}}`,
  'topic.storing.what': 'what cutting the power means, and how it is put away',
  'topic.display.what': `what its display shows`,
  'topic.display': `{greets, select, yes {When it wakes, its display says: “{greeting}”.} other {}}{pictured, select, yes { {greets, select, yes {With it you see {picture}.} other {When it wakes, its display shows {picture}.}}} other {}}{timed, select, yes { After {after} the display goes dark by itself.} other {}}`,
  'topic.link.what': `the wireless link and its code`,
  'topic.link': `You can connect to it wirelessly{named, select, yes {: look for “{name}”} other {}}{by, select, yes { with {program}} other {}}.{coded, select, yes { The code is {code}.} other {}}`,
  'topic.sense.what': `how sensitive it is set`,
  'topic.sense.one': `{sense, select, swing {swing} clash {clash} twist {twist} thrust {thrust} shake {shake} tilt {tilt} other {tap}} at {value}{with, select, plug { (tried with the plug in)} blade { (tried with the blade in)} other {}}{noted, select, yes { ({note})} other {}}`,
  'topic.sense': `Its sensitivity settings: {all}.`,
  'topic.wear.what': `how many combinations there are`,
  'topic.wear': `{looks, plural, one {# look} other {# looks}}{blades, plural, =0 {} =1 {} =2 { and two blades} other { and # blades}}{pieces, plural, =1 {} =2 { and two ways to finish the hilt} other { and # ways to finish the hilt}}: that makes {all} combinations.`,
  'topic.missing.what': `not in the box: {what}`,
  'topic.missing': `{part_nom} is not in the box: you’ll need to get one yourself.{typed, select, yes { Ask for {type}{protected, select, yes {, protected} other {}}{long, select, yes {, {length} mm long} other {}}.} other {{protected, select, yes { It has to be a protected one.} other {}}}}{noted, select, yes { {note}.} other {}}`,
  'topic.locked.what': `{section}: closed for life`,
  'topic.locked': `Do not try to unscrew {section_nom}: that joint stays closed for good.{noted, select, yes { {note}.} other {}}`,
  'topic.blades.what': `the blades that go with it`,
  'topic.blades': `{n, plural, =2 {Two blades go with it} =3 {Three blades go with it} other {# blades go with it}}: {blades}. {n, plural, =2 {Both} other {All}} go in and out in the same way.`,
  'topic.lights': `{kind, select, strip {It is lit along its inside by {n, plural, =2 {two} =3 {three} =4 {four} other {#}} strips} other {{n, plural, =2 {Two} =3 {Three} =4 {Four} =5 {Five} =6 {Six} other {#}} small lights are set into it}}{named, select, yes {: {names}} other {}}.`,
  'topic.owner.what': `before you: {who}`,
  'topic.owner': `{you, select, yes {{known, select, yes {{dated, select, yes {You had it in your hands before us, {when}} other {You had it in your hands before us}}: {did}.} other {It was yours before it came to us{dated, select, yes {, {when}} other {}}.}}} other {Before you it was with {who}{dated, select, yes {, {when}} other {}}{known, select, yes {{believed, select, yes {; it is believed, not known: {did}} other {: {did}}}} other {}}.}}`,
  'topic.sleeps.what': `when it falls asleep`,
  'topic.sleeps': `Left alone, it falls asleep by itself after {after}.`,
  'topic.note.what': `good to know: {of}`,
  'topic.note': `About {of_nom}: {note}.`,
  duration: `{form, select, seconds {{n, plural, =1 {one second} other {{text} seconds}}} minutes {{n, plural, =1 {one minute} other {{text} minutes}}} other {{n, plural, =1 {one hour} other {{text} hours}}}}`,
  ownWords: '“{text}”',

  'test.cellVolts': 'Cell voltage at rest',
  'test.sleepCurrent': 'Current when asleep',
  'test.cutOff': 'Power cut while lit: everything goes dark',
  'test.cutOff.expect': 'dark at once, and wakes again',
  'test.cutOffBy': 'Power cut while lit by {by}: everything goes dark',
  'test.cellOut': 'Cell taken out while lit: everything goes dark',
  'test.play': 'Play of {blade} in its socket, by feeler gauge',
  'test.mass': 'Weight, ready to use, without blade',
  'test.extend': 'Blade out in {preset}, by stopwatch',
  'test.litCurrent': 'Current lit in {preset}',
  'test.pull': 'Blade held in the {socket}: pull by hand',
  'test.pull.expect': 'does not move',
  'test.pixels': 'Every pixel lights, {socket}{borrowed, select, yes { (with a borrowed blade)} other {}}',
  'test.pixels.expect': 'red, green, blue and white without a gap',
  'test.preset': '{preset} plays and shows its colour',
  'test.preset.expect': 'right font, right colour',
  'test.control': 'Control: {what}',
  'test.errand': '{goal}, there and back',
  'test.errand.expect':
    '{n, plural, one {the step} other {all {n} steps}} as written; closed, tight and dark afterwards',
  'test.control.expect': 'does it, first try',
  'test.volume': 'Volume as shipped',
  'test.display': '{display} straight behind its window',
  'test.display.expect': 'whole picture seen',
  'test.repair': 'After the repair: {fix}',
  'test.repair.set': 'as it was wished, and the fault is gone',
  'test.repair.unit': 'cycles',
  'test.repair.expect': 'opened and closed, or moved, without the fault',
  limit: `{form, select, range {{min} to {max}{unit}} least {at least {min}{unit}} most {at most {max}{unit}} expect {{expect}} other {works}}`,

  'box.saber': 'The saber',
  'box.killKey': '{name} (key itself)',
  'box.hexKey': 'Hex key {key}',
  'box.returned': '{what} (yours, coming back)',
  'box.record': 'Handoff record, printed',

  notRecorded: 'not recorded',
  notRecordedWhy: 'not recorded ({why})',
  about: 'about {what}',
  'handoff.noClient': 'client not recorded',
  'handoff.all': 'all',
  'handoff.ofSaber': '{saber}: {title}',
  'chapter.words': 'A few words',
  'chapter.requests': `{given, select, yes {What {giver} asked for} other {What you asked for}}`,
  'chapter.requests.head': `{column, select, wish {{given, select, yes {The wish} other {Your wish}}} answer {Answer} other {Where}}`,
  'step.turned': `{text}, {part, select, quarter {a quarter turn} half {half a turn} other {{n, plural, =1 {one turn} =2 {two turns} =3 {three turns} other {# turns}}}}`,
  'step.irreversible': 'This cannot be undone.{agreed, select, yes { Agreed by {who}, {on}.} other {}}',
  'request.text': '{text}{own, select, yes { (our own idea)} other {}}{several, select, yes { ({saber})} other {}}',
  'request.answer':
    '{status, select, met {done} open {still open} changed {done differently} other {declined}}{answered, select, yes {: {answer}} other {}}{told, select, yes { (told {on})} other {}}{priced, select, yes {; {price}{took, select, yes {, accepted {accepted}} other {}}} other {}}',
  'chapter.arrivals': `{given, select, yes {What {giver} sent, and what became of it} other {What you sent, and what became of it}}`,
  'chapter.arrivals.head': '{column, select, part {Part} condition {How it arrived} other {What became of it}}',
  'arrival.what': '{quantity, plural, =1 {{what}} other {# × {what}}}',
  'fact.unsure':
    '{text} ({source, select, recalled {from memory} believed {believed} client {as you said} assumed {assumed} other {not settled}})',
  'arrival.fate':
    '{fate, select, leftOver {not used} returned {returned} altered {altered} used {used} other {undecided}}{placed, select, yes { ({now})} other {}}{of, select, yes { in {saber}} other {}}{noted, select, yes {: {note}} other {}}',
  'chapter.questions': 'What was asked',
  'chapter.questions.head': '{column, select, question {Question} other {Answer}}',
  'chapter.packing': 'In the box',
  'chapter.packing.head': '{column, select, what {What} quantity {How many} other {Packed}}',
  'packing.packed': '{packed, select, yes {yes} other {not yet}}',
  'packing.what': `{what}{apart, select, yes { ({of})} other {}}{keep, select, client { – yours} shop { – ours, please send it back} other {}}{noted, select, yes {: {note}} other {}}`,
  'packing.how': 'How you come by it',
  'packing.supply': '{supply, select, hasAlready {you have it already} toBuy {for you to buy} other {in the parcel}}',
  'packing.parcel': `Parcel to {to}{addressed, select, yes {, {address}} other {}}{sized, select, yes {; {size}} other {}}{weighed, select, yes {; {mass}} other {}}{sent, select, yes {; sent {on}} other {}}{tracked, select, yes {; tracking number {tracking}} other {}}{noted, select, yes {. {note}} other {}}`,
  'question.text': '{mine, select, yes {You asked: {text}} other {{text}}}',
  'question.open': 'still open: please tell us',
  'chapter.visits': 'Since it was handed over',
  'chapter.visits.head':
    '{column, select, when {Here} said {What you told us} found {What we found} other {What we did}}',
  'visit.when': `{of, select, yes {{saber}: } other {}}{on}{gone, select, yes { to {back}} other {, still here}}{known, select, yes { ({by})} other {}}`,
  'chapter.film': 'The film',
  'film.title': '{several, select, yes {{saber}, the film} other {The film}}',
  'chapter.aside': 'Left open, with your knowledge',
  'chapter.aside.head': '{column, select, why {What and why} who {Who decided} other {When}}',
  'chapter.credits': 'Who made what',
  'chapter.credits.head': '{column, select, who {Who} other {Did}}',
  'credits.none': 'Not recorded.',
  'chapter.spec': 'Specification',
  'spec.name': `{row, select, hilt {Hilt} length {Length of the hilt} mass {Weight without blade} balance {Balance point from the pommel} cell {Cell} speaker {Speaker} board {Sound board} firmware {Firmware} edition {Edition} recipient {Made for} cellFigures {Replacement cell} speakerFigures {Replacement speaker} lights {Lights and what feeds them} other {Power is cut by}}`,
  'spec.hilt': `{origin, select, bought {bought} kit {from a kit} clientOwn {your own} inherited {handed down} scratch {made from scratch} other {one of a series}}; {known, select, yes {{materials}} other {material not recorded}}`,
  'spec.socket': 'Socket, {socket}',
  'spec.socketSize': '{bore}, {depth} deep',
  'spec.cutPower': `{way, select, killSwitch {the kill switch} killKey {{move, select, pushIn {pushing the kill key in} pullOut {pulling the kill key out} turn {turning the kill key} inAndTurn {turning the kill key} turnBack {turning the kill key back} backAndOut {turning the kill key back and pulling it out} other {the kill key}}} cellOut {taking the cell out} deepSleep {its own deep sleep} other {nothing but taking the cell out}}`,
  'chapter.cautions': 'Cautions',
  'chapter.power': 'Switching on and off',
  'chapter.controls': 'Controls',
  'chapter.controls.head': '{column, select, state {When it is} gesture {Do this} does {It will} other {Status}}',
  'control.state':
    '{state, select, asleep {asleep} off {off} lit {lit} menu {{mode}} muted {muted} other {combat}}{limited, select, yes { ({presets})} other {}}',
  'control.status': '{status, select, unsure {not sure: try it} configured {set up} other {set up and shown}}',
  'control.cue': `{at, select, start {first} step {at each step} other {at the end}} {as, select,
    beep {a beep} voice {a voice} sound {a sound} flash {a flash} blade {a sign on the blade} other {a buzz}}{said, select, yes {: {says}} other {}}`,
  'chapter.modes.head': '{column, select, mode {Mode} chooses {Lets you choose} other {Ends by itself}}',
  'mode.chooses': `{what, select, preset {the preset} colour {the colour} volume {the volume} brightness {the brightness}
    track {the track} profile {the profile} effect {the effect} other {as it says}}{turning, select, yes { by turning the hilt} other {}}`,
  'mode.ends': 'after {seconds}{leads, select, yes { ({to})} other {}}',
  'timing.name': `{row, select, tapMost {A press counts as a tap up to} tapGap {Taps count together within}
    chordGap {Two buttons count as one within} beepEvery {Beeps come every} upFrom {The blade is up from}
    downFrom {The blade is down from} other {A hand needs at least}}`,
  'card.title': '{saber}, controls',
  'card.about': 'What to know first',
  'card.foot': '{more, select, yes {All the rest is overleaf. } other {}}Never point a lit blade at eyes.',
  'card.only': 'Only in {presets}',
  'card.mode':
    '{state, select, lit {Blade lit} off {Blade off} asleep {Asleep} muted {Muted} combat {Combat} other {In the {mode}}}',
  'card.chooses': `Chooses {what, select, preset {the preset} colour {the colour} volume {the volume} brightness {the brightness}
    track {the track} profile {the profile} effect {the effect} other {as it says}}{turning, select, yes { by turning the hilt} other {}}`,
  'card.ends': 'After {seconds} without a touch: {mode}',
  'card.unsure': 'Not sure: try it',
  'controls.standard': 'As in “{name}”{n, plural, =0 {} one {, but for one control} other {, but for # controls}}.',
  'controls.statuses': `{configured, select, yes {Set up: configured and tried here. } other {}}{shown, select, yes {Shown: you see it in the film as well. } other {}}{unsure, select, yes {Not sure: it may not work as it says; try it, and tell us.} other {}}`,
  'topic.turnsMenu': `There you choose {what, select, preset {the preset} colour {the colour} volume {the volume} brightness {the brightness} track {the track} profile {the profile} effect {the effect} other {as it says}} by turning the hilt.`,
  'controls.none': 'Controls: not recorded.',
  'chapter.presets': 'Presets',
  'chapter.presets.head':
    '{column, select, number {No.} preset {Preset} colour {Colour} effects {Effects and times} font {Font} other {Asked for by}}',
  'preset.colour': `{look, select, battery {shows how full the cell is} party {many colours} varies {varies around {hue}} other {{hue}}}`,
  'preset.font': '{font}{has, select, yes {; tracks: {tracks}} other {}}',
  'chapter.fonts': 'Sounds',
  'chapter.fonts.head': '{column, select, font {Font} author {Made by} sounds {On the card} other {Terms and notes}}',
  'font.name': '{font}{is, select, voicePack { (voice of the menus)} musicBank { (music)} other {}}',
  'font.sounds': '{n, plural, =0 {sounds not recorded} =1 {1 sound} other {# sounds}}',
  'chapter.blade': 'The blade',
  'chapter.blade.head':
    '{column, select, blade {Blade} outside {Outside} length {Length} light {Its light} other {In the box}}',
  'blade.light':
    '{kind, select, pixel {{density} LEDs a metre, {strips} strips{set, select, yes {, set to {configured} pixels} other {}}} string {{groups} groups of {each}, {total} in all} other {–}}',
  'blade.with':
    '{blade}, in its adapter ({adapter}: {outside} outside, {bore} inside{long, select, yes {, {length} long} other {}})',
  'blade.inBox': '{use, select, ship {yes} toBuy {no, please buy one} other {no, it stays with us}}',
  'chapter.screws': 'Screw map',
  'chapter.screws.head': '{column, select, screw {Screw} where {Where} key {Key} holds {Holds} other {You may}}',
  'screw.holds': `{purpose, select, bladeRetention {the blade} joint {a joint} chassis {chassis} cover {cover} sleeve {sleeve} switch {switch} decoration {decoration} unsaid {not recorded} other {other}}`,
  'key.byHand': 'by hand',
  'screw.may': '{may, select, never {Do not touch it} loosen {loosen, not remove} other {remove}}',
  'chapter.troubles': 'Troubleshooting',
  'trouble.what': `{trouble, select, flicker {The first pixels flicker} freezes {It freezes} crackles {It crackles or goes dark when it is loud}
    muffled {It sounds muffled} loosePommel {The pommel works loose} noWake {It does not wake} noLight {It sounds, but the blade stays dark}
    loosensBlade {The blade wobbles} noCharge {It does not charge} other {It is odd}}`,
  'trouble.cure': `{trouble, select,
    flicker {The contacts of blade and socket do not quite meet. Power cut, blade out, wipe both with a dry cloth, push it fully in and tighten it.}
    freezes {{reset, select, cut {Cut the power, count to ten, restore it.} cell {Take the cell out, count to ten, put it back the right way round.} other {Leave it until it has gone to sleep, then wake it.}}}
    crackles {The cell is low: charge it. If it goes on when it is full, turn it down a step and write to us.}
    muffled {Something is covering the speaker: check that its openings are clear, and never press on the cone.}
    loosePommel {Turn it tight by hand, no tool and no glue. If it comes loose again and again, write to us.}
    noWake {{reset, select, cut {See whether the power is on; then charge it for an hour and try again.} cell {Charge it for an hour and try again; then check that the cell is the right way round.} other {Charge it for an hour and try again; if it stays dark, write to us.}}}
    noLight {Put the blade in again to the stop. If it stays dark with its screws tight, the blade or its contacts need us: do not open them.}
    loosensBlade {Tighten its screws until they hold, no more, and pull at it before you swing.}
    noCharge {Try another lead and another supply; the port should click. Never force it.}
    other {Write to us.}}`,
  'trouble.stop':
    'If anything is hot, swollen, smoking or smells: do not use it, do not open it, cut the power if you can do so safely, put it where nothing can burn, and write to us. Follow local fire rules; for anything on the mains, ask a licensed electrician.',
  'chapter.opening': 'Opening, cell and closing',
  'chapter.charging': 'Charging and storing',
  'charging.name': `{row, select, runtime {Runtime} charging {Charge time} circuit {Charge current and end voltage} charged {Charge level as shipped} asleep {Standby} energy {Energy} volume {Volume as shipped} loudest {Maximum setting} brightness {Brightness as shipped} other {Highest safe volume}}`,
  'charging.days': '{n, plural, =0 {less than a day} =1 {about one day} other {about {days} days}}',
  'chapter.tests': 'What was tested',
  'chapter.tests.head': '{column, select, test {Test} wanted {Expected} found {Measured} other {Result}}',
  'test.verdict':
    '{standing, select, pass {passed} fail {failed} retest {to be repeated} notPossible {not possible here} waived {left out by choice} other {not done}}',
  'tests.none': 'Tests: not recorded.',
  'chapter.repairs.head':
    '{column, select, on {Repaired on} fault {As reported} cause {Cause} fix {Repair} other {Proof}}',
  'chapter.walkthrough': 'Walkthrough',
  'test.peakCurrent': 'Current at the most, {look} of {preset}',
  look: '{look, select, steady {steady} clash {clash} lock {lock} deflect {deflect} drag {drag} melt {melt} surge {surge} other {white}}',
  'test.port': '{port}: charges and fills up',
  'test.port.expect': 'begins, ends by itself, nothing warm',
  'test.card': '{card} read back',
  'test.card.expect': 'every file there and whole',
  'test.zone': 'Every LED of the {zone}',
  'test.zone.expect': 'all of them light, in the right colour',
  'test.farLed': 'Voltage at the last pixel, {blade}, all white',
  'test.sense': 'It answers to a {sense}',
  'test.sense.expect': 'each time it should, never by itself',
  'test.link': 'Wireless link {link}',
  'test.link.expect': 'found, takes the code, changes the volume',
  'test.spare': '{what} tried in its place',
  'test.spare.expect': 'goes in and works',
  'test.fit': '{blade} goes in and out',
  'test.fit.expect': 'by hand, without force',
  'test.effects': 'Every effect of {preset}: {effects}',
  'test.effects.expect': 'each with its sound and its colour',
  event:
    '{event, select, boot {start} ignite {ignite} hum {hum} swing {swing} clash {clash} lock {lock} drag {drag} melt {melt} deflect {deflect} surge {surge} quote {quote} track {track} retract {retract} lowBattery {low cell} other {before ignition}}',
  'chapter.brief': 'What was wished',
  'brief.gift': 'A gift from {giver}.',
  'chapter.decisions': 'What was chosen, and why',
  'chapter.decisions.head': '{column, select, chose {Chosen} why {Because} gaveUp {Given up for it} other {By}}',
  'decision.chose': '{text}{has, select, yes { ({about})} other {}}',
  'decision.by': `{whose, select, client {your choice, } both {chosen together, } other {}}{by}, {on}{for, select, yes {; it cannot be undone{agreed, select, yes {, agreed by {who}, {day}} other {}}} other {}}`,
  'chapter.lights': 'Its lights',
  'chapter.lights.head': '{column, select, light {Light} leds {LEDs} other {It shows}}',
  'light.name':
    '{name} ({kind, select, blade {in the blade} quillon {in the crossguard} crystal {at the crystal} chassis {on the chassis} accent {accent} connector {at the connector} other {in the button}})',
  'light.die': '{die} ({hue}): {volts}, {amps}',
  'light.does':
    '{follows, select, yes {what the {with} shows} no {its own light} other {not recorded whether it has its own light}}',
  'light.through': 'seen through {what}{coloured, select, yes { ({hue})} other {}}',
  'light.dies': 'dies: {dies}',
  die: '{die, select, red {red} green {green} blue {blue} white {white} warmWhite {warm white} amber {amber} cyan {cyan} other {deep blue}}',
  'blade.seen': `{tinted, select, yes {Tinted tube ({tint}). } other {}}{tip, select, yes {The tip is lit. } other {}}{made, select, yes {Dies: {dies}. } other {}}{wide, select, yes {The light of one LED spreads over {spreads}.} other {}}`,
  'chapter.card': 'The memory card',
  'chapter.card.head': '{column, select, card {Card} holds {It holds} copied {Copied by us} other {Changed since}}',
  'card.first': 'Copy all of the card to a safe place before you change anything on it.',
  'card.name': '{name} ({is, select, shipped {in the saber} spare {a spare} other {your old one}})',
  'card.holds': `{n, plural, one {1 file} other {# files}}, {size}, {was, select, written {written} other {read}} {day}{who, select, yes { by {by}} other {}}{bad, plural, =0 {} one {; 1 file could not be read} other {; # files could not be read}}`,
  'card.edit': '{day}: {what}{who, select, yes { ({by})} other {}}',
  'card.limits': 'Known limits of its firmware: {what}',
  'chapter.settings': 'Board settings',
  'setting.name': `{row, select, sleepAfter {Goes to sleep after} displayTimeout {Display goes dark after} displayAngle {Picture angle to the switch line} volumeSteps {Volume steps} greeting {Display greeting} other {Wireless link}}`,
  'setting.greeting': `{greets, select, yes {“{greeting}”} other {}}{pictured, select, yes {{greets, select, yes {, } other {}}{picture}} other {}}`,
  'owner.who': `{who}{you, select, yes { (you)} other {}}`,
  'preset.needs': `seen whole only with {blade}`,
  'preset.unsure': `not sure: try it`,
  'setting.link': '{name}{coded, select, yes {, code {code}} other {}}{by, select, yes {, with {program}} other {}}',
  'chapter.senses.head': '{column, select, sense {Answers to a} value {Set to} other {Tried with}}',
  sense:
    '{sense, select, swing {swing} clash {clash} twist {twist} thrust {thrust} shake {shake} tilt {tilt} other {tap}}',
  triedWith: '{with, select, plug {the plug} other {the blade}}',
  'chapter.goesWith': 'What goes with it',
  'chapter.goesWith.head': '{column, select, what {What} for {For} from {From} other {What to ask for}}',
  'item.role':
    '{role, select, accessory {{named, select, yes {goes with the {of}} other {goes with the saber}}} alternative {{named, select, yes {in place of the {of}} other {another one to choose}}} other {{named, select, yes {spare for the {of}} other {spare}}}}',
  'item.from': '{from, select, shop {in the box} client {you have it} notSupplied {you buy it} other {stays with us}}',
  'item.protected': 'protected',
  'chapter.before': 'Before the work',
  'chapter.owners.head': '{column, select, who {Owner} when {When} other {What was done}}',
  'chapter.before.head': '{column, select, what {Before} other {Now}}',
  'before.what': '{what}{kind, select, port { (port)} other {}}',
  'before.now': '{stays, select, yes {as before} other {{by, select, yes {instead: {instead}} other {no longer}}}}',
  'chapter.losses': 'Replaced along the way',
  'chapter.losses.head': '{column, select, what {What} why {Why} other {You were told on}}',
  'loss.what':
    '{what}, {how, select, spoilt {spoilt} remade {made again} other {replaced}} {on}{made, select, yes {, by {maker}} other {}}',
  'chapter.notes': 'Good to know',
  'chapter.notes.head': '{column, select, of {Of} other {What to know}}',
  'note.joint': '{section}, its joint',
  'chapter.left': `Still to be done`,
  'chapter.left.head': `{column, select, what {What} other {By whom, by when}}`,
  'left.what': `{who, select, shop {We owe you: } other {}}{text}{named, select, yes { ({on})} other {}}`,
  'chapter.warranty': 'What we stand behind',
  'warranty.ends': 'It ends with: {ends}',
  'notFor.title': 'Not made for {what}',
  'preset.effect': `{effect, select, preIgnition {before ignition} ignite {ignite} clash {clash} lock {lock} deflect {deflect} drag {drag} melt {melt} retract {retract} other {surge}}{coloured, select, yes { {hue}} other {}}{moving, select, yes { ({moves})} other {}}`,
  'preset.event': `{event, select, preIgnition {before ignition} ignite {ignite} clash {clash} lock {lock} deflect {deflect} drag {drag} melt {melt} retract {retract} other {surge}} {is, select, boardDefault {board default} notThere {not set up} other {varies}}`,
  'preset.moves': `{how, select, steady {steady} breathing {breathing} flicker {flickering} unstable {unstable} flame {like a flame} cycle {cycling through all colours} gradient {a gradient along it} level {like a level meter} spark {with local sparks} other {in waves}}{over, select, yes { into {second}} other {}}{rated, select, yes {, {rate}} other {}}`,
  'preset.light': `{light}{coloured, select, yes { {hue}} other {}}{moving, select, yes { ({moves})} other {}}`,
  'preset.picture': 'display shows {picture}',
  'preset.takes': `needs {long, select, yes {a lit blade of {length}{tip, select, yes { with a lit tip} other {}}{plug, select, yes {, or the plug} other {}}} other {{tip, select, yes {a lit tip{plug, select, yes { or the plug} other {}}} other {the plug}}}}`,
  'preset.time': '{way, select, out {extends} other {retracts}} in {time}',
  'preset.flashes': 'flashes at {rate}',
  'arrival.condition':
    '{whole, select, yes {whole saber: } other {}}{condition}{dated, select, yes { (noted {on})} other {}}',
  'arrival.fault': 'fault: {fault}{why, select, yes {, left: {left}} other {}}',
  'test.what': '{what}{setup, select, plug { (with the plug)} blade { (with the blade)} opened { (opened)} other {}}',
  'test.notPossible': 'not possible here: {why}',
  'test.waived': '{found}; left out by {who}, {on}: {why}',
  'repair.on': '{on}{known, select, yes { (reported {reported})} other {}}',
  'repair.fix': '{fix}{placed, select, yes { ({where})} other {}}',
  'repair.proof':
    '{proved, select, yes {{cycles, plural, =1 {one cycle} other {# cycles}} without a fault} other {see the tests}}{charged, select, yes {; {charge}} other {}}',
  'spec.figure':
    '{of, select, diameter {diameter} length {length} capacity {capacity} nominalVolts {nominal} contCurrent {continuous} height {depth} impedance {impedance} other {rated}} {value}',
  'spec.part': '{name}{typed, select, yes {, {type}} other {}}{hasLot, select, yes { (lot {lot})} other {}}',
  material:
    '{material, select, aluminium {aluminium} brass {brass} copper {copper} steel {steel} silver {silver} polycarbonate {polycarbonate} PLA {PLA} resin {resin} leather {leather} wood {wood} other {another material}}',
  'charging.end': '{port}, at its other end',

  'cover.line': '{shop} · handoff record no. {number} · {date}',
  'cover.for': 'for {client}',
  'cover.fact':
    '{row, select, length {length, without blade} mass {weight, without blade} balance {balance point, from the pommel} cell {cell} runtime {runtime, in your use} other {blade}}',
  'cover.record': 'Record no. {number} · {date}',
  'cover.asked': `{given, select, yes {In {giver}’s words.} other {Your words.}}{answered, select, yes { {answer}} other {}}`,
  'cover.made': 'built, tested and signed',
  'cover.page': 'Scan to try it, open it, ask us',
  'apart.about': 'Follow the numbers in order.',
  'apart.back': 'And back',
  'cut.title': '{what, select, card {Controls} other {Your screws}}',
  'cut.screw': '{may, select, never {{name}: not yours} other {{name}{keyed, select, yes { · {key}} other {}}}}',
  'cut.here': 'cut out · {saber}',
  'sheet.title': '{saber}, on one sheet',
  'sheet.part':
    '{part, select, first {What your hands do} open {Open it, and close it} mind {Mind this} other {Your screws}}',
  'sheet.rest': 'All of it stands in the full record.',
  'tests.bar': 'wanted {wanted}{reckoned, select, yes {, computed {computed}} other {}}, found {found}',
  'tests.legend': 'Band: what was wanted. Diamond: what was computed. Line: what was found.',
  'label.from': 'from',
  'label.to': 'to',
  'recall.subject': 'Please read: {saber}',
  'recall.text': `Dear {client},¶¶a part that is built into {n, plural, =1 {{sabers}} other {your sabers {sabers}}} is recalled: {part}{ofLot, select, yes { of lot {lot}} other {}}.¶¶{why}¶¶What we ask you to do: {todo}¶¶Write or call us when anything is unclear. What is hot, swollen or smells is put where nothing burns and is not touched.¶¶{shop}`,
  'letter.subject':
    '{kind, select, question {A question about {title}} answer {Your question about {title}} delay {{title}: a new date} ready {{title} is finished} shipped {{title} is on its way} other {{title}, a year on}}',
  'letter.frame': 'Dear {client},¶¶{body}¶¶{shop}',
  'letter.question':
    '{n, plural, =1 {we have a question about {title}:} other {we have {n} questions about {title}:}}¶¶{questions}{waits, select, yes {¶¶Until we know, the work on it waits.} other {}}',
  'letter.answer': 'you asked: {question}¶¶{answer}',
  'letter.delay':
    '{had, select, yes {we promised {title} for {before}. It takes longer: we now expect to finish it by {newly}.} other {{title} takes longer: we now expect to finish it by {newly}.}}{reason, select, part {¶¶A part that we ordered has not come yet.} answer {¶¶We are still waiting for an answer.} longer {¶¶The work takes longer than we thought.} spoilt {¶¶A part was spoilt and has to be made again.} unwell {¶¶One of us is unwell.} machine {¶¶One of our machines is out of order.} power {¶¶The power failed, and work was lost.} other {}}',
  'letter.ready':
    '{title} is finished and tested. {sends, select, yes {It leaves us on {on}.} other {Tell us when we may send it.}}',
  'letter.shipped': `{title} is on its way to you{known, select, yes { since {on}} other {}}.{tracked, select, yes { Its number is {tracking}.} other {}}{linked, select, yes {¶¶All about it, to try and to read: {link}} other {}}¶¶Before you switch it on for the first time, please read what is said of the cell and the blade.`,
  'letter.year': `it is a year since {title} came to you. Is everything as it should be?¶¶Please look at it once: the cell has no dent and is not swollen, its wrap is whole, the blade stays firm when you tug it, and every screw is in its place. Never use a damaged cell.¶¶If something is different from the first day, write to us.`,
  'quote.title': 'Quote {number} for {title}',
  'quote.head': 'For {client}, from {shop}, {on}.',
  'quote.valid': 'It holds until {on}.',
  'quote.options': 'If you wish',
  'quote.open': 'not in the total until you accept it',
  'quote.agreed': 'accepted on {on}: {by}',
  'quote.changes': 'Changed since',
  'quote.sum': '{which, select, total {Total} paid {Paid} other {Left to pay}}',
  'quote.payments': 'Paid so far',
  'quote.payment': '{kind, select, deposit {Deposit} balance {Balance} other {Payment}}, {on}',
  'quote.work':
    '{kind, select, measure {Measuring} bore {Boring and fitting} print {Printing the chassis} finish {Finishing the surface} wire {Wiring} setUp {Setting up} prove {Testing} film {Filming} write {Writing the record} other {Packing}}',
  'quote.taxes': 'Taxes, duties and fees are not part of this sheet.',
  'cover.legend':
    '“About” marks a value that was not measured. “Not recorded” is what it says.{own, select, yes { What stands in another language are the shop’s own words.} other {}}',
  'pdf.title': '{title}: handoff record',
  'pdf.page': '{page} of {of}',
  'pdf.foot': '{title}, for {client}',
  'pdf.drawing':
    '{which, select, section {Drawing of {saber} to scale, cut along its axis} apart {{saber} as far apart as its client takes it, numbered} other {The surface of {saber} unrolled, to scale}}; what it shows is said in words in this record.',
  'pdf.caution': 'Caution: {text}',
  'page.inHand': 'Try it here: press it, hold it, turn it',
  'page.hint': 'Now: {gesture}. {what}.',
  'page.asleep':
    '{state, select, asleep {It is asleep.} off {It is on, blade off.} lit {Its blade is lit.} menu {It is in the {mode}.} muted {It is lit, and mute.} other {It is in combat mode.}}',
  'page.openWith': 'open it step by step',
  'page.practise': 'try the controls',
  'page.sound': '{on, select, yes {turn sound off} other {turn sound on}}',
  'page.move':
    '{motion, select, swing {swing} strike {strike} thrust {thrust} twist {twist} shake {shake} other {flick}}',
  'page.pose': '{pose, select, up {blade up} down {blade down} other {level}}',
  'page.presets': 'Its looks',
  'page.choose': 'What would you like to do?',
  'page.back': 'back',
  'page.next': '{last, select, yes {done} other {done – next step}}',
  'page.acts': 'Step {n} of {of}{back, plural, =0 {} other { (# more to close it up)}}',
  'page.goesOn': 'Hands full? Next step in {seconds} s.',
  'page.wait': '{waits, select, yes {go on by itself} other {wait for me}}',
  'page.waits': `{why, select, lasts {This takes a while: go on when it’s done.} poles {Check twice which way round it goes, then go on.}
    power {Check that it’s so, then go on.} hold {Make sure it holds, then go on.} other {Wait for it, then go on.}}`,
  'page.over': 'start over',
  'page.wayBack': 'only close it again',
  'page.done': 'That was all: {what}.',
  'page.cannot':
    '{live, select, yes {It stays under power, and nothing that you can reach cuts it. } other {}}Only the shop should open this. Leave it closed and contact us.',
  'page.again': 'again',
  'page.how': 'how?',
  'page.showMe': 'show me',
  'page.nextOne': 'next',
  'page.learnt': '{n} of {of}',
  'page.nothingToLearn': 'Nothing can be practised here.',
  'page.leave': 'close',
  'page.read': 'I have read this',
  'page.readOn': 'read on {on}',
  'page.first': 'Start here',
  'page.firstRead': 'Read the safety notes first',
  'page.firstLight': 'Light it: {gesture}',
  'page.firstDark': 'And out again: {gesture}',
  'page.ask': 'Ask us',
  'page.question': 'What would you like to know?',
  'page.askIt': '{file, select, yes {add to my message} other {ask}}',
  'page.asked':
    '{file, select, yes {{sent, select, yes {in the reply you saved} other {not saved yet}}} other {{sent, select, yes {we have it, {on}} other {on its way}}}}',
  'page.notSent': 'It has not reached us yet ({why}). We will keep it and try again automatically.',
  'page.reply':
    'This page lies on your own disk. Save your reply and send it to us{known, select, yes {: {contact}} other {}}.',
  'page.saveReply': 'save my reply',
  'page.copyReply': 'copy it as text',
  'page.film': 'watch the film',
  'page.filmFile': 'Save {file} in the same folder as this page and it will play here.',
  'page.more': 'All the rest',
  'page.revision': 'record no. {number}, {date}',
  'page.newer': 'This is record no. {number}, {date}. It takes the place of no. {given}, which this address came with.',
  'page.older': 'This is record no. {number}, {date}, which this address came with. No. {newest} has taken its place.',
  'page.changed': 'What it says otherwise: {what}.',
  'page.showOther': 'show record no. {number}',
  'page.file': 'this page as one file',
  'page.pdf': '{extent, select, short {the short PDF} sheet {on one sheet} other {the PDF}}',
  'page.contents': 'Contents',
  'page.drawing': 'Drawing of {saber}',
  'page.waiting': 'One moment…',
  'page.title': '{title}, for {client}',
  'script.title': '{saber}: walkthrough',
  'script.show': 'Show: {what}',
  'script.do': 'Do: {what}',
  'script.expect': 'Expect: {what}',
  'script.about': 'About {seconds} s',
  'script.onPaper': 'Not in the film; read in the record:',
  'script.leftTo': '{leftTo, select, picture {Shown in a picture} other {In the handoff record}}',

  'buy.adapter': '{name}: {outside} outside, {bore} inside{long, select, yes {, {length} mm long} other {}}',
  'buy.tube': 'tube {size} outside',
  'buy.wall': 'wall {wall} mm',
  'buy.length': '{size} long',
  'buy.exposed': 'of which {mm} mm outside the hilt',
  'buy.density': 'pixel strips, {density} a metre',
  'buy.strips': '{strips} strips',
  'buy.contacts': 'contacts to match: {connector}',
  'buy.kind': '{kind, select, inHilt {hollow tube, no LEDs} plug {plug} other {string}}',
}

const NOUNS: Readonly<Record<NounKind, string>> = {
  ...{
    'part.cell': 'cell',
    'part.speaker': 'speaker',
    'part.board': 'sound board',
    'part.auxBoard': 'auxiliary board',
  },
  ...{ 'part.switch': 'button', 'part.killSwitch': 'kill switch', 'part.killKey': 'kill key' },
  ...{ 'part.chargePort': 'charge port', 'part.connector': 'blade connector', 'part.contactBoard': 'contact board' },
  ...{ 'part.strip': 'lit strip', 'part.accentLed': 'accent light', 'part.inHiltLed': 'light in the hilt' },
  ...{ 'part.heatsink': 'heatsink', 'part.display': 'display', 'part.chamber': 'crystal chamber' },
  ...{ 'part.chassis': 'chassis', 'part.spacer': 'spacer', 'part.spring': 'spring', 'part.wire': 'wire' },
  ...{ 'part.resistor': 'resistor', 'part.card': 'memory card', 'part.tube': 'blade tube', 'part.plug': 'blade plug' },
  ...{
    'part.cover': 'cover',
    'part.charger': 'charger',
    'part.sleeve': 'sleeve',
    'part.tool': 'tool',
    'part.screw': 'screw',
  },
  ...{ 'part.other': 'part', 'section.pommel': 'pommel', 'section.grip': 'grip', 'section.neck': 'neck' },
  ...{ 'section.shroud': 'shroud', 'section.emitter': 'emitter', 'section.extension': 'extension' },
  ...{ 'section.quillon': 'quillon', 'screw.bladeRetention': 'blade screw', 'screw.joint': 'joint screw' },
  ...{
    'screw.chassis': 'chassis screw',
    'screw.cover': 'cover screw',
    'screw.sleeve': 'sleeve screw',
    'screw.switch': 'switch screw',
  },
  ...{ 'screw.decoration': 'decorative screw', 'screw.other': 'screw', 'input.button': 'button' },
  ...{ 'input.motion': 'hilt', 'input.slide': 'slider', 'input.key': 'key', 'input.magnet': 'magnet' },
  ...{ 'input.port': 'port', socket: 'blade socket', blade: 'blade', plug: 'blade plug' },
}
/** Which of several, before and behind the noun. */
const WHICH: Readonly<Record<Which, readonly [before: string, behind: string]>> = {
  ...{ rear: ['', ' nearer the pommel'], front: ['', ' nearer the blade'], middle: ['', ' in the middle'] },
  ...{ first: ['first ', ''], second: ['second ', ''], third: ['third ', ''], fourth: ['fourth ', ''], none: ['', ''] },
}

function cases(noun: Noun): Cases {
  const bare = 'name' in noun ? noun.name : `${WHICH[noun.which][0]}${NOUNS[noun.kind]}${WHICH[noun.which][1]}`
  // A name begins large in a list, not after its article; one of capitals and figures stays as it is.
  const the = `the ${/^\p{Lu}\p{Ll}/u.test(bare) ? bare[0]!.toLowerCase() + bare.slice(1) : bare}`
  const many = 'name' in noun && noun.several
  return { bare, nom: the, acc: the, dat: the, zu: the, it: many ? 'they' : 'it', them: many ? 'them' : 'it' }
}

/** A plural by its ending, not of words like glass and chassis. */
const guess = (name: string) => (/[^siu]s$/i.test(name.trim()) ? { several: true as const } : {})

export const en: LanguagePack<SayingCode> = { messages, cases, guess }
