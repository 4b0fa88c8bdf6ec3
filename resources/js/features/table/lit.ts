import { create } from 'zustand'

/** Measures pointed at, on one piece. */
export interface Lit {
  piece: string
  measures: number[]
}

export const NOTHING_LIT: Lit = { piece: '', measures: [] }

/** What is pointed at. Only what looks different for it listens: the drawing, and the rows that light up or go out. */
export const useLit = create<Lit>(() => NOTHING_LIT)

export const light = (lit: Lit) => useLit.setState(lit)

/** Whether any of these measures of a piece is pointed at. */
export const useIsLit = (piece: string, measures: number[]) =>
  useLit((lit) => lit.piece === piece && measures.some((measure) => lit.measures.includes(measure)))
