import type { Level, StationState } from '@nubrin/core/judge'

/** Stop, caution, note and fine each have their own shape, so that none depends on its colour. */
export function Mark({ level, size = 18 }: { level: Level | 'fine' | 'empty'; size?: number }) {
  const common = {
    width: size,
    height: size,
    viewBox: '0 0 20 20',
    'aria-hidden': true as const,
    className: 'shrink-0',
  }
  switch (level) {
    case 'stop':
      return (
        <svg {...common}>
          <path d="M6.2 1h7.6L19 6.2v7.6L13.8 19H6.2L1 13.8V6.2z" fill="#a63a2b" />
          <path d="M5 10h10" stroke="#fff" strokeWidth="2.6" />
        </svg>
      )
    case 'caution':
      return (
        <svg {...common}>
          <path d="M10 2 19 18H1z" fill="none" stroke="#a9782a" strokeWidth="1.8" strokeLinejoin="round" />
          <path d="M10 8v5M10 14.6v1.6" stroke="#8a5f17" strokeWidth="1.9" />
        </svg>
      )
    case 'note':
      return (
        <svg {...common}>
          <circle cx="10" cy="10" r="8" fill="none" stroke="#3d6075" strokeWidth="1.7" />
          <path d="M10 9v6M10 5.4v1.8" stroke="#3d6075" strokeWidth="2" />
        </svg>
      )
    case 'fine':
      return (
        <svg {...common}>
          <path d="m3 10.5 4.6 5L17 4.5" fill="none" stroke="#35613d" strokeWidth="2.2" />
        </svg>
      )
    case 'empty':
      return (
        <svg {...common}>
          <circle cx="10" cy="10" r="3" fill="none" stroke="#b3a88f" strokeWidth="1.6" />
        </svg>
      )
  }
}

export const LEVEL_WORD: Record<Level, string> = { stop: 'Stop', caution: 'Caution', note: 'Note' }
export const STATE_MARK: Record<StationState, 'stop' | 'caution' | 'fine' | 'empty'> = {
  stop: 'stop',
  caution: 'caution',
  clear: 'fine',
  empty: 'empty',
}
export const STATE_WORD: Record<StationState, string> = {
  stop: 'blocked',
  caution: 'caution',
  clear: 'clear',
  empty: 'not begun',
}
