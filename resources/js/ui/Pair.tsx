import { Figure } from './Figure'

/** The unit a length is written with. */
const unitOf = (text: string) => / ([a-z]+)$/.exec(text)?.[1]

/** Width by height, the unit said once where it is the same. */
export function Pair({ width, height }: { width: string; height: string }) {
  return (
    <span className="whitespace-nowrap">
      <Figure text={width} unit={unitOf(width) !== unitOf(height)} /> × <Figure text={height} />
    </span>
  )
}

/** Whether a pair of lengths says its unit once. */
export const isOneUnit = (width: string, height: string) => unitOf(width) === unitOf(height)
