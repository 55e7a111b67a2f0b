import type { ReactNode } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import { Mark } from './marks'

/** Holds a fault of one part of the screen in that part: what failed, and a way on. The record is untouched by it. */
export const Boundary = ({
  what,
  resetKeys,
  children,
}: {
  what: string
  resetKeys?: unknown[]
  children: ReactNode
}) => (
  <ErrorBoundary
    {...(resetKeys ? { resetKeys } : {})}
    fallbackRender={({ error, resetErrorBoundary }) => (
      <div role="alert" className="border-stop bg-card m-3 border-l-2 p-3">
        <p className="flex items-center gap-2 font-semibold">
          <Mark level="stop" /> {what} cannot be shown
        </p>
        <p className="text-quiet mt-1">
          {error instanceof Error ? error.message : String(error)}. Nothing in the record was changed by this.
        </p>
        <button type="button" className="btn mt-2" onClick={resetErrorBoundary}>
          Try again
        </button>
      </div>
    )}
  >
    {children}
  </ErrorBoundary>
)
