import type { DesignView } from '@/api/client'
import type { DraftBook } from '../draftBook'

/** What every part of the sentence needs: where changes go, and the design as it is. */
export interface PartProps {
  book: DraftBook
  view: DesignView
}
