import { missingText } from '@nubrin/core/findings'
import {
  bladeCurrent,
  chargeTime,
  ledResistors,
  litBlades,
  litCurrent,
  pixels,
  ratings,
  runtime,
  safeVolume,
  speakerWatts,
  standby,
  WHITE,
  wattHours,
  wireDrop,
} from '@nubrin/core/power'
import { fact, known, type Saber } from '@nubrin/core/record'
import { formatNumber } from '@nubrin/core/units'
import { axisBottom, axisLeft, line, scaleLinear, select } from 'd3'
import { useEffect, useMemo, useRef } from 'react'
import { freshId } from '../api'
import { useBench, useEditSaber, useSaber } from '../store/commission'
import { FactField } from '../ui/FactField'
import { FigureView } from '../ui/FigureView'
import { AddLine, Labelled, RemoveButton, SelectCell, setText, TextCell } from '../ui/fields'

const CUT_WORDS: Record<Saber['cutPower'], string> = {
  killSwitch: 'a kill switch',
  killKeyPull: 'a kill key, pull to run',
  killKeyTurn: 'a kill key, turn to run',
  cellOut: 'taking the cell out',
  deepSleep: 'deep sleep only',
  none: 'nothing',
}

export default function Power() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const light = useBench((b) => b.light)
  const first = saber.presets[0]
  const load = useMemo(() => litCurrent(saber, WHITE), [saber])
  const white = useMemo(() => ratings(saber, WHITE), [saber])
  const usual = useMemo(() => (first ? ratings(saber, first.colour).list : []), [saber, first])
  const run = useMemo(() => runtime(saber), [saber])
  const blades = litBlades(saber)
  return (
    <div className="grid grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)] gap-7">
      <section aria-label="Ratings">
        <h2 className="h2">Everything the current passes, worst first</h2>
        {white.list.length ? (
          <ul className="mt-1">
            {white.list.map((r) => {
              const now = usual.find((u) => u.ref === r.ref && u.name === r.name)
              const over = r.share > 1
              return (
                <li key={r.ref + r.name} className="border-rule border-b py-1">
                  <button type="button" className="w-full text-left" onClick={() => light(r.ref)}>
                    <span className="flex justify-between gap-2">
                      <span className="font-medium">{r.name}</span>
                      <span className={over ? 'text-stop font-semibold' : ''}>
                        {over ? '✕ ' : '✓ '}
                        {formatNumber(r.share * r.ratedAmps, 1)} of {formatNumber(r.ratedAmps, 1)} A
                      </span>
                    </span>
                    <svg
                      viewBox="0 0 400 12"
                      className="mt-0.5 h-3 w-full"
                      preserveAspectRatio="none"
                      aria-hidden="true"
                    >
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
          <p className="text-quiet mt-1 text-[0.87rem]">
            The upright stroke is the rating; the bar is full white{first ? `, its dark part ${first.name}` : ''}.
          </p>
        ) : null}
        <div className="mt-3">
          {blades.map((b) => (
            <FigureView key={b.id} name={`${b.name}: pixels`} figure={pixels(saber, b)} digits={0} unit="" />
          ))}
          {blades.map((b) => (
            <FigureView
              key={`${b.id}w`}
              name={`${b.name}: full white`}
              figure={bladeCurrent(saber, b, WHITE)}
              digits={2}
            />
          ))}
          <FigureView name="whole saber at full white" figure={load} digits={2} />
          {first ? (
            <FigureView name={`whole saber in ${first.name}`} figure={litCurrent(saber, first.colour)} digits={2} />
          ) : null}
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
          <FigureView name="lost in the wire at full white" figure={wireDrop(saber)} digits={2} />
        </div>
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
        <FigureView
          name="left asleep in a drawer"
          figure={standby(saber, 'asleep')}
          as={(h) =>
            h > 24 * 60
              ? `empty in ${formatNumber(h / 24 / 30.4, 1)} months`
              : `empty in ${formatNumber(h / 24, 0)} days`
          }
        />
        {saber.cutPower !== 'none' ? (
          <FigureView
            name="with the power cut"
            figure={standby(saber, 'cut')}
            as={() => 'years, by self-discharge alone'}
          />
        ) : null}
        <FigureView name="charging" figure={chargeTime(saber)} digits={1} />
        <FigureView name="energy" figure={wattHours(saber)} digits={1} />
        <FigureView name="speaker at the shipped volume" figure={speakerWatts(saber, saber.use.volume)} digits={2} />
        <FigureView name="highest safe volume" figure={safeVolume(saber)} digits={0} />
        <Zones saber={saber} />
      </section>
    </div>
  )
}

/** Every run of LEDs beside the blade: crystal, accents, chassis strips; one may follow another's colour and still draws its own current. */
function Zones({ saber }: { saber: Saber }) {
  const editSaber = useEditSaber()
  const set = (i: number, run: (z: Saber['zones'][number]) => void) => editSaber('light zone', (s) => run(s.zones[i]!))
  return (
    <section aria-label="Light zones" className="mt-4">
      <h2 className="h2">Other lights</h2>
      {saber.zones.map((z, i) =>
        z.blade ? null : (
          <div
            key={z.id}
            className="border-rule grid grid-cols-[minmax(0,1fr)_76px_50px_56px_88px_auto] items-start gap-2 border-b"
          >
            <TextCell
              label={`Name of light ${i + 1}`}
              value={z.name}
              onCommit={(v) => set(i, (x) => void (x.name = v || x.name))}
            />
            <SelectCell
              label={`Kind of ${z.name}`}
              value={z.kind}
              options={['crystal', 'chassis', 'accent', 'connector', 'button', 'quillon', 'blade'] as const}
              onCommit={(v) => set(i, (x) => void (x.kind = v))}
            />
            <FactField
              hideLabel
              compact
              label={`LEDs in ${z.name}`}
              value={z.leds}
              unit="×"
              quantity="count"
              onCommit={(f) => set(i, (x) => void (x.leds = f))}
            />
            <FactField
              hideLabel
              compact
              label={`mA per channel of ${z.name}`}
              value={z.channelCurrent}
              unit="mA"
              quantity="current"
              source="datasheet"
              onCommit={(f) => set(i, (x) => void (x.channelCurrent = f))}
            />
            <SelectCell
              label={`${z.name} follows`}
              value={z.follows ?? ''}
              options={['', ...saber.zones.filter((o) => o.id !== z.id && o.follows !== z.id).map((o) => o.id)]}
              words={(v) => (v ? `with ${saber.zones.find((o) => o.id === v)?.name}` : 'its own')}
              onCommit={(v) => set(i, (x) => setText(x, 'follows', v))}
            />
            <RemoveButton
              what={z.name}
              onClick={() =>
                editSaber('remove light', (s) => {
                  s.zones.splice(i, 1)
                  for (const o of s.zones) if (o.follows === z.id) delete o.follows
                })
              }
            />
          </div>
        ),
      )}
      <AddLine
        label="another light: crystal, accent, strip"
        onAdd={(name) =>
          editSaber(
            'add light',
            (s) =>
              void s.zones.push({
                id: freshId(),
                name,
                kind: 'accent',
                leds: fact(null, '×'),
                channelCurrent: fact(null, 'mA'),
                idleCurrent: fact(0.6, 'mA', 'assumed'),
              }),
          )
        }
      />
    </section>
  )
}

/** The discharge under the use profile: volts over minutes down to the cut-off. */
function Discharge({ curve, cutoff }: { curve: { minutes: number; volts: number }[]; cutoff: number }) {
  const ref = useRef<SVGSVGElement>(null)
  useEffect(() => {
    if (curve.length < 2) return
    const svg = select(ref.current!)
    svg.selectAll('*').remove()
    const x = scaleLinear([0, curve.at(-1)!.minutes || 1], [34, 392])
    const top = Math.max(...curve.map((c) => c.volts), cutoff + 0.2)
    const y = scaleLinear([Math.min(cutoff - 0.1, ...curve.map((c) => c.volts)), top], [112, 8])
    svg.append('g').attr('transform', 'translate(0,112)').call(axisBottom(x).ticks(6).tickSizeOuter(0))
    svg.append('g').attr('transform', 'translate(34,0)').call(axisLeft(y).ticks(4).tickSizeOuter(0))
    svg
      .append('path')
      .attr('d', `M34 ${y(cutoff)}H392`)
      .attr('stroke', '#a63a2b')
      .attr('stroke-dasharray', '4 3')
    svg
      .append('path')
      .attr(
        'd',
        line<{ minutes: number; volts: number }>(
          (c) => x(c.minutes),
          (c) => y(c.volts),
        )(curve)!,
      )
      .attr('fill', 'none')
      .attr('stroke', '#1e2a2b')
      .attr('stroke-width', 1.8)
    svg
      .append('text')
      .attr('x', 390)
      .attr('y', y(cutoff) - 4)
      .attr('text-anchor', 'end')
      .attr('font-size', 11)
      .attr('fill', '#a63a2b')
      .text('cut-off')
    svg.selectAll('.tick text').attr('font-size', 11).attr('fill', '#5f594b').style('font-family', 'inherit')
  }, [curve, cutoff])
  return (
    <svg
      ref={ref}
      viewBox="0 0 400 132"
      className="mt-2 w-full"
      role="img"
      aria-label={`Discharge: ${Math.round(curve.at(-1)?.minutes ?? 0)} minutes to cut-off`}
    />
  )
}
