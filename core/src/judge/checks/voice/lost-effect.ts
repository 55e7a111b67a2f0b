import { difference, hueWord } from '../../../light'
import { eventsOn, lampsOf } from '../../../looks'
import { LIGHT_EVENTS } from '../../../record'
import { check } from '../../check'

/** An event nearer than this to the base that it comes over hardly shows, ΔE00 (CIE 2000); set by eye at the bench. */
const SHOWS = 12
/** A sum that is further than this from the colour that was set reads as another one. */
const READS = 12

/** What comes and goes with the blade itself has no base to stand against. */
const OVER_BASE = LIGHT_EVENTS.filter((e) => e !== 'preIgnition' && e !== 'ignite' && e !== 'retract')

export const lostEffect = check<{
  /** Through what it is seen, where that is what makes them alike. */
  lost: { preset: string; effect: string; light: string; apart: number; through: string; seen: [string, string] }
  mixed: { preset: string; effect: string; light: string; asked: string; reads: string; seen: string }
}>({
  id: 'lostEffect',
  station: 'voice',
  scope: 'saber',
  source: 'CIEDE2000 of what is seen; dies that light one tube add in linear light',
  reads: ['presets', 'zones', 'blades', 'hilt', 'parts'],
  run: ({ saber }, each) => {
    const blades = lampsOf(saber).filter((l) => l.kind === 'blade')
    return each(saber.presets, (p) =>
      each(blades, (lamp) =>
        each(eventsOn(saber, p, lamp, OVER_BASE), ({ event, set, base, seen, baseSeen, apart, mixed }) => {
          const at = {
            subject: `${p.id}-${event}-${lamp.ref.replace(':', '-')}`.slice(0, 120),
            level: 'caution' as const,
            refs: [`preset:${p.id}` as const, lamp.ref],
          }
          const params = { preset: p.name, effect: event, light: lamp.name }
          if (set !== base && apart < SHOWS)
            return [
              {
                ...{ ...at, code: 'lost' as const },
                params: {
                  ...params,
                  apart,
                  through: lamp.tint?.what ?? '',
                  seen: [seen, baseSeen] as [string, string],
                },
              },
            ]
          const [asked, reads] = [hueWord(set), hueWord(seen)]
          return mixed && asked !== reads && asked !== 'white' && readsOther(set, seen)
            ? [{ ...at, code: 'mixed' as const, params: { ...params, asked, reads, seen } }]
            : []
        }),
      ),
    )
  },
})
const readsOther = (a: string, b: string) => difference(a, b) >= READS
