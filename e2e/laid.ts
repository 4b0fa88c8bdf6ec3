import type { Page } from '@playwright/test'

/** What a hand and an eye meet on a page: each fault as a sentence, empty when there is none. */
export async function faultsOf(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const LEAST = 44
    const faults: string[] = []
    const root = document.documentElement
    const scrolled = root.scrollWidth - root.clientWidth
    if (scrolled > 0) faults.push(`the page goes ${scrolled} px sideways`)

    const isSeen = (element: Element) =>
      element.checkVisibility({ opacityProperty: false, visibilityProperty: true }) &&
      element.getClientRects().length > 0 &&
      !element.closest('.sr-only, [inert]')
    const named = (element: Element) => {
      const name = element.getAttribute('aria-label') ?? element.textContent?.trim().replace(/\s+/g, ' ') ?? ''
      return `${element.localName} “${(name || element.id || element.className.toString()).slice(0, 50)}”`
    }

    // What scrolls ends where what stands in it ends.
    for (const scroller of [root, ...document.querySelectorAll<HTMLElement>('body *')]) {
      const style = getComputedStyle(scroller)
      const isScroller = scroller === root || /auto|scroll/.test(style.overflowY)
      if (!isScroller || scroller.scrollHeight <= scroller.clientHeight + 1) continue
      const top = scroller === root ? -root.scrollTop : scroller.getBoundingClientRect().top - scroller.scrollTop
      let lowest = 0
      for (const inside of scroller.querySelectorAll('*')) {
        if (!isSeen(inside) || inside.closest('svg') || getComputedStyle(inside).position === 'fixed') continue
        const { bottom, height } = inside.getBoundingClientRect()
        if (height > 0) lowest = Math.max(lowest, bottom - top)
      }
      const blank = scroller.scrollHeight - lowest
      if (blank > 72) faults.push(`${named(scroller).slice(0, 40)} scrolls ${Math.round(blank)} px into nothing`)
    }

    const over = [...document.querySelectorAll('[role=dialog], [role=menu]')].filter(isSeen).at(-1)
    const controls = [
      ...(over ?? document).querySelectorAll<HTMLElement>(
        'a[href], button, input:not([type=hidden]), select, textarea, summary, [role=menuitem], [role=menuitemradio], [role=tab], canvas[tabindex]',
      ),
    ].filter((control) => isSeen(control) && !control.matches('[disabled], .skip-link'))

    /** A label, and a part of a sentence, are pressed with what they hold. */
    const pressed = (control: HTMLElement) => control.closest<HTMLElement>('label, .part') ?? control
    const isOf = (hit: Element | null, control: HTMLElement) =>
      hit !== null && (pressed(control).contains(hit) || (hit.contains(control) && hit.matches('label, .part')))

    for (const control of controls) {
      control.scrollIntoView({ block: 'center', inline: 'center', behavior: 'instant' })
      const box = pressed(control).getBoundingClientRect()
      const rects = [...pressed(control).getClientRects()]
      const first = rects[0] ?? box
      const [x, y] = [first.left + first.width / 2, first.top + first.height / 2]
      if (box.width < 16) faults.push(`${named(control)} is ${Math.round(box.width)} px wide`)
      if (x < 0 || x > innerWidth || y < 0 || y > innerHeight || !isOf(document.elementFromPoint(x, y), control)) {
        faults.push(
          `${named(control)} cannot be reached (${named(document.elementFromPoint(x, y) ?? root)} lies there)`,
        )
        continue
      }
      if (control.localName === 'canvas') continue
      const half = LEAST / 2 - 1
      const reach = (dx: number, dy: number) => {
        const [px, py] = [x + dx, y + dy]
        // At the very edge of the window nothing more is needed.
        if (px < 0 || py < 0 || px > innerWidth || py > innerHeight) return true
        return isOf(document.elementFromPoint(px, py), control)
      }
      const isWide = first.width >= LEAST
      const isHigh = first.height >= LEAST - 1
      const across = isWide || (reach(-half, 0) && reach(half, 0))
      const down = isHigh || (reach(0, -half) && reach(0, half))
      // What stands in running text may be as wide as its word, if it is high enough.
      const isWord = control.closest('.sentence') !== null
      if (!(across || (isWord && first.width >= 24)) || !down)
        faults.push(`${named(control)} is ${Math.round(first.width)} × ${Math.round(first.height)} px to press`)
    }

    for (const field of document.querySelectorAll<HTMLElement>('[role=alert], [data-said]')) {
      if (!isSeen(field)) continue
      const box = field.getBoundingClientRect()
      if (box.left < -1 || box.right > innerWidth + 1) faults.push(`${named(field)} is cut off`)
    }
    return [...new Set(faults)]
  })
}
