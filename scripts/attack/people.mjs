// Whoever left, was made less, or never came: with what he has still in hand, and with what was in flight.
const PASSWORD = 'a long sentence'
const ENDED = new Set([401, 403])

export function peopleRounds(world) {
  const { ask, note, nat, pick, many, seed } = world
  let n = 0
  const tokenOf = (r) => r.json().link?.split('/').pop() ?? ''
  /** Somebody new with a role: who he is, and his browser. */
  async function somebody(role) {
    const name = `p${seed}-${n++}`
    const v = world.visitor()
    const link = await ask('POST', '/people', { name, role })
    if (link.status !== 201) throw new Error(`nobody can be invited: ${link.status} ${link.text.slice(0, 200)}`)
    const r = await v.ask('POST', `/invitation/${tokenOf(link)}`, { password: PASSWORD, signIn: name })
    if (v.use(r) !== 200) throw new Error(`an invitation is not taken: ${r.status} ${r.text.slice(0, 200)}`)
    const { people } = (await ask('GET', '/people')).json()
    return { name, v, id: people.find((p) => p.signIn === name).id }
  }
  const letGo = (id) => ask('DELETE', `/people/${id}`)
  const lessen = (id) => ask('PUT', `/people/${id}/role`, { role: 'viewer' })

  return {
    /** Sessions ended while requests of theirs are in flight: none of them answers afterwards as it did before. */
    async sessions() {
      for (let i = 0; i < many.sessions; i++) {
        const how = pick(['password', 'leaves', 'viewer', 'ended'])
        const role = pick(['maker', 'owner'])
        const p = await somebody(role)
        const other = world.visitor()
        await other.signIn(p.name, PASSWORD)
        const ways = ['/rack', '/session', '/commissions/crosswind', '/parts']
        const flight = Array.from({ length: 6 + nat(8) }, async () => {
          await new Promise((done) => setTimeout(done, nat(60)))
          await pick([p.v, other]).ask('GET', pick(ways))
        })
        await new Promise((done) => setTimeout(done, nat(40)))
        if (how === 'password') await other.ask('PUT', '/session/password', { current: PASSWORD, next: `${PASSWORD}!` })
        else if (how === 'leaves') await letGo(p.id)
        else if (how === 'viewer') await lessen(p.id)
        else
          for (const s of (await other.ask('GET', '/sessions')).json() ?? [])
            if (s.person === p.name && !s.here) await other.ask('DELETE', `/sessions/${s.id}`)
        await Promise.all(flight)
        for (const path of ways.filter((w) => w !== '/session')) {
          const r = await p.v.ask('GET', path)
          if (!ENDED.has(r.status)) note(`a session that ended (${how}) reads ${path}: ${r.status}`)
        }
        const shop = await other.ask('GET', '/people')
        if (how === 'viewer' && shop.status === 200) note('an owner who is a viewer by now still reads who works here')
        if (how !== 'leaves') await letGo(p.id)
      }
    },
    /** Links of people who left or were made less, and older links of a kind: none of them leads in. */
    async links() {
      for (let i = 0; i < many.links; i++) {
        const owner = await somebody('owner')
        const maker = await somebody('maker')
        const kind = pick(['reset of who left', 'older reset', 'invitation', 'phone'])
        const open = []
        if (kind === 'reset of who left') {
          open.push(tokenOf(await ask('POST', `/people/${maker.id}/reset`)))
          await letGo(maker.id)
        } else if (kind === 'older reset') {
          const all = await Promise.all(
            Array.from({ length: 2 + nat(3) }, () => ask('POST', `/people/${maker.id}/reset`)),
          )
          open.push(...all.map(tokenOf))
        } else if (kind === 'invitation') {
          open.push(tokenOf(await owner.v.ask('POST', '/people', { name: `by ${owner.name}`, role: 'owner' })))
          open.push(tokenOf(await owner.v.ask('POST', `/people/${maker.id}/reset`)))
          await pick([letGo, lessen])(owner.id)
        } else {
          const link = tokenOf(await maker.v.ask('POST', '/commissions/crosswind/phone', {}))
          await pick([letGo, lessen])(maker.id)
          const sent = await world.visitor().upload(`/up/${link}`, Buffer.from([1]), 'a.png')
          if (sent.status !== 404) note(`a phone of somebody who may not any more is answered ${sent.status}`)
        }
        const came = []
        for (const token of open) {
          const v = world.visitor()
          const r = await v.ask('POST', `/invitation/${token}`, {
            password: 'another sentence',
            signIn: `by-${owner.name}`,
          })
          if (r.status === 200) came.push(token)
        }
        const may = kind === 'older reset' ? 1 : 0
        if (came.length !== may) note(`${kind}: ${came.length} of ${open.length} links lead in, ${may} should`)
        await letGo(owner.id)
        await letGo(maker.id)
      }
    },
    /** A helper tries what is for makers, by each way a record can come in or change. */
    async helpers() {
      const h = await somebody('helper')
      const record = async () => (await ask('GET', '/commissions/first-lantern')).json().record
      const day = [{ op: 'set', at: '/shipped', value: '2026-11-24' }]
      for (let i = 0; i < many.helpers; i++) {
        const shipped = { ...(await record()), shipped: '2026-11-24', id: `h-${seed}-${i}` }
        const json = Buffer.from(JSON.stringify(shipped))
        const way = pick(['copy', 'new', 'change', 'issue', 'archive'])
        const r = await {
          copy: () => h.v.upload('/import?as=copy', json, 'x.json'),
          new: () => h.v.upload('/import', json, 'x.json'),
          change: () => h.v.change('first-lantern', day),
          issue: () => h.v.ask('POST', '/commissions/reed-warden/handoffs'),
          archive: () => h.v.ask('DELETE', '/commissions/first-lantern'),
        }[way]()
        if (r.status !== 403) note(`a helper ships by ${way}: ${r.status}`)
      }
      if ((await record()).shipped) note('a helper has shipped')
      await letGo(h.id)
    },
  }
}
