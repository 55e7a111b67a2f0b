import type { ReactNode } from 'react'

/** What an empty place teaches: the next step, and a button that does it. */
export function Empty({ title, children, action }: { title: string; children: ReactNode; action?: ReactNode }) {
  return (
    <div className="border-rule my-4 max-w-xl border-l-2 pl-4">
      <p className="font-semibold">{title}</p>
      <p className="text-quiet mt-1">{children}</p>
      {action ? <div className="mt-3 flex flex-wrap gap-2">{action}</div> : null}
    </div>
  )
}

/** What was refused, and why; nothing while nothing is wrong. */
export const Refused = ({ why, className = '' }: { why: string | undefined; className?: string }) =>
  why ? (
    <p role="alert" className={`text-stop ${className}`}>
      {why}
    </p>
  ) : null
