import { byId, type Commission, type FilmOf, partsOfRef } from '../../../record'
import { chaptersAt } from '../../../script'
import { say, whether } from '../../../words'
import type { Block, OrderChapter } from '../../block'

/** The saber a film is of: the one that is named, else the one whose take it is, else the only one. */
function take(c: Commission, f: FilmOf) {
  const id = f.take && partsOfRef(f.take)?.id
  const saber = byId(c.sabers, f.saber) ?? c.sabers.find((s) => s.takes.some((t) => t.id === id)) ?? c.sabers[0]!
  return { saber, take: saber.takes.find((t) => t.id === id) }
}

/** Where the film is, and its chapters where a take says when each begins. */
export const film: OrderChapter = (reader, c) => ({
  id: 'film',
  title: say(reader, 'chapter.film'),
  blocks: c.handoff.films
    .filter((f) => f.address || f.file)
    .map((f): Block => {
      const of = take(c, f)
      return {
        kind: 'film',
        title: say(reader, 'film.title', { saber: of.saber.name, several: whether(c.sabers.length > 1) }),
        ...(f.address ? { address: f.address } : {}),
        ...(f.file ? { file: f.file } : {}),
        chapters: of.take ? chaptersAt(reader, of.saber, of.take) : [],
      }
    }),
})
