import { words } from '@/words'
import { notice } from './notices'

/** A file in a link: the browser itself says nothing where it cannot be had. */
export function catchDownloads() {
  document.addEventListener('click', (event) => {
    const link = (event.target as Element | null)?.closest?.('a[download]')
    if (!(link instanceof HTMLAnchorElement) || event.defaultPrevented || event.button !== 0) return
    const { href } = link
    if (!href.startsWith(`${location.origin}/api/`)) return
    event.preventDefault()
    void fetchFile(href)
  })
}

async function fetchFile(href: string) {
  notice(null)
  try {
    const answer = await fetch(href)
    if (!answer.ok) {
      const { errors } = (await answer.json().catch(() => ({}))) as { errors?: Array<{ message: string }> }
      notice(words('download.refused', { why: errors?.[0]?.message ?? `${answer.status}` }))
      return
    }
    const url = URL.createObjectURL(await answer.blob())
    const save = document.createElement('a')
    save.href = url
    save.download = nameOf(answer.headers.get('Content-Disposition')) ?? href.split(/[/?]/).at(-2) ?? ''
    save.click()
    setTimeout(() => URL.revokeObjectURL(url), 60_000)
  } catch {
    notice(words('download.unanswered'))
  }
}

/** A file's name as the server gives it (RFC 6266): the one with every letter, else the plain one. */
export function nameOf(disposition: string | null): string | null {
  const full = /filename\*=utf-8''([^;]+)/i.exec(disposition ?? '')?.[1]
  if (full) return decodeURIComponent(full)
  return /filename="?([^";]+)"?/i.exec(disposition ?? '')?.[1] ?? null
}
