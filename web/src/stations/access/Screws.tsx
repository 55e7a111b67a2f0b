import { keysAlike } from '@nubrin/core/fit'
import { heldBy, machineOf } from '@nubrin/core/machine'
import type { Fastener, Saber } from '@nubrin/core/record'
import { BY_HAND } from '@nubrin/core/words'
import { useMemo } from 'react'
import { Empty, Mark } from '../../kit'
import { useLight, useSaber } from '../../store/commission'

const MAY = { loosen: 'may loosen it', remove: 'may take it out', never: 'never touches it' } as const

/** Screws that a hand would take for this one: a key that fits both, or a dummy with the same head. */
const alike = (s: Saber, f: Fastener): Fastener[] =>
  s.hilt.fasteners.filter((q) => q !== f && (keysAlike(q.key, f.key) || (q.head === 'dummy' && q.thread === f.thread)))

/** Every screw: what it holds, its key, who may turn it, and which others a hand would take for it. */
export function Screws() {
  const saber = useSaber()
  const light = useLight()
  const { assembly } = useMemo(() => machineOf(saber), [saber])
  const screws = saber.hilt.fasteners
  if (!screws.length) return <Empty title="No screw is recorded">Enter them at Hilt.</Empty>
  const holds = (f: Fastener) => heldBy(assembly, f.id).map((j) => (j.place ? `the blade: ${j.name}` : `the ${j.name}`))
  const turned = screws.filter((f) => f.clientMay !== 'never' && f.head !== 'dummy')
  const keys = [...new Set(turned.map((f) => f.key).filter((k) => k && k !== BY_HAND))]
  return (
    <section aria-label="Screws">
      <table className="w-full text-left">
        <thead>
          <tr className="label">
            {['screw', 'holds', 'thread', 'key', 'the client', 'taken for', 'now'].map((h) => (
              <th key={h} scope="col" className="py-1 pr-4 font-normal">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {screws.map((f) => {
            const like = alike(saber, f)
            // Dangerous where one may be turned and the other not.
            const mixed = like.some((q) => (q.clientMay === 'never') !== (f.clientMay === 'never'))
            return (
              <tr key={f.id} className="border-rule border-t align-baseline">
                <th scope="row" className="py-1.5 pr-4 font-medium">
                  <button type="button" className="text-left hover:underline" onClick={() => light(`fastener:${f.id}`)}>
                    {f.name}
                  </button>
                </th>
                <td className="pr-4">
                  {f.head === 'dummy' ? 'nothing: a dummy' : [...new Set(holds(f))].join(', ') || f.purpose}
                </td>
                <td className="pr-4 whitespace-nowrap">{f.thread}</td>
                <td className="pr-4 whitespace-nowrap">{f.key || '–'}</td>
                <td className={`pr-4 ${f.clientMay === 'never' ? 'text-stop font-semibold' : ''}`}>
                  {MAY[f.clientMay]}
                </td>
                <td className="pr-4">
                  {mixed ? <Mark level="caution" size={13} /> : null} {like.map((q) => q.name).join(', ') || '–'}
                </td>
                <td>{f.looseNow ? <b className="text-brass">loose</b> : 'tight'}</td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <p className="mt-3">
        {screws.length} {screws.length === 1 ? 'screw' : 'screws'}; the client turns {turned.length}
        {keys.length ? `, with ${keys.join(' and ')}` : ''}.
      </p>
    </section>
  )
}
