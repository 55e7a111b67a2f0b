import type { Font } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { freshId, refusalText, useFontLibrary } from '../../data'
import { Empty, Modal, Refused, RemoveButton } from '../../kit'
import { useEditSaber, useSaber } from '../../store/commission'
import { KIND_WORDS } from './words'

/** A copy of a font with ids of its own, for another card. */
const copyOf = (f: Font, library: string): Font => ({
  ...structuredClone(f),
  id: freshId(),
  library,
  sounds: f.sounds.map((s) => ({ ...s, id: freshId() })),
})

/** The fonts that the shop has: put on this card as copies, or taken out of the library, where sabers keep theirs. */
export function FontLibrary({ close, onTaken }: { close: () => void; onTaken: (id: string) => void }) {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const { list, drop } = useFontLibrary()
  const here = new Set(saber.fonts.map((f) => f.library))
  const take = (f: Font) => {
    const copy = copyOf(f, f.id)
    editSaber(`put ${f.name} on the card`, (s) => void s.fonts.push(copy))
    onTaken(copy.id)
    close()
  }
  const fonts = list.data ?? []
  return (
    <Modal
      title={`The shop’s library: ${fonts.length} ${fonts.length === 1 ? 'font' : 'fonts'}`}
      wide="max-w-2xl"
      close={close}
    >
      <Refused why={list.error ? refusalText(list.error) : drop.error ? refusalText(drop.error) : ''} />
      {list.data && !fonts.length ? (
        <Empty title="Nothing in the library yet">
          Open a font and press “keep in the library”: it is there for every saber from then on.
        </Empty>
      ) : null}
      <ul className="mt-2 max-h-96 overflow-y-auto">
        {fonts.map(({ font: f, orders, bytes }) => (
          <li key={f.id} className="border-rule flex items-center gap-3 border-b py-1.5">
            <div className="min-w-0 flex-1">
              <p className="truncate font-semibold">
                {f.name}
                {f.is === 'font' ? '' : <span className="text-quiet font-normal"> ({KIND_WORDS[f.is]})</span>}
              </p>
              <p className="text-quiet truncate text-[0.92rem]">
                {[
                  f.author && `by ${f.author}`,
                  `${f.sounds.length} ${f.sounds.length === 1 ? 'sound' : 'sounds'}`,
                  `${formatNumber(MAKER, bytes / 1e6, 1)} MB`,
                  orders ? `in ${orders} ${orders === 1 ? 'order' : 'orders'}` : 'in no order yet',
                  f.licence,
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </p>
            </div>
            <button type="button" className="btn whitespace-nowrap" onClick={() => take(f)}>
              {here.has(f.id) ? 'put on the card again' : 'put on the card'}
            </button>
            <RemoveButton what={`${f.name} from the library`} onClick={() => drop.mutate(f.id)} />
          </li>
        ))}
      </ul>
    </Modal>
  )
}
