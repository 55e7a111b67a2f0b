import { doingOf, gestureText } from '../../controls'
import { byId } from '../../record'
import { say, whether } from '../../words'
import { type SaberChapter, table } from '../block'

export const controls: SaberChapter = (s) => {
  const head = (column: 'state' | 'gesture' | 'does' | 'shown') => say('chapter.controls.head', { column })
  return {
    id: 'controls',
    title: say('chapter.controls'),
    blocks: s.controls.length
      ? table(
          [head('state'), head('gesture'), head('does'), head('shown')],
          s.controls.map((r) => [
            say('control.state', {
              state: r.state,
              presets: (r.presets ?? []).map((id) => byId(s.presets, id)?.name ?? '?').join(', '),
              limited: whether(r.presets?.length),
            }),
            gestureText(s, r),
            doingOf(r),
            say('control.status', { status: r.status }),
          ]),
        )
      : [{ kind: 'para', text: say('controls.none') }],
  }
}
