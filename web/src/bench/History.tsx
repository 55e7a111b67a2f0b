import type { Commission } from '@nubrin/core/record'
import { applyOps, invertOp, invertOps, type Op, touched } from '@nubrin/core/record/ops'
import { useQuery } from '@tanstack/react-query'
import { pathText } from '../base/pathText'
import { call } from '../data'
import { Modal, Refused, tell, timeText } from '../kit'
import { useBench, useEdit, useOrder } from '../store/commission'
import { valueText } from './valueText'

const isOp = (v: unknown): v is Op => typeof v === 'object' && v !== null && 'at' in v

function deedText(op: Op): string {
  if (op.op === 'set') return `${valueText(op.was)} → ${valueText(op.value)}`
  if (op.op === 'unset') return `${valueText(op.was)} → nothing`
  if (op.op === 'insert') return `put in ${valueText(op.item)}`
  return op.op === 'remove' ? `took out ${valueText(op.item)}` : 'moved'
}

/** Who changed what from which value to which, newest first; one deed, or all since, can be put back. It is an edit like others. */
export function History({ close }: { close: () => void }) {
  const order = useOrder()
  const edit = useEdit()
  const revision = useBench((b) => b.revision)
  const list = useQuery({
    queryKey: ['history', order.id, revision],
    queryFn: () => call('history', { params: { id: order.id } }),
  })
  const put = (label: string, ops: Op[]) => {
    const next = applyOps(order, ops)
    if (!next.ok) {
      tell('That cannot be restored: what it was about is gone or has changed since.')
      return
    }
    edit(label, (d) => void Object.assign(d, next.value as Commission))
    close()
  }
  const backTo = (n: number) => {
    const newer = (list.data ?? []).filter((h) => h.revision > n)
    put(
      `back to revision ${n}`,
      newer.flatMap((h) => invertOps(h.ops.filter(isOp))),
    )
  }
  return (
    <Modal title="Who changed what" close={close} wide="max-w-3xl">
      <Refused why={list.error?.message} />
      <ol className="mt-2 max-h-[60vh] overflow-y-auto">
        {list.data?.map((h) => (
          <li key={h.revision} className="border-rule border-b py-2">
            <div className="flex items-center gap-3">
              <span className="font-semibold">{h.by}</span>
              <span className="text-quiet flex-1">
                {timeText(h.at)} · revision {h.revision}
              </span>
              {h.revision < revision && h.ops.every(isOp) ? (
                <button type="button" className="btn" onClick={() => backTo(h.revision)}>
                  back to here
                </button>
              ) : null}
            </div>
            <ul>
              {h.ops
                .filter(isOp)
                .slice(0, 12)
                .map((op, i) => (
                  <li key={`${touched(op)}-${i}`} className="flex items-baseline gap-2 pl-3">
                    <span className="min-w-0 flex-1">
                      <span className="text-quiet">{pathText(order, touched(op))}:</span> {deedText(op)}
                    </span>
                    <button
                      type="button"
                      className="text-brass shrink-0"
                      onClick={() => put(`put back ${pathText(order, touched(op))}`, [invertOp(op)])}
                    >
                      put back
                    </button>
                  </li>
                ))}
              {h.ops.length === 0 ? <li className="text-quiet pl-3">begun</li> : null}
              {h.ops.length > 12 ? <li className="text-quiet pl-3">and {h.ops.length - 12} more</li> : null}
            </ul>
          </li>
        ))}
      </ol>
    </Modal>
  )
}
