const TRIES = 60

/** Goes to the first figure of what was just added, once it stands there: arrow keys change it at once. */
export function lookAt(id: string) {
  let left = TRIES
  const look = () => {
    const phrase = document.querySelector<HTMLElement>(`[data-with="${CSS.escape(id)}"]`)
    const field = phrase?.querySelector<HTMLElement>('input')
    if (!phrase) {
      if (left-- > 0) requestAnimationFrame(look)
      return
    }
    phrase.scrollIntoView({ block: 'nearest' })
    // A finger has no arrow keys: its keys would cover what it wants to see.
    // And what she has opened meanwhile is not taken from her.
    const isBusy = document.querySelector('[role=menu]') !== null
    if (field && !isBusy && matchMedia('(pointer: fine)').matches) field.focus()
  }
  // The menu gives the focus back to its button first.
  setTimeout(() => requestAnimationFrame(look), 60)
}
