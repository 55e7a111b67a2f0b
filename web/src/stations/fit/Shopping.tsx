import { bladeDifferenceText, demoAgainstShipped, shoppingList, shoppingNeedText } from '@nubrin/core/fit'
import type { Saber } from '@nubrin/core/record'

/** What the client has to buy for a blade, and how the bench's own blade differs from it. */
export function Shopping({ saber }: { saber: Saber }) {
  const shopping = shoppingList(saber)
  const shown = demoAgainstShipped(saber).filter((d) => d.differs.length)
  return (
    <>
      {shopping.length ? (
        <>
          <h2 className="h2 mt-3">The client buys</h2>
          {shopping.map((s) => (
            <div key={s.blade.id} className="border-rule border-b py-1 text-[0.92rem] leading-tight">
              <p className="font-medium">
                {s.blade.name}, for the {s.socket}
              </p>
              <p className="text-quiet">{s.lines.join('; ')}</p>
              {s.needs.length ? (
                <p className="text-stop">not said yet: {s.needs.map(shoppingNeedText).join(', ')}</p>
              ) : null}
            </div>
          ))}
        </>
      ) : null}
      {shown.map((d) => (
        <p key={d.demo.id} className="text-brass mt-2 text-[0.92rem]">
          {d.demo.name} is the bench’s: {d.differs.map(bladeDifferenceText).join('; ')}.
        </p>
      ))}
    </>
  )
}
