/** The package names a file of types that it does not have. */
declare module 'unicode-confusables' {
  /** The text with each letter that is taken for another replaced by that one. */
  export const rectifyConfusion: (text: string) => string
}
