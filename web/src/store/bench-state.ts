import type { Finding } from '@nubrin/core/judge'
import type { Apart } from '@nubrin/core/machine'
import type { Commission, Joint, Problem, Ref, Removal, Saber, Thing, Towards } from '@nubrin/core/record'
import type { ActOnDrawing } from './actOnDrawing'
import type { Conflict } from './queue'

/** saved · saving · waiting a moment · kept here, no connection · signed out · something to decide · refused · cannot be read. */
export type SaveState = 'saved' | 'saving' | 'waiting' | 'kept' | 'signedOut' | 'conflict' | 'refused' | 'unkept'

/** A body that was drawn away on the drawing, or a screw that was drawn onto what lies there, the smallest first. */
type SaidOnDrawing = { body: Joint['body']; towards: Towards } | { onto: Joint['body'][]; screw: string }

export interface BenchState {
  id: string | undefined
  /** The record as it was last acknowledged by the server, at `revision`. */
  base: Commission | undefined
  /** The base with what is not acknowledged yet. */
  record: Commission | undefined
  revision: number
  save: SaveState
  /** Why work is only kept here, in the server's words; undefined when there is no answer at all. */
  keptBecause: string | undefined
  savedAt: string
  savedBy: string
  saberId: string
  /** The thing lit on the drawing. */
  lit: Ref | undefined
  /** The thing that one is led to, to put it right: its station opens where it has its fields. */
  sought: Ref | undefined
  /** A saber shown on the drawing in place of the recorded one while something is only being considered. */
  preview: { saber: Saber; label: string } | undefined
  /** The saber as it lies apart on the bench while somebody plays with its machine. */
  apart: (Apart & { act: ActOnDrawing | undefined; blade?: string }) | undefined
  /** Whether the cut across the hilt is shown, with its mark on the drawing. */
  cutting: boolean
  /** What was said of a joint on the drawing, until the station has written it down. */
  saidOfJoint: SaidOnDrawing | undefined
  /** Whether the saber is in hand on the drawing: its buttons pressed, its blade lit. */
  playing: boolean
  findings: Finding[]
  /** Whether the checks have looked at the record; they come a moment after it, or do not come at all. */
  judged: 'notYet' | 'yes' | 'failed'
  /** How many edits can be undone, and done again. */
  undos: number
  redos: number
  /** How many edits wait to be acknowledged. */
  pending: number
  problems: Problem[]
  conflicts: Conflict[]
  error: string | undefined
  open: (id: string) => Promise<void>
  edit: (label: string, recipe: (draft: Commission) => void) => void
  /** Takes a thing out, with what cannot stand without it; asks first when anything leans on it. */
  remove: (target: Ref) => void
  /** What would go and be let go, while the question stands. */
  removing: (Removal & { target: Thing }) | undefined
  answerRemoval: (yes: boolean) => void
  editSaber: (label: string, recipe: (draft: Saber, order: Commission) => void) => void
  undoLast: () => void
  redoLast: () => void
  chooseSaber: (id: string) => void
  /** Lights a thing; what names no kind of thing lights nothing. */
  light: (ref: string | undefined) => void
  seek: (ref: Ref | undefined) => void
  consider: (preview: BenchState['preview']) => void
  layApart: (apart: BenchState['apart']) => void
  showCut: (on: boolean) => void
  setPlaying: (on: boolean) => void
  sayOfJoint: (said: SaidOnDrawing | undefined) => void
  flush: () => Promise<void>
  /** Asks what others did, and shows it. */
  hear: () => Promise<void>
  /** Says whose value of a conflict it shall be. */
  settle: (conflict: string, whose: 'mine' | 'theirs') => void
  /** Takes back the change that the server refused. */
  takeBack: () => void
}

/** What a bench holds before a commission lies on it. */
export const EMPTY = {
  base: undefined,
  record: undefined,
  revision: 0,
  save: 'saved' as SaveState,
  keptBecause: undefined as string | undefined,
  savedAt: '',
  savedBy: '',
  lit: undefined,
  preview: undefined,
  apart: undefined as BenchState['apart'],
  findings: [] as Finding[],
  judged: 'notYet' as const,
  undos: 0,
  redos: 0,
  pending: 0,
  problems: [] as Problem[],
  conflicts: [] as Conflict[],
  error: undefined,
  removing: undefined,
}

/** How the parts of the store read and change it. */
export interface Bench {
  get: () => BenchState
  set: (part: Partial<BenchState>) => void
}
