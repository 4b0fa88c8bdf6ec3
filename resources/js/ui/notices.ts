import { create } from 'zustand'

interface Notice {
  text: string | null
  /** What can be done about it at once. */
  action: { label: string; act: () => void } | null
}

/** Something to be said that belongs to no place on the page, until it is closed. */
export const useNotice = create<Notice>(() => ({ text: null, action: null }))

export const notice = (text: string | null, action: Notice['action'] = null) => useNotice.setState({ text, action })
