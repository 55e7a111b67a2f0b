/** A name as part of a file's name: small letters and digits, the rest as dashes. */
export const fileStem = (name: string): string => name.toLowerCase().replace(/[^a-z0-9]+/g, '-')

/** Saves a text as a file of the browser's downloads. */
export function saveText(text: string, type: string, name: string) {
  const url = URL.createObjectURL(new Blob([text], { type }))
  const a = document.createElement('a')
  a.href = url
  a.download = name
  a.click()
  URL.revokeObjectURL(url)
}
