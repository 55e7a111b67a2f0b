import type { Assembly, Body, State } from '@nubrin/core/machine'
import { nameOf, type Saber } from '@nubrin/core/record'
import { CheckBox } from '../../kit'
import { usePlay } from '../../play'

/** Whether it is heard. */
export function SoundSwitch() {
  const sound = usePlay((p) => p.sound)
  return (
    <CheckBox checked={sound} onChange={(on) => usePlay.getState().setSound(on)}>
      sound
    </CheckBox>
  )
}

/** What may be taken out while it is in hand: what kills it, and its blades. */
export function Parts({ saber }: { saber: Saber }) {
  const machine = usePlay((p) => p.machine)
  const assembly = usePlay((p) => p.assembly)
  if (!machine || !assembly) return null
  const { toggle } = usePlay.getState()
  const things = movable(assembly)
  const isIn = (b: Body, st: State) => !st.off.includes(b)
  return (
    <div className="border-rule mt-3 flex flex-wrap gap-x-4 gap-y-1 border-t pt-2">
      {assembly.cutter ? (
        <CheckBox checked={!machine.cut} onChange={() => toggle('cut')}>
          {assembly.cutter.name}: power on
        </CheckBox>
      ) : null}
      {things.map((b) => (
        <CheckBox key={b} checked={isIn(b, machine)} onChange={() => toggle(b)}>
          {nameOf(saber, b) ?? b} in
        </CheckBox>
      ))}
    </div>
  )
}
const movable = (a: Assembly) =>
  Object.values(a.joints)
    .filter((j) => j.cell || j.contact || j.place)
    .map((j) => j.body)
