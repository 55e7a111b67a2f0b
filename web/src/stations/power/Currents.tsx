import {
  bladeCurrent,
  farLedVolts,
  ledResistors,
  litBlades,
  litCurrent,
  meanCurrent,
  WHITE,
  wireDrop,
} from '@nubrin/core/power'
import { colourOf, type Preset, type Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { FigureView } from '../../kit'

/** What the whole saber and each blade draw, what the wire takes, and the resistors of single LEDs. */
export function Currents({ saber, preset }: { saber: Saber; preset: Preset | undefined }) {
  return (
    <div className="mt-2">
      <FigureView name="whole saber, peak at full white" figure={litCurrent(saber, WHITE)} digits={2} />
      {preset ? (
        <FigureView
          name={`whole saber in ${preset.name}`}
          figure={litCurrent(saber, colourOf(preset), preset)}
          digits={2}
        />
      ) : null}
      <FigureView name="mean over its use" figure={meanCurrent(saber, preset)} digits={2} />
      {litBlades(saber).map((b) =>
        b.kind === 'pixel' && preset ? (
          <FigureView
            key={b.id}
            name={`last pixel of ${b.name}`}
            figure={farLedVolts(saber, b, colourOf(preset))}
            digits={2}
          />
        ) : (
          <FigureView key={b.id} name={`${b.name}, all lit`} figure={bladeCurrent(saber, b, WHITE)} digits={2} />
        ),
      )}
      <FigureView name="lost in the wire at full white" figure={wireDrop(saber)} digits={2} />
      {ledResistors(saber).map((r) => (
        <div key={r.name}>
          <FigureView name={`${r.name}: resistor`} figure={r.ohms} digits={2} />
          {r.choice ? (
            <p className="text-quiet text-[0.87rem]">
              rated {formatNumber(MAKER, r.choice.ratingWatts, 2)} W or more;{' '}
              {r.choice.darkWhenEmpty
                ? 'dark with the cell empty'
                : `${formatNumber(MAKER, r.choice.currentEmpty * 1000, 0)} mA with the cell empty`}
            </p>
          ) : null}
        </div>
      ))}
    </div>
  )
}
