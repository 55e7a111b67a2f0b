/** What is wrong, where, and by which rule. The interface owns the sentence; `message` is a plain default. */
export interface Problem {
  /** JSON pointer into the document, e.g. `/sabers/0/hilt/sections/2/length/value`. */
  path: string
  rule: string
  message: string
  got?: string
}
