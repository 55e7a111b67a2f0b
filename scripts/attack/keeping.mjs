// What must stay, what must go, and two who meet in between: changes that come twice, recalls, and what is erased.
import { randomBytes } from 'node:crypto'

export function keepingRounds(world) {
  const { ask, copy: fresh, upload, note, nat, pick, many, seed } = world
  const picture = async () => {
    const { default: sharp } = await import('sharp')
    return sharp(randomBytes(16 * 16 * 3), { raw: { width: 16, height: 16, channels: 3 } })
      .png()
      .toBuffer()
  }
  return {
    /** Changes that come again, on another base, on one that never was: done once, refused with what to do, never stuck. */
    async queue() {
      const id = await fresh('queue')
      const path = `/commissions/${id}`
      for (let i = 0; i < many.queue; i++) {
        const { revision, savedAt } = (await ask('GET', path)).json()
        const change = `queue-${seed}-${i}`
        const ops = [{ op: 'set', at: '/brief', value: `${change}` }]
        const send = (base, at) => ask('PATCH', path, { base, change, ops, ...(at ? { at } : {}) })
        const first = await send(revision, pick([undefined, savedAt]))
        if (first.status !== 200) note(`a change is answered ${first.status}`)
        // Its reply was lost: it comes again, on what was read meanwhile or long before.
        const again = await Promise.all([send(revision), send(revision + 1), send(Math.max(0, revision - nat(5)))])
        for (const r of again)
          if (r.status !== 200 && r.status !== 409)
            note(`a change that comes again is answered ${r.status} ${r.text.slice(0, 90)}`)
        const now = (await ask('GET', path)).json()
        if (now.revision !== revision + 1)
          note(`a change that came ${again.length + 1} times was done ${now.revision - revision} times`)
        const ahead = await ask('PATCH', path, { base: now.revision + 1 + nat(9), change: `${change}-x`, ops })
        if (ahead.status !== 409 || !ahead.text.includes('otherHistory'))
          note(`a base that never was is answered ${ahead.status}`)
        const other = await ask('PATCH', path, {
          base: now.revision,
          at: '2020-01-01T00:00:00.000Z',
          change: `${change}-y`,
          ops,
        })
        if (other.status !== 409) note(`a base of another history is answered ${other.status}`)
      }
    },
    /** Lots are found on the rack, off it and erased, and letters go to addresses only. */
    async recalls() {
      for (let i = 0; i < many.recalls; i++) {
        const id = await fresh(`recall-${i}`)
        const lot = `LOT-${seed}-${i}`
        const { record } = (await ask('GET', `/commissions/${id}`)).json()
        const [saber] = record.sabers
        const put = await world.change(id, [
          { op: 'set', at: `/sabers/@${saber.id}/parts/@${saber.parts[0].id}/lot`, value: lot },
          { op: 'set', at: '/client/contact', value: pick(['a@b.example', 'by telephone', '']) },
        ])
        if (put.status !== 200) note(`a lot is answered ${put.status} ${put.text.slice(0, 120)}`)
        const found = async () => (await ask('GET', `/recall?q=${lot}`)).json()
        const steps = [
          ['rack', async () => {}],
          ['off', () => ask('DELETE', `/commissions/${id}`)],
          ['erased', () => ask('POST', `/commissions/${id}/erase`, { why: 'asked for' })],
        ]
        for (const [place, step] of steps) {
          await step()
          const { carried, sabers, erased } = await found()
          if (carried[0]?.place !== place || sabers !== 1 || erased !== (place === 'erased' ? 1 : 0))
            note(`a lot ${place} is told as ${JSON.stringify({ carried, sabers, erased }).slice(0, 160)}`)
        }
      }
    },
    /** Files of an erased commission go, those that another has or is just bringing in stay. */
    async erased() {
      for (let i = 0; i < many.erased; i++) {
        const [mine, other] = [await fresh(`erased-${i}`), await fresh(`kept-${i}`)]
        const bytes = { both: await picture(), own: await picture(), unused: await picture() }
        const hash = {}
        const give = async (id, what) => {
          const r = await upload(`/media?commission=${id}`, bytes[what], `${what}.png`)
          hash[what] = r.json().hash
          return r.json()
        }
        for (const what of ['both', 'own', 'unused']) {
          const m = await give(mine, what)
          if (what === 'unused') continue
          const item = { id: `m-${what}`, hash: m.hash, type: m.type, name: what, bytes: m.bytes }
          await world.change(mine, [{ op: 'insert', at: '/media', item, after: null }])
          // Used, and taken out of the record again.
          if (what === 'own') await world.change(mine, [{ op: 'remove', at: '/media/@m-own', item, after: null }])
        }
        await give(other, 'both')
        await ask('DELETE', `/commissions/${mine}`)
        const [gone] = await Promise.all([
          ask('POST', `/commissions/${mine}/erase`, { why: 'asked for' }),
          give(other, 'both'),
        ])
        if (gone.status !== 204) note(`erasing is answered ${gone.status}`)
        const there = async (what) => (await ask('GET', `/media/${hash[what]}`)).status
        if ((await there('both')) !== 200) note('a picture that another commission has went along')
        for (const what of ['own', 'unused'])
          if ((await there(what)) !== 404) note(`a picture of an erased commission (${what}) is still there`)
        await ask('DELETE', `/commissions/${other}`)
      }
    },
  }
}
