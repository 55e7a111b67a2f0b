/** How a blade tube sits in its socket, by diametral clearance in mm. */
export type SocketClass = 'willNotEnter' | 'tight' | 'snug' | 'loose' | 'wrongSize'

export interface SocketFit {
  clearanceMm: number
  kind: SocketClass
  /** Material to take off per side so that the tube enters with the target clearance; 0 when it enters. */
  removePerSideMm: number
  /** Shim to add per side to come back to the target when loose; 0 otherwise. */
  shimPerSideMm: number
  /** Sideways play at the tip, c·exposed/seat. Undefined when it does not enter or depth or length is missing. */
  tipPlayMm?: number
  exposedMm?: number
}

/** Clearance limits, diametral mm: the shop may change them. */
export const SOCKET_LIMITS = { tight: 0.05, snug: 0.2, loose: 0.4, target: 0.12 }

/**
 * Judges tube against socket. c < 0 will not enter; 0–0.05 tight; 0.05–0.20 snug; 0.20–0.40 loose (first pixels flicker,
 * shim); more is the wrong size or wants an adapter. All lengths in mm; diameters must be positive.
 */
export function judgeSocket(
  socketMm: number,
  tubeMm: number,
  seatMm?: number,
  tubeLengthMm?: number,
  limits = SOCKET_LIMITS,
): SocketFit {
  if (!(socketMm > 0) || !(tubeMm > 0)) throw new RangeError('judgeSocket: diameters must be positive')
  const c = Number((socketMm - tubeMm).toFixed(6))
  const kind: SocketClass =
    c < 0
      ? 'willNotEnter'
      : c <= limits.tight
        ? 'tight'
        : c <= limits.snug
          ? 'snug'
          : c <= limits.loose
            ? 'loose'
            : 'wrongSize'
  const exposed = seatMm !== undefined && tubeLengthMm !== undefined ? tubeLengthMm - seatMm : undefined
  return {
    clearanceMm: c,
    kind,
    removePerSideMm: c < 0 ? (-c + limits.target) / 2 : 0,
    shimPerSideMm: c > limits.snug ? (c - limits.target) / 2 : 0,
    ...(exposed === undefined ? {} : { exposedMm: exposed }),
    ...(c >= 0 && exposed !== undefined && seatMm! > 0 && exposed > 0 ? { tipPlayMm: (c * exposed) / seatMm! } : {}),
  }
}

export const SOCKET_WORDS: Record<SocketClass, string> = {
  willNotEnter: 'will not enter',
  tight: 'tight',
  snug: 'snug',
  loose: 'loose',
  wrongSize: 'wrong size, or wants an adapter',
}
