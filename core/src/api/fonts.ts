import * as T from '@sinclair/typebox'
import { EVENTS, Font } from '../record'
import { closed, Moment } from './common'
import { route } from './route'

const Count = T.Integer({ minimum: 0 })
/** A font of the shop's library: as it would lie on a card, in how many orders it is, and how many bytes it takes. */
const ShelvedFont = T.Object({ font: Font, orders: Count, bytes: Count, changedAt: Moment }, closed)
const NameRules = T.Array(
  T.Object(
    {
      event: T.Union(EVENTS.map((e) => T.Literal(e))),
      words: T.Array(T.String({ minLength: 1, maxLength: 60, pattern: '\\p{L}' }), { maxItems: 80 }),
    },
    closed,
  ),
  { maxItems: 60 },
)

export const fonts = {
  fonts: route({
    method: 'get',
    path: '/fonts',
    summary: 'The shop’s library of fonts',
    good: { status: 200, says: 'Fonts', json: T.Array(ShelvedFont) },
  }),
  keepFont: route({
    method: 'put',
    path: '/fonts/{id}',
    summary: 'Put a font into the library, or change it; its files must be this shop’s',
    body: Font,
    good: { status: 200, says: 'The font', json: Font },
  }),
  dropFont: route({
    method: 'delete',
    path: '/fonts/{id}',
    summary: 'Take a font out of the library; sabers keep their copy',
    good: { status: 204, says: 'Taken out', empty: true },
    bad: { 404: 'Not in this library' },
  }),
  cardZip: route({
    method: 'get',
    path: '/commissions/{id}/sabers/{saber}/card.zip',
    summary:
      'What goes onto the card of a saber: its sounds in folders by font and event, with the gains that are set, and its configuration with a copy',
    good: { status: 200, says: 'ZIP', file: 'application/zip' },
    bad: { 404: 'No such saber' },
  }),
  soundRules: route({
    method: 'get',
    path: '/sound-rules',
    summary: 'The words by which files of sounds find their event',
    good: { status: 200, says: 'Rules, by event', json: NameRules },
  }),
  setSoundRules: route({
    method: 'put',
    path: '/sound-rules',
    summary: 'Change them; none at all brings back those that a shop begins with',
    body: NameRules,
    good: { status: 200, says: 'Rules, by event', json: NameRules },
  }),
}
