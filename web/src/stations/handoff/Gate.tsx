import { Link } from 'react-router'
import { STATION_NAME } from '../../base/names'
import { todayIso } from '../../data'
import { dayText, Mark, NotJudged, RemoveButton, SetAside } from '../../kit'
import { useEdit, useOrder } from '../../store/commission'
import { useSession } from '../../store/session'
import { useGate } from './useGate'

/** What stands against shipping, each to be resolved or set aside by name with a reason. */
export function Gate() {
  const order = useOrder()
  const edit = useEdit()
  const me = useSession((s) => s.person?.name ?? '')
  const gate = useGate()
  const who = (saber?: string) =>
    saber && order.sabers.length > 1 ? `${order.sabers.find((s) => s.id === saber)?.name}: ` : ''
  const setAside = (key: string, title: string) => (name: string, reason: string) =>
    edit('waived', (d) => {
      d.handoff.waivers.push({ key, who: name, reason: `${title}: ${reason}`.slice(0, 400), on: todayIso() })
    })
  return (
    <section aria-label="The gate">
      <h2 className="h2">
        {!gate ? (
          <NotJudged />
        ) : gate.length ? (
          `${gate.length} ${gate.length === 1 ? 'thing' : 'things'} to settle before shipping`
        ) : (
          'Ready to ship'
        )}
      </h2>
      {gate?.length !== 0 ? null : (
        <p className="text-fine flex items-center gap-2">
          <Mark level="fine" /> Everything is settled.
        </p>
      )}
      <ul>
        {gate?.map((f) => (
          <li key={f.key} className="border-rule flex items-start gap-2 border-b py-1.5">
            <span className="mt-0.5">
              <Mark level={f.level} size={16} />
            </span>
            <div className="min-w-0 flex-1 leading-tight">
              <Link to={`/commission/${order.id}/${f.station}`} className="font-medium">
                {who(f.saber)}
                {f.title}
              </Link>
              <span className="text-quiet block">
                at {STATION_NAME[f.station]}. {f.remedy}
              </span>
              <SetAside by={me} onSet={setAside(f.key, f.title)} />
            </div>
          </li>
        ))}
      </ul>
      {order.handoff.waivers.length ? <h3 className="label mt-3">waived by name</h3> : null}
      {order.handoff.waivers.map((w) => (
        <div key={w.key} className="text-quiet flex items-center">
          <span className="flex-1">
            {w.reason} ({w.who}, {dayText(w.on)})
          </span>
          <RemoveButton
            what="this waiver"
            onClick={() =>
              edit('take back', (d) => {
                d.handoff.waivers = d.handoff.waivers.filter((x) => x.key !== w.key)
              })
            }
          />
        </div>
      ))}
    </section>
  )
}
