import { balance, playOf, SOCKET_LIMITS } from '../fit'
import { partsOfRef, type Repair, refTo, retentionOf, type Saber, type Socket } from '../record'
import type { Reader } from '../units'
import { say } from '../words'
import { between, notBeyond, type Planned, partRef, partsOf, predicted, wiresOf } from './planned'

const bladesIn = (s: Saber, k: Socket) => s.blades.filter((b) => b.socket === k.id)

/** Each socket: what holds the blade, and every pixel; each blade: goes in, and how far it plays. */
export const bladeTests = (reader: Reader, s: Saber): Planned[] => [
  ...s.hilt.sockets.flatMap((k): Planned[] => {
    const place = refTo('socket', k.id)
    const pixel = bladesIn(s, k).filter((b) => b.kind === 'pixel')
    const held = retentionOf(s, k).map((f) => refTo('fastener', f.id))
    // No blade of its own is here: another one proves it.
    const borrowed = pixel.length > 0 && pixel.every((b) => b.use === 'toBuy') ? 'yes' : 'no'
    return [
      {
        test: {
          key: `pull-${k.id}`,
          what: say(reader, 'test.pull', { socket: k.name }),
          place,
          expect: say(reader, 'test.pull.expect'),
        },
        rests: [place, ...held],
      },
      ...(pixel.length
        ? [
            {
              test: {
                key: `pixels-${k.id}`,
                what: say(reader, 'test.pixels', { socket: k.name, borrowed }),
                ...{ place, expect: say(reader, 'test.pixels.expect') },
              },
              rests: [place, ...partsOf(s, 'connector', 'board'), ...wiresOf(s)],
            },
          ]
        : []),
    ]
  }),
  ...s.blades
    .filter((b) => b.use !== 'toBuy')
    .flatMap((b): Planned[] => {
      const place = refTo('blade', b.id)
      const rests = [place, ...(b.socket ? [refTo('socket', b.socket)] : [])]
      return [
        {
          test: {
            key: `fit-${b.id}`,
            what: say(reader, 'test.fit', { blade: b.name }),
            ...{ place, setup: b.kind === 'plug' ? ('plug' as const) : ('blade' as const) },
            expect: say(reader, 'test.fit.expect'),
          },
          rests,
        },
      ]
    }),
]

/** What scale and feeler gauge show, where Fit computes it. */
export function sizeTests(reader: Reader, s: Saber): Planned[] {
  const own = s.blades.filter((b) => b.use === 'ship' && b.kind !== 'plug' && b.kind !== 'inHilt')
  return [
    ...own.flatMap((b): Planned[] => {
      const play = playOf(s, b.id)
      if (!play.ok || play.value < 0) return []
      return [
        {
          test: {
            ...{ key: `play-${b.id}`, what: say(reader, 'test.play', { blade: b.name }), place: refTo('blade', b.id) },
            ...{ unit: 'mm', setup: 'blade' as const },
          },
          rests: [refTo('blade', b.id), refTo('socket', b.socket)],
          ...predicted(s, (x) => playOf(x, b.id), between),
          // However unsure its sizes are, more than that is the wrong size for its socket.
          ...notBeyond(() => SOCKET_LIMITS.loose * (b.adapter ? 2 : 1)),
        },
      ]
    }),
    ...(balance(s).mass.ok && s.parts.length
      ? [
          {
            test: { key: 'mass', what: say(reader, 'test.mass'), unit: 'g', setup: 'any' as const },
            rests: [],
            // Glue, solder and wire are in no list.
            ...predicted(s, (x) => balance(x).mass, between, 0.05),
          },
        ]
      : []),
  ]
}

export const windowTests = (reader: Reader, s: Saber): Planned[] =>
  s.parts
    .filter((p) => p.kind === 'display')
    .map((d) => ({
      test: {
        key: `display-${d.id}`,
        what: say(reader, 'test.display', { display: d.name }),
        place: partRef(d),
        expect: say(reader, 'test.display.expect'),
      },
      rests: [partRef(d), ...partsOf(s, 'chassis'), ...wiresOf(s, 'signal')],
    }))

/** What ships beside it is tried in its place: a spare that does not fit is none. */
export const spareTests = (reader: Reader, s: Saber): Planned[] =>
  s.items
    .filter((x) => x.supplied === 'shop' && x.role !== 'accessory')
    .map((x) => ({
      test: {
        key: `item-${x.id}`,
        what: say(reader, 'test.spare', { what: x.what }),
        place: refTo('item', x.id),
        expect: say(reader, 'test.spare.expect'),
      },
      rests: [refTo('item', x.id)],
    }))

/** What is no body: a repair of it is proved by what it was for, once, and not by opening and closing. */
const SET: ReadonlySet<string> = new Set(['setting', 'preset', 'row', 'mode', 'input', 'sound', 'zone', 'saber'])
/** A repair is proved by what it was for: of something that is opened or moved, over and over. */
export const repairTests = (reader: Reader, s: Saber): Planned[] =>
  s.repairs.map((f) => ({
    test: repaired(reader, f),
    rests: f.place ? [f.place] : [],
  }))

const repaired = (reader: Reader, f: Repair): Planned['test'] => {
  const common = {
    key: `fix-${f.id}`,
    what: say(reader, 'test.repair', { fix: f.fix }).slice(0, 240),
    ...(f.place ? { place: f.place } : {}),
  }
  if (f.place && SET.has(partsOfRef(f.place)?.kind ?? '')) return { ...common, expect: say(reader, 'test.repair.set') }
  return {
    ...common,
    unit: say(reader, 'test.repair.unit'),
    min: 10,
    expect: say(reader, 'test.repair.expect'),
  }
}
