import { formatFact } from '../../../facts'
import { byId } from '../../../record'
import { say, whether } from '../../../words'
import { type SaberChapter, table } from '../../block'

/** Every light beside the blade: how many LEDs, and what it follows. */
export const lights: SaberChapter = (reader, s) => {
  const head = (column: 'light' | 'leds' | 'does') => say(reader, 'chapter.lights.head', { column })
  return {
    id: 'lights',
    title: say(reader, 'chapter.lights'),
    blocks: table(
      [head('light'), head('leds'), head('does')],
      s.zones.map((z) => {
        const with_ = byId(s.zones, z.follows)?.name ?? byId(s.blades, z.blade)?.name
        return [
          say(reader, 'light.name', { name: z.name, kind: z.kind }),
          formatFact(reader, z.leds, 0),
          say(reader, 'light.does', { with: with_ ?? '', follows: whether(with_) }),
        ]
      }),
    ),
  }
}
