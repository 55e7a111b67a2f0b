import { LEFT_WAYS, type LeftWay, standby } from '@nubrin/core/power'
import type { Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { FigureView } from '../../kit'

const WAY_WORDS: Record<LeftWay, string> = {
  on: 'left on, blade off',
  asleep: 'asleep',
  deepSleep: 'in deep sleep',
  cut: 'power cut',
  cellOut: 'cell taken out',
}
/** The way a saber is left when its own way of cutting power is used. */
const OWN_WAY: Record<Saber['cutPower'], LeftWay> = {
  killSwitch: 'cut',
  killKey: 'cut',
  cellOut: 'cellOut',
  deepSleep: 'deepSleep',
  none: 'asleep',
}

/** Hours in the words a client understands: days to two months, then months, then years. */
const spell = (h: number) =>
  h < 48
    ? `${formatNumber(MAKER, h, 0)} hours`
    : h < 24 * 60
      ? `${formatNumber(MAKER, h / 24, 0)} days`
      : h < 24 * 365 * 1.5
        ? `${formatNumber(MAKER, h / 24 / 30.4, 0)} months`
        : `${formatNumber(MAKER, h / 24 / 365, 1)} years`

/** How long the cell lasts in each way the saber may be left. */
export function LeftInADrawer({ saber }: { saber: Saber }) {
  return (
    <>
      <h2 className="h2 mt-2">Storage life</h2>
      <p className="text-quiet text-[0.87rem]">→ how this saber is stored</p>
      {LEFT_WAYS.map((way) => (
        <div key={way} className={OWN_WAY[saber.cutPower] === way ? 'bg-card border-brassline border-l-2 pl-1' : ''}>
          <FigureView
            name={`${OWN_WAY[saber.cutPower] === way ? '→ ' : ''}${WAY_WORDS[way]}`}
            figure={standby(saber, way)}
            as={spell}
          />
        </div>
      ))}
    </>
  )
}
