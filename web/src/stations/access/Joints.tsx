import { type Assembly, type Body, blockedText, type Joint } from '@nubrin/core/machine'
import { BY_ITSELF, HOWS, MAY_OPEN, nameOf, type Saber, Joint as Said, TOWARDS } from '@nubrin/core/record'
import { useEffect, useState } from 'react'
import { freshId } from '../../data'
import {
  bound,
  CheckBox,
  FactField,
  Labelled,
  Mark,
  RefPicker,
  RemoveButton,
  SelectCell,
  TextCell,
  tell,
} from '../../kit'
import { Notes } from '../../shared/Notes'
import { useBench, useEditSaber, useLight } from '../../store/commission'

const HOW = {
  unscrew: 'is unscrewed',
  pull: 'is pulled off',
  pressPull: 'a button, then pulled',
  turnPull: 'is turned, then pulled',
  slide: 'slides out',
  lift: 'is lifted off',
  turn: 'is only turned',
} as const
const ITSELF = {
  nothing: 'nothing happens',
  wakes: 'it wakes',
  cutsPower: 'the power is cut',
  showsDisplay: 'the display is seen',
} as const

const { properties: OF } = Said

/** What is not certain of a joint as it is drafted; what happens by itself is asked once a saber, where it is opened first. */
const openQuestions = (j: Joint, all: readonly Joint[]): string[] => [
  ...new Set(j.blocked.map(blockedText)),
  ...(j === opensFirst(all) ? ['What happens by itself when it opens?'] : []),
]

/** The joint that comes off before any other, as long as nobody has said of any joint what happens by itself. */
const opensFirst = (all: readonly Joint[]): Joint | undefined =>
  all.some((j) => j.byItself !== undefined)
    ? undefined
    : all.find((j) => !j.place && j.ways.some((w) => !w.after.length))

/** What the maker says of a joint, begun where nothing is said yet. */
function ensureJoint(s: Saber, body: Body): Said {
  const had = s.joints.find((x) => x.body === body)
  if (had) return had
  const begun: Said = { id: freshId(), body }
  s.joints.push(begun)
  return begun
}

/** Every joint as it was drafted, and what the maker says of it; what the draft was unsure of asks. */
export function Joints({ saber, assembly }: { saber: Saber; assembly: Assembly }) {
  const light = useLight()
  // A blade that nobody has recorded has nothing to be said of.
  const joints = Object.values(assembly.joints).filter((j) => !j.body.startsWith('socket:'))
  const [open, setOpen] = useState<Body>()
  const said = useBench((b) => b.saidOfJoint)
  const editSaber = useEditSaber()
  // What was drawn on the drawing is written down, and its sheet opened for the rest.
  useEffect(() => {
    if (!said) return
    useBench.getState().sayOfJoint(undefined)
    const body = 'onto' in said ? said.onto.find((b) => assembly.joints[b]) : said.body
    const j = body && assembly.joints[body]
    if (!j) {
      tell('That is no joint: it does not come off.')
      return
    }
    setOpen(body)
    editSaber(`joint of ${j.name}`, (s) => {
      const y = ensureJoint(s, body)
      if ('towards' in said) y.towards = said.towards
      else if (!(y.held ?? j.held).some((h) => h.screw === said.screw))
        y.held = [...(y.held ?? j.held), { screw: said.screw, by: 'loosen' }]
    })
  }, [said, assembly, editSaber])
  const shown = joints.find((j) => j.body === open)
  return (
    <section aria-label="Joints">
      <h2 className="h2">Joints</h2>
      {joints.map((j) => {
        const unsure = openQuestions(j, joints)
        return (
          <div key={j.body} className="border-rule border-b py-1">
            <button
              type="button"
              aria-expanded={j.body === open}
              className="flex w-full items-center gap-2 text-left"
              onClick={() => {
                setOpen(j.body === open ? undefined : j.body)
                light(j.body)
              }}
            >
              <span className="min-w-0 flex-1 truncate font-medium">{j.name}</span>
              <span className="text-quiet shrink-0">{j.ways[0] ? HOW[j.ways[0].how] : 'stays'}</span>
              {unsure.length ? <Mark level={j.ways.length ? 'note' : 'caution'} size={13} /> : null}
            </button>
            {j === shown ? <JointSheet saber={saber} joint={j} asks={unsure} /> : null}
          </div>
        )
      })}
      <p className="label mt-1">On the drawing, drag a part to where it comes off, or a screw onto what it holds.</p>
      {joints.length ? null : <p className="text-quiet">No joint is recorded.</p>}
    </section>
  )
}

/** An edit of what the maker says of a joint; nothing said is no correction. */
function useSay({ body, name }: Joint) {
  const editSaber = useEditSaber()
  return (run: (y: Said) => void) =>
    editSaber(`joint of ${name}`, (s) => {
      const y = ensureJoint(s, body)
      run(y)
      if (Object.keys(y).length === 2) s.joints = s.joints.filter((x) => x !== y)
    })
}

interface OfJoint {
  saber: Saber
  joint: Joint
  said: Partial<Said>
}

export function JointSheet({ saber, joint: j, asks }: { saber: Saber; joint: Joint; asks: readonly string[] }) {
  const said: Partial<Said> = saber.joints.find((x) => x.body === j.body) ?? {}
  const say = useSay(j)
  const { text } = bound(said as Said, say)
  const of = { saber, joint: j, said }
  return (
    <fieldset className="mt-1 space-y-1.5 pl-1" aria-label={`Joint of ${j.name}`}>
      {asks.map((a) => (
        <p key={a} className="text-brass">
          {a}
        </p>
      ))}
      {j.place ? null : <ComesOff {...of} />}
      <TextCell title="lined up by" label={`Landmark at ${j.name}`} {...text('landmark')} />
      <TextCell title="felt when seated" label={`What is felt at ${j.name}`} {...text('feels')} />
      <TextCell title="damaged if it is not" label={`What is hurt at ${j.name}`} {...text('hurts')} />
      {/* What holds a blade is said by its socket. */}
      {j.place ? null : (
        <>
          <HeldBy {...of} />
          <After {...of} />
        </>
      )}
      <Notes of={said as Said} what={`the joint of ${j.name}`} onEdit={say} />
    </fieldset>
  )
}

/** How it comes off, where to, what happens then, and by whom. */
function ComesOff({ joint: j, said }: OfJoint) {
  const { given, maybe, tick } = bound(said as Said, useSay(j))
  const [drafted] = j.ways
  return (
    <div className="grid grid-cols-2 gap-2">
      <Choice
        title="how it comes off"
        label={`How ${j.name} comes off`}
        options={HOWS}
        words={(v) => HOW[v]}
        unsaid={drafted ? `drafted: ${HOW[drafted.how]}` : 'not said'}
        {...maybe('how')}
      />
      <Choice
        title="towards"
        label={`Where ${j.name} goes`}
        options={TOWARDS}
        unsaid={drafted ? `drafted: ${drafted.towards}` : 'not said'}
        {...maybe('towards')}
      />
      <Choice
        title="then, by itself"
        label={`What happens by itself when ${j.name} comes off`}
        options={BY_ITSELF}
        words={(v) => ITSELF[v]}
        unsaid="not said"
        {...maybe('byItself')}
      />
      <Choice
        title="who opens it"
        label={`Who opens ${j.name}`}
        options={MAY_OPEN}
        unsaid={`drafted: ${j.who}`}
        {...maybe('who')}
      />
      <Choice
        title="thread"
        label={`Hand of ${j.name}`}
        options={['right', 'left'] as const}
        words={(v) => `${v}-handed`}
        unsaid="as at Hilt"
        {...maybe('hand')}
      />
      <FactField label="turns" of={OF.turns} {...given('turns')} />
      <FactField label="goes in at, clock" of={OF.angle} {...given('angle')} />
      <CheckBox className="self-end" {...tick('dark')}>
        only with the power cut
      </CheckBox>
      <CheckBox className="self-end" {...tick('tethered')}>
        hangs on wires
      </CheckBox>
    </div>
  )
}

/** The screws that hold it, and how far each has to go. */
function HeldBy({ saber, joint: j, said }: OfJoint) {
  const { put } = bound(said as Said, useSay(j))
  const held = said.held ?? j.held
  return (
    <Labelled label="held by">
      <div>
        {held.map((h, i) => (
          <div key={h.screw} className="flex items-center gap-1">
            <span className="min-w-0 flex-1 truncate">{nameOf(saber, `fastener:${h.screw}`)}</span>
            <SelectCell
              label={`How far ${h.screw} goes for ${j.name}`}
              value={h.by}
              options={['loosen', 'remove'] as const}
              words={(v) => ({ loosen: 'loosened', remove: 'taken out' })[v]}
              onCommit={(by) => put('held', held.with(i, { ...h, by }))}
            />
            <RemoveButton
              what={`the screw from the joint of ${j.name}`}
              onClick={() => put('held', held.toSpliced(i, 1))}
            />
          </div>
        ))}
        <RefPicker
          label={`Another screw that holds ${j.name}`}
          saber={saber}
          value={undefined}
          kinds={['fastener']}
          onCommit={(r) => {
            const others = held.filter((h) => r !== `fastener:${h.screw}`)
            if (r) put('held', [...others, { screw: r.slice(9), by: 'loosen' }])
          }}
        />
      </div>
    </Labelled>
  )
}

/** What has to be off before it. */
function After({ saber, joint: j, said }: OfJoint) {
  const { put } = bound(said as Said, useSay(j))
  const after = said.after ?? []
  return (
    <Labelled label="after">
      <div>
        {after.map((b) => (
          <div key={b} className="flex items-center gap-1">
            <span className="min-w-0 flex-1 truncate">{nameOf(saber, b)}</span>
            <RemoveButton
              what={`${nameOf(saber, b)} before ${j.name}`}
              onClick={() => put('after', after.length > 1 ? after.filter((x) => x !== b) : undefined)}
            />
          </div>
        ))}
        <RefPicker
          label={`What must be off before ${j.name}`}
          saber={saber}
          value={undefined}
          kinds={['section', 'part', 'blade']}
          onCommit={(r) => r && r !== j.body && put('after', [...new Set([...after, r as Body])])}
        />
      </div>
    </Labelled>
  )
}

/** One of some choices, or what stands while nobody has said. */
function Choice<T extends string>({
  options,
  words = (v) => v,
  unsaid,
  ...cell
}: {
  title: string
  label: string
  value: T | ''
  options: readonly T[]
  words?: (v: T) => string
  unsaid: string
  onCommit: (v: T | '') => void
}) {
  return <SelectCell<T | ''> {...cell} options={['', ...options]} words={(v) => (v ? words(v) : unsaid)} />
}
