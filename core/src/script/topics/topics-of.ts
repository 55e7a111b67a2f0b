import { type Commission, readerOf, type Saber, told, toldSaber } from '../../record'
import {
  abilityTopics,
  arrivalTopics,
  creditTopics,
  decisionTopics,
  faultTopics,
  fixTopics,
  itemTopics,
  limitTopics,
  lossTopics,
  noteTopics,
  ownerTopics,
  requestTopics,
  toDoTopics,
} from './agreed'
import { assemblingTopics } from './assembling'
import { cautionTopics, storingTopics, volumeTopics } from './care'
import { controlTopics, taskTopics } from './handling'
import { bladeTopics, presetTopics } from './looks'
import { duelTopics, openingTopics } from './opening'
import { partTopics, screwTopics } from './parts'
import {
  displayTopics,
  linkTopics,
  lockedTopics,
  missingTopics,
  secondBladeTopics,
  senseTopics,
  sleepTopics,
  wearTopics,
} from './settings'
import type { Told, Topic } from './topic'

/** What was worked out for sabers lately, by saber and source, and what it was worked out from. */
export type TopicMemory = Map<string, { read: readonly unknown[]; topics: Topic[] }>

/** Sources that are dear, and all that they read beside the client. */
const READS = new Map<(t: Told) => Topic[], (s: Saber) => readonly unknown[]>([
  [controlTopics, (s) => [s.controls, s.modes, s.inputs, s.presets, s.spoken, s.parts, s.hilt, s.blades]],
  [presetTopics, (s) => [s.presets, s.blades, s.recipient]],
])

function remembered(from: (t: Told) => Topic[], n: number, t: Told, memory: TopicMemory | undefined): Topic[] {
  const reads = memory && READS.get(from)?.(t.s)
  if (!reads) return from(t)
  const key = `${n} ${t.s.id}`
  const read = [...reads, t.c.client, t.c.writtenIn, t.c.translations]
  const known = memory.get(key)
  if (known?.read.every((v, i) => v === read[i])) return known.topics
  const topics = from(t)
  memory.set(key, { read, topics })
  return topics
}

/** By what was built, agreed, found, left over, left to do, to be bought and made by others; of an equal chapter in this order. */
const SOURCES: readonly ((t: Told) => Topic[])[] = [
  openingTopics,
  partTopics,
  screwTopics,
  lockedTopics,
  displayTopics,
  assemblingTopics,
  taskTopics,
  controlTopics,
  presetTopics,
  wearTopics,
  secondBladeTopics,
  bladeTopics,
  cautionTopics,
  volumeTopics,
  sleepTopics,
  storingTopics,
  missingTopics,
  linkTopics,
  senseTopics,
  limitTopics,
  duelTopics,
  itemTopics,
  noteTopics,
  ownerTopics,
  requestTopics,
  fixTopics,
  abilityTopics,
  arrivalTopics,
  faultTopics,
  decisionTopics,
  lossTopics,
  toDoTopics,
  creditTopics,
]

/**
 * Everything the client must be told about this saber, in the order of its chapters and in the client's language. Keys are stable
 * across edits. With a memory, what reads the same values as last time is not worked out again: only for who never changes a
 * record in place.
 */
export const topicsOf = (c: Commission, s: Saber, memory?: TopicMemory): Topic[] =>
  SOURCES.flatMap((from, n) => remembered(from, n, { reader: readerOf(c), c: told(c), s: toldSaber(c, s) }, memory))
