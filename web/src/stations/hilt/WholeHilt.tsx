import { Hilt, ORIGINS, keyWords as words } from '@nubrin/core/record'
import { FactField, SelectCell, setText, TextCell } from '../../kit'
import { useEditSaber, useSaber } from '../../store/commission'

/** What holds of the hilt as a whole: the air kept inside, its closed end, where it came from. */
export function WholeHilt() {
  const { hilt } = useSaber()
  const edit = useEditSaber()
  return (
    <section aria-label="The whole hilt" className="mb-2 space-y-1.5">
      <div className="grid grid-cols-2 gap-2">
        <FactField
          label="clearance"
          field="clearance"
          value={hilt.clearance}
          of={Hilt.properties.clearance}
          onCommit={(v) => edit('clearance', (s) => void (s.hilt.clearance = v))}
        />
        <FactField
          label="end wall thickness"
          value={hilt.endWall}
          of={Hilt.properties.endWall}
          onCommit={(v) => edit('end wall', (s) => void (s.hilt.endWall = v))}
        />
      </div>
      <div className="grid grid-cols-[110px_minmax(0,1fr)] gap-2">
        <SelectCell
          title="received as"
          label="Where the hilt came from"
          value={hilt.origin}
          options={ORIGINS}
          words={words}
          onCommit={(v) => edit('origin of the hilt', (s) => void (s.hilt.origin = v))}
        />
        <TextCell
          title="its story"
          label="Story of the hilt"
          value={hilt.story ?? ''}
          onCommit={(v) => edit('story of the hilt', (s) => setText(s.hilt, 'story', v))}
        />
      </div>
    </section>
  )
}
