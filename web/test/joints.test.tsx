/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals'
import { assemblyOf } from '@nubrin/core/machine'
import { nameOf, type Ref } from '@nubrin/core/record'
import { act, screen, within } from '@testing-library/react'
import { costly } from '../../core/test/costly'
import { bench, choose, lay, put, saber, user } from './lay'

const joints = () => Object.values(assemblyOf(saber()).joints).filter((j) => !j.place)
const said = (body: string) => saber().joints.find((x) => x.body === body)
/** Opens the sheet of the first joint that answers. */
async function sheet(which: (j: ReturnType<typeof joints>[number]) => boolean = () => true) {
  const j = joints().find(which)!
  await user.click(
    within(screen.getByRole('region', { name: 'Joints' })).getByRole('button', { name: new RegExp(`^${j.name}`) }),
  )
  return { j, at: within(screen.getByRole('group', { name: `Joint of ${j.name}` })) }
}

describe('what the maker says of a joint', () => {
  costly('is kept beside the draft, and nothing said is no correction', async () => {
    await lay('access', 'reed-warden')
    const { j } = await sheet((x) => !saber().joints.some((y) => y.body === x.body))
    await choose(`How ${j.name} comes off`, 'is pulled off')
    await put(`Landmark at ${j.name}`, 'the two dots')
    expect(said(j.body)).toMatchObject({ how: 'pull', landmark: 'the two dots' })
    await choose(`How ${j.name} comes off`, /^drafted/)
    expect(said(j.body)).toEqual({ id: said(j.body)!.id, body: j.body, landmark: 'the two dots' })
    await put(`Landmark at ${j.name}`, ' ')
    expect(said(j.body)).toBeUndefined()
  })
  costly('who opens it, where to, what happens then, which hand, and that it hangs on wires', async () => {
    await lay('access', 'reed-warden')
    const { j, at } = await sheet()
    await choose(`Where ${j.name} goes`, 'emitter')
    await choose(`What happens by itself when ${j.name} comes off`, 'it wakes')
    await choose(`Who opens ${j.name}`, 'maker')
    await choose(`Hand of ${j.name}`, 'left-handed')
    await user.click(at.getByRole('checkbox', { name: 'hangs on wires' }))
    await put(`What is felt at ${j.name}`, 'a click')
    await put(`What is hurt at ${j.name}`, 'the thread')
    expect(said(j.body)).toMatchObject({
      ...{ towards: 'emitter', byItself: 'wakes', who: 'maker', hand: 'left', tethered: true },
      ...{ feels: 'a click', hurts: 'the thread' },
    })
  })
  costly('the screws that hold it: one more, how far each goes, one less', async () => {
    await lay('access', 'reed-warden')
    const { j, at } = await sheet((x) => x.held.length > 0)
    const free = saber().hilt.fasteners.find((f) => !j.held.some((h) => h.screw === f.id))!
    await choose(`Another screw that holds ${j.name}`, free.name)
    expect(said(j.body)!.held).toEqual([...j.held, { screw: free.id, by: 'loosen' }])
    await choose(`How far ${free.id} goes for ${j.name}`, 'taken out')
    expect(said(j.body)!.held!.at(-1)).toEqual({ screw: free.id, by: 'remove' })
    // The same screw again is the same screw.
    await choose(`Another screw that holds ${j.name}`, free.name)
    expect(said(j.body)!.held).toEqual([...j.held, { screw: free.id, by: 'loosen' }])
    await user.click(at.getAllByRole('button', { name: new RegExp(`the screw from the joint of ${j.name}`) })[0]!)
    expect(said(j.body)!.held).toEqual([...j.held.slice(1), { screw: free.id, by: 'loosen' }])
  })
  costly('what has to be off before it, each once, and never itself', async () => {
    await lay('access', 'reed-warden')
    const { j, at } = await sheet((x) => x.body.startsWith('section:'))
    const label = `What must be off before ${j.name}`
    const part = saber().parts.find((p) => p.kind === 'cell')!
    const section = saber().hilt.sections.find((x) => `section:${x.id}` !== j.body)!
    for (const name of [part.name, section.name, part.name]) await choose(label, name)
    expect(said(j.body)!.after).toEqual([`part:${part.id}`, `section:${section.id}`])
    await choose(label, nameOf(saber(), j.body)!)
    expect(said(j.body)!.after).toHaveLength(2)
    await user.click(at.getByRole('button', { name: new RegExp(`${part.name} before`) }))
    expect(said(j.body)!.after).toEqual([`section:${section.id}`])
    await user.click(at.getByRole('button', { name: new RegExp(`${section.name} before`) }))
    expect(said(j.body)?.after).toBeUndefined()
  })
})

describe('what is said of a joint on the drawing', () => {
  costly('a body drawn away is written down with its way, and its sheet opens', async () => {
    await lay('access', 'reed-warden')
    const j = joints()[0]!
    await act(async () => bench().sayOfJoint({ body: j.body, towards: 'emitter' }))
    expect(said(j.body)).toMatchObject({ towards: 'emitter' })
    expect(screen.getByRole('group', { name: `Joint of ${j.name}` })).toBeTruthy()
    expect(bench().saidOfJoint).toBeUndefined()
  })
  costly('a screw drawn onto what it holds is added once, loosened', async () => {
    await lay('access', 'reed-warden')
    const j = joints().find((x) => x.held.length > 0)!
    const free = saber().hilt.fasteners.find((f) => !j.held.some((h) => h.screw === f.id))!
    for (let n = 0; n < 2; n++)
      await act(async () => bench().sayOfJoint({ onto: ['part:nothing', j.body], screw: free.id }))
    expect(said(j.body)!.held).toEqual([...j.held, { screw: free.id, by: 'loosen' }])
  })
  test('what is no joint is not written down', async () => {
    await lay('access', 'reed-warden')
    const before = saber().joints
    await act(async () => bench().sayOfJoint({ body: 'part:nothing' as Ref<'part'>, towards: 'emitter' }))
    expect(saber().joints).toBe(before)
  })
})

test('what happens by itself is asked at one joint of a saber, and of none once somebody has said it of one', async () => {
  await lay('access', 'reed-warden')
  const question = 'What happens by itself when it opens?'
  const asked = async () => {
    const out: string[] = []
    for (const j of joints()) {
      await sheet((x) => x.body === j.body)
      if (screen.queryByText(question)) out.push(j.body)
    }
    return out
  }
  expect(await asked()).toEqual(['section:rw-pommel'])
  await sheet((x) => x.body === 'section:rw-neck')
  await choose('What happens by itself when neck comes off', 'nothing happens')
  expect(await asked()).toEqual([])
})
