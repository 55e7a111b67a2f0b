import { axisBottom, axisLeft, line, scaleLinear, select } from 'd3'
import { useEffect, useRef } from 'react'

/** The discharge under the use profile: volts over minutes down to the cut-off. */
export function Discharge({ curve, cutoff }: { curve: { minutes: number; volts: number }[]; cutoff: number }) {
  const ref = useRef<SVGSVGElement>(null)
  useEffect(() => {
    if (curve.length < 2) return
    const svg = select(ref.current!)
    svg.selectAll('*').remove()
    const x = scaleLinear([0, curve.at(-1)!.minutes || 1], [34, 392])
    const top = Math.max(...curve.map((c) => c.volts), cutoff + 0.2)
    const y = scaleLinear([Math.min(cutoff - 0.1, ...curve.map((c) => c.volts)), top], [112, 8])
    svg.append('g').attr('transform', 'translate(0,112)').call(axisBottom(x).ticks(6).tickSizeOuter(0))
    svg.append('g').attr('transform', 'translate(34,0)').call(axisLeft(y).ticks(4).tickSizeOuter(0))
    svg
      .append('path')
      .attr('d', `M34 ${y(cutoff)}H392`)
      .attr('stroke', '#a63a2b')
      .attr('stroke-dasharray', '4 3')
    svg
      .append('path')
      .attr(
        'd',
        line<{ minutes: number; volts: number }>(
          (c) => x(c.minutes),
          (c) => y(c.volts),
        )(curve)!,
      )
      .attr('fill', 'none')
      .attr('stroke', '#1e2a2b')
      .attr('stroke-width', 1.8)
    svg
      .append('text')
      .attr('x', 40)
      .attr('y', y(cutoff) - 4)
      .attr('font-size', 11)
      .attr('fill', '#a63a2b')
      .text('cut-off')
    svg.append('text').attr('x', 0).attr('y', 11).attr('font-size', 11).attr('fill', '#5f594b').text('V')
    svg
      .append('text')
      .attr('x', 26)
      .attr('y', 128)
      .attr('text-anchor', 'end')
      .attr('font-size', 11)
      .attr('fill', '#5f594b')
      .text('min')
    svg.selectAll('.tick text').attr('font-size', 11).attr('fill', '#5f594b').style('font-family', 'inherit')
  }, [curve, cutoff])
  return (
    <svg
      ref={ref}
      viewBox="0 0 400 132"
      className="mt-2 w-full"
      role="img"
      aria-label={`Discharge: ${Math.round(curve.at(-1)?.minutes ?? 0)} minutes to cut-off`}
    />
  )
}
