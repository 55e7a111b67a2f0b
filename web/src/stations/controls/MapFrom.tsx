import {
  isException,
  type MapSheet,
  TEMPLATE_NAMES,
  TEMPLATES,
  takeMap,
  templateMap,
  writeMap,
} from '@nubrin/core/controls'
import { refTo, type Saber, withoutThing } from '@nubrin/core/record'
import { useState } from 'react'
import { call, freshId, refusalText } from '../../data'
import { FileButton, fileStem, Modal, Refused, saveText } from '../../kit'
import { useEdit, useOrder } from '../../store/commission'

/** A map that is there already: one of ours to start from, or the shop's own from a file; and this one, to be kept. */
export function MapFrom({ saber }: { saber: Saber }) {
  const order = useOrder()
  const edit = useEdit()
  const [asked, setAsked] = useState<MapSheet>()
  const [wrong, setWrong] = useState('')
  const take = (sheet: MapSheet) => {
    const taken = takeMap(saber, sheet, freshId)
    // What names a control that gives way lets it go, as when it is taken out by hand.
    const gone = [...saber.controls.map((r) => refTo('row', r.id)), ...saber.modes.map((m) => refTo('mode', m.id))]
    const { record } = withoutThing(order, ...gone)
    edit('use another map', (d) => {
      Object.assign(d, record)
      Object.assign(d.sabers.find((s) => s.id === saber.id)!, taken)
    })
    setAsked(undefined)
  }
  const want = (sheet: MapSheet) => (saber.controls.length ? setAsked(sheet) : take(sheet))
  const bring = async ([file]: File[]) => {
    setWrong('')
    if (!file) return
    try {
      want(await call('readMap', { file }))
    } catch (e) {
      setWrong(refusalText(e))
    }
  }
  const exceptions = saber.mapFrom ? saber.controls.filter((r) => isException(saber, r)).length : 0
  return (
    <section aria-label="Where the map comes from" className="ml-auto flex flex-wrap items-center gap-2">
      {saber.mapFrom ? (
        <span className="text-quiet">
          from “{saber.mapFrom}”{exceptions ? `, ${exceptions} changed here` : ', as it is'}
        </span>
      ) : null}
      <span className="label">start from</span>
      {TEMPLATES.map((t) => (
        <button key={t} type="button" className="text-brass hover:underline" onClick={() => want(templateMap(t))}>
          {TEMPLATE_NAMES[t]}
        </button>
      ))}
      <FileButton label="a file" className="btn" accept=".json,application/json" onFiles={(f) => void bring(f)} />
      {saber.controls.length ? (
        <button type="button" className="btn" onClick={() => keep(saber)}>
          keep this map
        </button>
      ) : null}
      <Refused why={wrong} className="w-full" />
      {asked ? (
        <Modal title={`Replace this map with “${asked.name}”?`} close={() => setAsked(undefined)}>
          <p className="mt-1">
            The {saber.controls.length} controls and {saber.modes.length} modes recorded here are replaced by its{' '}
            {asked.controls.length} controls. Beats and tests that use them are removed too. You can undo this.
          </p>
          <div className="mt-3 flex gap-2">
            <button type="button" className="btn btn-main" onClick={() => take(asked)}>
              Replace it
            </button>
            <button type="button" className="btn" onClick={() => setAsked(undefined)}>
              Not now
            </button>
          </div>
        </Modal>
      ) : null}
    </section>
  )
}

/** Saves the map as a file of the open format. */
const keep = (saber: Saber) =>
  saveText(writeMap(saber, saber.mapFrom ?? saber.name), 'application/json', `${fileStem(saber.name)}.controls.json`)
