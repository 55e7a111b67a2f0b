import { known } from '../../../facts'
import { byId, type Commission, isForeign, type Packed } from '../../../record'
import { isPacked, parcelOf, proposePacking } from '../../../shipping'
import { dayText, formatNumber, type Reader } from '../../../units'
import { say, whether } from '../../../words'
import { type Block, type OrderChapter, table } from '../../block'

/** What a line of the list is called: drafted again where the record is in another language, else as it stands. */
function named(reader: Reader, c: Commission): (p: Packed) => string {
  if (!isForeign(reader)) return (p) => p.what
  const drafted = new Map(proposePacking(reader, { ...c, packing: [] }).map((p) => [p.key, p.what]))
  return (p) => (p.key && drafted.get(p.key)) || p.what
}

/** What lies in each parcel, and what the client has already or has to get. */
export const packing: OrderChapter = (reader, c) => {
  const name = named(reader, c)
  const several = c.sabers.length > 1
  const what = (p: Packed) => {
    const of = several ? byId(c.sabers, p.saber)?.name : undefined
    const line = say(reader, 'packing.what', {
      ...{ what: name(p), of: of ?? '', apart: whether(of && of !== name(p)) },
      // What was sent in says so by itself.
      ...{
        keep: p.key?.startsWith('arrival:') ? 'none' : (p.owner ?? 'none'),
        note: p.note ?? '',
        noted: whether(p.note),
      },
    })
    return line
  }
  const row = (p: Packed) => [what(p), String(p.quantity), say(reader, 'packing.packed', { packed: whether(p.packed) })]
  const head = (column: 'what' | 'quantity' | 'packed') => say(reader, 'chapter.packing.head', { column })
  const list = (lines: readonly Packed[]) => table([head('what'), head('quantity'), head('packed')], lines.map(row))
  const packed = c.packing.filter(isPacked)
  const rest = c.packing.filter((p) => !isPacked(p))
  const parcels = c.parcels.flatMap((k): Block[] => [
    { kind: 'para', text: parcelText(reader, k) },
    ...list(packed.filter((p) => parcelOf(c, p) === k.id)),
  ])
  return {
    id: 'packing',
    title: say(reader, 'chapter.packing'),
    blocks: [
      ...(c.parcels.length ? parcels : list(packed)),
      ...table(
        [head('what'), head('quantity'), say(reader, 'packing.how')],
        rest.map((p) => [what(p), String(p.quantity), say(reader, 'packing.supply', { supply: p.supply! })]),
      ),
    ],
  }
}

function parcelText(reader: Reader, k: Commission['parcels'][number]): string {
  const grams = known(k.mass)
  return say(reader, 'packing.parcel', {
    ...{ to: k.to, address: k.address?.replace(/\n/g, ', ') ?? '', addressed: whether(k.address) },
    ...{
      mass: grams === undefined ? '' : `${formatNumber(reader, grams, 0)} g`,
      weighed: whether(grams !== undefined),
    },
    ...{ size: k.size ?? '', sized: whether(k.size), on: dayText(reader, k.sentOn ?? ''), sent: whether(k.sentOn) },
    ...{ tracking: k.tracking ?? '', tracked: whether(k.tracking), note: k.note ?? '', noted: whether(k.note) },
  })
}
