import type { Saber } from '@nubrin/core/record'
import { say } from '@nubrin/core/words'
import { useReader } from '../base/reader'
import { Practice } from '../play/Practice'
import { useHandKeys } from '../play/useHandKeys'
import { usePlay } from '../play/usePlay'
import { HoldButton } from './HoldButton'
import { bareName } from './InHand'
import { Sheet } from './Sheet'

/** The controls, asked for one after the other, with keys to press them by. */
export function Practise({ saber, onLeave }: { saber: Saber; onLeave: () => void }) {
  const reader = useReader()
  useHandKeys(saber)
  const { press, release, move, pose } = usePlay.getState()
  const held = usePlay((p) => p.state?.held)
  return (
    <Sheet label={say(reader, 'page.practise')} onLeave={onLeave}>
      <button type="button" className="text-brass self-end" onClick={onLeave}>
        {say(reader, 'page.leave')}
      </button>
      <div className="mx-auto w-full max-w-md flex-1">
        <Practice saber={saber} />
      </div>
      <div className="mx-auto flex w-full max-w-md flex-wrap gap-2 pb-4">
        {saber.inputs
          .filter((i) => i.kind === 'button')
          .map((i) => (
            <HoldButton
              key={i.id}
              on={held?.some((h) => h.input === i.id) ?? false}
              look="aria-pressed:bg-ink aria-pressed:text-paper border-ink flex-1 border-2 px-4 py-4 text-[1.15rem]"
              onPress={() => press(i.id)}
              onRelease={() => release(i.id)}
            >
              {bareName(reader, saber, i)}
            </HoldButton>
          ))}
        {(['swing', 'strike', 'twist', 'flick'] as const).map((m) => (
          <button key={m} type="button" className="btn" onClick={() => move(m)}>
            {say(reader, 'page.move', { motion: m })}
          </button>
        ))}
        {(['up', 'level', 'down'] as const).map((p) => (
          <button key={p} type="button" className="btn" onClick={() => pose(p)}>
            {say(reader, 'page.pose', { pose: p })}
          </button>
        ))}
      </div>
    </Sheet>
  )
}
