import { missingText } from '@nubrin/core/findings'
import {
  bladeCurrent,
  chargeTime,
  farLedVolts,
  LEFT_WAYS,
  type LeftWay,
  ledResistors,
  litBlades,
  litCurrent,
  meanCurrent,
  ratings,
  runtime,
  safeVolume,
  speakerWatts,
  standby,
  WHITE,
  wattHours,
  wireDrop,
  zoneBudget,
} from '@nubrin/core/power'
import { known, type Saber, words } from '@nubrin/core/record'
import { formatNumber } from '@nubrin/core/units'
import { useMemo, useState } from 'react'
import { useBench, useEditSaber, useSaber } from '../store/commission'
import { FactField } from '../ui/FactField'
import { FigureView } from '../ui/FigureView'
import { Labelled, SelectCell } from '../ui/fields'
import { Discharge } from './power/Discharge'
import { Zones } from './power/Zones'

const CUT_WORDS: Record<Saber['cutPower'], string> = {
  killSwitch: 'a kill switch',
  killKeyPull: 'a kill key, pull to run',
  killKeyTurn: 'a kill key, turn to run',
  cellOut: 'taking the cell out',
  deepSleep: 'deep sleep only',
  none: 'nothing',
}
const WAY_WORDS: Record<LeftWay, string> = {
  on: 'left on, blade off',
  asleep: 'asleep',
  deepSleep: 'in deep sleep',
  cut: 'switch off, or key in',
  cellOut: 'cell taken out',
}
/** The way a saber is left when its own way of cutting power is used. */
const OWN_WAY: Record<Saber['cutPower'], LeftWay> = {
  killSwitch: 'cut',
  killKeyPull: 'cut',
  killKeyTurn: 'cut',
  cellOut: 'cellOut',
  deepSleep: 'deepSleep',
  none: 'asleep',
}

/** Hours in the words a client understands: days to two months, then months, then years. */
const spell = (h: number) =>
  h < 48
    ? `${formatNumber(h, 0)} hours`
    : h < 24 * 60
      ? `${formatNumber(h / 24, 0)} days`
      : h < 24 * 365 * 1.5
        ? `${formatNumber(h / 24 / 30.4, 0)} months`
        : `${formatNumber(h / 24 / 365, 1)} years`

/** The power bench: what the current passes, what every light draws in every look, how long it runs and keeps. */
export default function Power() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const light = useBench((b) => b.light)
  const [presetId, setPresetId] = useState('')
  const preset = saber.presets.find((p) => p.id === presetId) ?? saber.presets[0]
  const load = useMemo(() => litCurrent(saber, WHITE), [saber])
  const white = useMemo(() => ratings(saber, WHITE), [saber])
  const usual = useMemo(() => (preset ? ratings(saber, preset.colour).list : []), [saber, preset])
  const run = useMemo(() => runtime(saber, preset), [saber, preset])
  const volume = known(saber.use.volume)
  return (
    <div className="grid grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)] gap-6">
      <section aria-label="Ratings">
        <h2 className="h2">Everything the current passes, worst first</h2>
        {white.list.length ? (
          <ul className="mt-1">
            {white.list.map((r) => {
              const now = usual.find((u) => u.ref === r.ref && u.name === r.name)
              const over = r.share > 1
              return (
                <li key={r.ref + r.name} className="border-rule border-b py-0.5">
                  <button type="button" className="w-full text-left leading-tight" onClick={() => light(r.ref)}>
                    <span className="flex justify-between gap-2">
                      <span className="truncate font-medium">{r.name}</span>
                      <span className={`whitespace-nowrap ${over ? 'text-stop font-semibold' : ''}`}>
                        {over ? '✕ ' : '✓ '}
                        {formatNumber(r.share * r.ratedAmps, 1)} of {formatNumber(r.ratedAmps, 1)} A
                      </span>
                    </span>
                    <svg viewBox="0 0 400 12" className="h-3 w-full" preserveAspectRatio="none" aria-hidden="true">
                      <rect x="0" y="3" width="400" height="6" fill="#e7dfcc" />
                      <rect
                        x="0"
                        y="3"
                        width={Math.min(400, r.share * 200)}
                        height="6"
                        fill={over ? '#a63a2b' : '#6d7f79'}
                      />
                      {now ? (
                        <rect x="0" y="3" width={Math.min(400, now.share * 200)} height="6" fill="#1e2a2b" />
                      ) : null}
                      <path d="M200 0v12" stroke="#1e2a2b" strokeWidth="2" />
                    </svg>
                  </button>
                </li>
              )
            })}
          </ul>
        ) : (
          <p className="text-quiet mt-1">
            {missingText({ ok: false, needs: [...(load.ok ? [] : load.needs), ...white.needs] })}
          </p>
        )}
        {white.list.length ? (
          <p className="text-quiet mt-0.5 text-[0.87rem]">
            The upright stroke is the rating; the bar is full white{preset ? `, its dark part ${preset.name}` : ''}.
          </p>
        ) : null}
        <Looks saber={saber} presetId={preset?.id ?? ''} onPreset={setPresetId} />
        <div className="mt-2">
          <FigureView name="whole saber, peak at full white" figure={load} digits={2} />
          {preset ? (
            <FigureView name={`whole saber in ${preset.name}`} figure={litCurrent(saber, preset.colour)} digits={2} />
          ) : null}
          <FigureView name="mean over its use" figure={meanCurrent(saber, preset)} digits={2} />
          {litBlades(saber).map((b) =>
            b.kind === 'pixel' && preset ? (
              <FigureView
                key={b.id}
                name={`last pixel of ${b.name}`}
                figure={farLedVolts(saber, b, preset.colour)}
                digits={2}
              />
            ) : (
              <FigureView key={b.id} name={`${b.name}, all lit`} figure={bladeCurrent(saber, b, WHITE)} digits={2} />
            ),
          )}
          <FigureView name="lost in the wire at full white" figure={wireDrop(saber)} digits={2} />
          {ledResistors(saber).map((r) => (
            <div key={r.part.id}>
              <FigureView name={`${r.part.name}: resistor`} figure={r.ohms} digits={2} />
              {r.choice ? (
                <p className="text-quiet text-[0.87rem]">
                  rated {formatNumber(r.choice.ratingWatts, 2)} W or more;{' '}
                  {r.choice.darkWhenEmpty
                    ? 'dark at the empty cell'
                    : `${formatNumber(r.choice.currentEmpty * 1000, 0)} mA left at the empty cell`}
                </p>
              ) : null}
            </div>
          ))}
        </div>
        <Zones saber={saber} />
      </section>
      <section aria-label="Time and volume">
        <h2 className="h2">How long it runs</h2>
        <div className="grid grid-cols-4 gap-3">
          <FactField
            label="share of time lit"
            value={saber.use.litShare}
            unit="%"
            quantity="share"
            source="configured"
            onCommit={(f) => editSaber('use', (s) => void (s.use.litShare = f))}
          />
          <FactField
            label="mean brightness"
            value={saber.use.brightness}
            unit="%"
            quantity="share"
            source="configured"
            onCommit={(f) => editSaber('use', (s) => void (s.use.brightness = f))}
          />
          <FactField
            label="shipped volume"
            value={saber.use.volume}
            unit="%"
            quantity="share"
            source="configured"
            onCommit={(f) => editSaber('volume', (s) => void (s.use.volume = f))}
          />
          <Labelled label="power is cut by">
            <SelectCell
              label="Power is cut by"
              value={saber.cutPower}
              options={Object.keys(CUT_WORDS) as Saber['cutPower'][]}
              words={(v) => CUT_WORDS[v]}
              onCommit={(v) => editSaber('cut-off', (s) => void (s.cutPower = v))}
            />
          </Labelled>
        </div>
        {run.minutes.ok ? (
          <Discharge
            curve={run.curve}
            cutoff={known(saber.parts.find((p) => p.kind === 'cell')?.specs.cutoffVolts) ?? 3}
          />
        ) : null}
        <FigureView name="runtime in use" figure={run.minutes} digits={0} />
        <h2 className="h2 mt-2">Left in a drawer, empty after</h2>
        <p className="text-quiet text-[0.87rem]">→ is how this saber is put away</p>
        {LEFT_WAYS.map((way) => (
          <div key={way} className={OWN_WAY[saber.cutPower] === way ? 'bg-card border-brassline border-l-2 pl-1' : ''}>
            <FigureView
              name={`${OWN_WAY[saber.cutPower] === way ? '→ ' : ''}${WAY_WORDS[way]}`}
              figure={standby(saber, way)}
              as={spell}
            />
          </div>
        ))}
        <h2 className="h2 mt-2">Charge and sound</h2>
        <FigureView name="charging" figure={chargeTime(saber)} digits={1} />
        <FigureView name="energy" figure={wattHours(saber)} digits={1} />
        <FigureView name="speaker at the shipped volume" figure={speakerWatts(saber, saber.use.volume)} digits={2} />
        {volume !== undefined && volume > 0 ? (
          <p className="text-quiet text-[0.87rem]">
            {formatNumber(volume, 0)} of 100 is {formatNumber(volume ** 2 / 100, 0)} % of the power,{' '}
            {formatNumber(20 * Math.log10(volume / 100), 1)} dB
          </p>
        ) : null}
        <FigureView name="highest safe volume" figure={safeVolume(saber)} digits={0} />
      </section>
    </div>
  )
}

/** What every light draws in every look of a preset, in amperes, each with the colour it shows. */
function Looks({ saber, presetId, onPreset }: { saber: Saber; presetId: string; onPreset: (id: string) => void }) {
  const light = useBench((b) => b.light)
  const preset = saber.presets.find((p) => p.id === presetId)
  const budget = useMemo(() => zoneBudget(saber, preset), [saber, preset])
  if (!budget.length) return null
  const looks = budget[0]!.looks
  return (
    <section aria-label="Currents by light and look" className="mt-2">
      <div className="flex items-baseline gap-2">
        <h2 className="h2 whitespace-nowrap">Every light, in every look</h2>
        {saber.presets.length > 1 ? (
          <span className="ml-auto w-40">
            <SelectCell
              label="Preset"
              value={presetId}
              options={saber.presets.map((p) => p.id)}
              words={(id) => saber.presets.find((p) => p.id === id)?.name ?? id}
              onCommit={onPreset}
            />
          </span>
        ) : null}
      </div>
      <table className="w-full text-[0.92rem]">
        <thead>
          <tr className="text-quiet">
            <th className="text-left font-normal">A</th>
            {looks.map((l) => (
              <th key={l.look} className="px-1 text-right font-normal">
                <span
                  className="mr-1 inline-block h-2.5 w-2.5 border border-[#1e2a2b]"
                  style={{ background: l.colour }}
                  aria-hidden="true"
                />
                {words(l.look)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {budget.map((z) => (
            <tr key={z.ref} className="border-rule border-t">
              <th className="py-0.5 text-left font-medium">
                <button type="button" className="text-left" onClick={() => light(z.ref)}>
                  {z.name}
                </button>
              </th>
              {z.looks.map((l) => (
                <td
                  key={l.look}
                  className="px-1 text-right"
                  title={l.current.ok ? l.current.formula : missingText(l.current)}
                >
                  {l.current.ok ? formatNumber(l.current.value, 2) : '–'}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
