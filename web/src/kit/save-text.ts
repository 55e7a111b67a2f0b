/** A name as part of a file's name: small letters and digits, the rest as dashes. */
export const fileStem = (name: string): string => name.toLowerCase().replace(/[^a-z0-9]+/g, '-')

/** Saves something as a file of the browser's downloads. */
export function saveFile(content: Blob, name: string) {
  const url = URL.createObjectURL(content)
  const a = document.createElement('a')
  a.href = url
  a.download = name
  a.click()
  URL.revokeObjectURL(url)
}
/** Saves a text as a file of the browser's downloads. */
export const saveText = (text: string, type: string, name: string) => saveFile(new Blob([text], { type }), name)
