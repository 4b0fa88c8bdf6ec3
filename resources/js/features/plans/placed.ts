import type { PlanPart } from '@/api/client'

/** A part and where its lower left corner is drawn: x to the right, y down from the sheet's upper edge. */
export interface Placed {
  part: PlanPart
  x: number
  y: number
}

/** Where everything of a sheet lies: what it is cut into, and every cut in the part that it parts. */
export function placed(tree: PlanPart): { leaves: Placed[]; cuts: Placed[] } {
  const leaves: Placed[] = []
  const cuts: Placed[] = []
  const walk = (part: PlanPart, x: number, y: number) => {
    const [first, second] = part.parts ?? []
    if (!first || !second) {
      if (part.width > 0 && part.height > 0) leaves.push({ part, x, y })
      return
    }
    cuts.push({ part, x, y })
    walk(first, x, y)
    if (part.isUpright) walk(second, x + part.width - second.width, y)
    else walk(second, x, y - part.height + second.height)
  }
  walk(tree, 0, tree.height)
  return { leaves, cuts: cuts.sort((a, b) => (a.part.n ?? 0) - (b.part.n ?? 0)) }
}
