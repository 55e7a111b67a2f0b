/** So many pictures a sheet may take to come, its code fetched. */
const PATIENCE = 120
const nextPicture = () => new Promise((done) => requestAnimationFrame(done))

/** The input of a field, by its key or the path that ends in it; within the thing that it is of, where that is marked. */
export function fieldOnPage(field: string, of?: string): HTMLElement | undefined {
  const all = [...document.querySelectorAll<HTMLElement>('[data-field]')].filter((e) => {
    const key = e.dataset.field!
    return key === field || key.endsWith(`/${field}`) || field.endsWith(`/${key}`)
  })
  return all.find((e) => of && e.closest(`[data-of="${of}"]`)) ?? all.find((e) => !e.closest('[data-of]'))
}

/** Leads to a field of what has just been opened, as soon as it is there. */
export async function focusField(field: string, of?: string): Promise<void> {
  for (let n = 0; n < PATIENCE; n++) {
    const there = fieldOnPage(field, of)
    if (there) {
      there.scrollIntoView({ block: 'center' })
      there.focus()
      return
    }
    await nextPicture()
  }
}
