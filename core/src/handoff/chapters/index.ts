import type { OrderChapter, SaberChapter } from '../block'
import { blade } from './built/blade'
import { card } from './built/card'
import { controls } from './built/controls'
import { fonts } from './built/fonts'
import { lights } from './built/lights'
import { power } from './built/power'
import { presets } from './built/presets'
import { screws } from './built/screws'
import { settings } from './built/settings'
import { spec } from './built/spec'
import { cautions } from './in-use/cautions'
import { charging } from './in-use/charging'
import { goesWith } from './in-use/goes-with'
import { notes } from './in-use/notes'
import { opening } from './in-use/opening'
import { troubles } from './in-use/troubles'
import { walkthrough } from './in-use/walkthrough'
import { arrivals } from './order/arrivals'
import { aside } from './order/aside'
import { brief } from './order/brief'
import { credits } from './order/credits'
import { film } from './order/film'
import { foreword } from './order/foreword'
import { left } from './order/left'
import { packing } from './order/packing'
import { questions } from './order/questions'
import { requests } from './order/requests'
import { visits } from './order/visits'
import { warranty } from './order/warranty'
import { before } from './past/before'
import { decisions } from './past/decisions'
import { losses } from './past/losses'
import { tests } from './past/tests'

/** The chapters in reading order: what the order says first, each saber, what the order says last. */
export const BEFORE: readonly OrderChapter[] = [foreword, visits, brief, requests, arrivals]
export const OF_A_SABER: readonly SaberChapter[] = [
  spec,
  cautions,
  power,
  controls,
  presets,
  fonts,
  lights,
  card,
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
