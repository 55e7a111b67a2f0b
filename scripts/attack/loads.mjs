// One person sends the heaviest that he may: everybody else goes on working.
import { heavyThings } from '../lib/heavy.mjs'

export function loadRounds(world) {
  const { ask, note, nat, many } = world
  return {
    async heavy() {
      const { record } = (await ask('GET', '/commissions/reed-warden')).json()
      const issued = await ask('POST', '/commissions/reed-warden/handoffs')
      const token = issued.json().link.split('/').pop()
      const things = heavyThings(world.root, { record, token })
      const names = Object.keys(things)
      // Drawn without putting back, all of them where there are enough tries.
      for (let i = 0; i < many.heavy; i++) {
        const [name] = names.splice(nat(names.length), 1)
        if (!name) break
        const send = await things[name](world)
        let over = false
        const heavy = send().finally(() => (over = true))
        const others = world.visitor()
        await others.signIn()
        let n = 0
        do {
          for (const [what, r] of [
            ['an edit', await others.change('first-lantern', [{ op: 'set', at: '/brief', value: `${name} ${n++}` }])],
            ['the rack', await others.ask('GET', '/rack')],
            ['a PDF', n === 1 ? await others.ask('GET', '/commissions/first-lantern/handoff.pdf') : undefined],
            ['issuing', n === 1 ? await others.ask('POST', '/commissions/reed-warden/handoffs') : undefined],
          ])
            if (r && r.status !== 200 && r.status !== 201)
              note(`beside ${name}, ${what} is answered ${r.status} ${r.text.slice(0, 120)}`)
        } while (!over)
        const status = String(await heavy)
        if (/\b(5\d\d|0)\b/.test(status)) note(`${name} is answered ${status}`)
      }
    },
  }
}
