import type { Cases, Gender, LanguagePack, Noun, NounKind, SayingCode, Which } from '../words'

/** German, in ICU MessageFormat. The client is "du"; things stand in their case: `_nom`, `_acc`, `_dat`. */
const messages: Readonly<Record<SayingCode, string>> = {
  action: `{action, select,
    powerOn {einschalten} powerOff {vom Strom trennen} wake {wecken} sleep {schlafen legen} ignite {zünden} retract {Klinge einziehen}
    nextPreset {nächstes Preset} previousPreset {voriges Preset} lock {Klingen verkeilen} drag {Spitze schleifen} melt {Spitze schmelzen}
    deflect {Schuss abwehren} surge {Überladung} quote {Spruch abspielen} track {Musik abspielen} trackStop {Musik anhalten}
    colour {Farbe wechseln} volumeUp {lauter} volumeDown {leiser} mute {stumm} unmute {Ton wieder an}
    menuOpen {Menü öffnen} menuClose {Menü verlassen} combatOn {Kampfmodus ein} combatOff {Kampfmodus aus}
    battery {Ladestand zeigen} choose {eins weiter} chooseBack {eins zurück} keep {übernehmen} discard {verwerfen} other {etwas anderes}}`,
  task: `{task, select,
    powerOn {Einschalten} powerOff {Vom Strom trennen} bladeIn {Klinge einsetzen} bladeOut {Klinge herausnehmen}
    open {Griff öffnen} cellIn {Zelle einsetzen} cellOut {Zelle herausnehmen} close {Griff schließen}
    charge {Laden} card {Speicherkarte entnehmen} port {Anschluss freilegen} other {Zeigen, was darin ist}}`,
  state: `{state, select, asleep {schlafend} off {aus} lit {leuchtend} menu {Menü} muted {stumm} combat {Kampf} other {}}`,

  seconds: `{form, select, half {{after, select, yes {einer halben Sekunde} other {eine halbe Sekunde}}}
    whole {{n, plural, =1 {{after, select, yes {einer Sekunde} other {eine Sekunde}}} =2 {zwei Sekunden} =3 {drei Sekunden} =4 {vier Sekunden} =5 {fünf Sekunden} =6 {sechs Sekunden} =7 {sieben Sekunden} =8 {acht Sekunden} =9 {neun Sekunden} =10 {zehn Sekunden} other {# Sekunden}}}
    other {{text} Sekunden}}`,
  times:
    '{n, plural, =1 {einmal} =2 {zweimal} =3 {dreimal} =4 {viermal} =5 {fünfmal} =6 {sechsmal} =7 {siebenmal} =8 {achtmal} =9 {neunmal} other {einmal}}',
  input: '{name_acc}',
  'input.unknown': 'die Taste',
  'play.dead':
    'Kein Strom: {cut, select, yes {er ist getrennt} other {{named, select, yes {{out} fehlt} other {es ist keine Zelle eingelegt}}}}.',
  'play.did': '{what}{lasts, select, yes {, solange gehalten wird} other {}}',
  'play.ended': '{what}: beendet',
  'play.waits': 'wartet {ms} ms, denn {times} drücken bewirkt etwas anderes',
  'play.beep': 'Ton {n}',
  'play.slowed':
    'Hier {times}-mal langsamer als in Wirklichkeit: es blitzt schneller, als auf einem Bildschirm sicher ist.',
  'play.went': 'von selbst: {to}',
  'play.nothing': '{made} {times}: hier geschieht nichts',
  'play.chose': 'steht auf {n}',
  'practice.ask': `{state, select, lit {Bei leuchtender Klinge} off {Bei ausgeschalteter Klinge} asleep {Während es schläft} menu {Im Menü „{mode}“} other {In „{mode}“}}, probier das: {what}.`,
  'practice.hint': 'So: {gesture}.',
  'practice.right': 'Das war es.',
  'practice.miss': `{code, select,
    mode {Es ist jetzt in „{mode}“, und dort bewirkt das nichts.}
    pose {Richtig gegriffen, aber halte die Klinge {pose, select, up {nach oben} down {nach unten} other {waagrecht}}.}
    input {Das war: {input}.}
    count {Das war {did}; nötig ist {wants}.}
    tooShort {{counted, select, yes {Zu früh: warte {beeps, plural, one {auf den Ton} other {auf # Töne}}, das dauert {from}.} other {Zu früh losgelassen, nach {held}: halte {from} lang.}}}
    tooLong {{counted, select, yes {Zu spät: lass nach {beeps, plural, one {dem Ton} other {# Tönen}} los.} other {Zu lang gehalten, {held} lang: lass spätestens nach {to} los.}}}
    gesture {So nicht.}
    other {Das war etwas anderes: {what}.}}`,
  'gesture.holdFor': ` {known, select,
      no {(wie lange, ist nicht festgehalten)}
      beeps {und lass nach dem {beeps, plural, =1 {ersten} =2 {zweiten} =3 {dritten} =4 {vierten} =5 {fünften} =6 {sechsten} other {#.}} Ton los}
      held {so lange du willst}
      other {{about, select, yes {etwa } other {}}{seconds} lang}}{bounded, select, yes {, und lass spätestens nach {most} los} other {}}{lasts, select, yes {, und halte weiter} other {}}`,
  gesture: `{gesture, select,
    tap {drück {input} {times}}
    hold {halte {input}{holdFor}}
    holdThenTap {halte {input} und drück {other} {times}}
    chord {{ordered, select, yes {drück {input} und dazu {other}} other {{held, select, yes {halte {input} und {other} zusammen{holdFor}} other {drück {input} und {other} zusammen}}}}}
    holdStrike {halte {input} und schlag gegen die Klinge}
    holdFlick {halte {input} und ruck kurz am Griff}
    twist {dreh den Griff {times}}
    thrust {stich nach vorn}
    swing {schwing}
    shake {schüttle den Griff}
    slide {schieb {input}}
    insert {benutz {input}}
    other {}}{pose, select, up {, die Klinge nach oben} level {, die Klinge waagrecht} down {, die Klinge nach unten} other {}}`,

  'step.loosenJoint': '{how, select, remove {Dreh {screw_acc} heraus} other {Löse {screw_acc}}}',
  'step.tighten': 'Zieh {screw_acc} an',
  'step.unscrew': 'Schraub {section_acc} ab',
  'step.screwOn': 'Schraub {section_acc} auf',
  'step.pullOff': 'Zieh {section_acc} ab',
  'step.pushOn': 'Schieb {section_acc} auf',
  goal: `{goal, select, powerOn {Einschalten} powerOff {Vom Strom trennen} charge {Laden} cell {Zelle tauschen} card {Speicherkarte entnehmen} port {Anschluss freilegen: {name}}
    bladeIn {{several, select, yes {Klinge einsetzen: {name}} other {Klinge einsetzen}}} bladeOut {{several, select, yes {Klinge herausnehmen: {name}} other {Klinge herausnehmen}}}
    plugIn {{several, select, yes {Stopfen einsetzen: {name}} other {Stopfen einsetzen}}} plugOut {{several, select, yes {Stopfen herausnehmen: {name}} other {Stopfen herausnehmen}}}
    show {Zeigen: {name}} reset {Wenn es hängt} open {Griff öffnen} close {Griff schließen} other {Ganz zerlegen}}`,
  'step.aligned':
    '{text}{told, select, yes {: {landmark}} other {}}{turned, select, yes {, {angle}° vom Schalter aus} other {}}',
  'step.byItself':
    '{itself, select, wakes {Dabei wacht es von selbst auf.} cutsPower {Das trennt den Strom von selbst.} other {Dabei wird das Display sichtbar.}}',
  'step.chargeBeside': 'Lade die Zelle in einem Ladegerät, das für sie gemacht ist',
  'step.unsaidPole': 'Leg die Zelle wieder ein. Wie herum, ist nicht festgehalten: frag uns vorher',
  'step.dark': 'Vergewissere dich, dass die Klinge aus ist',
  'power.about': `{by, select,
    killSwitch {Ist {named, select, yes {{name_nom}} other {der Trennschalter}} aus, hat die Platine keinen Strom: nichts leuchtet, nichts weckt sie, und die Zelle behält ihre Ladung. Wieder eingeschaltet, beginnt sie von vorn.}
    killKey {{cuts, select, out {Solange {named, select, yes {{name_nom}} other {der Schlüssel}} nicht steckt} in {Solange {named, select, yes {{name_nom}} other {der Schlüssel}} steckt}
      turned {Solange {named, select, yes {{name_nom}} other {der Schlüssel}} gedreht ist} outIn {Solange {named, select, yes {{name_nom}} other {der Schlüssel}} nicht steckt und gedreht ist}
      inTurned {Solange {named, select, yes {{name_nom}} other {der Schlüssel}} steckt, gedreht oder nicht} outTurned {Solange {named, select, yes {{name_nom}} other {der Schlüssel}} nicht steckt oder gedreht ist}
      other {Solange {named, select, yes {{name_nom}} other {der Schlüssel}} trennt}}, hat die Platine keinen Strom: nichts leuchtet, nichts weckt sie, und die Zelle behält ihre Ladung.}
    cellOut {Nur ohne Zelle ist der Strom wirklich weg. Schlafend zieht sie noch ein wenig; bevor du es wochenlang liegen lässt, nimm die Zelle heraus.}
    deepSleep {{timed, select, yes {Es schläft von selbst ein und zieht dann sehr wenig.} other {Schlafend zieht es sehr wenig.}}{cellOut, select, yes { Bevor es Monate liegt, nimm die Zelle heraus.} other { Bevor es Monate liegt, lade es halb voll.}}}
    other {Hier trennt nichts den Strom; schlafend zieht es noch ein wenig.{cellOut, select, yes { Bevor du es wochenlang liegen lässt, nimm die Zelle heraus.} other { Lade es alle paar Wochen.}}}}`,
  'joint.closed': '{joint}: bleibt zu und wird nicht geöffnet.',
  'step.leftHand':
    '{text}, {way, select, clockwise {im Uhrzeigersinn} other {gegen den Uhrzeigersinn}}: es ist ein Linksgewinde',
  'step.tethered': 'Es hängt an Drähten: nicht weiter, als sie reichen.',
  'steps.as': 'Beginne wie unter „{like}“, 1 bis {n}.',
  'steps.closeAs': 'Dann schließ es wie dort.',
  'joint.feels': 'Du spürst: {what}.',
  'joint.hurts': 'Falsch gemacht: {what}.',
  'step.turnOff': 'Dreh {section_acc} und zieh',
  'step.turnOn': 'Schieb {section_acc} auf und dreh, bis es hält',
  'step.cellSlide':
    'Lass {several, select, yes {{cell_acc}} other {die Zelle}} am {end, select, emitter {Emitter} other {Knauf}} herausgleiten',
  'step.chassisOut': `{how, select, unscrew {Schraub {name_acc} los und zieh {name_them}} other {Zieh {name_acc}}} am {end, select, emitter {Emitter} other {Knauf}} heraus{tethered, select, yes {, nicht weiter, als die Drähte reichen} other {}}`,
  'step.chassisIn': `{how, select, unscrew {Schraub {name_acc}} other {Schieb {name_acc}}} vom {end, select, emitter {Emitter} other {Knauf}} her wieder hinein`,
  'step.chassis.caution':
    '{brittle, select, yes {Es ist spröde: halt es mit beiden Händen, auf ganzer Länge.} other {Stütz es auf ganzer Länge.}}',
  'step.cardIn': 'Steck die Karte wieder hinein; ohne Gewalt',
  'step.partOut':
    '{how, select, lift {Heb {name_acc} ab} liftOut {Heb {name_acc} heraus} slideOff {Zieh {name_acc} ab} unscrew {Schraub {name_acc} ab} slide {Zieh {name_acc} heraus} other {Nimm {name_acc} heraus}}',
  'step.partIn': '{how, select, unscrew {Schraub {name_acc} wieder ein} other {Setz {name_acc} wieder ein}}',
  'step.chargeIn': 'Leg die Zelle in {charger_acc}',
  'step.unplug': 'Zieh das Ladekabel ab',
  'step.softSurface': 'Arbeite über etwas Weichem.',
  'step.noWireInThread': 'Kein Draht ins Gewinde.',
  'step.noStop': 'Nichts hält dieses Gewinde auf: hör auf, sobald es bündig sitzt, und lass keinen Draht hinein.',
  'step.turn': 'Dreh {section_acc}{back, select, yes { zurück} other {}}',
  'step.pressOff': 'Drück den Knopf der Verbindung und zieh {section_acc} ab',
  'step.key': `{move, select, pushIn {Steck {key_acc} ein} pullOut {Zieh {key_acc} heraus} turn {Dreh {key_acc}} turnBack {Dreh {key_acc} zurück}
    inAndTurn {Steck {key_acc} ein und dreh {key_them}} other {Dreh {key_acc} zurück und zieh {key_them} heraus}}{to, select, off {, bis alles dunkel ist} other {}}`,
  'step.slide':
    'Schalte {named, select, yes {{switch_acc}} other {den Trennschalter}} {to, select, on {ein} other {aus}}',
  'step.loosenBlade': 'Löse {screw_acc}; dreh {screw_them} nicht ganz heraus',
  'step.bladeIn': `{how, select,
    clockwise {Schieb {what, select, plug {den Stopfen} other {die Klinge}}{several, select, yes { ({socket})} other {}} bis zum Anschlag hinein und dreh {what, select, plug {ihn} other {sie}} dabei im Uhrzeigersinn}
    pushAndHold {Schieb {what, select, plug {den Stopfen} other {die Klinge}}{several, select, yes { ({socket})} other {}} bis zum Anschlag hinein und halt {what, select, plug {ihn} other {sie}} dort}
    other {Schieb {what, select, plug {den Stopfen} other {die Klinge}}{several, select, yes { ({socket})} other {}} gerade bis zum Anschlag hinein; dreh {what, select, plug {ihn} other {sie}} nie}}`,
  'step.bladeOut':
    '{how, select, clockwise {Zieh {what, select, plug {den Stopfen} other {die Klinge}}{several, select, yes { ({socket})} other {}} heraus und dreh {what, select, plug {ihn} other {sie}} dabei im Uhrzeigersinn} other {Zieh {what, select, plug {den Stopfen} other {die Klinge}}{several, select, yes { ({socket})} other {}} gerade heraus}}',
  'step.screws': `{act, select,
    loosen {Löse {n, plural, =2 {beide} other {alle #}} {purpose, select, bladeRetention {Klingenschrauben} other {Schrauben}}{told, select, yes { mit dem {tool}} other {}}; lass sie drin}
    remove {Dreh {n, plural, =2 {beide} other {alle #}} {purpose, select, bladeRetention {Klingenschrauben} other {Schrauben}} heraus{told, select, yes {, mit dem {tool}} other {}}}
    keep {Dreh {n, plural, =2 {beide} other {alle #}} {purpose, select, bladeRetention {Klingenschrauben} other {Schrauben}} wieder ein, damit sie nicht verloren gehen}
    other {Zieh {n, plural, =2 {beide} other {alle #}} {purpose, select, bladeRetention {Klingenschrauben} other {Schrauben}} an, bis sie fest sitzen; nicht überdrehen}}`,
  'step.tightenBlade': 'Zieh {screw_acc} an, bis {screw_it} fest sitzt; nicht überdrehen',
  'step.pullCheck':
    'Zieh kräftig {what, select, plug {am Stopfen: er} other {an der Klinge: sie}} darf sich nicht bewegen',
  'step.pullCheck.caution': 'Nie schwingen, bevor das geprüft ist.',
  'step.keepScrew': 'Dreh {screw_acc} wieder ein, damit {screw_it} nicht verloren geht',
  poles:
    '{plus, select, emitter {Plus zum Emitter} pommel {Plus zum Knauf} other {}}{plus, select, unsaid {} other {{first, select, unsaid {} other {, }}}}{first, select, plus {Plus zuerst hinein} minus {Minus zuerst hinein} other {}}',
  'poles.recorded': 'So ist es verzeichnet: {poles}.',
  'step.cellIn': `Leg {several, select, yes {{cell_acc}} other {die Zelle}} {kept, select, groove {in ihre Rille} clip {in ihre Klammer} other {ein}}{first, select, plus {, Plus zuerst} minus {, Minus zuerst} other {}}{plus, select, emitter {, Plus zum Emitter} other {, Plus zum Knauf}}{told, select, yes {: {landmark}} other {}}`,
  'step.cellIn.caution': 'Nie eine Zelle mit beschädigter Hülle. Stütz das Chassis beim Eindrücken.',
  'step.cellOut': `Heb {several, select, yes {{cell_acc}} other {die Zelle}} {kept, select, ribbon {an ihrem Band} groove {aus ihrer Rille} clip {mit einem Ende zuerst aus ihrer Klammer} other {in der Mitte}} heraus`,
  'step.cellOut.caution': 'Kein Werkzeug aus Metall an die Hülle.',
  'step.chargePort': `Steck das Ladekabel in {port_acc}`,
  'step.chargePort.caution': 'Nie unbeaufsichtigt laden.',
  'step.chargeCell.caution': 'Nie unbeaufsichtigt laden. Nur mit einem Ladegerät, das für diese Zelle gemacht ist.',
  'step.card': 'Nimm die Karte heraus; kopiere alles, bevor du etwas änderst',
  'step.card.caution': 'Karten- und USB-Buchsen brechen leicht: zieh gerade.',
  tool: 'Inbusschlüssel {key}',

  'caution.cell.title': 'Die Zelle',
  'caution.cell':
    'Lithium-Ionen-Zellen können brennen. {told, select, yes {Polung: {polarity}. } other {}}{protected, select, yes {Nur eine geschützte Zelle derselben Größe. } other {}}Nie eine Zelle mit beschädigter Hülle, nie lose in der Tasche, nie unbeaufsichtigt laden; halb geladen lagern. Ob und wie sie verschickt wird, sagen Versender und örtliche Vorschriften: frag dort.',
  'caution.flash.title': 'Flackerndes Licht',
  'caution.flash':
    '{named, select, yes {{presets} flackert öfter als {limit} Mal in der Sekunde} other {Manche Effekte blitzen schnell}}: das kann bei lichtempfindlicher Epilepsie Anfälle auslösen. Warne die Anwesenden.',
  'caution.blade.title': 'Klinge und Augen',
  'caution.blade':
    'Vor jedem Schwung die Klinge sichern und Platz schaffen. Nicht bei vollem Licht in die offene Fassung oder den Stopfen blicken. Augen- und Handschutz beim Fechten.',
  'caution.sharp.title': 'Scharfe Teile',
  'caution.sharp':
    'Der Griff hat Spitzen und Kanten, die verletzen können: acht auf Hände und Kleidung, und halte ihn von Kindern fern.',
  'caution.inside.title': 'Beim Öffnen',
  'caution.inside':
    'Arbeite über etwas Weichem, stütz das Chassis, wenn du eine Zelle eindrückst, drück nicht auf die Membran des Lautsprechers und lass keinen Draht im Gewinde. Karten- und USB-Buchsen brechen, wenn man hebelt.',
  'caution.usual':
    'Das sind die üblichen Hinweise. Örtliche Vorschriften, die Regeln des Versenders und geprüfte Fachleute gehen vor.',

  'action.seen': `{action, select,
    powerOn {es hat Strom} powerOff {der Strom ist weg} wake {es wacht auf} sleep {es schläft ein}
    ignite {{blade, select, no {es leuchtet auf} other {die Klinge fährt aus}}} retract {{blade, select, no {es wird dunkel} other {die Klinge fährt ein}}}
    nextPreset {das nächste Preset kommt} previousPreset {das Preset davor kommt}
    lock {die Klinge verkeilt sich, als hätte sie eine andere gefangen} drag {die Spitze schleift und glüht}
    melt {die Spitze brennt sich durch} deflect {es sprüht Funken, als hätte es einen Schuss abgefangen} surge {eine Überladung läuft die Klinge entlang}
    quote {es sagt einen Spruch} track {Musik läuft} trackStop {die Musik hält an} colour {die Farbe wechselt}
    volumeUp {es wird eine Stufe lauter} volumeDown {es wird eine Stufe leiser} mute {es ist stumm} unmute {der Ton ist wieder da}
    menuOpen {das Menü geht auf} menuClose {das Menü geht zu} combatOn {der Kampfmodus ist an} combatOff {der Kampfmodus ist aus}
    battery {es zeigt, wie voll die Zelle ist} choose {der nächste Eintrag kommt} chooseBack {der Eintrag davor kommt}
    keep {die Auswahl ist gespeichert} discard {alles bleibt, wie es war} other {es geschieht etwas anderes}}`,
  'caution.spoken': `{caution, select,
    cell {Lithium-Zellen können brennen{told, select, yes {, achte also auf die Pole: {polarity}} other {}}. Nimm eine derselben Größe, keine mit beschädigter Hülle, und lade sie nie unbeaufsichtigt.}
    flash {{named, select, yes {{presets} flackert} other {Manche Effekte blitzen}} so schnell, dass es bei lichtempfindlicher Epilepsie Anfälle auslösen kann: warne, wer dabei ist.}
    blade {Bevor du schwingst: sichere die Klinge, schaff Platz, und schau nicht ins nackte Licht.}
    sharp {Acht auf die Spitzen am Griff: sie können verletzen und bleiben an Kleidung hängen.}
    other {Arbeite über etwas Weichem. Eine Hand unter das Chassis, den Daumen weg vom Lautsprecher, und keinen Draht ins Gewinde.}}`,
  'topic.welcome.what': 'wessen Schwert das ist',
  'topic.welcome': `{named, select, yes {Hallo {to}. } other {}}{of, plural, =1 {Das ist {saber}} other {Das ist {saber}, {nth, plural, =1 {das erste} =2 {das zweite} =3 {das dritte} =4 {das vierte} =5 {das fünfte} =6 {das sechste} =7 {das siebte} =8 {das achte} =9 {das neunte} =10 {das zehnte} =11 {das elfte} other {das zwölfte}} von {of, plural, =2 {zwei} =3 {drei} =4 {vier} =5 {fünf} =6 {sechs} =7 {sieben} =8 {acht} =9 {neun} =10 {zehn} =11 {elf} other {zwölf}}}}{gift, select, yes {{given, select, yes {; {giver} hat es für dich machen lassen} other {; es wurde für dich gemacht}}} other {{named, select, yes {, und es gehört dir} other {}}}}.`,
  'topic.farewell.what': 'Abschied',
  'topic.farewell':
    '{more, select, yes {Das war {saber}; das nächste folgt.} other {Das war {saber}. {named, select, yes {Danke, {to}. } other {}}Wenn du Fragen hast, schreib uns; alles steht auch im Begleitheft.}}',
  'topic.differs.what': 'was anders ist als beim letzten',
  'topic.differs': 'Dein letztes kennst du. Das ist hier anders: {what}.',
  'topic.heft.what': 'wie es in der Hand liegt',
  'topic.heft':
    '{weighed, select, yes {Ohne Klinge wiegt es {mass}. } other {}}{balanced, select, yes {Der Schwerpunkt liegt {balance} vom Knauf; dort hältst du es.} other {}}',
  'topic.duel.what': 'was sich beim Fechten lockert',
  'topic.duel':
    '{n, plural, =0 {} other {Fühl vor jedem Gang nach, ob alles hält: {screws}. }}{threads, plural, =0 {} other {Schläge lockern auch Gewinde: dreh von Hand nach, {joints}.}}',
  'topic.part': `{kind, select,
    speaker {Der Ton kommt {end, select, pommel {am Knauf} emitter {am Emitter} other {hier}} heraus: dort sitzt {part_nom}; lass das frei.}
    killSwitch {Das ist {part_nom}: damit trennst du den Strom ganz.}
    killKey {Das ist {part_nom}: damit trennst du den Strom ganz. Heb {part_them} gut auf.}
    chargePort {Das ist {part_nom}.}
    display {Das ist {part_nom}; du liest {part_them} durch das Fenster.}
    chamber {Und das ist {part_nom}.}
    switch {Das ist {part_nom}.}
    cover {Das ist {part_nom}; {part_it} lässt sich abnehmen.}
    sleeve {Das ist {part_nom}; {part_it} sitzt über dem Griff.}
    other {Das ist {part_nom}.}}`,
  'topic.buttons': 'Es hat {n, plural, =2 {zwei} =3 {drei} =4 {vier} other {#}} Tasten: {parts}.',
  'topic.never.what': '{screw}: nicht anfassen',
  'topic.never': `Rühr {screw_acc} nicht an: {dummy, select, yes {das ist nur Zierde und verklebt} other {ohne {screw_them} hält {purpose, select, bladeRetention {die Klinge} joint {die Verbindung} chassis {das Chassis} cover {die Abdeckung} sleeve {die Hülse} switch {der Schalter} decoration {die Zierde} other {das Ganze}} nicht}}.{noted, select, yes { {note}.} other {}}`,
  'topic.task': `{task, select,
    powerOn {Schalte zuerst den Strom ein.} powerOff {Dann trenn den Strom.} bladeIn {Jetzt setz die Klinge ein.} bladeOut {Nimm die Klinge wieder heraus.}
    open {Jetzt öffnen wir es.} cellIn {So kommt eine Zelle hinein.} cellOut {So kommt die Zelle heraus.} close {Und jetzt wieder schließen.}
    charge {So lädst du es.} card {So kommst du an die Karte.} port {So kommst du an den Anschluss.} other {Und das steckt darunter.}} {steps}{why, select, yes {{task, select, powerOn { Ohne Strom tut sich nichts.} powerOff { So entlädt sich die Zelle nicht, während es liegt.} bladeIn { Das sorgt dafür, dass sie nicht wegfliegt.} bladeOut { Auf Reisen gehört sie heraus.}
    open { Nur, wenn alles aus ist.} cellIn { Falsch herum kann es dauerhaft Schaden nehmen.} close { So verrutscht innen nichts.} charge { Am besten halb voll lagern.} card { Alle Klänge und Einstellungen sind auf dieser Karte.} other {}}} other {}}`,
  'topic.assemble.what': 'zusammengesetzt: {what}',
  'topic.assemble': '{first, select, yes {So kommt es zusammen, Stück für Stück. } other {}}{steps}',
  'topic.control': `{same, select, yes {} other {{state, select, lit {Bei leuchtender Klinge: } off {Bei ausgeschalteter Klinge: } asleep {Wenn es schläft: } menu {Im Menü „{mode}“: } muted {Wenn es stumm ist: } other {Im Kampfmodus: }}}}{gesture} – {what}.{limited, select, yes { Nur in {only}.} other {}}`,
  'topic.toPreset': `Weiter zu {preset}: {gesture}{times, plural, =1 {} =2 {, und noch einmal} other {, #-mal nacheinander}}.`,
  'topic.bladeLater': `{later, select, others {{told} {n, plural, =1 {Die Klinge für {sockets} geht} other {Die Klingen für {sockets} gehen}} genauso {out, select, yes {heraus} other {hinein}}; {n, plural, =1 {sie ist} other {sie sind}} nicht hier.} willNotEnter {{out, select, yes {Heraus kommt sie dann so. {steps}} other {Deine Klinge geht noch nicht hinein, darum wird es nur beschrieben. {steps}}}} other {{out, select, yes {Und so wieder heraus. {steps}} other {Hier ist keine Klinge, mit der es sich zeigen ließe; mit deiner geht es so. {steps}}}}}`,
  'topic.firstAgain': `Zurück zum ersten Preset: {gesture}{times, plural, =1 {} =2 {, und noch einmal} other {, #-mal nacheinander}}.`,
  'topic.again': 'Und wieder aus: {gesture}.',
  'topic.likeFirst.what': `wie bei {saber}`,
  'topic.likeFirst': `{about, select, controls {Bedient wird es genau wie {saber}.} other {Was ich bei {saber} gesagt habe, gilt auch hier: pass genauso auf Zelle, Licht und Klinge auf.}}`,
  'topic.off.what': 'wie man es ausschaltet',
  'topic.off': '(Noch schaltet es nichts aus.)',
  'topic.preset.what': 'Preset {preset}',
  'topic.preset': `{look, select, battery {{preset} zeigt auf der Klinge, wie voll die Zelle ist} party {{preset} läuft durch viele Farben} varies {{preset} wechselt rund um {hue}} other {{preset} ist {hue}}}{reasoned, select, yes {: {why}} other {}}.{asked, select, you { Das hast du dir gewünscht.} no {} other { Das war die Idee von {asker}.}}{needs, select, yes { Ganz sieht man es erst mit {blade}; hier siehst du einen Teil davon.} other {}}{unsure, select, yes { Hier sind wir nicht sicher: probier es und sag es uns.} other {}}`,
  'topic.presets.asked': `{you, select, yes {Du hast dir {presets} gewünscht.} other {{presets} war die Idee von {who}.}}`,
  'topic.presets':
    '{n, plural, =2 {Zwei} =3 {Drei} =4 {Vier} =5 {Fünf} =6 {Sechs} other {#}} sind {hue}: {presets}.{told, select, yes { {deep} ist der dunklere Ton, {pale} der hellere.} other { Sie liegen nah beieinander.}}',
  hue: `{pale, select, yes {blass} other {}}{hue, select, pink {rosa} red {rot} orange {orange} yellow {gelb} green {grün} teal {türkis} skyBlue {himmelblau} blue {blau} violet {violett} magenta {magenta} dark {dunkel} other {weiß}}`,
  'hue.apart': `{bare, select, yes {} other {das }}{by, select,
    light {{place, select, lower {dunklere} higher {hellere} lowest {dunkelste} highest {hellste} middle {mittlere} other {{n, selectordinal, =2 {zweit} =3 {dritt} =4 {viert} =5 {fünft} =6 {sechst} other {#.-}}dunkelste}} }
    strong {{place, select, lower {mattere} higher {kräftigere} lowest {matteste} highest {kräftigste} middle {mittlere} other {{n, selectordinal, =2 {zweit} =3 {dritt} =4 {viert} =5 {fünft} =6 {sechst} other {#.-}}matteste}} }
    other {}}{pale, select, yes {{hue, select, pink {Blassrosa} red {Blassrot} orange {Blassorange} yellow {Blassgelb} green {Blassgrün} teal {Blasstürkis} skyBlue {Blasshimmelblau} blue {Blassblau} violet {Blassviolett} magenta {Blassmagenta} dark {Blassdunkel} other {Blassweiß}}} other {{hue, select, pink {Rosa} red {Rot} orange {Orange} yellow {Gelb} green {Grün} teal {Türkis} skyBlue {Himmelblau} blue {Blau} violet {Violett} magenta {Magenta} dark {Dunkel} other {Weiß}}}}{by, select, lean {{place, select, middle { in der Mitte} other {, das mehr ins {towards, select, red {Rote} orange {Orange} yellow {Gelbe} green {Grüne} teal {Türkise} blue {Blaue} violet {Violette} other {Rosa}} geht}}} other {}}`,
  'topic.demoBlade.what': '{blade} gehört der Werkstatt und kommt nicht ins Paket',
  'topic.demoBlade':
    'Die Klinge, die du hier siehst, gehört der Werkstatt. {has, select, yes {Deine ist eine andere{sized, select, yes {: {size}} other {}}.} other {Deine muss noch gekauft werden.}}',
  'topic.bladeToBuy.what': '{blade}, noch zu kaufen',
  'topic.bladeToBuy': `Die Klinge{several, select, yes { für {socket_acc}} other {}} liegt nicht im Paket.{sized, select, yes { Die richtige Größe: {size}.} other {}}`,
  bladeSize: `{measured, select, yes {{diameter} dick} other {}}{measured, select, yes {{long, select, yes {, } other {}}} other {}}{long, select, yes {{length} lang} other {}}`,
  'topic.caution.what': 'Hinweis: {title}',
  'topic.volume.what': 'Lautstärke bei Auslieferung und höchste',
  'topic.volume':
    '{set, select, yes {Es wird mit Lautstärke {volume} ausgeliefert.{known, select, yes { Nicht höher als {highest}: darüber leidet der Lautsprecher.} other {}}} other {Nicht höher als Lautstärke {highest}: darüber leidet der Lautsprecher.}}',
  'topic.request.what': '{own, select, yes {unsere Idee} other {dein Wunsch}}: {text}',
  'topic.request': `{own, select, yes {Eine Idee von uns: {text}.} other {{gift, select, yes {{giver} hat sich gewünscht: {text}.} other {Du hast dir gewünscht: {text}.}}}} {status, select, met {{answered, select, yes {{answer}.} other {Und hier ist es.}}} open {Das ist noch offen{answered, select, yes {: {answer}} other {}}.} changed {Das ist anders geworden{answered, select, yes {: {answer}} other {}}.} other {Darauf haben wir verzichtet{answered, select, yes {: {answer}} other {}}.}}{told, select, yes { {gift, select, yes {Das haben wir am {on} gesagt.} other {Das haben wir dir am {on} gesagt.}}} other {}}`,
  'topic.arrival.what':
    '{what}: {fate, select, leftOver {übrig} returned {zurück} altered {geändert} used {verbaut} other {offen}}',
  'topic.arrival': `{gift, select, yes {{giver} hat uns geschickt} other {Du hast uns geschickt}}: {what}. {fate, select, leftOver {Es ist übrig{gift, select, yes {} other { und gehört dir}}} returned {Es kommt {gift, select, yes {} other {zu dir }}zurück} altered {Es wurde geändert} used {Es ist verbaut} other {Darüber ist noch nichts entschieden}}{noted, select, yes {: {note}} other {}}.{placed, select, yes { Jetzt ist es hier: {now}.} other {}}`,
  'topic.credit.what': 'gemacht von {who}',
  'topic.credit': '{n, plural, =1 {{who}: {did}.} other {Daran haben mehrere gearbeitet. {did}.}}',
  'topic.fault.what': 'bei der Ankunft gefunden: {fault}',
  'topic.fault': `Bei der Ankunft haben wir notiert ({what}): {fault}. {why, select, yes {Wir haben es so gelassen: {left}.} other {{became, select, repair {Das ist repariert.} request {{gift, select, yes {Was daraus wird, ist abgesprochen.} other {Was daraus wird, hast du entschieden.}}} toDo {Das ist erledigt.} open {Das steht noch aus.} other {Das wurde festgehalten.}}}}`,
  'topic.toDo.what': `{who, select, client {bleibt für dich} other {versprochen und noch offen}}: {text}`,
  'topic.toDo': `{who, select, client {Eins bleibt für dich zu tun: {text}.} other {Eins sind wir dir noch schuldig: {text}{dated, select, yes {, bis {due}} other {}}.}}`,
  'topic.item.what': 'gehört dazu: {what}',
  'topic.item': `{role, select, accessory {{from, select, shop {Außerdem im Paket: {what}} client {Das hast du schon: {what}} notSupplied {Das musst du selbst besorgen: {what}} other {Das ist nur für die Vorführung: {what}}}} spare {Als Ersatz liegt bei: {what}} other {{from, select, bench {Das ist nur für die Vorführung und bleibt bei uns: {what}} client {Du hast auch schon {what}} notSupplied {Es gibt auch {what}} other {Dabei liegt auch {what}}}}}{named, select, yes {{role, select, alternative {, zum Tauschen mit {of_dat}} other {, für {of_acc}}}} other {}}.{asked, select, yes { Frag nach: {ask}.} other {}}{placed, select, yes { Du bekommst es hier: {place}.} other {}}{noted, select, yes { {note}.} other {}}`,
  'topic.items': `Außerdem im Paket: {items}.`,
  'topic.notFor.what': 'nicht gemacht für {what}',
  'topic.notFor': 'Dafür ist es nicht gemacht: {what}. Der Grund: {why}.',
  'topic.fix.what': 'repariert: {fix}',
  'topic.fix': `{reported, select, yes {{gift, select, yes {{giver} hat} other {Du hast}} uns gesagt: {fault}. } other {}}{known, select, yes {Die Ursache: {cause}. } other {}}Was wir getan haben: {fix}.{cycles, plural, =0 {} =1 {} other { Seitdem wurde es #-mal ausprobiert, ohne dass der Fehler wiederkam.}}`,
  'topic.ability.what': 'geht nicht mehr: {what}',
  'topic.ability': 'Eins kann es nicht mehr: {what}.{by, select, yes { Stattdessen: {instead}.} other {}}',
  'topic.loss.what': 'neu gemacht: {what}',
  'topic.loss':
    'Das solltest du wissen: {what}, {how, select, spoilt {hier missglückt} remade {neu gemacht} other {ersetzt}}. {cause}.',
  'topic.decision.what': 'gewählt: {chose}',
  'topic.decision': `{whose, select, client {{gift, select, yes {{giver} hat gewählt} other {Du hast gewählt}}} both {{gift, select, yes {Mit {giver} wurde gewählt} other {Wir haben zusammen gewählt}}} other {Wir haben gewählt}}: {chose}. Der Grund: {why}.{gave, select, yes { Dafür verzichtet auf: {gaveUp}.} other {}}`,
  'topic.storing.what': 'was das Trennen bewirkt, und wie man es weglegt',
  'topic.display.what': `was das Display zeigt`,
  'topic.display': `{greets, select, yes {Wenn es aufwacht, steht auf dem Display: „{greeting}“.} other {}}{pictured, select, yes { {greets, select, yes {Dazu siehst du: {picture}.} other {Wenn es aufwacht, zeigt das Display: {picture}.}}} other {}}{timed, select, yes { Nach {after} wird das Display von selbst dunkel.} other {}}`,
  'topic.link.what': `die Funkverbindung und ihr Code`,
  'topic.link': `Du kannst dich ohne Kabel verbinden{named, select, yes {: such nach „{name}“} other {}}{by, select, yes {, mit {program}} other {}}.{coded, select, yes { Der Code ist {code}.} other {}}`,
  'topic.sense.what': `wie empfindlich es eingestellt ist`,
  'topic.sense.one': `{sense, select, swing {Schwung} clash {Schlag} twist {Drehung} thrust {Stoß} shake {Schütteln} tilt {Neigung} other {Tippen}} {value}{with, select, plug { (mit Stopfen probiert)} blade { (mit Klinge probiert)} other {}}{noted, select, yes { ({note})} other {}}`,
  'topic.sense': `So empfindlich ist es eingestellt: {all}.`,
  'topic.wear.what': `wie viele Kombinationen es gibt`,
  'topic.wear': `{looks, plural, one {# Preset} other {# Presets}}{blades, plural, =0 {} =1 {} =2 { und zwei Klingen} other { und # Klingen}}{pieces, plural, =1 {} =2 { und zwei Arten, den Griff abzuschließen} other { und # Arten, den Griff abzuschließen}}: das ergibt {all} Kombinationen.`,
  'topic.missing.what': `nicht im Paket: {what}`,
  'topic.missing': `{part_nom} liegt nicht im Paket: bitte selbst besorgen.{typed, select, yes { Frag nach {type}{protected, select, yes {, geschützt} other {}}{long, select, yes {, {length} mm lang} other {}}.} other {{protected, select, yes { Mit eigener Schutzschaltung.} other {}}}}{noted, select, yes { {note}.} other {}}`,
  'topic.locked.what': `{section}: für immer zu`,
  'topic.locked': `Versuch nicht, {section_acc} abzuschrauben: diese Verbindung bleibt für immer zu.{noted, select, yes { {note}.} other {}}`,
  'topic.blades.what': `die Klingen, die dazugehören`,
  'topic.blades': `{n, plural, =2 {Zwei Klingen gehören dazu} =3 {Drei Klingen gehören dazu} other {# Klingen gehören dazu}}: {blades}. Sie gehen alle gleich hinein und heraus.`,
  'topic.lights': `{kind, select, strip {Innen leuchten {n, plural, =2 {zwei} =3 {drei} =4 {vier} other {#}} Streifen} other {{n, plural, =2 {Zwei} =3 {Drei} =4 {Vier} =5 {Fünf} =6 {Sechs} other {#}} kleine Lichter sitzen darin}}{named, select, yes {: {names}} other {}}.`,
  'topic.owner.what': `vor dir: {who}`,
  'topic.owner': `{you, select, yes {{known, select, yes {Vor uns hattest du es in Händen{dated, select, yes {, {when}} other {}}: {did}.} other {Bevor es zu uns kam, gehörte es dir{dated, select, yes {, {when}} other {}}.}}} other {Vor dir war es bei: {who}{dated, select, yes {, {when}} other {}}{known, select, yes {{believed, select, yes {; vermutlich: {did}} other {: {did}}}} other {}}.}}`,
  'topic.sleeps.what': 'wann es einschläft',
  'topic.sleeps': 'Liegt es still, schläft es nach {after} von selbst ein.',
  'topic.note.what': 'gut zu wissen: {of}',
  'topic.note': `{of_zu}: {note}.`,
  duration: `{form, select, seconds {{n, plural, =1 {einer Sekunde} other {{text} Sekunden}}} minutes {{n, plural, =1 {einer Minute} other {{text} Minuten}}} other {{n, plural, =1 {einer Stunde} other {{text} Stunden}}}}`,
  ownWords: '„{text}“',

  'test.cellVolts': 'Spannung der Zelle in Ruhe',
  'test.sleepCurrent': 'Strom im Schlaf',
  'test.cutOff': 'Strom bei leuchtender Klinge getrennt: alles wird dunkel',
  'test.cutOff.expect': 'sofort dunkel, und wacht wieder auf',
  'test.cutOffBy': 'Strom bei leuchtender Klinge getrennt ({by}): alles wird dunkel',
  'test.cellOut': 'Zelle bei leuchtender Klinge entnommen: alles wird dunkel',
  'test.play': 'Spiel in der Fassung, mit der Fühlerlehre: {blade}',
  'test.mass': 'Gewicht, fertig eingebaut, ohne Klinge',
  'test.extend': 'Ausfahren in {preset}, mit der Stoppuhr',
  'test.litCurrent': 'Strom leuchtend in {preset}',
  'test.pull': 'Klinge in der Fassung ({socket}): von Hand ziehen',
  'test.pull.expect': 'rührt sich nicht',
  'test.pixels': 'Jeder Pixel leuchtet, {socket}{borrowed, select, yes { (mit geliehener Klinge)} other {}}',
  'test.pixels.expect': 'rot, grün, blau und weiß ohne Lücke',
  'test.preset': '{preset} klingt und zeigt seine Farbe',
  'test.preset.expect': 'richtige Klänge, richtige Farbe',
  'test.control': 'Bedienung: {what}',
  'test.errand': '{goal}, hin und zurück',
  'test.errand.expect': 'jeder der {n} Handgriffe wie beschrieben; danach zu, fest und dunkel',
  'test.control.expect': 'geht beim ersten Mal',
  'test.volume': 'Lautstärke bei Auslieferung',
  'test.display': '{display} gerade hinter dem Fenster',
  'test.display.expect': 'ganzes Bild zu sehen',
  'test.repair': 'Nach der Reparatur: {fix}',
  'test.repair.set': 'wie gewünscht, und der Fehler ist weg',
  'test.repair.unit': 'Mal',
  'test.repair.expect': 'geöffnet und geschlossen oder bewegt, ohne den Fehler',
  limit: `{form, select, range {{min} bis {max}{unit}} least {mindestens {min}{unit}} most {höchstens {max}{unit}} expect {{expect}} other {geht}}`,

  'box.saber': 'Das Schwert',
  'box.killKey': '{name} (der Schlüssel selbst)',
  'box.hexKey': 'Inbusschlüssel {key}',
  'box.returned': '{what} (gehört dir, kommt zurück)',
  'box.record': 'Begleitheft, gedruckt',

  notRecorded: 'nicht festgehalten',
  notRecordedWhy: 'nicht festgehalten ({why})',
  about: 'etwa {what}',
  'handoff.noClient': 'ohne Namen',
  'handoff.all': 'alle',
  'handoff.ofSaber': '{saber}: {title}',
  'chapter.words': 'Ein Wort dazu',
  'chapter.requests': `{given, select, yes {Was {giver} sich gewünscht hat, und wo es ist} other {Was du dir gewünscht hast, und wo es ist}}`,
  'chapter.requests.head': `{column, select, wish {{given, select, yes {Der Wunsch} other {Dein Wunsch}}} answer {Antwort} other {Wo}}`,
  'step.turned': `{text}, {part, select, quarter {eine Viertelumdrehung} half {eine halbe Umdrehung} other {{n, plural, =1 {eine Umdrehung} =2 {zwei Umdrehungen} =3 {drei Umdrehungen} other {# Umdrehungen}}}}`,
  'step.irreversible':
    'Das lässt sich nicht rückgängig machen.{agreed, select, yes { Zugestimmt: {who}, {on}.} other {}}',
  'request.text': '{text}{own, select, yes { (unsere Idee)} other {}}{several, select, yes { ({saber})} other {}}',
  'request.answer':
    '{status, select, met {erfüllt} open {noch offen} changed {anders umgesetzt} other {nicht umgesetzt}}{answered, select, yes {: {answer}} other {}}{told, select, yes { (gesagt am {on})} other {}}{priced, select, yes {; {price}{took, select, yes {, angenommen {accepted}} other {}}} other {}}',
  'chapter.arrivals': `{given, select, yes {Was {giver} geschickt hat, und was daraus wurde} other {Was du geschickt hast, und was daraus wurde}}`,
  'chapter.arrivals.head': '{column, select, part {Teil} condition {Wie es ankam} other {Was daraus wurde}}',
  'arrival.what': '{quantity, plural, =1 {{what}} other {# × {what}}}',
  'fact.unsure':
    '{text} ({source, select, recalled {aus dem Gedächtnis} believed {vermutet} client {wie du sagtest} assumed {angenommen} other {nicht geklärt}})',
  'arrival.fate':
    '{fate, select, leftOver {nicht gebraucht} returned {zurück} altered {geändert} used {verbaut} other {offen}}{placed, select, yes { ({now})} other {}}{of, select, yes { in {saber}} other {}}{noted, select, yes {: {note}} other {}}',
  'chapter.questions': 'Was gefragt wurde',
  'chapter.questions.head': '{column, select, question {Frage} other {Antwort}}',
  'chapter.packing': 'Im Paket',
  'chapter.packing.head': '{column, select, what {Was} quantity {Wie viele} other {Gepackt}}',
  'packing.packed': '{packed, select, yes {ja} other {noch nicht}}',
  'packing.what': `{what}{apart, select, yes { ({of})} other {}}{keep, select, client { – gehört dir} shop { – gehört uns, bitte schick es zurück} other {}}{noted, select, yes {: {note}} other {}}`,
  'packing.how': 'Woher du es hast',
  'packing.supply': '{supply, select, hasAlready {hast du schon} toBuy {musst du kaufen} other {im Paket}}',
  'packing.parcel': `Paket an {to}{addressed, select, yes {, {address}} other {}}{sized, select, yes {; {size}} other {}}{weighed, select, yes {; {mass}} other {}}{sent, select, yes {; abgeschickt am {on}} other {}}{tracked, select, yes {; Sendungsnummer {tracking}} other {}}{noted, select, yes {. {note}} other {}}`,
  'question.text': '{mine, select, yes {Du hast gefragt: {text}} other {{text}}}',
  'question.open': `noch offen: bitte sag es uns`,
  'chapter.visits': 'Seit der Übergabe',
  'chapter.visits.head':
    '{column, select, when {Bei uns} said {Was du gesagt hast} found {Was wir gefunden haben} other {Was wir gemacht haben}}',
  'visit.when': `{of, select, yes {{saber}: } other {}}{on}{gone, select, yes { bis {back}} other {, noch hier}}{known, select, yes { ({by})} other {}}`,
  'chapter.film': 'Der Film',
  'film.title': '{several, select, yes {{saber}, der Film} other {Der Film}}',
  'chapter.aside': 'Bewusst offen gelassen',
  'chapter.aside.head': '{column, select, why {Was und warum} who {Wer entschied} other {Wann}}',
  'chapter.credits': 'Wer was gemacht hat',
  'chapter.credits.head': '{column, select, who {Wer} other {Hat gemacht}}',
  'credits.none': 'Nicht festgehalten.',
  'chapter.spec': 'Technische Daten',
  'spec.name': `{row, select, hilt {Griff} length {Länge des Griffs} mass {Gewicht ohne Klinge} balance {Schwerpunkt vom Knauf} cell {Zelle} speaker {Lautsprecher} board {Soundplatine} firmware {Firmware} edition {Ausgabe} recipient {Gefertigt für} cellFigures {Ersatzzelle} speakerFigures {Ersatzlautsprecher} lights {Lichter und ihre Speisung} other {Stromtrennung}}`,
  'spec.hilt': `{origin, select, bought {gekauft} kit {aus einem Bausatz} clientOwn {dein eigener} inherited {geerbt} scratch {von Grund auf gebaut} other {aus einer Serie}}; {known, select, yes {{materials}} other {Werkstoff nicht festgehalten}}`,
  'spec.socket': 'Fassung, {socket}',
  'spec.socketSize': '{bore}, {depth} tief',
  'spec.cutPower': `{way, select, killSwitch {Trennschalter} killKey {{move, select, pushIn {Schlüssel einstecken} pullOut {Schlüssel herausziehen} turn {Schlüssel drehen} inAndTurn {Schlüssel drehen} turnBack {Schlüssel zurückdrehen} backAndOut {Schlüssel zurückdrehen und herausziehen} other {Schlüssel}}} cellOut {Zelle entnehmen} deepSleep {eigener Tiefschlaf} other {nur, indem man die Zelle entnimmt}}`,
  'chapter.cautions': 'Hinweise zur Sicherheit',
  'chapter.power': 'Ein- und Ausschalten',
  'chapter.controls': 'Bedienung',
  'chapter.controls.head': '{column, select, state {Zustand} gesture {Handgriff} does {Wirkung} other {Status}}',
  'control.state':
    '{state, select, asleep {schlafend} off {Klinge aus} lit {leuchtend} menu {{mode}} muted {stumm} other {im Kampfmodus}}{limited, select, yes { ({presets})} other {}}',
  'control.status':
    '{status, select, unsure {nicht sicher: probier es} configured {eingerichtet} other {eingerichtet und gezeigt}}',
  'control.cue': `{at, select, start {zuerst} step {bei jedem Schritt} other {am Ende}} {as, select,
    beep {ein Ton} voice {eine Stimme} sound {ein Geräusch} flash {ein Blitz} blade {ein Zeichen auf der Klinge} other {ein Summen}}{said, select, yes {: {says}} other {}}`,
  'chapter.modes.head': '{column, select, mode {Modus} chooses {Damit wählst du} other {Endet von selbst}}',
  'mode.chooses': `{what, select, preset {das Preset} colour {die Farbe} volume {die Lautstärke} brightness {die Helligkeit}
    track {die Musik} profile {das Profil} effect {den Effekt} other {wie benannt}}{turning, select, yes { durch Drehen des Griffs} other {}}`,
  'mode.ends': 'nach {seconds}{leads, select, yes { ({to})} other {}}',
  'timing.name': `{row, select, tapMost {Als kurzer Druck gilt höchstens} tapGap {Drücke zählen zusammen innerhalb von}
    chordGap {Zwei Tasten gelten als eine innerhalb von} beepEvery {Ein Ton alle} upFrom {Die Klinge ist oben ab}
    downFrom {Die Klinge ist unten ab} other {Eine Hand braucht mindestens}}`,
  'card.title': '{saber}, Bedienung',
  'card.about': 'Was du zuerst wissen solltest',
  'card.foot':
    '{more, select, yes {Alles Weitere auf der Rückseite. } other {}}Nie eine leuchtende Klinge auf Augen richten.',
  'card.only': 'Nur in {presets}',
  'card.mode':
    '{state, select, lit {Klinge leuchtet} off {Klinge aus} asleep {Schlafend} muted {Stumm} combat {Kampf} other {Im Menü „{mode}“}}',
  'card.chooses': `Wählt {what, select, preset {das Preset} colour {die Farbe} volume {die Lautstärke} brightness {die Helligkeit}
    track {die Musik} profile {das Profil} effect {den Effekt} other {wie benannt}}{turning, select, yes { durch Drehen des Griffs} other {}}`,
  'card.ends': 'Nach {seconds} ohne Berührung: {mode}',
  'card.unsure': 'Nicht sicher: probier es',
  'controls.standard': 'Wie in „{name}“{n, plural, =0 {} one {, mit einer Ausnahme} other {, mit # Ausnahmen}}.',
  'controls.statuses': `{configured, select, yes {Eingerichtet: hier eingestellt und probiert. } other {}}{shown, select, yes {Gezeigt: auch im Film zu sehen. } other {}}{unsure, select, yes {Nicht sicher: vielleicht geht es anders; probier es und sag es uns.} other {}}`,
  'topic.turnsMenu': `Dort wählst du {what, select, preset {das Preset} colour {die Farbe} volume {die Lautstärke} brightness {die Helligkeit} track {die Musik} profile {das Profil} effect {den Effekt} other {wie es sagt}}, indem du den Griff drehst.`,
  'controls.none': 'Bedienung: nicht festgehalten.',
  'chapter.presets': 'Presets',
  'chapter.presets.head':
    '{column, select, number {Nr.} preset {Preset} colour {Farbe} effects {Effekte und Zeiten} font {Klänge} other {Gewünscht von}}',
  'preset.colour': `{look, select, battery {zeigt, wie voll die Zelle ist} party {viele Farben} varies {wechselt rund um {hue}} other {{hue}}}`,
  'preset.font': '{font}{has, select, yes {; Musik: {tracks}} other {}}',
  'chapter.fonts': 'Klänge',
  'chapter.fonts.head':
    '{column, select, font {Klangsatz} author {Von} sounds {Auf der Karte} other {Bedingungen und Hinweise}}',
  'font.name': '{font}{is, select, voicePack { (Stimme der Menüs)} musicBank { (Musik)} other {}}',
  'font.sounds': '{n, plural, =0 {Klänge nicht festgehalten} =1 {1 Klang} other {# Klänge}}',
  'chapter.blade': 'Die Klinge',
  'chapter.blade.head':
    '{column, select, blade {Klinge} outside {Außen} length {Länge} light {Licht} other {Im Paket}}',
  'blade.light':
    '{kind, select, pixel {{density} LEDs je Meter, {strips} Streifen{set, select, yes {, auf {configured} Pixel eingestellt} other {}}} string {{groups} Gruppen zu {each}, {total} insgesamt} other {–}}',
  'blade.with':
    '{blade}, in ihrem Adapter ({adapter}: außen {outside}, innen {bore}{long, select, yes {, {length} lang} other {}})',
  'blade.inBox': '{use, select, ship {ja} toBuy {nein, bitte kaufen} other {nein, bleibt in der Werkstatt}}',
  'chapter.screws': 'Schraubenplan',
  'chapter.screws.head': '{column, select, screw {Schraube} where {Wo} key {Schlüssel} holds {Hält} other {Du darfst}}',
  'screw.holds': `{purpose, select, bladeRetention {Klinge} joint {Verbindung} chassis {Chassis} cover {Abdeckung} sleeve {Hülse} switch {Schalter} decoration {Zierde} unsaid {nicht festgehalten} other {anderes}}`,
  'key.byHand': 'von Hand',
  'screw.may': '{may, select, never {nicht anfassen} loosen {lösen, nicht entfernen} other {entfernen}}',
  'chapter.troubles': 'Wenn etwas nicht stimmt',
  'trouble.what': `{trouble, select, flicker {Die ersten Pixel flackern} freezes {Es hängt} crackles {Es knistert oder wird dunkel, wenn es laut ist}
    muffled {Es klingt dumpf} loosePommel {Der Knauf lockert sich} noWake {Es wacht nicht auf} noLight {Es klingt, aber die Klinge bleibt dunkel}
    loosensBlade {Die Klinge wackelt} noCharge {Es lädt nicht} other {Etwas anderes}}`,
  'trouble.cure': `{trouble, select,
    flicker {Die Kontakte von Klinge und Fassung treffen sich nicht ganz. Trenn den Strom, nimm die Klinge heraus, wisch beide Kontakte mit einem trockenen Tuch ab, setz die Klinge bis zum Anschlag wieder ein und mach sie fest.}
    freezes {{reset, select, cut {Trenn den Strom, zähl bis zehn, schalte wieder ein.} cell {Nimm die Zelle heraus, zähl bis zehn, leg sie richtig herum wieder ein.} other {Lass es liegen, bis es eingeschlafen ist, dann weck es.}}}
    crackles {Die Zelle ist schwach: lade sie. Bleibt es bei voller Zelle, stell eine Stufe leiser und schreib uns.}
    muffled {Etwas verdeckt den Lautsprecher: prüf, ob seine Öffnungen frei sind, und drück nie auf die Membran.}
    loosePommel {Dreh ihn von Hand fest, ohne Werkzeug und ohne Kleber. Lockert er sich immer wieder, schreib uns.}
    noWake {{reset, select, cut {Sieh nach, ob der Strom an ist; lade dann eine Stunde und versuch es wieder.} other {Lade eine Stunde und versuch es wieder; sieh dann nach, ob die Zelle richtig herum liegt.}}}
    noLight {Setz die Klinge noch einmal bis zum Anschlag ein. Bleibt sie trotzdem dunkel, öffne sie nicht und schreib uns: dann sind es die Klinge oder die Kontakte.}
    loosensBlade {Zieh ihre Schrauben an, bis sie fest sitzen, aber überdreh sie nicht; zieh dann kräftig an der Klinge, bevor du schwingst.}
    noCharge {Versuch ein anderes Kabel und ein anderes Netzteil; der Stecker soll einrasten. Nie mit Gewalt.}
    other {Schreib uns.}}`,
  'trouble.stop':
    'Wird etwas heiß, bläht es sich auf, raucht oder riecht es: nicht mehr benutzen und nicht öffnen. Trenn den Strom, wenn das gefahrlos geht, leg es dorthin, wo nichts brennen kann, und schreib uns. Örtliche Brandschutzregeln gehen vor; alles am Stromnetz ist Sache einer Elektrofachkraft.',
  'chapter.opening': 'Öffnen, Zelle und Schließen',
  'chapter.charging': 'Laden und Lagern',
  'charging.name': `{row, select, runtime {Laufzeit} charging {Ladezeit} circuit {Ladestrom und Ladeschluss} charged {Ladestand beim Versand} asleep {Standzeit im Schlaf} energy {Energie} volume {Lautstärke bei Auslieferung} loudest {Höchste Einstellung} brightness {Helligkeit bei Auslieferung} other {Höchste sichere Lautstärke}}`,
  'charging.days': '{n, plural, =0 {weniger als ein Tag} =1 {etwa ein Tag} other {etwa {days} Tage}}',
  'chapter.tests': 'Was geprüft wurde',
  'chapter.tests.head': '{column, select, test {Prüfung} wanted {Soll} found {Ist} other {Ergebnis}}',
  'test.verdict':
    '{standing, select, pass {bestanden} fail {nicht bestanden} retest {zu wiederholen} notPossible {hier nicht möglich} waived {bewusst ausgelassen} other {nicht gemacht}}',
  'tests.none': 'Keine Prüfungen festgehalten.',
  'chapter.repairs.head':
    '{column, select, on {Repariert am} fault {Wie gemeldet} cause {Ursache} fix {Reparatur} other {Nachweis}}',
  'chapter.walkthrough': 'Vorführung',
  'test.peakCurrent': 'Höchster Strom, {look} in {preset}',
  look: '{look, select, steady {ruhig} clash {Treffer} lock {Verkeilen} deflect {Abwehr} drag {Schleifen} melt {Schmelzen} surge {Überladung} other {weiß}}',
  'test.port': '{port}: lädt und wird voll',
  'test.port.expect': 'beginnt, endet von selbst, nichts wird warm',
  'test.card': '{card} zurückgelesen',
  'test.card.expect': 'alle Dateien vorhanden und unversehrt',
  'test.zone': 'Jede LED: {zone}',
  'test.zone.expect': 'alle leuchten, in der richtigen Farbe',
  'test.farLed': 'Spannung am letzten Pixel, {blade}, alles weiß',
  'test.sense': 'Reagiert auf: {sense}',
  'test.sense.expect': 'jedes Mal, wenn es soll, nie von selbst',
  'test.link': 'Funkverbindung {link}',
  'test.link.expect': 'gefunden, nimmt den Code, ändert die Lautstärke',
  'test.spare': '{what} an seiner Stelle probiert',
  'test.spare.expect': 'passt und funktioniert',
  'test.fit': '{blade} geht hinein und heraus',
  'test.fit.expect': 'von Hand, ohne Gewalt',
  'test.effects': 'Jeder Effekt von {preset}: {effects}',
  'test.effects.expect': 'jeder mit seinem Klang und seiner Farbe',
  event:
    '{event, select, boot {Start} ignite {Zünden} hum {Summen} swing {Schwung} clash {Treffer} lock {Verkeilen} drag {Schleifen} melt {Schmelzen} deflect {Abwehr} surge {Überladung} quote {Spruch} track {Musik} retract {Einziehen} lowBattery {Zelle schwach} other {vor dem Zünden}}',
  'chapter.brief': 'Was gewünscht war',
  'brief.gift': 'Ein Geschenk von {giver}.',
  'chapter.decisions': 'Was gewählt wurde, und warum',
  'chapter.decisions.head': '{column, select, chose {Gewählt} why {Weil} gaveUp {Dafür verzichtet auf} other {Von}}',
  'decision.chose': '{text}{has, select, yes { ({about})} other {}}',
  'decision.by': `{whose, select, client {deine Wahl, } both {gemeinsam gewählt, } other {}}{by}, {on}{for, select, yes {; nicht rückgängig zu machen{agreed, select, yes {, zugestimmt {who}, {day}} other {}}} other {}}`,
  'chapter.lights': 'Lichter',
  'chapter.lights.head': '{column, select, light {Licht} leds {LEDs} other {Es zeigt}}',
  'light.name':
    '{name} ({kind, select, blade {in der Klinge} quillon {in der Parierstange} crystal {am Kristall} chassis {am Chassis} accent {Akzent} connector {am Kontakt} other {in der Taste}})',
  'light.die': '{die} ({hue}): {volts}, {amps}',
  'light.does':
    '{follows, select, yes {dasselbe wie „{with}“} no {eigenes Licht} other {nicht festgehalten, ob es ein eigenes Licht hat}}',
  'light.through': 'gesehen durch {what}{coloured, select, yes { ({hue})} other {}}',
  'light.dies': 'Leuchtpunkte: {dies}',
  die: '{die, select, red {rot} green {grün} blue {blau} white {weiß} warmWhite {warmweiß} amber {bernstein} cyan {cyan} other {tiefblau}}',
  'blade.seen': `{tinted, select, yes {Getöntes Rohr ({tint}). } other {}}{tip, select, yes {Die Spitze leuchtet. } other {}}{made, select, yes {Leuchtpunkte: {dies}. } other {}}{wide, select, yes {Das Licht einer LED verteilt sich über {spreads}.} other {}}`,
  'chapter.card': 'Die Speicherkarte',
  'chapter.card.head':
    '{column, select, card {Karte} holds {Darauf} copied {Von uns kopiert} other {Seither geändert}}',
  'card.first': 'Kopiere die ganze Karte an einen sicheren Ort, bevor du etwas darauf änderst.',
  'card.name': '{name} ({is, select, shipped {im Schwert} spare {Ersatz} other {deine alte}})',
  'card.holds': `{n, plural, one {1 Datei} other {# Dateien}}, {size}, {was, select, written {geschrieben} other {gelesen}} {day}{who, select, yes { von {by}} other {}}{bad, plural, =0 {} one {; 1 Datei nicht lesbar} other {; # Dateien nicht lesbar}}`,
  'card.edit': '{day}: {what}{who, select, yes { ({by})} other {}}',
  'card.limits': 'Bekannte Grenzen ihrer Firmware: {what}',
  'chapter.settings': 'Einstellungen der Platine',
  'setting.name': `{row, select, sleepAfter {Schläft ein nach} displayTimeout {Display wird dunkel nach} displayAngle {Winkel des Bildes zur Schalterlinie} volumeSteps {Lautstärkestufen} greeting {Begrüßung auf dem Display} other {Funkverbindung}}`,
  'setting.greeting': `{greets, select, yes {„{greeting}“} other {}}{pictured, select, yes {{greets, select, yes {, } other {}}{picture}} other {}}`,
  'owner.who': `{who}{you, select, yes { (du)} other {}}`,
  'preset.needs': `ganz zu sehen nur mit {blade}`,
  'preset.unsure': `nicht sicher: probier es`,
  'setting.link': '{name}{coded, select, yes {, Code {code}} other {}}{by, select, yes {, mit {program}} other {}}',
  'chapter.senses.head': '{column, select, sense {Reagiert auf} value {Eingestellt auf} other {Erprobt mit}}',
  sense:
    '{sense, select, swing {Schwung} clash {Treffer} twist {Drehen} thrust {Stoß} shake {Schütteln} tilt {Neigen} other {Antippen}}',
  triedWith: '{with, select, plug {dem Stopfen} other {der Klinge}}',
  'chapter.goesWith': 'Was dazugehört',
  'chapter.goesWith.head': '{column, select, what {Was} for {Wofür} from {Woher} other {Angaben für den Kauf}}',
  'item.role':
    '{role, select, accessory {{named, select, yes {gehört zu: {of}} other {gehört zum Schwert}}} alternative {{named, select, yes {anstelle von: {of}} other {zur Auswahl}}} other {{named, select, yes {Ersatz für: {of}} other {Ersatz}}}}',
  'item.from':
    '{from, select, shop {im Paket} client {hast du} notSupplied {kaufst du} other {bleibt in der Werkstatt}}',
  'item.protected': 'geschützt',
  'chapter.before': 'Vor der Arbeit',
  'chapter.owners.head': '{column, select, who {Bei wem} when {Wann} other {Was daran gemacht wurde}}',
  'chapter.before.head': '{column, select, what {Vorher} other {Jetzt}}',
  'before.what': '{what}{kind, select, port { (Buchse)} other {}}',
  'before.now':
    '{stays, select, yes {wie zuvor} other {{by, select, yes {stattdessen: {instead}} other {nicht mehr}}}}',
  'chapter.losses': 'Was unterwegs ersetzt wurde',
  'chapter.losses.head': '{column, select, what {Was} why {Warum} other {Dir gesagt am}}',
  'loss.what':
    '{what}, {how, select, spoilt {missglückt} remade {neu gefertigt} other {ersetzt}} {on}{made, select, yes {, von {maker}} other {}}',
  'chapter.notes': 'Gut zu wissen',
  'chapter.notes.head': '{column, select, of {Zu} other {Was du wissen solltest}}',
  'note.joint': '{section}, die Verbindung',
  'chapter.left': `Was noch zu tun ist`,
  'chapter.left.head': '{column, select, what {Was} other {Von wem, bis wann}}',
  'left.what': `{who, select, shop {Steht bei uns noch aus: } other {}}{text}{named, select, yes { ({on})} other {}}`,
  'chapter.warranty': 'Unsere Garantie',
  'warranty.ends': 'Sie erlischt durch: {ends}',
  'notFor.title': 'Nicht gemacht für {what}',
  'preset.effect': `{effect, select, preIgnition {vor dem Zünden} ignite {Zünden} clash {Treffer} lock {Verkeilen} deflect {Abwehr} drag {Schleifen} melt {Schmelzen} retract {Einziehen} other {Überladung}}{coloured, select, yes { {hue}} other {}}{moving, select, yes { ({moves})} other {}}`,
  'preset.event': `{event, select, preIgnition {vor dem Zünden} ignite {Zünden} clash {Treffer} lock {Verkeilen} deflect {Abwehr} drag {Schleifen} melt {Schmelzen} retract {Einziehen} other {Überladung}} {is, select, boardDefault {Vorgabe der Platine} notThere {nicht eingerichtet} other {wechselt}}`,
  'preset.moves': `{how, select, steady {ruhig} breathing {atmend} flicker {flackernd} unstable {unruhig} flame {wie eine Flamme} cycle {durch alle Farben} gradient {mit Farbverlauf} level {wie eine Pegelanzeige} spark {mit einzelnen Funken} other {in Wellen}}{over, select, yes { bis {second}} other {}}{rated, select, yes {, {rate}} other {}}`,
  'preset.light': `{light}{coloured, select, yes { {hue}} other {}}{moving, select, yes { ({moves})} other {}}`,
  'preset.picture': 'auf dem Display: {picture}',
  'preset.takes': `braucht {long, select, yes {eine leuchtende Klinge von {length}{tip, select, yes { mit leuchtender Spitze} other {}}{plug, select, yes {, oder den Stopfen} other {}}} other {{tip, select, yes {eine leuchtende Spitze{plug, select, yes { oder den Stopfen} other {}}} other {den Stopfen}}}}`,
  'preset.time': 'fährt in {time} {way, select, out {aus} other {ein}}',
  'preset.flashes': 'blitzt mit {rate}',
  'arrival.condition':
    '{whole, select, yes {ganzes Schwert: } other {}}{condition}{dated, select, yes { (notiert {on})} other {}}',
  'arrival.fault': 'Mangel: {fault}{why, select, yes {, so gelassen: {left}} other {}}',
  'test.what':
    '{what}{setup, select, plug { (mit dem Stopfen)} blade { (mit der Klinge)} opened { (geöffnet)} other {}}',
  'test.notPossible': 'hier nicht möglich: {why}',
  'test.waived': '{found}; ausgelassen von {who}, {on}: {why}',
  'repair.on': '{on}{known, select, yes { (gemeldet {reported})} other {}}',
  'repair.fix': '{fix}{placed, select, yes { ({where})} other {}}',
  'repair.proof':
    '{proved, select, yes {{cycles, plural, =1 {einmal} other {#-mal}} ohne Fehler} other {siehe die Prüfungen}}{charged, select, yes {; {charge}} other {}}',
  'spec.figure':
    '{of, select, diameter {Durchmesser} length {Länge} capacity {Kapazität} nominalVolts {Nennspannung} contCurrent {Dauerstrom} height {Tiefe} impedance {Impedanz} other {Leistung}} {value}',
  'spec.part': '{name}{typed, select, yes {, {type}} other {}}{hasLot, select, yes { (Los {lot})} other {}}',
  material:
    '{material, select, aluminium {Aluminium} brass {Messing} copper {Kupfer} steel {Stahl} silver {Silber} polycarbonate {Polycarbonat} PLA {PLA} resin {Harz} leather {Leder} wood {Holz} other {ein anderer Werkstoff}}',
  'charging.end': '{port}, am anderen Ende',

  'cover.line': '{shop} · Begleitheft Nr. {number} · {date}',
  'cover.for': 'für {client}',
  'cover.fact':
    '{row, select, length {Länge, ohne Klinge} mass {Gewicht, ohne Klinge} balance {Schwerpunkt ab Knauf} cell {Zelle} runtime {Laufzeit bei deiner Nutzung} other {Klinge}}',
  'cover.record': 'Heft Nr. {number} · {date}',
  'cover.asked': `{given, select, yes {Mit den Worten von {giver}.} other {In deinen Worten.}}{answered, select, yes { {answer}} other {}}`,
  'cover.made': 'gebaut, geprüft, unterschrieben',
  'cover.page': 'Scannen: ausprobieren, öffnen, uns fragen',
  'apart.about': 'Folge den Zahlen der Reihe nach.',
  'apart.back': 'Und zurück',
  'cut.title': '{what, select, card {Bedienung} other {Schrauben}}',
  'cut.screw': '{may, select, never {{name}: nicht anfassen} other {{name}{keyed, select, yes { · {key}} other {}}}}',
  'cut.here': 'zum Ausschneiden · {saber}',
  'sheet.title': '{saber}, auf einem Blatt',
  'sheet.part': '{part, select, first {Bedienung} open {Öffnen und schließen} mind {Vorsicht} other {Schrauben}}',
  'sheet.rest': 'Alles steht im ganzen Heft.',
  'tests.bar': 'Soll {wanted}{reckoned, select, yes {, berechnet {computed}} other {}}, Ist {found}',
  'tests.legend': 'Band: Soll. Raute: berechnet. Strich: Ist.',
  'label.from': 'von',
  'label.to': 'an',
  'recall.subject': 'Bitte lies das: {saber}',
  'recall.text': `Hallo {client},¶¶ein Teil, das in {n, plural, =1 {{sabers}} other {deinen Schwertern {sabers}}} steckt, wird zurückgerufen: {part}{ofLot, select, yes { aus Charge {lot}} other {}}.¶¶{why}¶¶Worum wir dich bitten: {todo}¶¶Schreib oder ruf an, wenn etwas unklar ist. Wird etwas heiß, bläht es sich oder riecht es: leg es dorthin, wo nichts brennen kann, und fass es nicht mehr an.¶¶{shop}`,
  'letter.subject':
    '{kind, select, question {Eine Frage zu {title}} answer {Deine Frage zu {title}} delay {{title}: ein neuer Termin} ready {{title} ist fertig} shipped {{title} ist unterwegs} other {{title}, ein Jahr danach}}',
  'letter.frame': 'Hallo {client},¶¶{body}¶¶{shop}',
  'letter.question':
    '{n, plural, =1 {wir haben eine Frage zu {title}:} other {wir haben {n} Fragen zu {title}:}}¶¶{questions}{waits, select, yes {¶¶Bis wir es wissen, ruht die Arbeit daran.} other {}}',
  'letter.answer': 'du hast gefragt: {question}¶¶{answer}',
  'letter.delay':
    '{had, select, yes {wir hatten dir {title} für den {before} versprochen. Es dauert länger: Wir rechnen jetzt mit dem {newly}.} other {{title} dauert länger: Wir rechnen jetzt mit dem {newly}.}}{reason, select, part {¶¶Ein Teil, das wir bestellt haben, ist noch nicht da.} answer {¶¶Uns fehlt noch eine Antwort.} longer {¶¶Die Arbeit dauert länger, als wir dachten.} spoilt {¶¶Ein Teil ist missraten und muss neu gemacht werden.} unwell {¶¶Jemand von uns ist krank.} machine {¶¶Eine unserer Maschinen steht still.} power {¶¶Der Strom ist ausgefallen, und Arbeit ging verloren.} other {}}',
  'letter.ready':
    '{title} ist fertig und geprüft. {sends, select, yes {Am {on} geht es auf den Weg.} other {Sag uns, wann wir es schicken dürfen.}}',
  'letter.shipped': `{title} ist {known, select, yes {seit dem {on} } other {}}zu dir unterwegs.{tracked, select, yes { Die Sendungsnummer ist {tracking}.} other {}}{linked, select, yes {¶¶Alles darüber, zum Ausprobieren und zum Lesen: {link}} other {}}¶¶Lies bitte vor dem ersten Einschalten, was über die Zelle und die Klinge dasteht.`,
  'letter.year': `vor einem Jahr ist {title} zu dir gekommen. Ist alles, wie es sein soll?¶¶Schau es dir bitte einmal an: Die Zelle hat keine Delle und ist nicht gebläht, ihre Hülle ist heil, die Klinge sitzt auch bei kräftigem Ziehen fest, und jede Schraube ist an ihrem Platz. Benutze nie eine beschädigte Zelle.¶¶Ist etwas anders als am ersten Tag, dann schreib uns.`,
  'quote.title': 'Angebot {number} für {title}',
  'quote.head': 'Für {client}, von {shop}, {on}.',
  'quote.valid': 'Es gilt bis {on}.',
  'quote.options': 'Auf Wunsch',
  'quote.open': 'nicht in der Summe, solange du es nicht annimmst',
  'quote.agreed': 'angenommen am {on}: {by}',
  'quote.changes': 'Seitdem geändert',
  'quote.sum': '{which, select, total {Summe} paid {Bezahlt} other {Noch offen}}',
  'quote.payments': 'Bisher bezahlt',
  'quote.payment': '{kind, select, deposit {Anzahlung} balance {Restzahlung} other {Zahlung}}, {on}',
  'quote.work':
    '{kind, select, measure {Messen} bore {Bohren und Anpassen} print {Chassis drucken} finish {Oberfläche} wire {Verdrahten} setUp {Einrichten} prove {Prüfen} film {Filmen} write {Begleitheft schreiben} other {Verpacken}}',
  'quote.taxes': 'Steuern, Zölle und Gebühren stehen nicht auf diesem Blatt.',
  'cover.legend':
    '„Etwa“ steht bei Werten, die nicht gemessen wurden. „Nicht festgehalten“ heißt genau das.{own, select, yes { Was in einer anderen Sprache dasteht, sind die eigenen Worte der Werkstatt.} other {}}',
  'pdf.title': '{title}: Begleitheft',
  'pdf.page': '{page} von {of}',
  'pdf.foot': '{title}, für {client}',
  'pdf.drawing':
    '{which, select, section {Zeichnung von {saber} im Maßstab, längs geschnitten} apart {{saber} so weit auseinander, wie du es nimmst, mit Zahlen} other {Die Oberfläche von {saber}, abgewickelt, im Maßstab}}; was sie zeigt, steht auch in Worten in diesem Heft.',
  'pdf.caution': 'Achtung: {text}',
  'page.inHand': 'Probier es hier: drücken, halten, drehen',
  'page.hint': 'Jetzt: {gesture}. {what}.',
  'page.asleep':
    '{state, select, asleep {Es schläft.} off {Eingeschaltet, Klinge aus.} lit {Die Klinge leuchtet.} menu {Es ist im Menü „{mode}“.} muted {Es leuchtet, stumm.} other {Es ist im Kampfmodus.}}',
  'page.openWith': 'Schritt für Schritt öffnen',
  'page.practise': 'Bedienung üben',
  'page.sound': '{on, select, yes {ohne Ton} other {mit Ton}}',
  'page.move':
    '{motion, select, swing {schwingen} strike {schlagen} thrust {stechen} twist {drehen} shake {schütteln} other {rucken}}',
  'page.pose': '{pose, select, up {Klinge nach oben} down {Klinge nach unten} other {waagrecht}}',
  'page.presets': 'Seine Looks',
  'page.choose': 'Was möchtest du tun?',
  'page.back': 'zurück',
  'page.next': '{last, select, yes {fertig} other {erledigt, weiter}}',
  'page.acts': 'Schritt {n} von {of}{back, plural, =0 {} other {, danach # zum Schließen}}',
  'page.goesOn': 'Beide Hände voll? In {seconds} s geht es weiter.',
  'page.wait': '{waits, select, yes {von selbst weiter} other {auf mich warten}}',
  'page.waits': `{why, select, lasts {Das dauert eine Weile: weiter, wenn es fertig ist.} poles {Prüf zweimal, wie herum, dann weiter.}
    power {Prüf, ob es so ist, dann weiter.} hold {Vergewissere dich, dass es hält, dann weiter.} other {Warte darauf, dann weiter.}}`,
  'page.over': 'von vorn',
  'page.wayBack': 'nur wieder schließen',
  'page.done': 'Das war alles: {what}.',
  'page.cannot':
    '{live, select, yes {Es bleibt unter Strom, und nichts, was du erreichst, trennt ihn. } other {}}Das darf nur die Werkstatt öffnen: lass es zu und schreib uns.',
  'page.again': 'noch einmal',
  'page.how': 'wie?',
  'page.showMe': 'zeig es mir',
  'page.nextOne': 'weiter',
  'page.learnt': '{n} von {of}',
  'page.nothingToLearn': 'Hier lässt sich nichts üben.',
  'page.leave': 'schließen',
  'page.read': 'Das habe ich gelesen',
  'page.readOn': 'gelesen am {on}',
  'page.first': 'Als Erstes',
  'page.firstRead': 'Lies zuerst die Sicherheitshinweise',
  'page.firstLight': 'Zünden: {gesture}',
  'page.firstDark': 'Und wieder aus: {gesture}',
  'page.ask': 'Frag uns',
  'page.question': 'Was möchtest du wissen?',
  'page.askIt': '{file, select, yes {in meine Nachricht übernehmen} other {fragen}}',
  'page.asked':
    '{file, select, yes {{sent, select, yes {in der gespeicherten Nachricht} other {noch nicht gespeichert}}} other {{sent, select, yes {gesendet am {on}} other {wird gesendet}}}}',
  'page.notSent': 'Noch nicht gesendet ({why}). Wir heben es hier auf und versuchen es von selbst noch einmal.',
  'page.reply':
    'Du siehst eine gespeicherte Kopie. Speichere deine Nachricht und schick sie uns{known, select, yes {: {contact}} other {}}.',
  'page.saveReply': 'meine Nachricht speichern',
  'page.copyReply': 'als Text kopieren',
  'page.film': 'den Film ansehen',
  'page.filmFile': 'Speichere {file} in denselben Ordner wie diese Seite, dann läuft der Film hier.',
  'page.more': 'Alles Weitere',
  'page.revision': 'Begleitheft Nr. {number}, {date}',
  'page.newer': 'Das ist Begleitheft Nr. {number}, {date}. Es ersetzt Nr. {given}, mit dem diese Adresse kam.',
  'page.older': 'Das ist Begleitheft Nr. {number}, {date}, mit dem diese Adresse kam. Inzwischen gilt Nr. {newest}.',
  'page.changed': 'Darin steht etwas anderes zu: {what}.',
  'page.showOther': 'Begleitheft Nr. {number} zeigen',
  'page.file': 'diese Seite als eine Datei',
  'page.pdf': '{extent, select, short {das kurze PDF} sheet {auf einem Blatt} other {das PDF}}',
  'page.contents': 'Inhalt',
  'page.drawing': 'Zeichnung von {saber}',
  'page.waiting': 'Einen Augenblick …',
  'page.title': '{title}, für {client}',
  'script.title': '{saber}: Vorführung',
  'script.show': 'Zeigen: {what}',
  'script.do': 'Tun: {what}',
  'script.expect': 'Erwarten: {what}',
  'script.about': 'Etwa {seconds} s',
  'script.onPaper': 'Nicht im Film; zu lesen im Begleitheft:',
  'script.leftTo': '{leftTo, select, picture {Auf einem Bild zu sehen} other {Steht im Begleitheft}}',

  'buy.adapter': '{name}: außen {outside}, innen {bore}{long, select, yes {, {length} mm lang} other {}}',
  'buy.tube': 'Rohr außen {size}',
  'buy.wall': 'Wand {wall} mm',
  'buy.length': '{size} lang',
  'buy.exposed': 'davon {mm} mm außerhalb des Griffs',
  'buy.density': 'Pixelstreifen, {density} je Meter',
  'buy.strips': '{strips} Streifen',
  'buy.contacts': 'passende Kontakte: {connector}',
  'buy.kind': '{kind, select, inHilt {hohles Rohr ohne LEDs} plug {Stopfen} other {LED-Kette}}',
}

type Word = readonly [word: string, gender: Gender]
const NOUNS: Readonly<Record<NounKind, Word>> = {
  'part.cell': ['Zelle', 'f'],
  'part.speaker': ['Lautsprecher', 'm'],
  'part.board': ['Soundplatine', 'f'],
  'part.auxBoard': ['Zusatzplatine', 'f'],
  'part.switch': ['Taste', 'f'],
  'part.killSwitch': ['Trennschalter', 'm'],
  'part.killKey': ['Trennschlüssel', 'm'],
  'part.chargePort': ['Ladebuchse', 'f'],
  'part.connector': ['Klingenkontakt', 'm'],
  'part.contactBoard': ['Kontaktplatine', 'f'],
  'part.strip': ['Leuchtstreifen', 'm'],
  'part.accentLed': ['Akzentlicht', 'n'],
  'part.inHiltLed': ['Licht im Griff', 'n'],
  'part.heatsink': ['Kühlkörper', 'm'],
  'part.display': ['Display', 'n'],
  'part.chamber': ['Kristallkammer', 'f'],
  'part.chassis': ['Chassis', 'n'],
  'part.spacer': ['Distanzring', 'm'],
  'part.spring': ['Feder', 'f'],
  'part.wire': ['Draht', 'm'],
  'part.resistor': ['Widerstand', 'm'],
  'part.card': ['Speicherkarte', 'f'],
  'part.tube': ['Klingenrohr', 'n'],
  'part.plug': ['Klingenstopfen', 'm'],
  'part.cover': ['Abdeckung', 'f'],
  'part.charger': ['Ladegerät', 'n'],
  'part.sleeve': ['Hülse', 'f'],
  'part.tool': ['Werkzeug', 'n'],
  'part.screw': ['Schraube', 'f'],
  'part.other': ['Teil', 'n'],
  'section.pommel': ['Knauf', 'm'],
  'section.grip': ['Griffstück', 'n'],
  'section.neck': ['Hals', 'm'],
  'section.shroud': ['Mantel', 'm'],
  'section.emitter': ['Emitter', 'm'],
  'section.extension': ['Verlängerung', 'f'],
  'section.quillon': ['Parierstange', 'f'],
  'screw.bladeRetention': ['Klingenschraube', 'f'],
  'screw.joint': ['Verbindungsschraube', 'f'],
  'screw.chassis': ['Chassisschraube', 'f'],
  'screw.cover': ['Deckelschraube', 'f'],
  'screw.sleeve': ['Hülsenschraube', 'f'],
  'screw.switch': ['Schalterschraube', 'f'],
  'screw.decoration': ['Zierschraube', 'f'],
  'screw.other': ['Schraube', 'f'],
  'input.button': ['Taste', 'f'],
  'input.motion': ['Griff', 'm'],
  'input.slide': ['Schieber', 'm'],
  'input.key': ['Schlüssel', 'm'],
  'input.magnet': ['Magnet', 'm'],
  'input.port': ['Buchse', 'f'],
  socket: ['Klingenfassung', 'f'],
  blade: ['Klinge', 'f'],
  plug: ['Stopfen', 'm'],
}
/** Which of several, without its ending. */
const WHICH: Readonly<Record<Which, string>> = {
  ...{ rear: 'hinter', front: 'vorder', middle: 'mittler' },
  ...{ first: 'erst', second: 'zweit', third: 'dritt', fourth: 'viert', none: '' },
}
const ARTICLES: Readonly<Record<Gender | 'many', readonly [nom: string, acc: string, dat: string]>> = {
  m: ['der', 'den', 'dem'],
  f: ['die', 'die', 'der'],
  n: ['das', 'das', 'dem'],
  many: ['die', 'die', 'den'],
}
/** Magnets are declined weakly; all else here takes no ending in the singular. */
const weak = (word: string, dative: boolean) => (word === 'Magnet' && dative ? 'Magneten' : word)

/** The adjectives before a name that somebody gave, each without its ending: `kupferner Knopf` is `kupfern` and `Knopf`. */
function partedOrWhole(name: string): { stems: string[]; word: string } {
  const words = name.trim().split(/\s+/)
  const word = words.pop() ?? ''
  const declined = words.every((w) => /^\p{Ll}.*(?:er|es|en|em|e)$/u.test(w))
  return declined ? { stems: words.map((w) => w.replace(/(?:er|es|en|em|e)$/, '')), word } : { stems: [], word: name }
}

/** What stands for a thing that was named: he, she, it, they, as the subject and as the object. */
const PRONOUNS = {
  ...{ m: { it: 'er', them: 'ihn' }, f: { it: 'sie', them: 'sie' }, n: { it: 'es', them: 'es' } },
  many: { it: 'sie', them: 'sie' },
} as const

function cases(noun: Noun): Cases {
  // A name whose gender nobody has said stands as it is.
  if ('name' in noun && !noun.gender && !noun.several)
    return {
      ...{ bare: noun.name, nom: noun.name, acc: noun.name, dat: noun.name, zu: `zu ${noun.name}` },
      ...PRONOUNS.f,
    }
  const [name, gender] = 'name' in noun ? ([noun.name, noun.gender ?? 'f'] as const) : NOUNS[noun.kind]
  const many = 'name' in noun && noun.several === true
  const { stems, word } =
    'kind' in noun ? { stems: WHICH[noun.which] ? [WHICH[noun.which]] : [], word: name } : partedOrWhole(name)
  const [nom, acc, dat] = ARTICLES[many ? 'many' : gender]
  const of = (article: string, ending: string, form: string) =>
    [article, ...stems.map((x) => `${x}${ending}`), form].filter(Boolean).join(' ')
  const masculine = gender === 'm' && !many
  const strong = masculine ? 'er' : gender === 'n' && !many ? 'es' : 'e'
  const dative = of(dat, 'en', many && !/[ns]$/.test(word) ? `${word}n` : weak(word, true))
  return {
    bare: 'name' in noun ? noun.name : [...stems.map((x) => `${x}${strong}`), word].join(' '),
    nom: of(nom, many ? 'en' : 'e', word),
    acc: of(acc, masculine || many ? 'en' : 'e', weak(word, masculine)),
    dat: dative,
    zu: `zu ${dative}`.replace(/^zu dem /, 'zum ').replace(/^zu der /, 'zur '),
    ...PRONOUNS[many ? 'many' : gender],
  }
}

/** Heads of compounds in a workshop that no ending tells; with those that things are called by what they are. */
const HEADS: Readonly<Record<string, Gender>> = {
  ...{
    knopf: 'm',
    stift: 'm',
    bolzen: 'm',
    ring: 'm',
    kragen: 'm',
    deckel: 'm',
    haken: 'm',
    magnet: 'm',
    riegel: 'm',
    fuß: 'm',
  },
  ...{
    kopf: 'm',
    zapfen: 'm',
    dorn: 'm',
    kristall: 'm',
    stein: 'm',
    draht: 'm',
    clip: 'm',
    chip: 'm',
    stecker: 'm',
    akku: 'm',
  },
  ...{
    hebel: 'm',
    regler: 'm',
    sockel: 'm',
    kern: 'm',
    adapter: 'm',
    kühlkörper: 'm',
    schlitz: 'm',
    rand: 'm',
    punkt: 'm',
  },
  ...{
    rad: 'n',
    rohr: 'n',
    loch: 'n',
    fenster: 'n',
    gewinde: 'n',
    glied: 'n',
    licht: 'n',
    band: 'n',
    kabel: 'n',
    ende: 'n',
  },
  ...{
    gitter: 'n',
    stück: 'n',
    blech: 'n',
    holz: 'n',
    leder: 'n',
    kreuz: 'n',
    auge: 'n',
    display: 'n',
    gehäuse: 'n',
    chassis: 'n',
  },
  ...{ fach: 'n', lager: 'n', pedal: 'n', siegel: 'n', emblem: 'n', modul: 'n' },
  ...{
    feder: 'f',
    mutter: 'f',
    diode: 'f',
    nut: 'f',
    kappe: 'f',
    platte: 'f',
    nadel: 'f',
    klammer: 'f',
    karte: 'f',
    led: 'f',
  },
}
/** What a noun ends in, with its gender: the longest that fits tells. */
const ENDINGS: readonly (readonly [ending: RegExp, gender: Gender])[] = [
  [/(?:ung|heit|keit|schaft|ion|tät|ik|ur|enz|anz|ei)$/, 'f'],
  [/(?:chen|lein|ment|um)$/, 'n'],
  [/(?:ling|ismus|or|ich|ig)$/, 'm'],
  [/e$/, 'f'],
  [/er$/, 'm'],
]
const KNOWN: readonly (readonly [head: string, gender: Gender])[] = [
  ...Object.entries(HEADS),
  ...Object.values(NOUNS).map(([word, gender]) => [word.toLowerCase(), gender] as const),
].sort((a, b) => b[0].length - a[0].length)

/** By an article or adjective before it, by the last word of a compound, by its ending. */
function guess(name: string): { gender?: Gender; several?: true } {
  const { stems, word } = partedOrWhole(name.replace(/^(?:der|die|das)\s+/i, ''))
  const [last = ''] = word.trim().toLowerCase().split(/\s+/)
  const head = KNOWN.find(([h]) => last.endsWith(h))?.[1] ?? ENDINGS.find(([e]) => e.test(last))?.[1]
  const before = name
    .trim()
    .match(/^(?:der|die|das)\s/i)?.[0]
    .trim()
    .toLowerCase()
  const article = before && ({ der: 'm', die: 'f', das: 'n' } as const)[before as 'der']
  const strong = stems.length ? name.trim().match(/^\p{Ll}+(er|es)\s/u)?.[1] : undefined
  const gender = article ?? (strong === 'es' ? 'n' : strong === 'er' && head !== 'f' ? 'm' : head)
  const many = KNOWN.some(
    ([h]) => last.endsWith(`${h}n`) || (!/e$/.test(h) && (last.endsWith(`${h}e`) || last.endsWith(`${h}er`))),
  )
  return many ? { several: true } : gender ? { gender } : {}
}

/** Everything that is peculiar to German. */
export const de: LanguagePack<SayingCode> = { messages, cases, guess }
