import { type Commission, type Saber, speakingTo } from '../../record'
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
  requestTopics,
  toDoTopics,
} from './agreed'
import { cautionTopics, volumeTopics } from './care'
import { controlTopics, taskTopics } from './handling'
import { bladeTopics, presetTopics } from './looks'
import { duelTopics, openingTopics, sleepTopics } from './opening'
import { partTopics, screwTopics } from './parts'
import type { Told, Topic } from './topic'

/** By what was built, agreed, found, left over, left to do, to be bought and made by others; of an equal chapter in this order. */
const SOURCES: readonly ((t: Told) => Topic[])[] = [
  openingTopics,
  partTopics,
  screwTopics,
  taskTopics,
  controlTopics,
  presetTopics,
  bladeTopics,
  cautionTopics,
  volumeTopics,
  sleepTopics,
  limitTopics,
  duelTopics,
  itemTopics,
  noteTopics,
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
 * across edits.
 */
export const topicsOf = (c: Commission, s: Saber): Topic[] =>
  speakingTo(c, () => SOURCES.flatMap((from) => from({ c, s })))
