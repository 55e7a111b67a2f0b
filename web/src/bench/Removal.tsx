import { nameOfThing, THINGS } from '@nubrin/core/record'
import { pathText } from '../base/pathText'
import { Modal } from '../kit'
import { useBench, useOrder } from '../store/commission'

/** Asked before a thing goes on which others lean: what goes with it, and who only lets it go. */
export function RemovalSheet() {
  const asked = useBench((b) => b.removing)
  const answer = useBench((b) => b.answerRemoval)
  const order = useOrder()
  if (!asked) return null
  const name = nameOfThing(asked.target.kind, asked.target.value)
  return (
    <Modal title={`Remove ${name}?`} close={() => answer(false)}>
      {asked.goes.length ? (
        <>
          <p className="mt-1">These depend on it and will be removed too:</p>
          <ul className="mt-1 mb-2">
            {asked.goes.map((t) => (
              <li key={t.ref} className="border-rule border-b py-0.5">
                {THINGS[t.kind][0]} <span className="font-medium">{nameOfThing(t.kind, t.value)}</span>
              </li>
            ))}
          </ul>
        </>
      ) : null}
      {asked.letsGo.length ? (
        <>
          <p className="mt-1">These mention it and will stay:</p>
          <ul className="mt-1 max-h-48 overflow-y-auto">
            {asked.letsGo.map((r) => (
              <li key={r.pointer} className="border-rule border-b py-0.5">
                {pathText(order, r.path)}
              </li>
            ))}
          </ul>
        </>
      ) : null}
      <div className="mt-4 flex gap-2">
        <button type="button" className="btn btn-main" onClick={() => answer(true)}>
          Remove it
        </button>
        <button type="button" className="btn" onClick={() => answer(false)}>
          Keep it
        </button>
      </div>
    </Modal>
  )
}
