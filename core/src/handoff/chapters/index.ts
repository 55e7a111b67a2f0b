import type { OrderChapter, SaberChapter } from '../block'
import { arrivals } from './arrivals'
import { aside } from './aside'
import { blade } from './blade'
import { cautions } from './cautions'
import { charging } from './charging'
import { controls } from './controls'
import { credits } from './credits'
import { foreword } from './foreword'
import { opening } from './opening'
import { packing } from './packing'
import { power } from './power'
import { presets } from './presets'
import { questions } from './questions'
import { requests } from './requests'
import { screws } from './screws'
import { spec } from './spec'
import { tests } from './tests'
import { walkthrough } from './walkthrough'

/** The chapters in reading order: what the order says first, each saber, what the order says last. */
export const BEFORE: readonly OrderChapter[] = [foreword, requests, arrivals]
export const OF_A_SABER: readonly SaberChapter[] = [
  spec,
  cautions,
  power,
  controls,
  presets,
  blade,
  screws,
  opening,
  charging,
  tests,
  walkthrough,
]
export const AFTER: readonly OrderChapter[] = [questions, packing, aside, credits]
