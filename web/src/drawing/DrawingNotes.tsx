/** What is said over the drawing: how to begin, that something is only considered, how far a part was pushed. */
export function DrawingNotes({
  bare,
  considered,
  pushed,
}: {
  bare: boolean
  considered: string | undefined
  /** mm */
  pushed: number | undefined
}) {
  return (
    <>
      {bare ? (
        <p className="text-quiet absolute inset-x-0 top-24 text-center">
          The drawing grows from the sections you enter under Hilt.
        </p>
      ) : null}
      {considered ? (
        <p role="status" className="bg-brass absolute top-2 right-3 px-3 py-0.5 text-white">
          {considered}
        </p>
      ) : null}
      {pushed === undefined ? null : (
        <p className="bg-ink text-paper absolute top-2 left-1/2 px-3 py-1">
          {pushed > 0 ? '+' : ''}
          {pushed} mm
        </p>
      )}
    </>
  )
}
