import { create } from 'zustand'

/** Something to be said that belongs to no place on the page, until it is put away. */
export const useNotice = create<{ text: string | null }>(() => ({ text: null }))

export const notice = (text: string | null) => useNotice.setState({ text })
