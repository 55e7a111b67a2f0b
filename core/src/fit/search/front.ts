const DIMS = 5
/** Most sets that are kept for one number. */
const SETS = 128

/**
 * The layouts that no other covers. What they are worth is five whole numbers, more is better; of several that are worth
 * the same the first offered stays.
 *
 * Whether something covers an offer is asked far more often than the front changes. So for each number there are sets, one
 * bit for each that stands: those worth at least so many steps. An offer can be covered only by what its five sets have in
 * common; where a step is more than one, that is then looked at exactly.
 */
export class Front<T extends object> {
  private offers: (T | undefined)[] = []
  private free: number[] = []
  /** Five numbers for each that stands, counted from the least. */
  private worth = new Int32Array(DIMS * 128)
  /** For each number: its least, how many bits of it make no difference to a set, and where its sets begin in a block. */
  private shift = new Int32Array(DIMS)
  private starts = new Int32Array(DIMS)
  /** A block holds one word of every set, so that marking one layout touches one block. */
  private block = 0
  private table: Int32Array

  /** `lo` and `hi`: least and most of each of the five numbers. No offer may lie outside them. */
  constructor(
    private lo: readonly number[],
    hi: readonly number[],
  ) {
    lo.forEach((l, k) => {
      const range = hi[k]! - l + 1
      this.shift[k] = Math.max(0, Math.ceil(Math.log2(range / SETS)))
      this.starts[k] = this.block
      this.block += ((range - 1) >> this.shift[k]!) + 1
    })
    this.table = new Int32Array(this.block * 4)
  }

  /** Whether something that stands is worth at least this in every number. */
  covers(a: number, b: number, c: number, d: number, e: number): boolean {
    const { lo, shift, starts, table, block, worth } = this
    const va = a - lo[0]!
    const vb = b - lo[1]!
    const vc = c - lo[2]!
    const vd = d - lo[3]!
    const ve = e - lo[4]!
    let oa = starts[0]! + (va >> shift[0]!)
    let ob = starts[1]! + (vb >> shift[1]!)
    let oc = starts[2]! + (vc >> shift[2]!)
    let od = starts[3]! + (vd >> shift[3]!)
    let oe = starts[4]! + (ve >> shift[4]!)
    const words = (this.offers.length + 31) >> 5
    for (let w = 0; w < words; w++) {
      let common = table[oa]! & table[ob]! & table[oc]! & table[od]! & table[oe]!
      while (common !== 0) {
        const at = DIMS * (32 * w + 31 - Math.clz32(common & -common))
        if (
          worth[at]! >= va &&
          worth[at + 1]! >= vb &&
          worth[at + 2]! >= vc &&
          worth[at + 3]! >= vd &&
          worth[at + 4]! >= ve
        )
          return true
        common &= common - 1
      }
      oa += block
      ob += block
      oc += block
      od += block
      oe += block
    }
    return false
  }

  /** Takes up an offer that nothing covers, and lets go of what it covers. */
  add(a: number, b: number, c: number, d: number, e: number, what: T) {
    const own = Int32Array.of(a, b, c, d, e)
    for (let k = 0; k < DIMS; k++) own[k]! -= this.lo[k]!
    for (let i = 0; i < this.offers.length; i++) {
      let k = 0
      while (k < DIMS && this.worth[DIMS * i + k]! <= own[k]!) k++
      if (k < DIMS || !this.offers[i]) continue
      this.offers[i] = undefined
      this.free.push(i)
      this.mark(i, false)
    }
    const i = this.free.pop() ?? this.offers.length
    if (DIMS * i >= this.worth.length) this.worth = doubled(this.worth)
    if ((i >> 5) * this.block >= this.table.length) this.table = doubled(this.table)
    this.offers[i] = what
    this.worth.set(own, DIMS * i)
    this.mark(i, true)
  }

  private mark(i: number, on: boolean) {
    const { table } = this
    const bit = 1 << (i & 31)
    for (let k = 0; k < DIMS; k++) {
      const from = (i >> 5) * this.block + this.starts[k]!
      const to = from + (this.worth[DIMS * i + k]! >> this.shift[k]!)
      if (on) for (let o = from; o <= to; o++) table[o]! |= bit
      else for (let o = from; o <= to; o++) table[o]! &= ~bit
    }
  }

  /** Those that stand, best by the first number first, then by the next. */
  sorted(): T[] {
    return this.offers
      .flatMap((offer, i) => (offer ? [{ offer, worth: this.worth.subarray(DIMS * i, DIMS * (i + 1)) }] : []))
      .sort((x, y) => {
        const k = x.worth.findIndex((v, n) => v !== y.worth[n])
        return k < 0 ? 0 : y.worth[k]! - x.worth[k]!
      })
      .map((x) => x.offer)
  }
}

function doubled(list: Int32Array): Int32Array<ArrayBuffer> {
  const wider = new Int32Array(list.length * 2)
  wider.set(list)
  return wider
}
