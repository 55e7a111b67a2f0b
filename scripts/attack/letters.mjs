// Words of the world in every place for words: they are kept, shown and printed, or named before.
const SCRIPTS = {
  Cyrillic: [0x410, 0x44f],
  Greek: [0x3b1, 0x3c9],
  Hebrew: [0x5d0, 0x5ea],
  Arabic: [0x627, 0x64a],
  Vietnamese: [0x1ea0, 0x1ef9],
  Han: [0x4e00, 0x9fa5],
  Kana: [0x3041, 0x3093],
  Hangul: [0xac00, 0xd7a3],
  emoji: [0x1f600, 0x1f64f],
  Thai: [0xe01, 0xe2e],
  marks: [0x202a, 0x202e],
  combining: [0x300, 0x36f],
}
export function letterRounds(world) {
  const { ask, note, nat, pick, many } = world
  const word = () => {
    const [from, to] = SCRIPTS[pick(Object.keys(SCRIPTS))]
    const length = nat(5) ? 1 + nat(12) : 240
    return Array.from({ length }, () => String.fromCodePoint(from + nat(to - from + 1))).join('')
  }
  return {
    async letters() {
      const id = 'first-lantern'
      for (let i = 0; i < many.letters; i++) {
        const said = Array.from({ length: 1 + nat(6) }, word)
          .join(pick([' ', ', ', ' (', '/']))
          .slice(0, 238)
          .toWellFormed()
        const at = pick(['/client/name', '/brief', '/handoff/words', '/client/country'])
        const r = await world.change(id, [{ op: 'set', at, value: said }])
        if (r.status !== 200 && r.status !== 422) note(`words are answered ${r.status}`)
        const kept = (await ask('GET', `/commissions/${id}`)).json().record
        const there = at
          .slice(1)
          .split('/')
          .reduce((o, k) => o?.[k], kept)
        if (r.status === 200 && there !== said) note(`words are kept as others: ${JSON.stringify(said).slice(0, 80)}`)
        const pdf = await ask('GET', `/commissions/${id}/handoff.pdf`)
        if (pdf.status !== 200 || !pdf.text.startsWith('%PDF-'))
          note(`words cannot be printed: ${pdf.status} ${JSON.stringify(said).slice(0, 120)}`)
      }
    },
  }
}
