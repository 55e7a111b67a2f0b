import {
  CARRIES,
  CELL_HELD_BY,
  CHASSIS_HELD_BY,
  FittedPart,
  MATERIALS,
  type PartKind,
  POLES,
  type Saber,
  keyWords as words,
} from '@nubrin/core/record'
import { bound, CheckBox, ChoiceFactField, FactField, SelectCell, TextCell, YesNoCell } from '../../kit'
import { useEditSaber } from '../../store/commission'
import { LedModule } from './LedModule'

export interface Props {
  saber: Saber
  part: FittedPart
  onEdit: (run: (p: FittedPart) => void) => void
}

const CLOCKED = (props: Props) => (
  <FactField
    label="clock angle"
    field="clock"
    value={props.part.clock}
    of={FittedPart.properties.clock}
    onCommit={(v) => props.onEdit((x) => void (x.clock = v))}
  />
)
const OF_KIND: Partial<Record<PartKind, (props: Props) => React.ReactNode>> = {
  switch: CLOCKED,
  display: CLOCKED,
  chargePort: Port,
  charger: Charger,
  accentLed: LedModule,
  inHiltLed: LedModule,
  killSwitch: CLOCKED,
  killKey: Key,
  sleeve: Sleeve,
  cell: Cell,
  chassis: Chassis,
  wire: Wire,
  auxBoard: AuxBoard,
  tool: Tool,
}

/** Kinds that may carry others along, and kinds that may come out though most of them stay. */
const CARRYING: readonly PartKind[] = ['chassis', 'cover', 'sleeve', 'board', 'auxBoard']
const LIFTED: readonly PartKind[] = ['board', 'auxBoard', 'display', 'chargePort', 'connector', 'chamber', 'speaker']
const LOOSE: readonly PartKind[] = ['charger', 'tool', 'plug', 'tube', 'screw', 'wire', 'chassis', 'card']

/** What only this kind of part has to say, whether it comes out, and what it goes along with. */
export function PartOfKind(props: Props) {
  const { part: p, onEdit, saber } = props
  const View = OF_KIND[p.kind]
  const carriers = saber.parts.filter((q) => q !== p && CARRYING.includes(q.kind))
  return (
    <>
      {View ? <View {...props} /> : null}
      {LIFTED.includes(p.kind) ? <ComesOut part={p} onEdit={onEdit} /> : null}
      {carriers.length && !LOOSE.includes(p.kind) ? (
        <SelectCell
          title="fastened to"
          label="Fastened to"
          options={['', ...carriers.map((q) => q.id)]}
          words={(id) => carriers.find((q) => q.id === id)?.name ?? 'what lies round it'}
          {...bound(p, onEdit).maybe('on')}
        />
      ) : null}
    </>
  )
}

/** What keeps it where it is, from the words for its kind. */
function HeldBy({
  part: p,
  onEdit,
  of,
}: Pick<Props, 'part' | 'onEdit'> & { of: readonly NonNullable<FittedPart['heldBy']>[] }) {
  return (
    <SelectCell
      title="held by"
      label="Held by"
      options={['', ...of]}
      words={(v) => (v ? words(v) : 'not said')}
      {...bound(p, onEdit).maybe('heldBy')}
    />
  )
}

function Sleeve({ part, onEdit }: Props) {
  return <HeldBy part={part} onEdit={onEdit} of={['setScrew', 'thread', 'friction']} />
}

function Cell({ saber, part: p, onEdit }: Props) {
  const editSaber = useEditSaber()
  // One that is wired in is turned by nobody.
  const said = p.removable || p.leads !== undefined || p.landmark !== undefined
  return (
    <>
      {saber.parts.filter((q) => q.kind === 'cell').length > 1 ? (
        <SelectCell
          title="joined"
          label="Joined"
          value={p.wiring ?? 'parallel'}
          options={['parallel', 'series'] as const}
          onCommit={(v) =>
            editSaber('wiring of the cells', (s) => {
              for (const q of s.parts) if (q.kind === 'cell') q.wiring = v
            })
          }
        />
      ) : null}
      {said ? (
        <ChoiceFactField
          label="goes in first"
          options={POLES}
          looked
          words={(v) => (v === 'plus' ? 'the plus pole' : 'the minus pole')}
          {...bound(p, onEdit).given('leads')}
        />
      ) : null}
      <FactField label="charge as shipped" of={FittedPart.properties.charged} {...bound(p, onEdit).given('charged')} />
      {said ? (
        <TextCell
          title="which way round: the landmarks on this saber"
          span="col-span-2"
          label="Landmark"
          placeholder="minus pole first; a plus is cut into the groove"
          {...bound(p, onEdit).text('landmark')}
        />
      ) : null}
      <ComesOut part={p} onEdit={onEdit} />
      {p.removable ? <HeldBy part={p} onEdit={onEdit} of={CELL_HELD_BY} /> : null}
      <CheckBox field="protected" checked={!!p.protected} onChange={(on) => onEdit((x) => void (x.protected = on))}>
        has its own protection
      </CheckBox>
      <CheckBox {...bound(p, onEdit).tick('damaged')}>damaged</CheckBox>
    </>
  )
}

function Port(props: Props) {
  return (
    <>
      <CLOCKED {...props} />
      <YesNoCell
        title="balances cells in series"
        label="Balances cells in series"
        of={props.part}
        field="balances"
        onEdit={props.onEdit}
      />
      <Charger {...props} />
      <YesNoCell
        title="carries the blade’s current"
        label="Carries the blade’s current, and a plug cuts it"
        of={props.part}
        field="switched"
        onEdit={props.onEdit}
      />
      <YesNoCell
        title="draws current while plugged in"
        label="Draws current while something is plugged in"
        of={props.part}
        field="wantsCurrent"
        onEdit={props.onEdit}
      />
    </>
  )
}

/** A key may sit in the charge port while it cuts. */
function Key({ saber, part: p, onEdit }: Props) {
  const ports = saber.parts.filter((q) => q.kind === 'chargePort')
  return ports.length ? (
    <SelectCell
      title="when inserted, sits in"
      label="Sits in, when inserted"
      value={p.sits ?? ''}
      options={['', ...ports.map((q) => q.id)]}
      words={(id) => ports.find((q) => q.id === id)?.name ?? 'none of the ports'}
      onCommit={(v) => onEdit((x) => void (v ? (x.sits = v) : delete x.sits))}
    />
  ) : null
}

function Charger({ part: p, onEdit }: Props) {
  return (
    <YesNoCell
      title="ends the charge by itself"
      label="Ends the charge by itself"
      of={p}
      field="endsCharge"
      onEdit={onEdit}
    />
  )
}

/** Whether somebody may take it out: a cell to be charged or changed, a chassis for what lies behind it. */
const ComesOut = ({ part: p, onEdit }: Pick<Props, 'part' | 'onEdit'>) => (
  <CheckBox checked={!!p.removable} onChange={(on) => onEdit((x) => void (x.removable = on))}>
    can be taken out
  </CheckBox>
)

function Chassis({ part: p, onEdit }: Props) {
  return (
    <>
      <ComesOut part={p} onEdit={onEdit} />
      <HeldBy part={p} onEdit={onEdit} of={CHASSIS_HELD_BY} />
      <SelectCell
        title="made of"
        label="Chassis material"
        options={['', ...MATERIALS]}
        words={(v) => v || 'not said'}
        {...bound(p, onEdit).maybe('material')}
      />
    </>
  )
}

function Wire({ part: p, onEdit }: Props) {
  return (
    <SelectCell
      title="carries"
      label="Carries"
      options={['', ...CARRIES]}
      words={(v) => v || 'everything'}
      {...bound(p, onEdit).maybe('carries')}
    />
  )
}

function AuxBoard({ part: p, onEdit }: Props) {
  return (
    <CheckBox checked={!!p.converter} onChange={(on) => onEdit((x) => void (x.converter = on))}>
      converts the pack voltage for the pixels
    </CheckBox>
  )
}

function Tool({ part: p, onEdit }: Props) {
  return <TextCell title="turns" label="Key the tool turns" placeholder="2 mm" {...bound(p, onEdit).text('key')} />
}
