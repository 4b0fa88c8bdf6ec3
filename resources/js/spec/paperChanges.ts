import type { Change, PaperStock } from '@/api/client'

/** A design that uses a paper takes its caliper, its sheet and its colour. */
export function paperChanges(paper: PaperStock): Change[] {
  return [
    { at: '/paper/name', to: paper.name },
    { at: '/paper/colour', to: paper.colour },
    { at: '/paper/grammage', to: paper.grammage },
    { at: '/paper/caliper', to: paper.caliper },
    { at: '/paper/sheet', to: paper.width && paper.height ? { width: paper.width, height: paper.height } : null },
  ]
}
