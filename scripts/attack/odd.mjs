// What strangers made: records, archives, sounds, lists and pictures that are not what they say, and requests that no page sends.
const ODD = [
  0,
  -1,
  1e308,
  -1e308,
  5e-324,
  null,
  '',
  'x'.repeat(5000),
  '\ud800',
  '\u0000',
  [],
  {},
  true,
  '0000-01-01',
  '2016-12-31T23:59:60Z',
  [[[[]]]],
  { $ref: '#' },
  '__proto__',
  '../../etc/passwd',
]
/** A document with some of its values, keys and lengths made odd. */
const mutating =
  ({ nat, pick }) =>
  (doc) => {
    const copy = structuredClone(doc)
    for (let n = 1 + nat(4); n > 0; n--) {
      let at = copy
      for (let depth = nat(7); depth > 0; depth--) {
        const keys = Object.keys(at)
        const next = at[pick(keys)]
        if (typeof next !== 'object' || next === null || !Object.keys(next).length) break
        at = next
      }
      const key = pick(Object.keys(at))
      const how = nat(5)
      if (how === 0) delete at[key]
      else if (how === 1 && Array.isArray(at)) at.push(...Array(1 + nat(3)).fill(at[key]))
      else if (how === 2) at[pick(['id', 'x', 'value', 'constructor'])] = structuredClone(pick(ODD))
      else at[key] = structuredClone(pick(ODD))
    }
    return copy
  }
/** Bytes with some of them flipped, cut off or put in. */
const garbling =
  ({ nat, random }) =>
  (bytes) => {
    const b = Buffer.from(bytes)
    for (let n = 1 + nat(12); n > 0; n--) b[nat(Math.min(b.length, random() < 0.7 ? 200 : b.length))] = nat(256)
    return random() < 0.3 ? b.subarray(0, nat(b.length)) : b
  }

export function oddRounds(world) {
  const { ask, upload, note, pick, nat, random, small, seed, many, url } = world
  const mutated = mutating(world)
  const garbled = garbling(world)
  return {
    async json() {
      const ids = ['cinder-oath', 'ember-fair', 'crosswind', 'first-lantern', 'reed-warden']
      const docs = []
      for (const id of ids) docs.push((await ask('GET', `/commissions/${id}`)).json().record)
      for (let i = 0; i < many.json; i++) {
        const doc = pick(docs)
        const way = nat(4)
        if (way === 0) {
          const id = pick(ids)
          const { revision } = (await ask('GET', `/commissions/${id}`)).json()
          const at = pick([
            '/title',
            '/sabers',
            '/client/name',
            '/requests/@x',
            `/sabers/@${doc.sabers[0].id}/hilt/sections`,
            '/id',
            '/__proto__/x',
          ])
          const op = pick([
            { op: 'set', at, value: pick(ODD) },
            { op: 'insert', at, item: { id: pick(['a', '', 'x'.repeat(60)]) }, after: null },
            { op: pick(ODD), at },
            { op: 'remove', at, item: { id: 'x' }, after: pick(ODD) },
          ])
          // What goes in is taken out again: the shop stays what it was.
          const r = await ask('PATCH', `/commissions/${id}`, {
            base: pick([revision, 0, -1, 1e308, 'x']),
            ops: Array(1 + nat(3)).fill(op),
          })
          if (r.status === 200) await ask('GET', `/commissions/${id}`)
        } else {
          const r = await upload(
            `/import${pick(['', '?as=copy'])}`,
            Buffer.from(JSON.stringify({ ...mutated(doc), ...(way === 1 ? {} : { id: `a-${seed}-${i}` }) })),
            'x.json',
          )
          if (r.status === 201 && random() < (small ? 0.15 : 0.05)) {
            const { id } = r.json().record
            await ask('GET', `/commissions/${id}/handoff.pdf`)
            await ask('GET', `/commissions/${id}/cavity.dxf`)
            await ask('POST', `/commissions/${id}/handoffs`)
            await ask('GET', '/rack')
          }
        }
      }
      const rack = await ask('GET', '/rack')
      if (rack.status !== 200) note(`home answers ${rack.status} after the odd records`)
    },
    async zip() {
      const res = await fetch(`${url}/api/commissions/reed-warden/export.zip`, { headers: world.headers() })
      const good = Buffer.from(await res.arrayBuffer())
      for (let i = 0; i < many.zip; i++) await upload('/import?as=copy', garbled(good), 'x.zip')
      await upload('/import', Buffer.from('['.repeat(5_000_000)), 'x.json')
    },
    async wav() {
      const { record } = (await ask('GET', '/commissions/reed-warden')).json()
      const sound = record.sabers[0].fonts[0].sounds[0].media
      const res = await fetch(`${url}/api/media/${sound}`, { headers: world.headers() })
      const good = Buffer.from(await res.arrayBuffer())
      for (let i = 0; i < many.wav; i++) {
        const b = garbled(good)
        b.write('RIFF', 0)
        b.write('WAVE', 8)
        if (random() < 0.5 && b.length > 8) b.writeUInt32LE(b.length - 8, 4)
        await upload('/media', b, 'x.wav')
      }
    },
    async csv() {
      const good = Buffer.from((await ask('GET', '/parts.csv')).text)
      for (let i = 0; i < many.csv; i++) {
        const odd = pick([
          () => garbled(good),
          () => Buffer.from(`kind,name,${' '.repeat(nat(100_000))}(${'('.repeat(nat(1000))}\ncell,A\n`),
          () => Buffer.from(`kind,name${','.repeat(nat(300_000))}\ncell,A\n`),
          () => Buffer.from(`kind,name,diameter (mm)\n${`cell,A,${'1'.repeat(nat(5000))}\n`.repeat(20)}`),
          () => Buffer.from(`"${'a,"'.repeat(nat(20_000))}`),
        ])()
        await upload('/parts/import', odd, 'x.csv')
        if (i % 5 === 0) await upload('/import/earlier', odd, 'x.csv')
      }
    },
    async pictures() {
      const sharp = (await import('sharp')).default
      const made = []
      for (const kind of ['jpeg', 'png', 'webp'])
        made.push(
          await sharp({ create: { width: 64, height: 48, channels: 3, background: '#965' } })
            [kind]()
            .toBuffer(),
        )
      for (let i = 0; i < many.pictures; i++)
        await upload('/media', garbled(pick(made)), pick(['x.jpg', 'x.html', 'x.svg']))
    },

    /** Every route of the document that describes them, with what it names made odd: an answer that it announces, or a refusal. */
    async routes() {
      const { paths } = (await ask('GET', '/openapi.json')).json()
      // What is done to one is done to a copy: the demo's own are needed by the other rounds.
      const own = await world.copy('routes')
      const BARE = [own, own, 'x', '-1', '0', '%00', '%ff', '..%2f..', 'x'.repeat(400), '🜚', '1e308', '__proto__']
      let n = 0
      const odd = (schema) => {
        if (!schema || nat(6) === 0) return structuredClone(pick(ODD))
        if (schema.const !== undefined) return schema.const
        const any = schema.anyOf ?? schema.oneOf
        if (any) return odd(pick(any))
        if (schema.enum) return pick(schema.enum)
        if (schema.type === 'object')
          return Object.fromEntries(
            Object.entries(schema.properties ?? {}).flatMap(([k, s]) =>
              schema.required?.includes(k) || nat(2) ? [[k, odd(s)]] : [],
            ),
          )
        if (schema.type === 'array') return Array.from({ length: nat(4) }, () => odd(schema.items))
        if (schema.type === 'integer' || schema.type === 'number') return pick([0, 1, -1, 1e308, schema.maximum ?? 7])
        if (schema.type === 'boolean') return nat(2) === 1
        return pick(['', 'crosswind', 'reed-warden', 'x'.repeat(4000), 'lot', '2026-11-30', 'Ω\u0000'])
      }
      // Who leaves, signs out or loses his password here would end the attack.
      const ENDS =
        /^(delete \/session$|delete \/people|put \/session\/password|put \/people|post \/people\/\{id\}\/reset|\w+ \/session\/factor|delete \/sessions)/
      for (let i = 0; i < many.routes; i++)
        for (const [path, methods] of Object.entries(paths))
          for (const [method, op] of Object.entries(methods)) {
            if (ENDS.test(`${method} ${path}`)) continue
            const at = path.replace(/\{\w+\}/g, () => pick(BARE))
            const query = (op.parameters ?? [])
              .filter((p) => p.in === 'query' && nat(2))
              .map((p) => `${p.name}=${encodeURIComponent(String(odd(p.schema)).toWellFormed())}`)
              .join('&')
            const content = op.requestBody?.content ?? {}
            const to = `${at}${query ? `?${query}` : ''}`
            const r = content['multipart/form-data']
              ? await upload(
                  to,
                  Buffer.from(pick(['', '{', '[]', 'kind,name\na,b', 'PK\u0003\u0004'])),
                  pick(['x', 'x.zip', '../x']),
                )
              : await ask(
                  method.toUpperCase(),
                  to,
                  content['application/json'] ? odd(content['application/json'].schema) : undefined,
                )
            n++
            // The route says what it may answer; 400 and 404 are of addresses that name nothing.
            if (r.status && !op.responses[r.status] && ![400, 404, 413, 422, 429].includes(r.status))
              note(`${method} ${path} answers ${r.status}, which its description does not name: ${r.text.slice(0, 90)}`)
            if (r.status >= 400 && !r.text.includes('"detail"'))
              note(`${method} ${at} refuses without a word: ${r.status} ${r.text.slice(0, 80)}`)
          }
      return n
    },
  }
}
