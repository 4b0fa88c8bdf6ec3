/** Where the keyboard was, so that it goes on from there when what lay over it has gone. */
let seats: HTMLElement[] = []

const MOST = 12

/** What is gone with what it belongs to is no place to come back to. */
const isSeat = (element: HTMLElement) => element.isConnected && element.getClientRects().length > 0

export function watchFocus() {
  document.addEventListener('focusin', ({ target }) => {
    if (!(target instanceof HTMLElement)) return
    // A menu is gone once something is chosen in it: then it is the button it hangs on.
    const menu = target.closest('[role=menu]')
    const place = menu ? document.getElementById(menu.getAttribute('aria-labelledby') ?? '') : target
    if (place) seats = [place, ...seats.filter((seat) => seat !== place && seat.isConnected)].slice(0, MOST)
  })
}

/** Where it was now, or rather before what is about to open. */
export const seatNow = (): HTMLElement | null => seats.find(isSeat) ?? null

/** Back to a place; to the nearest that is still there when that has gone, at last to what the page is about. */
export function takeSeat(seat: HTMLElement | null, outside?: Element | null) {
  const place =
    seat && isSeat(seat)
      ? seat
      : (seats.find((one) => isSeat(one) && !outside?.contains(one)) ?? document.querySelector<HTMLElement>('main'))
  place?.focus({ preventScroll: place.localName === 'main' })
}
