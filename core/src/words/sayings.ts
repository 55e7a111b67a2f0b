import type { Noun } from './noun'

/** A number already written as the reader wants it, or words that stand as they are. */
type Words = string
/** A thing that is spoken of, or words that stand for it. */
type Thing = Noun | Words

/**
 * Everything a client reads or hears, as codes with typed parameters. Each language words every one of them; what computes
 * knows the code and never the sentence. Names, and the maker's own words, are parameters.
 */
/** Where a thing leaves the hilt. */
type Towards = 'pommel' | 'emitter' | 'aside'

export interface Sayings {
  // Names of things and doings.
  action: { action: Words }
  task: { task: Words }
  state: { state: Words }

  // How a control is worked.
  /** `after`: behind a preposition of time, where a language has a case for it. */
  seconds: { form: 'half' | 'whole' | 'other'; n: number; text: Words; after: 'yes' | 'no' }
  times: { n: number }
  input: { name: Thing }
  'input.unknown': Record<never, never>
  'gesture.holdFor': {
    known: 'yes' | 'no' | 'beeps' | 'held'
    about: 'yes' | 'no'
    seconds: Words
    beeps: number
    most: Words
    bounded: 'yes' | 'no'
    lasts: 'yes' | 'no'
  }
  gesture: {
    gesture: Words
    ordered: 'yes' | 'no'
    pose: Words
    held: 'yes' | 'no'
    input: Words
    other: Words
    times: Words
    holdFor: Words
  }

  // Practice: the saber asks, and says what happened instead.
  'practice.ask': { what: Words; state: Words; mode: Words }
  'practice.hint': { gesture: Words }
  'practice.right': Record<never, never>
  'practice.miss': {
    code: Words
    held: Words
    from: Words
    to: Words
    beeps: number
    counted: 'yes' | 'no'
    did: Words
    wants: Words
    pose: Words
    input: Words
    mode: Words
    what: Words
  }

  // What comes of a hand on a saber in play.
  'play.dead': { out: Words; named: 'yes' | 'no'; cut: 'yes' | 'no' }
  'play.did': { what: Words; lasts: 'yes' | 'no' }
  'play.ended': { what: Words }
  'play.waits': { ms: number; times: Words }
  'play.beep': { n: number }
  /** Shown slower than it is, so that a screen does not flash too fast. */
  'play.slowed': { times: Words }
  'play.went': { to: Words }
  'play.nothing': { made: Words; times: Words }
  'play.chose': { n: number }

  // Steps that are drafted.
  'step.loosenJoint': { how: 'remove' | 'loosen'; screw: Thing }
  'step.tighten': { screw: Thing }
  'step.screws': { act: Words; n: number; purpose: Words; tool: Words; told: 'yes' | 'no' }
  'step.unscrew': { section: Thing }
  'step.screwOn': { section: Thing }
  'step.pullOff': { section: Thing }
  'step.pushOn': { section: Thing }
  goal: { goal: Words; name: Words; several: 'yes' | 'no' }
  'step.aligned': { text: Words; landmark: Words; told: 'yes' | 'no'; angle: Words; turned: 'yes' | 'no' }
  'step.byItself': { itself: Words }
  'step.chargeBeside': Record<never, never>
  'step.unsaidPole': Record<never, never>
  'step.dark': Record<never, never>
  'power.about': {
    by: 'killSwitch' | 'killKey' | 'cellOut' | 'deepSleep' | 'none'
    /** Where the circuit is open. */
    cuts: 'out' | 'in' | 'turned' | 'outIn' | 'inTurned' | 'outTurned' | 'unsaid'
    name: Thing
    named: 'yes' | 'no'
    cellOut: 'yes' | 'no'
    /** When it falls asleep is set. */
    timed: 'yes' | 'no'
  }
  'joint.closed': { joint: Words }
  'step.leftHand': { text: Words; way: Words }
  'step.tethered': Record<never, never>
  'steps.as': { like: Words; n: number }
  'steps.closeAs': { like: Words; n: number }
  'joint.feels': { what: Words }
  'joint.hurts': { what: Words }
  'step.turnOff': { section: Thing }
  'step.turnOn': { section: Thing }
  'step.cellSlide': { end: Towards; cell: Thing; several: 'yes' | 'no'; kept: Words }
  'step.chassisOut': { name: Thing; how: Words; end: Towards; tethered: 'yes' | 'no' }
  'step.chassisIn': { name: Thing; how: Words; end: Towards }
  'step.chassis.caution': { brittle: 'yes' | 'no' }
  'step.cardIn': Record<never, never>
  'step.partOut': { how: Words; name: Thing }
  'step.partIn': { how: Words; name: Thing }
  'step.chargeIn': { charger: Thing }
  'step.unplug': Record<never, never>
  'step.softSurface': Record<never, never>
  'step.noWireInThread': Record<never, never>
  'step.noStop': Record<never, never>
  'step.turn': { section: Thing; back: 'yes' | 'no' }
  'step.pressOff': { section: Thing }
  'step.key': { move: Words; to: 'on' | 'off'; key: Thing }
  'step.slide': { switch: Thing; named: 'yes' | 'no'; to: 'on' | 'off' }
  'step.loosenBlade': { screw: Thing }
  'step.bladeIn': { how: Words; what: 'blade' | 'plug'; socket: Thing; several: 'yes' | 'no' }
  'step.bladeOut': { how: Words; what: 'blade' | 'plug'; socket: Thing; several: 'yes' | 'no' }
  'step.tightenBlade': { screw: Thing }
  'step.pullCheck': { what: 'blade' | 'plug' }
  'step.pullCheck.caution': Record<never, never>
  'step.keepScrew': { screw: Thing }
  poles: { plus: 'emitter' | 'pommel' | 'unsaid'; first: 'plus' | 'minus' | 'unsaid' }
  'poles.recorded': { poles: Words }
  'step.cellIn': {
    cell: Thing
    several: 'yes' | 'no'
    kept: Words
    first: 'plus' | 'minus' | 'unsaid'
    plus: 'emitter' | 'pommel'
    landmark: Words
    told: 'yes' | 'no'
  }
  'step.cellIn.caution': Record<never, never>
  'step.cellOut': { cell: Thing; several: 'yes' | 'no'; kept: Words }
  'step.cellOut.caution': Record<never, never>
  'step.chargePort': { port: Thing }
  'step.chargePort.caution': Record<never, never>
  'step.chargeCell.caution': Record<never, never>
  'step.card': Record<never, never>
  'step.card.caution': Record<never, never>
  tool: { key: Words }

  // Cautions.
  'caution.cell.title': Record<never, never>
  'caution.cell': { polarity: Words; told: 'yes' | 'no'; protected: 'yes' | 'no' }
  'caution.flash.title': Record<never, never>
  'caution.flash': { presets: Words; named: 'yes' | 'no'; limit: number }
  'caution.blade.title': Record<never, never>
  'caution.blade': Record<never, never>
  'caution.sharp.title': Record<never, never>
  'caution.sharp': Record<never, never>
  'caution.inside.title': Record<never, never>
  'caution.inside': Record<never, never>
  'caution.usual': Record<never, never>

  /** What a caution comes to when it is spoken, once and where it bites. */
  'caution.spoken': { caution: Words; polarity: Words; told: 'yes' | 'no'; presets: Words; named: 'yes' | 'no' }
  /** What one sees or hears of an action. */
  'action.seen': { action: Words; blade: 'yes' | 'no' }

  // Topics of the walkthrough.
  'topic.welcome.what': Record<never, never>
  'topic.welcome': {
    saber: Words
    to: Words
    named: 'yes' | 'no'
    gift: 'yes' | 'no'
    giver: Words
    given: 'yes' | 'no'
    nth: number
    of: number
  }
  'topic.farewell.what': Record<never, never>
  'topic.farewell': { saber: Words; to: Words; named: 'yes' | 'no'; more: 'yes' | 'no' }
  'topic.differs.what': Record<never, never>
  'topic.differs': { what: Words }
  'topic.heft.what': Record<never, never>
  'topic.heft': { mass: Words; weighed: 'yes' | 'no'; balance: Words; balanced: 'yes' | 'no' }
  'topic.duel.what': Record<never, never>
  'topic.duel': { screws: Words; n: number; joints: Words; threads: number }
  'topic.part': { kind: Words; part: Thing; end: 'pommel' | 'emitter' | 'none' }
  'topic.buttons': { parts: Words; n: number }
  'topic.never.what': { screw: Words }
  'topic.never': { screw: Thing; dummy: 'yes' | 'no'; purpose: Words; note: Words; noted: 'yes' | 'no' }
  'topic.task': { task: Words; steps: Words; why: 'yes' | 'no' }
  'topic.assemble.what': { what: Words }
  'topic.assemble': { steps: Words; first: 'yes' | 'no' }
  'topic.control': {
    state: Words
    mode: Words
    gesture: Words
    what: Words
    only: Words
    limited: 'yes' | 'no'
    /** The one before was shown in the same mode. */
    same: 'yes' | 'no'
  }
  'topic.toPreset': { gesture: Words; times: number; preset: Words }
  'topic.bladeLater': {
    told: Words
    later: Words
    steps: Words
    out: 'yes' | 'no'
    n: number
    sockets: Words
  }
  'topic.firstAgain': { gesture: Words; times: number }
  'topic.again': { gesture: Words; what: Words }
  'topic.likeFirst.what': { saber: Words }
  'topic.likeFirst': { saber: Words; about: 'controls' | 'cautions' }
  'topic.off.what': Record<never, never>
  'topic.off': Record<never, never>
  'topic.preset.what': { preset: Words }
  'topic.preset': {
    preset: Words
    hue: Words
    why: Words
    reasoned: 'yes' | 'no'
    asker: Words
    asked: 'you' | 'other' | 'no'
    look: Words
    unsure: 'yes' | 'no'
    blade: Words
    needs: 'yes' | 'no'
  }
  'topic.presets.asked': { who: Words; you: 'yes' | 'no'; presets: Words }
  'topic.presets': { presets: Words; n: number; hue: Words; deep: Words; pale: Words; told: 'yes' | 'no' }
  hue: { hue: Words; pale: 'yes' | 'no' }
  /** A hue that others share, told from them: the darker, the palest, the second from the dark end, the one nearer to another hue. */
  'hue.apart': {
    hue: Words
    pale: 'yes' | 'no'
    by: 'light' | 'strong' | 'lean'
    place: 'lower' | 'higher' | 'lowest' | 'highest' | 'middle' | 'nth'
    n: number
    towards: Words
    /** Without its article. */
    bare: 'yes' | 'no'
  }
  'topic.demoBlade.what': { blade: Words }
  'topic.demoBlade': { blade: Words; shipped: Words; size: Words; has: 'yes' | 'no'; sized: 'yes' | 'no' }
  'topic.bladeToBuy.what': { blade: Words }
  'topic.bladeToBuy': { socket: Thing; several: 'yes' | 'no'; size: Words; sized: 'yes' | 'no' }
  bladeSize: { diameter: Words; measured: 'yes' | 'no'; length: Words; long: 'yes' | 'no' }
  'topic.caution.what': { title: Words }
  'topic.volume.what': Record<never, never>
  'topic.volume': { volume: Words; set: 'yes' | 'no'; highest: Words; known: 'yes' | 'no' }
  'topic.request.what': { text: Words; own: 'yes' | 'no' }
  'topic.request': {
    text: Words
    own: 'yes' | 'no'
    status: Words
    answer: Words
    answered: 'yes' | 'no'
    on: Words
    told: 'yes' | 'no'
    gift: 'yes' | 'no'
    giver: Words
  }
  'topic.arrival.what': { what: Words; fate: Words }
  'topic.arrival': {
    what: Words
    fate: Words
    note: Words
    noted: 'yes' | 'no'
    now: Words
    placed: 'yes' | 'no'
    gift: 'yes' | 'no'
    giver: Words
  }
  'topic.credit.what': { who: Words }
  'topic.credit': { who: Words; did: Words; n: number }
  'topic.fault.what': { fault: Words }
  'topic.fault': {
    what: Words
    fault: Words
    left: Words
    why: 'yes' | 'no'
    became: Words
    gift: 'yes' | 'no'
    giver: Words
  }
  'topic.toDo.what': { text: Words; who: 'client' | 'shop' }
  'topic.toDo': { text: Words; who: 'client' | 'shop'; due: Words; dated: 'yes' | 'no' }
  'topic.item.what': { what: Words }
  'topic.item': {
    what: Words
    role: Words
    of: Thing
    named: 'yes' | 'no'
    from: Words
    ask: Words
    asked: 'yes' | 'no'
    place: Words
    placed: 'yes' | 'no'
    note: Words
    noted: 'yes' | 'no'
  }
  'topic.items': { items: Words }
  'topic.notFor.what': { what: Words }
  'topic.notFor': { what: Words; why: Words }
  'topic.fix.what': { fix: Words }
  'topic.fix': {
    fault: Words
    reported: 'yes' | 'no'
    cause: Words
    known: 'yes' | 'no'
    fix: Words
    cycles: number
    gift: 'yes' | 'no'
    giver: Words
  }
  'topic.ability.what': { what: Words }
  'topic.ability': { what: Words; instead: Words; by: 'yes' | 'no' }
  'topic.loss.what': { what: Words }
  'topic.loss': { what: Words; how: Words; cause: Words }
  'topic.decision.what': { chose: Words }
  'topic.decision': {
    chose: Words
    why: Words
    gaveUp: Words
    gave: 'yes' | 'no'
    whose: 'client' | 'shop' | 'both'
    gift: 'yes' | 'no'
    giver: Words
  }
  'topic.display.what': Record<never, never>
  'topic.display': {
    greeting: Words
    greets: 'yes' | 'no'
    picture: Words
    pictured: 'yes' | 'no'
    after: Words
    timed: 'yes' | 'no'
  }
  'topic.link.what': Record<never, never>
  'topic.link': {
    name: Words
    named: 'yes' | 'no'
    code: Words
    coded: 'yes' | 'no'
    program: Words
    by: 'yes' | 'no'
  }
  'topic.sense.what': Record<never, never>
  'topic.sense.one': { sense: Words; value: Words; with: Words; note: Words; noted: 'yes' | 'no' }
  'topic.sense': { all: Words }
  'topic.wear.what': Record<never, never>
  'topic.wear': { looks: number; blades: number; pieces: number; all: number }
  'topic.missing.what': { what: Words }
  'topic.missing': {
    part: Thing
    type: Words
    typed: 'yes' | 'no'
    protected: 'yes' | 'no'
    note: Words
    noted: 'yes' | 'no'
    length: Words
    long: 'yes' | 'no'
  }
  'topic.locked.what': { section: Words }
  'topic.locked': { section: Thing; note: Words; noted: 'yes' | 'no' }
  'topic.blades.what': Record<never, never>
  'topic.blades': { n: number; blades: Words }
  'topic.lights': { n: number; kind: Words; names: Words; named: 'yes' | 'no' }
  'topic.owner.what': { who: Words }
  'topic.owner': {
    who: Words
    you: 'yes' | 'no'
    when: Words
    dated: 'yes' | 'no'
    did: Words
    known: 'yes' | 'no'
    believed: 'yes' | 'no'
  }
  'topic.sleeps.what': Record<never, never>
  'topic.storing.what': Record<never, never>
  'topic.sleeps': { after: Words }
  'topic.note.what': { of: Words }
  'topic.note': { of: Thing; note: Words }
  duration: { form: 'seconds' | 'minutes' | 'hours'; n: number; text: Words }
  ownWords: { text: Words }

  // Tests.
  'test.cellVolts': Record<never, never>
  'test.sleepCurrent': Record<never, never>
  'test.cutOff': Record<never, never>
  'test.cutOff.expect': Record<never, never>
  'test.litCurrent': { preset: Words }
  'test.pull': { socket: Words }
  'test.pull.expect': Record<never, never>
  'test.pixels': { socket: Words; borrowed: 'yes' | 'no' }
  'test.cutOffBy': { by: Words }
  'test.cellOut': Record<never, never>
  'test.play': { blade: Words }
  'test.mass': Record<never, never>
  'test.extend': { preset: Words }
  'test.pixels.expect': Record<never, never>
  'test.preset': { preset: Words }
  'test.preset.expect': Record<never, never>
  'test.control': { what: Words }
  'test.errand': { goal: Words }
  'test.errand.expect': { n: number }
  'test.control.expect': Record<never, never>
  'test.volume': Record<never, never>
  'test.display': { display: Words }
  'test.display.expect': Record<never, never>
  'test.repair': { fix: Words }
  'test.repair.set': Record<never, never>
  'test.repair.unit': Record<never, never>
  'test.repair.expect': Record<never, never>
  limit: { form: 'range' | 'least' | 'most' | 'expect' | 'works'; min: Words; max: Words; unit: Words; expect: Words }

  // What goes into the box.
  'box.saber': Record<never, never>
  'box.killKey': { name: Words }
  'box.hexKey': { key: Words }
  'box.returned': { what: Words }
  'box.record': Record<never, never>

  // The handoff record.
  notRecorded: Record<never, never>
  notRecordedWhy: { why: Words }
  about: { what: Words }
  'handoff.noClient': Record<never, never>
  'handoff.all': Record<never, never>
  'handoff.ofSaber': { saber: Words; title: Words }
  'chapter.words': Record<never, never>
  'chapter.requests': { giver: Words; given: 'yes' | 'no' }
  'chapter.requests.head': { column: 'wish' | 'answer' | 'where'; given: 'yes' | 'no' }
  'step.turned': { text: Words; n: number; part: 'quarter' | 'half' | 'whole' }
  'step.irreversible': { who: Words; on: Words; agreed: 'yes' | 'no' }
  'request.text': { text: Words; saber: Words; several: 'yes' | 'no'; own: 'yes' | 'no' }
  'request.answer': {
    status: Words
    answer: Words
    answered: 'yes' | 'no'
    told: 'yes' | 'no'
    on: Words
    price: Words
    priced: 'yes' | 'no'
    accepted: Words
    took: 'yes' | 'no'
  }
  'chapter.arrivals': { giver: Words; given: 'yes' | 'no' }
  'chapter.arrivals.head': { column: 'part' | 'condition' | 'fate' }
  'arrival.what': { quantity: number; what: Words }
  'fact.unsure': { text: Words; source: Words }
  'arrival.fate': {
    fate: Words
    note: Words
    noted: 'yes' | 'no'
    now: Words
    placed: 'yes' | 'no'
    saber: Words
    of: 'yes' | 'no'
  }
  'chapter.questions': Record<never, never>
  'chapter.questions.head': { column: 'question' | 'answer' }
  'chapter.packing': Record<never, never>
  'chapter.packing.head': { column: 'what' | 'quantity' | 'packed' }
  'packing.packed': { packed: 'yes' | 'no' }
  'packing.what': {
    what: Words
    of: Words
    apart: 'yes' | 'no'
    keep: 'client' | 'shop' | 'none'
    note: Words
    noted: 'yes' | 'no'
  }
  'packing.how': Record<never, never>
  'packing.supply': { supply: 'packed' | 'hasAlready' | 'toBuy' }
  'packing.parcel': {
    to: Words
    address: Words
    addressed: 'yes' | 'no'
    mass: Words
    weighed: 'yes' | 'no'
    size: Words
    sized: 'yes' | 'no'
    on: Words
    sent: 'yes' | 'no'
    tracking: Words
    tracked: 'yes' | 'no'
    note: Words
    noted: 'yes' | 'no'
  }
  'question.open': Record<never, never>
  'question.text': { text: Words; mine: 'yes' | 'no' }
  'chapter.visits': Record<never, never>
  'chapter.visits.head': { column: 'when' | 'said' | 'found' | 'did' }
  'visit.when': {
    on: Words
    back: Words
    gone: 'yes' | 'no'
    saber: Words
    of: 'yes' | 'no'
    by: Words
    known: 'yes' | 'no'
  }
  'chapter.film': Record<never, never>
  'film.title': { saber: Words; several: 'yes' | 'no' }
  'chapter.aside': Record<never, never>
  'chapter.aside.head': { column: 'why' | 'who' | 'when' }
  'chapter.credits': Record<never, never>
  'chapter.credits.head': { column: 'who' | 'did' }
  'credits.none': Record<never, never>
  'chapter.spec': Record<never, never>
  'spec.name': { row: Words }
  'spec.hilt': { origin: Words; materials: Words; known: 'yes' | 'no' }
  'spec.socket': { socket: Words }
  'spec.socketSize': { bore: Words; depth: Words }
  'spec.cutPower': { way: Words; move: Words }
  'chapter.cautions': Record<never, never>
  'chapter.power': Record<never, never>
  'chapter.controls': Record<never, never>
  'chapter.controls.head': { column: 'state' | 'gesture' | 'does' | 'shown' }
  'control.state': { state: Words; mode: Words; presets: Words; limited: 'yes' | 'no' }
  'control.status': { status: Words }
  'control.cue': { at: 'start' | 'step' | 'end'; as: Words; says: Words; said: 'yes' | 'no' }
  'chapter.modes.head': { column: 'mode' | 'chooses' | 'ends' }
  'mode.chooses': { what: Words; turning: 'yes' | 'no' }
  'mode.ends': { seconds: Words; to: Words; leads: 'yes' | 'no' }
  'timing.name': { row: Words }
  'card.title': { saber: Words }
  'card.about': Record<never, never>
  'card.foot': { more: 'yes' | 'no' }
  'card.only': { presets: Words }
  'card.mode': { state: Words; mode: Words }
  'card.chooses': { what: Words; turning: 'yes' | 'no' }
  'card.ends': { seconds: Words; mode: Words }
  'card.unsure': Record<never, never>
  'controls.standard': { name: Words; n: number }
  'controls.statuses': { configured: 'yes' | 'no'; shown: 'yes' | 'no'; unsure: 'yes' | 'no' }
  'topic.turnsMenu': { what: Words }
  'controls.none': Record<never, never>
  'chapter.presets': Record<never, never>
  'chapter.presets.head': { column: 'number' | 'preset' | 'colour' | 'effects' | 'font' | 'asker' }
  'preset.colour': { hue: Words; look: Words }
  'preset.font': { font: Words; tracks: Words; has: 'yes' | 'no' }
  'chapter.fonts': Record<never, never>
  'chapter.fonts.head': { column: 'font' | 'author' | 'sounds' | 'terms' }
  'font.name': { font: Words; is: 'font' | 'voicePack' | 'musicBank' }
  'font.sounds': { n: number }
  'chapter.blade': Record<never, never>
  'chapter.blade.head': { column: 'blade' | 'outside' | 'length' | 'light' | 'inBox' }
  'blade.light': {
    kind: Words
    density: Words
    strips: Words
    set: 'yes' | 'no'
    configured: Words
    groups: Words
    each: Words
    total: Words
  }
  'blade.with': { blade: Words; adapter: Words; outside: Words; bore: Words; length: Words; long: 'yes' | 'no' }
  'blade.inBox': { use: Words }
  'chapter.screws': Record<never, never>
  'chapter.screws.head': { column: 'screw' | 'where' | 'key' | 'holds' | 'may' }
  'screw.holds': { purpose: Words }
  'screw.may': { may: Words }
  'key.byHand': Record<never, never>
  'chapter.opening': Record<never, never>
  'chapter.troubles': Record<never, never>
  'trouble.what': { trouble: Words }
  'trouble.cure': { trouble: Words; reset: 'cut' | 'cell' | 'none' }
  'trouble.stop': Record<never, never>
  'chapter.charging': Record<never, never>
  'charging.name': { row: Words }
  'charging.days': { n: number; days: Words }
  'chapter.tests': Record<never, never>
  'chapter.tests.head': { column: 'test' | 'wanted' | 'found' | 'verdict' }
  'test.verdict': { standing: Words }
  'tests.none': Record<never, never>
  'chapter.repairs.head': { column: 'on' | 'fault' | 'cause' | 'fix' | 'proof' }
  'chapter.walkthrough': Record<never, never>
  'test.peakCurrent': { preset: Words; look: Words }
  look: { look: Words }
  'test.port': { port: Words }
  'test.port.expect': Record<never, never>
  'test.card': { card: Words }
  'test.card.expect': Record<never, never>
  'test.zone': { zone: Words }
  'test.zone.expect': Record<never, never>
  'test.farLed': { blade: Words }
  'test.sense': { sense: Words }
  'test.sense.expect': Record<never, never>
  'test.link': { link: Words }
  'test.link.expect': Record<never, never>
  'test.spare': { what: Words }
  'test.spare.expect': Record<never, never>
  'test.fit': { blade: Words }
  'test.fit.expect': Record<never, never>
  'test.effects': { preset: Words; effects: Words }
  'test.effects.expect': Record<never, never>
  event: { event: Words }
  'chapter.brief': Record<never, never>
  'brief.gift': { giver: Words; client: Words; named: 'yes' | 'no' }
  'chapter.decisions': Record<never, never>
  'chapter.decisions.head': { column: 'chose' | 'why' | 'gaveUp' | 'by' }
  'decision.chose': { text: Words; about: Words; has: 'yes' | 'no' }
  'decision.by': { whose: Words; by: Words; on: Words; for: 'yes' | 'no'; agreed: 'yes' | 'no'; who: Words; day: Words }
  'chapter.lights': Record<never, never>
  'chapter.lights.head': { column: 'light' | 'leds' | 'does' }
  'light.name': { name: Words; kind: Words }
  'light.die': { die: Words; hue: Words; volts: Words; amps: Words }
  'light.does': { with: Words; follows: 'yes' | 'no' | 'unsaid' }
  'light.through': { what: Words; hue: Words; coloured: 'yes' | 'no' }
  'light.dies': { dies: Words }
  die: { die: Words }
  'blade.seen': {
    tint: Words
    tinted: 'yes' | 'no'
    tip: 'yes' | 'no'
    dies: Words
    made: 'yes' | 'no'
    spreads: Words
    wide: 'yes' | 'no'
  }
  'chapter.card': Record<never, never>
  'chapter.card.head': { column: 'card' | 'holds' | 'copied' | 'changed' }
  'card.first': Record<never, never>
  'card.name': { name: Words; is: Words }
  'card.holds': { n: number; size: Words; day: Words; bad: number; was: Words; by: Words; who: 'yes' | 'no' }
  'card.edit': { day: Words; what: Words; by: Words; who: 'yes' | 'no' }
  'card.limits': { what: Words }
  'chapter.settings': Record<never, never>
  'setting.name': { row: Words }
  'setting.link': { name: Words; code: Words; coded: 'yes' | 'no'; program: Words; by: 'yes' | 'no' }
  'setting.greeting': { greeting: Words; greets: 'yes' | 'no'; picture: Words; pictured: 'yes' | 'no' }
  'owner.who': { who: Words; you: 'yes' | 'no' }
  'preset.needs': { blade: Words }
  'preset.unsure': Record<never, never>
  'chapter.senses.head': { column: 'sense' | 'value' | 'tried' }
  sense: { sense: Words }
  triedWith: { with: Words }
  'chapter.goesWith': Record<never, never>
  'chapter.goesWith.head': { column: 'what' | 'for' | 'from' | 'ask' }
  'item.role': { role: Words; of: Words; named: 'yes' | 'no' }
  'item.from': { from: Words }
  'item.protected': Record<never, never>
  'chapter.before': Record<never, never>
  'chapter.owners.head': { column: 'who' | 'when' | 'did' }
  'chapter.before.head': { column: 'what' | 'now' }
  'before.what': { what: Words; kind: Words }
  'before.now': { stays: 'yes' | 'no'; instead: Words; by: 'yes' | 'no' }
  'chapter.losses': Record<never, never>
  'chapter.losses.head': { column: 'what' | 'why' | 'told' }
  'loss.what': { what: Words; how: Words; on: Words; maker: Words; made: 'yes' | 'no' }
  'chapter.notes': Record<never, never>
  'chapter.notes.head': { column: 'of' | 'note' }
  'note.joint': { section: Words }
  'chapter.left': Record<never, never>
  'chapter.left.head': { column: 'what' | 'by' }
  'left.what': { text: Words; on: Words; named: 'yes' | 'no'; who: 'client' | 'shop' }
  'chapter.warranty': Record<never, never>
  'warranty.ends': { ends: Words }
  'notFor.title': { what: Words }
  'preset.effect': { effect: Words; hue: Words; coloured: 'yes' | 'no'; moves: Words; moving: 'yes' | 'no' }
  /** An event without a colour of its own. */
  'preset.event': { event: Words; is: Words }
  /** How a light moves. */
  'preset.moves': { how: Words; second: Words; over: 'yes' | 'no'; rate: Words; rated: 'yes' | 'no' }
  'preset.light': { light: Words; hue: Words; coloured: 'yes' | 'no'; moves: Words; moving: 'yes' | 'no' }
  'preset.picture': { picture: Words }
  'preset.takes': { length: Words; long: 'yes' | 'no'; tip: 'yes' | 'no'; plug: 'yes' | 'no' }
  'preset.time': { way: 'out' | 'in'; time: Words }
  'preset.flashes': { rate: Words }
  'arrival.condition': { condition: Words; on: Words; dated: 'yes' | 'no'; whole: 'yes' | 'no' }
  'arrival.fault': { fault: Words; left: Words; why: 'yes' | 'no' }
  'test.what': { what: Words; setup: Words }
  'test.notPossible': { why: Words }
  'test.waived': { found: Words; who: Words; on: Words; why: Words }
  'repair.on': { on: Words; reported: Words; known: 'yes' | 'no' }
  'repair.fix': { fix: Words; where: Words; placed: 'yes' | 'no' }
  'repair.proof': { cycles: number; proved: 'yes' | 'no'; charge: Words; charged: 'yes' | 'no' }
  'spec.figure': { of: Words; value: Words }
  'spec.part': { name: Words; lot: Words; hasLot: 'yes' | 'no'; type: Words; typed: 'yes' | 'no' }
  material: { material: Words }
  'charging.end': { port: Words }

  // Page and paper around it.
  'cover.line': { shop: Words; number: number; date: Words }
  'cover.for': { client: Words }
  'cover.fact': { row: 'length' | 'mass' | 'balance' | 'cell' | 'runtime' | 'blade' }
  'cover.record': { number: number; date: Words }
  'cover.asked': { answer: Words; answered: 'yes' | 'no'; giver: Words; given: 'yes' | 'no' }
  'cover.made': Record<never, never>
  'cover.page': Record<never, never>
  'apart.about': Record<never, never>
  'apart.back': Record<never, never>
  'cut.title': { what: 'card' | 'screws' }
  'cut.screw': { name: Words; key: Words; may: 'remove' | 'loosen' | 'never'; keyed: 'yes' | 'no' }
  'cut.here': { saber: Words }
  'sheet.title': { saber: Words }
  'sheet.part': { part: 'first' | 'open' | 'mind' | 'screws' }
  'sheet.rest': Record<never, never>
  'tests.bar': { wanted: Words; computed: Words; reckoned: 'yes' | 'no'; found: Words }
  'tests.legend': Record<never, never>
  'label.from': Record<never, never>
  'label.to': Record<never, never>
  'recall.subject': { saber: Words }
  'recall.text': {
    client: Words
    sabers: Words
    n: number
    shop: Words
    part: Words
    lot: Words
    ofLot: 'yes' | 'no'
    why: Words
    todo: Words
  }
  'letter.subject': { kind: 'question' | 'answer' | 'delay' | 'ready' | 'shipped' | 'year'; title: Words }
  'letter.frame': { client: Words; body: Words; shop: Words }
  'letter.question': { n: number; title: Words; questions: Words; waits: 'yes' | 'no' }
  'letter.answer': { question: Words; answer: Words }
  'letter.delay': {
    title: Words
    had: 'yes' | 'no'
    before: Words
    newly: Words
    reason: 'part' | 'answer' | 'longer' | 'spoilt' | 'unwell' | 'machine' | 'power' | 'other'
  }
  'letter.ready': { title: Words; sends: 'yes' | 'no'; on: Words }
  'letter.shipped': {
    title: Words
    known: 'yes' | 'no'
    on: Words
    tracked: 'yes' | 'no'
    tracking: Words
    linked: 'yes' | 'no'
    link: Words
  }
  'letter.year': { title: Words }
  'quote.title': { title: Words; number: number }
  'quote.head': { client: Words; shop: Words; on: Words }
  'quote.valid': { on: Words }
  'quote.options': Record<never, never>
  'quote.open': Record<never, never>
  'quote.agreed': { on: Words; by: Words }
  'quote.changes': Record<never, never>
  'quote.sum': { which: 'total' | 'paid' | 'balance' }
  'quote.payments': Record<never, never>
  'quote.payment': { kind: 'deposit' | 'balance' | 'other'; on: Words }
  'quote.taxes': Record<never, never>
  'quote.work': {
    kind: 'measure' | 'bore' | 'print' | 'finish' | 'wire' | 'setUp' | 'prove' | 'film' | 'write' | 'pack'
  }
  'cover.legend': { own: 'yes' | 'no' }
  'pdf.title': { title: Words }
  'pdf.page': { page: number; of: number }
  'pdf.foot': { title: Words; client: Words }
  'pdf.drawing': { saber: Words; which: 'section' | 'unrolled' | 'apart' }
  'pdf.caution': { text: Words }
  'page.pdf': { extent: 'full' | 'short' | 'sheet' }
  'page.file': Record<never, never>
  'page.inHand': Record<never, never>
  'page.hint': { gesture: Words; what: Words }
  'page.asleep': { state: Words; mode: Words }
  'page.openWith': Record<never, never>
  'page.practise': Record<never, never>
  'page.sound': { on: 'yes' | 'no' }
  'page.move': { motion: Words }
  'page.presets': Record<never, never>
  'page.pose': { pose: Words }
  'page.choose': Record<never, never>
  'page.back': Record<never, never>
  'page.next': { last: 'yes' | 'no' }
  'page.acts': { n: number; of: number; back: number }
  'page.goesOn': { seconds: number }
  'page.wait': { waits: 'yes' | 'no' }
  'page.waits': { why: Words }
  'page.over': Record<never, never>
  'page.wayBack': Record<never, never>
  'page.done': { what: Words }
  'page.cannot': { live: 'yes' | 'no' }
  'page.again': Record<never, never>
  'page.how': Record<never, never>
  'page.showMe': Record<never, never>
  'page.nextOne': Record<never, never>
  'page.learnt': { n: number; of: number }
  'page.nothingToLearn': Record<never, never>
  'page.leave': Record<never, never>
  'page.read': Record<never, never>
  'page.readOn': { on: Words }
  'page.first': Record<never, never>
  'page.firstRead': Record<never, never>
  'page.firstLight': { gesture: Words }
  'page.firstDark': { gesture: Words }
  'page.ask': Record<never, never>
  'page.question': Record<never, never>
  'page.askIt': { file: 'yes' | 'no' }
  'page.asked': { sent: 'yes' | 'no'; on: Words; file: 'yes' | 'no' }
  'page.notSent': { why: Words }
  'page.reply': { contact: Words; known: 'yes' | 'no' }
  'page.saveReply': Record<never, never>
  'page.copyReply': Record<never, never>
  'page.film': Record<never, never>
  'page.filmFile': { file: Words }
  'page.more': Record<never, never>
  'page.revision': { number: number; date: Words }
  'page.newer': { number: number; date: Words; given: number }
  'page.older': { number: number; date: Words; newest: number }
  'page.changed': { what: Words }
  'page.showOther': { number: number }
  'page.contents': Record<never, never>
  'page.drawing': { saber: Words }
  'page.waiting': Record<never, never>
  'page.title': { title: Words; client: Words }
  'script.title': { saber: Words }
  'script.show': { what: Words }
  'script.do': { what: Words }
  'script.expect': { what: Words }
  'script.about': { seconds: number }
  'script.onPaper': Record<never, never>
  'script.leftTo': { leftTo: 'paper' | 'picture' }

  // What a client has to buy.
  'buy.adapter': { name: Words; outside: Words; bore: Words; length: Words; long: 'yes' | 'no' }
  'buy.tube': { size: Words }
  'buy.wall': { wall: Words }
  'buy.length': { size: Words }
  'buy.exposed': { mm: Words }
  'buy.density': { density: Words }
  'buy.strips': { strips: Words }
  'buy.contacts': { connector: Words }
  'buy.kind': { kind: Words }
}
export type SayingCode = keyof Sayings
