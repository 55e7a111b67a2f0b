import { Modal } from '../kit'
import type { Command } from './command'

const spell = (key: string) =>
  key
    .split('+')
    .map((k) => (k.length === 1 ? k.toUpperCase() : k[0]!.toUpperCase() + k.slice(1)))
    .join(' ')

/** Keys that belong to the drawing and are not commands. */
const DRAWING: readonly [string, string][] = [
  ['+  −', 'Larger or smaller drawing'],
  ['[  ]', 'Along the drawing'],
]

/** Every key of this page and what it does. */
export function KeySheet({ list, drawing, close }: { list: readonly Command[]; drawing: boolean; close: () => void }) {
  const rows = [
    ...list.flatMap((c): [string, string][] => (c.keys ? [[c.keys.map(spell).join(', '), c.words]] : [])),
    ...(drawing ? DRAWING : []),
  ]
  return (
    <Modal title="Keyboard shortcuts" close={close} wide="max-w-lg">
      <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
        {rows.map(([keys, words]) => (
          <div key={words} className="contents">
            <dt>
              <span className="key">{keys}</span>
            </dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
      <p className="text-quiet mt-3">Escape closes a sheet. In lists, Space and the arrow keys move an item.</p>
      <button type="button" className="btn mt-3" onClick={close}>
        Close
      </button>
    </Modal>
  )
}
