/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals'
import type { Beat } from '@nubrin/core/record'
import { firstSentenceEnd, guessSeconds } from '@nubrin/core/script'
import { fireEvent, screen, waitFor } from '@testing-library/react'
import { costly } from '../../core/test/costly'
import { choose, lay, put, saber, user } from './lay'

/** Lays the script out and opens a beat of it; gives the beat and its number. */
async function opened(which: (b: Beat, i: number) => boolean): Promise<{ beat: Beat; n: number }> {
  const i = saber().beats.findIndex(which)
  const beat = saber().beats[i]!
  await user.click(screen.getAllByRole('button', { name: beat.say })[0]!)
  await screen.findByLabelText(`Say, beat ${i + 1}`)
  return { beat, n: i + 1 }
}
const button = (name: string | RegExp) => screen.getByRole('button', { name })
const byId = (id: string) => saber().beats.find((b) => b.id === id)

describe('a beat as a whole', () => {
  costly('is split after its first sentence, and where the caret stands', async () => {
    await lay('walkthrough', 'reed-warden')
    const { beat, n } = await opened((b) => firstSentenceEnd(b.say) < b.say.length - 20)
    const count = saber().beats.length
    await user.click(button('split after its first sentence'))
    const [first, second] = saber().beats.slice(n - 1, n + 1)
    expect(saber().beats).toHaveLength(count + 1)
    expect(`${first!.say} ${second!.say}`).toBe(beat.say)
    expect(first).toMatchObject({ id: beat.id, covers: beat.covers, by: 'edited', seconds: guessSeconds(first!.say) })
    expect(second).toMatchObject({ covers: [], by: 'own' })
    // Now where the caret stands.
    const field = screen.getByLabelText<HTMLTextAreaElement>(`Say, beat ${n}`)
    const at = first!.say.indexOf(' ', 8)
    field.focus()
    field.setSelectionRange(at, at)
    fireEvent.select(field)
    await user.click(await screen.findByRole('button', { name: 'split here' }))
    expect(saber().beats[n - 1]!.say).toBe(first!.say.slice(0, at))
    expect(saber().beats[n]!.say).toBe(first!.say.slice(at).trim())
  })
  costly('is joined with the next, unless both are carried out', async () => {
    await lay('walkthrough', 'reed-warden')
    const both = saber().beats.findIndex((b, i) => b.perform && saber().beats[i + 1]?.perform)
    await opened((_b, i) => i === both)
    expect(screen.queryByRole('button', { name: `join with ${both + 2}` })).toBeNull()
    const { beat, n } = await opened((b, i) => !b.perform && !!saber().beats[i + 1] && i !== both)
    const next = saber().beats[n]!
    await user.click(button(`join with ${n + 1}`))
    expect(byId(next.id)).toBeUndefined()
    expect(byId(beat.id)).toMatchObject({ say: `${beat.say} ${next.say}`, covers: [...beat.covers, ...next.covers] })
  })
  costly('gets its composed words back, which only an edited one lacks', async () => {
    await lay('walkthrough', 'reed-warden')
    const { beat, n } = await opened((b) => b.by === 'composed' && b.covers.length === 1)
    expect(screen.queryByRole('button', { name: 'its composed words' })).toBeNull()
    await put(`Do, beat ${n}`, 'point at it')
    expect(byId(beat.id)).toMatchObject({ by: 'edited', doText: 'point at it' })
    const field = screen.getByLabelText(`Say, beat ${n}`)
    await user.clear(field)
    await user.paste('In other words.')
    await user.tab()
    await user.click(button('its composed words'))
    expect(byId(beat.id)).toMatchObject({ by: 'composed', say: beat.say })
  })
  costly('that stands out of place says so, and is moved there', async () => {
    await lay('walkthrough', 'reed-warden', (c) => {
      const s = c.sabers[0]!
      const [far] = s.beats.splice(
        s.beats.findIndex((b) => b.covers.some((k) => k.startsWith('control:'))),
        1,
      )
      s.beats.splice(s.beats.length - 2, 0, { ...far!, by: 'edited' })
    })
    const moved = saber().beats.at(-3)!
    await opened((b) => b.id === moved.id)
    const move = await screen.findByRole('button', { name: /out of place: move after \d+/ })
    const behind = Number(/\d+$/.exec(move.textContent!)![0])
    const after = saber().beats[behind - 1]!
    await user.click(move)
    const ids = saber().beats.map((b) => b.id)
    expect(ids.indexOf(moved.id)).toBe(ids.indexOf(after.id) + 1)
    await waitFor(() => expect(screen.queryByRole('button', { name: /out of place/ })).toBeNull())
  })
  test('leads to the next, and the last to none', async () => {
    await lay('walkthrough', 'reed-warden')
    const { n } = await opened((_b, i) => i === 3)
    await user.click(button('next beat'))
    expect(await screen.findByLabelText(`Say, beat ${n + 1}`)).toBeTruthy()
    await opened((_b, i) => i === saber().beats.length - 1)
    expect(screen.queryByRole('button', { name: 'next beat' })).toBeNull()
  })
})

describe('the fields of a beat', () => {
  costly('how often is left out at once; seconds do not make it the maker’s own', async () => {
    await lay('walkthrough', 'reed-warden')
    const { beat, n } = await opened((b) => b.by === 'composed' && !!b.perform)
    await put(`Seconds, beat ${n}`, '42')
    expect(byId(beat.id)).toMatchObject({ seconds: 42, by: 'composed' })
    await put(`How often, beat ${n}`, '3')
    expect(byId(beat.id)).toMatchObject({ times: 3, by: 'edited' })
    await put(`How often, beat ${n}`, '1')
    expect('times' in byId(beat.id)!).toBe(false)
  })
  costly('what it performs and shows is chosen by name, and let go', async () => {
    await lay('walkthrough', 'reed-warden')
    const { beat, n } = await opened((b) => !b.perform)
    const row = saber().controls.find((r) => r.does === 'ignite')!
    await choose(`Performs, beat ${n}`, /: ignite$/)
    expect(byId(beat.id)!.perform).toBe(`row:${row.id}`)
    await choose(`Performs, beat ${n}`, 'nothing')
    expect('perform' in byId(beat.id)!).toBe(false)
    const part = saber().parts[0]!
    await choose(`Show, beat ${n}`, part.name)
    expect(byId(beat.id)!.show).toBe(`part:${part.id}`)
    await choose(`Show, beat ${n}`, '–')
    expect('show' in byId(beat.id)!).toBe(false)
  })
  costly('it is left to paper or a picture, and spoken again', async () => {
    await lay('walkthrough', 'reed-warden')
    const { beat, n } = await opened((b) => !b.leftTo && b.covers.length > 0)
    await choose(`Left to, beat ${n}`, 'left to paper')
    expect(byId(beat.id)!.leftTo).toBe('paper')
    await choose(`Left to, beat ${n}`, 'shown on a picture')
    expect(byId(beat.id)!.leftTo).toBe('picture')
    await choose(`Left to, beat ${n}`, 'spoken')
    expect('leftTo' in byId(beat.id)!).toBe(false)
  })
})

describe('the script as a whole', () => {
  costly('a beat of one’s own stands behind the chosen one, else before the farewell', async () => {
    await lay('walkthrough', 'reed-warden')
    await user.click(button('+ a beat of your own'))
    const bye = saber().beats.findIndex((b) => b.covers.includes('farewell'))
    expect(saber().beats[bye - 1]).toMatchObject({ say: 'New beat', by: 'own', covers: [] })
    const { n } = await opened((_b, i) => i === 4)
    await user.click(button('+ a beat of your own, here'))
    expect(saber().beats[n]).toMatchObject({ say: 'New beat', by: 'own' })
  })
})
