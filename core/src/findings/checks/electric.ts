import { layOut, spanOf } from '../../hilt/geometry'
import { addLight, difference, FLASH_LIMIT_HZ, hueWord, SAME_COLOUR } from '../../light'
import {
  FAR_LED_VOLTS,
  farLedVolts,
  litBlades,
  litCurrent,
  packOf,
  ratings,
  runtime,
  safeVolume,
  standby,
  WHITE,
  wireDrop,
} from '../../power'
import { known } from '../../record/fact'
import { hasCutOff } from '../../record/lookup'
import { words } from '../../record/words'
import { missingSounds } from '../../sound/events'
import { formatNumber } from '../../units/format'
import { missingText } from '../figure'
import type { Check, Raised } from '../finding'

const A = (v: number) => `${formatNumber(v)} A`

/** Judgements on current, voltage and time. */
export const powerChecks: Check[] = [
  {
    id: 'overRating',
    station: 'power',
    scope: 'saber',
    rule: 'The current at full white stays within the rating of all it passes: cell, pins, switch, wire.',
    source: 'ratings by datasheet; chassis-wiring guide by AWG',
    run: ({ saber }) => {
      const white = ratings(saber, WHITE)
      const first = saber.presets[0]
      const usual = first ? ratings(saber, first.colour).list : []
      return white.list
        .filter((r) => r.share > 1)
        .map((r) => {
          const now = usual.find((u) => u.ref === r.ref)
          const fine = now && now.share <= 1
          return {
            subject: r.ref,
            level: fine ? ('caution' as const) : ('stop' as const),
            title: `${r.name}: ${A(r.load.ok ? r.share * r.ratedAmps : 0)} at full white, rated ${A(r.ratedAmps)}`,
            detail: `${formatNumber(r.share * 100, 0)} % of its rating.${now ? ` In ${first!.name} it is ${formatNumber(now.share * 100, 0)} %.` : ''}`,
            remedy: fine
              ? 'Limit the brightness of white, or fit the next size; say so in the record.'
              : 'Fit the next size, or limit the brightness on the board.',
            refs: [r.ref],
            gate: !fine,
          }
        })
    },
  },
  {
    id: 'powerNeeds',
    station: 'power',
    scope: 'saber',
    rule: 'A figure with a missing input is not calculated.',
    source: 'house rule: never an invented figure',
    run: ({ saber }) => {
      if (!saber.parts.length) return []
      const c = litCurrent(saber, WHITE)
      const r = runtime(saber).minutes
      const needs = [...(c.ok ? [] : c.needs), ...(r.ok ? [] : r.needs), ...ratings(saber).needs]
      const unique = needs.filter((n, i) => needs.findIndex((m) => m.name === n.name) === i)
      return unique.length
        ? [
            {
              subject: 'needs',
              level: 'note' as const,
              title: 'Not calculable yet',
              detail: missingText({ ok: false, needs: unique }),
              remedy: 'Enter what is missing.',
              refs: unique.flatMap((n) => (n.ref ? [n.ref] : [])),
            },
          ]
        : []
    },
  },
  {
    id: 'wireDrop',
    station: 'power',
    scope: 'saber',
    rule: 'The wire takes no more than 0.3 V at full white.',
    source: 'trade practice, editable; R = ρL/A',
    run: ({ saber }) => {
      const d = wireDrop(saber)
      return d.ok && d.value > 0.3
        ? [
            {
              subject: 'drop',
              level: 'caution',
              title: `${formatNumber(d.value)} V lost in the wire`,
              detail: `At full white, both ways. The far pixels turn yellow.`,
              remedy: 'Thicker wire, or two in parallel.',
            },
          ]
        : []
    },
  },
  {
    id: 'farLed',
    station: 'power',
    scope: 'saber',
    rule: `The last pixel keeps ${FAR_LED_VOLTS} V in the first preset's colour with a half-charged cell.`,
    source: 'I·R over cell, wire and strip; forward voltage of blue and white dies',
    run: ({ saber }) =>
      litBlades(saber)
        .filter((b) => b.kind === 'pixel')
        .flatMap((b): Raised[] => {
          const first = saber.presets[0]
          const v = first ? farLedVolts(saber, b, first.colour) : undefined
          if (!v?.ok || v.value >= FAR_LED_VOLTS) return []
          return [
            {
              subject: b.id,
              level: 'caution',
              title: `${b.name}: ${formatNumber(v.value)} V at the last pixel`,
              detail: `In ${first!.name}, half charged; blue and white want ${FAR_LED_VOLTS} V, so the tip shifts in colour.`,
              remedy: 'Feed the strip at both ends, thicker wire, or less brightness.',
              refs: [`blade:${b.id}`],
            },
          ]
        }),
  },
  {
    id: 'packVolts',
    station: 'power',
    scope: 'saber',
    rule: 'Pixels take 5 V: a pack above that feeds them through a converter. A string takes what its LEDs drop.',
    source: 'LED datasheets',
    run: ({ saber }) => {
      const pack = packOf(saber)
      const cell = pack.cells[0]
      const nominal = known(cell?.specs.nominalVolts)
      if (!cell || nominal === undefined) return []
      const volts = nominal * pack.series
      const out: Raised[] = []
      const pixel = litBlades(saber).some((b) => b.kind === 'pixel')
      if (pixel && pack.stepDown < 1 && !saber.parts.some((p) => p.kind === 'auxBoard' && /convert/i.test(p.name)))
        out.push({
          subject: 'converter',
          level: 'stop',
          title: `${formatNumber(volts)} V would burn the pixels`,
          detail: `They take 5 V at most; the pack gives ${formatNumber(volts)} V and no converter is fitted.`,
          remedy: 'Fit a voltage converter, or join the cells in parallel.',
          refs: [`part:${cell.id}`],
          gate: true,
        })
      for (const b of litBlades(saber).filter((q) => q.kind === 'string')) {
        const f = known(b.forwardVolts)
        const low = (known(cell.specs.cutoffVolts) ?? 3) * pack.series
        if (f !== undefined && f > volts)
          out.push({
            subject: `${b.id}-dark`,
            level: 'stop',
            title: `${b.name} stays dark`,
            detail: `A group drops ${formatNumber(f)} V, the pack gives ${formatNumber(volts)} V.`,
            remedy: 'More cells in series, or a string made for this voltage.',
            refs: [`blade:${b.id}`],
            gate: true,
          })
        else if (f !== undefined && f > low)
          out.push({
            subject: `${b.id}-fades`,
            level: 'note',
            title: `${b.name} fades before the cell is empty`,
            detail: `A group drops ${formatNumber(f)} V; at the cut-off the pack gives ${formatNumber(low)} V.`,
            remedy: 'Tell the client to charge when it dims.',
            refs: [`blade:${b.id}`],
          })
      }
      return out
    },
  },
  {
    id: 'standby',
    station: 'power',
    scope: 'saber',
    rule: 'Left in a drawer, a saber does not empty its cell in under four weeks, or the client is told.',
    source: 'capacity ÷ sleep current',
    run: ({ saber }) => {
      const s = standby(saber, 'asleep')
      if (!s.ok || s.value / 24 >= 28) return []
      const cut = hasCutOff(saber)
      return [
        {
          subject: 'standby',
          level: cut ? 'note' : 'caution',
          title: `Asleep in a drawer: empty in ${formatNumber(s.value / 24, 0)} days`,
          detail: cut ? 'With the power cut it keeps for years of self-discharge.' : 'Nothing cuts the power.',
          remedy: cut
            ? 'Tell the client to cut the power for storage.'
            : 'Fit a kill switch or key, or tell the client to take the cell out.',
        },
      ]
    },
  },
  {
    id: 'cutOff',
    station: 'power',
    scope: 'saber',
    rule: 'How the power is cut agrees with what is fitted.',
    source: 'schools of practice',
    run: ({ saber }) => {
      const has = (k: string) => saber.parts.some((p) => p.kind === k)
      const needs =
        saber.cutPower === 'killSwitch'
          ? 'killSwitch'
          : saber.cutPower === 'killKeyPull' || saber.cutPower === 'killKeyTurn'
            ? 'killKey'
            : undefined
      if (needs && !has(needs))
        return [
          {
            subject: 'missing',
            level: 'caution',
            title: `No ${words(needs)} is fitted`,
            detail: `The record cuts power by ${words(saber.cutPower)}.`,
            remedy: 'Add the part, or choose another way.',
            gate: true,
          },
        ]
      if (!needs && (has('killSwitch') || has('killKey')))
        return [
          {
            subject: 'unused',
            level: 'caution',
            title: 'A way to cut power is fitted but not named',
            detail: `The record says: ${saber.cutPower === 'none' ? 'nothing cuts the power' : words(saber.cutPower)}.`,
            remedy: 'Choose it under Power.',
          },
        ]
      return []
    },
  },
  {
    id: 'protectedCell',
    station: 'power',
    scope: 'saber',
    rule: 'A removable bare cell without a board-side protection is a caution, for a beginner a stop.',
    source: 'usual caution; the cell maker’s sheet decides',
    run: ({ saber, commission }) =>
      saber.parts
        .filter((p) => p.kind === 'cell' && p.removable && p.protected === false)
        .map((p) => ({
          subject: p.id,
          level: commission.purpose === 'beginner' ? ('stop' as const) : ('caution' as const),
          title: `${p.name} is bare and can be taken out`,
          detail: 'A bare cell has no protection against short circuit or deep discharge.',
          remedy: 'Take a protected cell of the same size code, or record the protection elsewhere.',
          refs: [`part:${p.id}`],
          gate: commission.purpose === 'beginner',
        })),
  },
  {
    id: 'landmark',
    station: 'power',
    scope: 'saber',
    rule: 'Polarity is told by landmarks on this saber, not in general.',
    source: 'usual caution',
    run: ({ saber }) =>
      saber.parts
        .filter((p) => p.kind === 'cell' && p.removable && !p.landmark)
        .map((p) => ({
          subject: p.id,
          level: 'caution' as const,
          title: 'Which way round does the cell go?',
          detail: `${p.name} can be taken out and no landmark says which pole goes where.`,
          remedy: 'Name two landmarks: which end first, and the mark in the hilt.',
          refs: [`part:${p.id}`],
          gate: true,
        })),
  },
]

/** Judgements on fonts, sounds and colours. */
export const voiceChecks: Check[] = [
  {
    id: 'missingSound',
    station: 'voice',
    scope: 'saber',
    rule: 'A font has a sound for every event that the controls can reach.',
    source: 'controls against the sound list',
    run: ({ saber }) =>
      saber.presets.flatMap((p) => {
        const missing = missingSounds(saber, p)
        return missing.length
          ? [
              {
                subject: p.id,
                level: 'stop' as const,
                title: `${p.name}: no sound for ${missing.map(words).join(', ')}`,
                detail: 'The controls can reach it and the font stays silent there.',
                remedy: 'Add the sound, or take the control out of this preset.',
                refs: [`preset:${p.id}`],
                gate: true,
              },
            ]
          : []
      }),
  },
  {
    id: 'clipped',
    station: 'voice',
    scope: 'saber',
    rule: 'A sound peaks below full scale.',
    source: 'sample peak, dBFS',
    run: ({ saber }) =>
      saber.presets.flatMap((p) =>
        p.sounds
          .filter((s) => s.peakDb !== undefined && s.peakDb > -0.1)
          .map((s) => ({
            subject: `${p.id}-${s.id}`,
            level: 'caution' as const,
            title: `${s.name} is at full scale`,
            detail: `Peak ${formatNumber(s.peakDb!, 1)} dBFS in ${p.name}: it probably clips.`,
            remedy: 'Lower its gain by a decibel or two and put it back.',
            refs: [`preset:${p.id}`],
          })),
      ),
  },
  {
    id: 'ignitionTime',
    station: 'voice',
    scope: 'saber',
    rule: 'The blade extends as long as its ignite sound carries, within half a second.',
    source: 'ignite sound length against extension time',
    run: ({ saber }) =>
      saber.presets.flatMap((p) => {
        const s = p.sounds.find((q) => q.event === 'ignite' && q.seconds !== undefined)
        const ext = known(p.extendMs)
        if (!s || ext === undefined || Math.abs(s.seconds! - ext / 1000) <= 0.5) return []
        return [
          {
            subject: p.id,
            level: 'note' as const,
            title: `${p.name}: the blade is ${ext / 1000 < s.seconds! ? 'out before its sound' : 'slower than its sound'}`,
            detail: `Ignite sound ${formatNumber(s.seconds!)} s, extension ${formatNumber(ext / 1000)} s.`,
            remedy: `Set the extension to about ${formatNumber(s.seconds!, 1)} s.`,
            refs: [`preset:${p.id}`],
          },
        ]
      }),
  },
  {
    id: 'alikeColours',
    station: 'voice',
    scope: 'saber',
    rule: `Two presets closer than ΔE00 ${SAME_COLOUR} are hard to tell apart.`,
    source: 'CIEDE2000',
    run: ({ saber }) => {
      const out: Raised[] = []
      saber.presets.forEach((a, i) => {
        for (const b of saber.presets.slice(i + 1)) {
          const d = difference(a.colour, b.colour)
          if (d > 0 && d < SAME_COLOUR)
            out.push({
              subject: `${a.id}-${b.id}`,
              level: 'note',
              title: `${a.name} and ${b.name} look alike`,
              detail: `ΔE00 ${formatNumber(d, 1)} between ${a.colour} and ${b.colour}.`,
              remedy: 'Move one, or tell the client which is which.',
              refs: [`preset:${a.id}`, `preset:${b.id}`],
            })
        }
      })
      return out
    },
  },
  {
    id: 'lostEffect',
    station: 'voice',
    scope: 'saber',
    rule: 'An effect that adds light to its base reads as its own colour.',
    source: 'additive light in linear RGB, ΔE00 to white',
    run: ({ saber }) =>
      saber.presets.flatMap((p) =>
        Object.entries(p.effects ?? {}).flatMap(([name, hex]) => {
          const sum = addLight(p.colour, hex!)
          const asked = hueWord(hex!)
          const reads = hueWord(sum)
          if (reads === asked || asked === 'white' || difference(sum, hex!) < 12) return []
          const near = difference(sum, '#ffffff') < 22 ? 'near white' : reads
          return [
            {
              subject: `${p.id}-${name}`,
              level: 'caution' as const,
              title: `${p.name}: the ${asked} ${name} will read ${near}`,
              detail: `${hex} added to ${p.colour} gives ${sum}.`,
              remedy: 'Replace the base colour for the effect instead of adding, or darken the effect.',
              refs: [`preset:${p.id}`],
            },
          ]
        }),
      ),
  },
  {
    id: 'flashing',
    station: 'voice',
    scope: 'saber',
    rule: `More than ${FLASH_LIMIT_HZ} general flashes a second is the usual photosensitive threshold; the caution must be printed.`,
    source: 'WCAG 2.3.1',
    run: ({ saber }) =>
      saber.presets
        .filter((p) => (known(p.flickerHz) ?? 0) > FLASH_LIMIT_HZ)
        .map((p) => ({
          subject: p.id,
          level: 'note' as const,
          title: `${p.name} flashes ${formatNumber(known(p.flickerHz)!)} times a second`,
          detail: 'The caution on flashing light is printed in the handoff.',
          remedy: 'Nothing to do, or choose a calmer style.',
          refs: [`preset:${p.id}`],
        })),
  },
  {
    id: 'loudVolume',
    station: 'voice',
    scope: 'saber',
    rule: 'The shipped volume stays within the speaker’s rating.',
    source: 'P = (Vrms·volume)²/Z',
    run: ({ saber }) => {
      const safe = safeVolume(saber)
      const v = known(saber.use.volume)
      if (!saber.parts.some((p) => p.kind === 'speaker')) return []
      if (v === undefined)
        return [
          {
            subject: 'volume',
            level: 'note',
            title: 'Shipped volume not recorded',
            detail: safe.ok ? `The highest safe setting is ${safe.value}.` : missingText(safe),
            remedy: 'Read it off the board.',
          },
        ]
      return safe.ok && v > safe.value
        ? [
            {
              subject: 'volume',
              level: 'caution',
              title: `Volume ${v} drives the speaker past its rating`,
              detail: `The highest safe setting is ${safe.value}.`,
              remedy: `Set it to ${safe.value} or below.`,
              refs: saber.parts.filter((p) => p.kind === 'speaker').map((p) => `part:${p.id}`),
            },
          ]
        : []
    },
  },
  {
    id: 'displayWindow',
    station: 'fit',
    scope: 'saber',
    rule: 'A display stands behind a window.',
    source: 'geometry',
    run: ({ saber }) => {
      const shape = layOut(saber.hilt)
      return saber.parts
        .filter((p) => p.kind === 'display')
        .flatMap((p): Raised[] => {
          const span = spanOf(p)
          if (!span || !shape.complete) return []
          const mid = (span.x0 + span.x1) / 2
          const w = saber.hilt.openings.find(
            (o) =>
              o.kind === 'window' &&
              known(o.at) !== undefined &&
              Math.abs(known(o.at)! - mid) <= (known(o.length) ?? 0) / 2,
          )
          if (!w)
            return [
              {
                subject: p.id,
                level: 'stop' as const,
                title: `${p.name}: no window over it`,
                detail: `Its middle is at ${formatNumber(mid, 1)} mm.`,
                remedy: 'Move the display, or record the window.',
                refs: [`part:${p.id}`],
                gate: true,
              },
            ]
          const off = Math.abs(known(w.at)! - mid)
          return off > 1
            ? [
                {
                  subject: p.id,
                  level: 'caution' as const,
                  title: `${p.name} sits ${formatNumber(off, 1)} mm off its window`,
                  detail: `Window at ${formatNumber(known(w.at)!, 1)}, display at ${formatNumber(mid, 1)}.`,
                  remedy: `Move the display by ${formatNumber(off, 1)} mm.`,
                  refs: [`part:${p.id}`, `opening:${w.id}`],
                },
              ]
            : []
        })
    },
  },
]
