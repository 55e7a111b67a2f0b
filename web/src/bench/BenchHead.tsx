import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react'
import type { Commission } from '@nubrin/core/record'
import { differenceInCalendarDays, lightFormat, parseISO } from 'date-fns'
import { Link } from 'react-router'
import type { useCommands } from '../commands'
import { type Desk, DeskLinks } from '../desks'
import { dayOfWeeks, Tabs } from '../kit'
import { useBench, useOrder } from '../store/commission'
import { Clock } from './Clock'

const spell = (key: string) =>
  key.replace(/\+/g, ' ').replace(/^ctrl/, 'Ctrl').replace('shift', 'Shift').replace(/z$/, 'Z')

/** For whom, and when it ships. */
function dueText(c: Commission): string {
  const who = c.job === 'model' ? 'model sheet' : c.client.name ? `for ${c.client.name}` : 'no client yet'
  if (c.shipped) return `${who} · shipped ${dayOfWeeks(c.shipped)}`
  if (!c.deadline) return who
  const days = differenceInCalendarDays(parseISO(c.deadline), new Date())
  return `${who} · ships ${dayOfWeeks(c.deadline, true)}${days >= 0 ? `, ${days} days` : ', late'}`
}

/** The head of the bench: what lies on it, how it is saved, and what can be done with it. */
export function BenchHead({ commands, desk }: { commands: ReturnType<typeof useCommands>; desk: Desk | undefined }) {
  const order = useOrder()
  const saberId = useBench((b) => b.saberId)
  const choose = useBench((b) => b.chooseSaber)
  // What a command may do depends on what there is to undo.
  useBench((b) => b.undos + b.redos)
  const menu = commands.list.filter((c) => c.menu)
  const addFact = commands.list.find((c) => c.id === 'addFact')!
  return (
    <header className="border-rule flex h-[50px] shrink-0 items-center gap-3 border-b px-5">
      <Link to="/" className="text-brass" aria-label="Back to the rack" title="Back to the rack">
        ←
      </Link>
      <h1 className="max-w-[38%] shrink-0 truncate text-[1.32rem]">{order.title}</h1>
      <p
        className={`text-quiet hidden min-w-0 shrink-[9] truncate ${order.sabers.length > 1 ? 'min-[1500px]:block' : 'min-[1100px]:block'}`}
      >
        {dueText(order)}
      </p>
      {order.sabers.length > 1 ? (
        <Tabs
          label="Sabers in this order"
          tabs={order.sabers.map((s) => s.name)}
          at={order.sabers.findIndex((s) => s.id === saberId)}
          onChange={(i) => choose(order.sabers[i]!.id)}
          className="min-w-[140px] overflow-x-auto"
        />
      ) : null}
      <div className="ml-auto flex shrink-0 items-center gap-3">
        <Clock here={order.id} />
        <DeskLinks at={desk} />
        <SaveMark />
        <button type="button" className="btn-plain btn text-ink!" onClick={() => commands.run(addFact)}>
          <span className="key">F</span> add a fact
        </button>
        <Menu>
          <MenuButton className="btn">more</MenuButton>
          <MenuItems anchor="bottom end" className="border-ink bg-card z-50 border py-1 shadow-lg">
            {menu.map((c) => {
              const why = commands.why(c)
              return (
                <MenuItem key={c.id} disabled={why !== undefined}>
                  <button
                    type="button"
                    className="data-focus:bg-ink data-focus:text-paper flex w-full justify-between gap-6 px-4 py-1.5 text-left data-disabled:opacity-45"
                    title={why}
                    onClick={() => commands.run(c)}
                  >
                    {c.words}
                    {c.keys ? <span className="text-quiet">{spell(c.keys[0]!)}</span> : null}
                  </button>
                </MenuItem>
              )
            })}
          </MenuItems>
        </Menu>
      </div>
    </header>
  )
}

function SaveMark() {
  const save = useBench((b) => b.save)
  const savedAt = useBench((b) => b.savedAt)
  const revision = useBench((b) => b.revision)
  const pending = useBench((b) => b.pending)
  const because = useBench((b) => b.keptBecause)
  const text = {
    saved: `saved ${savedAt ? lightFormat(new Date(savedAt), 'HH:mm') : ''}`,
    saving: 'saving…',
    waiting: 'saving…',
    kept: `${because ? 'the server cannot save' : 'no connection'} · ${pending ? `${pending} kept here` : 'as last read'}`,
    signedOut: `signed out · ${pending} kept here`,
    conflict: 'saved, but one thing to decide',
    refused: 'not saved',
    unkept: 'not kept: do not close this tab',
  }[save]
  const tone = {
    saved: 'text-fine',
    saving: 'text-quiet',
    waiting: 'text-quiet',
    kept: 'text-stop font-semibold',
    signedOut: 'text-stop font-semibold',
    unkept: 'text-stop font-semibold',
    conflict: 'text-stop font-semibold',
    refused: 'text-stop font-semibold',
  }[save]
  return (
    <span role="status" data-save={save} className={tone}>
      {text}
      {/* Where there is room for it. */}
      {save === 'saved' ? <span className="hidden min-[1400px]:inline"> · revision {revision}</span> : null}
    </span>
  )
}
