import { formatFact } from '../../../facts'
import { byId } from '../../../record'
import { say, whether } from '../../../words'
import { type SaberChapter, table } from '../../block'

/** Every light beside the blade: how many LEDs, and what it follows. */
export const lights: SaberChapter = (s) => {
  const head = (column: 'light' | 'leds' | 'does') => say('chapter.lights.head', { column })
  return {
    id: 'lights',
    title: say('chapter.lights'),
    blocks: table(
      [head('light'), head('leds'), head('does')],
      s.zones.map((z) => {
        const with_ = byId(s.zones, z.follows)?.name ?? byId(s.blades, z.blade)?.name
        return [
          say('light.name', { name: z.name, kind: z.kind }),
          formatFact(z.leds, 0),
          say('light.does', { with: with_ ?? '', follows: whether(with_) }),
        ]
      }),
    ),
  }
}
