import { refTo, type Saber, toldNoun } from '../../record'
import { say, whether } from '../../words'
import type { Block, SaberChapter } from '../block'
import { stepsOf } from '../values'

/** What cutting the power means here, for somebody who has never held one. */
const about = (s: Saber): Block => {
  const by = s.parts.find((p) => p.kind === (s.cutPower === 'killSwitch' ? 'killSwitch' : 'killKey'))
  const cells = s.parts.filter((p) => p.kind === 'cell')
  return {
    kind: 'para',
    text: say('power.about', {
      by: s.cutPower,
      name: (by && toldNoun(s, refTo('part', by.id))) ?? '',
      named: whether(by),
      cellOut: whether(cells.some((c) => c.removable)),
    }),
  }
}

export const power: SaberChapter = (s) => ({
  id: 'power',
  title: say('chapter.power'),
  blocks: [...(s.parts.some((p) => p.kind === 'board') ? [about(s)] : []), ...stepsOf(s, ['powerOn', 'powerOff'])],
})
