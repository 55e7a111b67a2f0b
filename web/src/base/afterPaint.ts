/** A page that is not shown paints nothing; it does not wait longer than this, ms. */
const UNSEEN = 100

/** Comes in a task of its own, once what was set before is on the screen. */
export const afterPaint = (): Promise<void> =>
  new Promise((come) => {
    const waiting = setTimeout(come, UNSEEN)
    requestAnimationFrame(() => {
      clearTimeout(waiting)
      setTimeout(come)
    })
  })
