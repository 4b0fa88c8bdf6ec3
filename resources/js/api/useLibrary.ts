import { useEffect } from 'react'
import { create } from 'zustand'
import { api, type Library } from './client'

let asked: Promise<void> | null = null

const useStore = create<{ library: Library | null; isFailing: boolean }>(() => ({ library: null, isFailing: false }))

/** Fetches the library anew; those who show it see it change. */
export async function refreshLibrary(): Promise<void> {
  try {
    useStore.setState({ library: await api.library(), isFailing: false })
  } catch {
    useStore.setState({ isFailing: true })
  }
}

/** The maker's own sizes, tools and papers, fetched once and again when they change here; null until they are known. */
export function useLibrary() {
  const state = useStore()
  useEffect(() => {
    asked ??= refreshLibrary().finally(() => {
      // What failed is asked for again by whoever needs it next.
      if (useStore.getState().isFailing) asked = null
    })
  }, [])
  return state
}
