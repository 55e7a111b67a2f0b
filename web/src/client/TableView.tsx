import type { Block } from '@nubrin/core/handoff'

/** A table of the record; a row of presets shows its colour. */
export function TableView({ block: b }: { block: Extract<Block, { kind: 'table' }> }) {
  return (
    <section className="mt-3 overflow-x-auto" tabIndex={0} aria-label={b.head.join(', ')}>
      <table className="w-full text-left">
        <thead className="text-quiet text-[0.92rem]">
          <tr>
            {b.head.map((h) => (
              <th key={h} className="pr-3 font-medium">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {b.rows.map((row, r) => (
            <tr key={row.join('|')} className="border-rule border-b align-top">
              {row.map((cell, i) => (
                <td key={i} className="py-1 pr-3">
                  {b.swatch?.[r] && i === 2 ? (
                    <span
                      className="border-ink mr-1.5 inline-block h-3 w-3 border"
                      style={{ background: b.swatch[r] }}
                    />
                  ) : null}
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
