export { findLayouts, layoutsOf } from './find'
export {
  type Arrangement,
  arrangementsOf,
  type Candidate,
  type Layout,
  type LayoutProblem,
  type LayoutResult,
  type Verdict,
  worth,
} from './problem'
