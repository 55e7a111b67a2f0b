import type { QuotePaper, QuoteRow } from '@nubrin/core/quote'

const escaped = (t: string) =>
  t.replace(/[&<>"']/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' })[c]!)

const STYLE = `body{font:17px/1.5 Archivo,system-ui,sans-serif;background:#f4efe4;color:#1e2a2b;max-width:44rem;margin:2.5rem auto;padding:0 1.2rem}
h1{font-size:1.7rem;margin:.2rem 0}h2{font-size:1.05rem;margin:1.6rem 0 .2rem}dl{margin:0}div{display:flex;gap:1rem;border-bottom:1px solid #d8cfbb;padding:.3rem 0}
dt{flex:1}dd{margin:0;font-variant-numeric:tabular-nums;white-space:nowrap}small{display:block;color:#5f594b}.sum div{font-weight:700;border-color:#1e2a2b}p{margin:.3rem 0}footer{color:#5f594b;margin-top:1.6rem}`

const rows = (list: readonly QuoteRow[]) =>
  list
    .map(
      (r) =>
        `<div><dt>${escaped(r.what)}${r.more ? `<small>${escaped(r.more)}</small>` : ''}</dt><dd>${escaped(r.price)}</dd></div>`,
    )
    .join('')
const named = (t: { title: string; rows: readonly QuoteRow[] }) =>
  t.rows.length ? `<section><h2>${escaped(t.title)}</h2><dl>${rows(t.rows)}</dl></section>` : ''

/** A quote as a page that needs nothing else and runs nothing. */
export function quotePage(q: QuotePaper, { language, shop }: { language: string; shop: string }): string {
  return `<!doctype html><html lang="${escaped(language)}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'"><title>${escaped(q.title)}</title><style>${STYLE}</style></head><body><main><p>${escaped(shop)}</p><h1>${escaped(q.title)}</h1>${q.head.map((h) => `<p>${escaped(h)}</p>`).join('')}<section><dl>${rows(q.lines)}</dl></section>${named(q.options)}${named(q.changes)}<section class="sum"><dl>${rows(q.sums)}</dl></section>${named(q.paid)}<footer>${q.foot.map((f) => `<p>${escaped(f)}</p>`).join('')}</footer></main></body></html>`
}
