// The checks and all they compute with, in a piece of their own: the drawing stands before they have come.
export { CHECKS, makeJudge, WORDS } from '@nubrin/core/judge'
