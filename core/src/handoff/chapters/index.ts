import type { OrderChapter, SaberChapter } from '../block'
import { arrivals } from './arrivals'
import { aside } from './aside'
import { before } from './before'
import { blade } from './blade'
import { brief } from './brief'
import { cautions } from './cautions'
import { charging } from './charging'
import { controls } from './controls'
import { credits } from './credits'
import { decisions } from './decisions'
import { film } from './film'
import { foreword } from './foreword'
import { goesWith } from './goes-with'
import { left } from './left'
import { lights } from './lights'
import { losses } from './losses'
import { notes } from './notes'
import { opening } from './opening'
import { packing } from './packing'
import { power } from './power'
import { presets } from './presets'
import { questions } from './questions'
import { requests } from './requests'
import { screws } from './screws'
import { settings } from './settings'
import { spec } from './spec'
import { tests } from './tests'
import { troubles } from './troubles'
import { visits } from './visits'
import { walkthrough } from './walkthrough'
import { warranty } from './warranty'

/** The chapters in reading order: what the order says first, each saber, what the order says last. */
export const BEFORE: readonly OrderChapter[] = [foreword, visits, brief, requests, arrivals]
export const OF_A_SABER: readonly SaberChapter[] = [
  spec,
  cautions,
  power,
  controls,
  presets,
  lights,
  settings,
  blade,
  screws,
  opening,
  charging,
  troubles,
  goesWith,
  notes,
  decisions,
  before,
  tests,
  losses,
  walkthrough,
]
export const AFTER: readonly OrderChapter[] = [film, questions, left, packing, warranty, aside, credits]
