import { Figure } from '@/ui/Figure'

/** Both sides of a size, beside its name in a menu. */
export function SizeAside({ width, height }: { width: string; height: string }) {
  return (
    <>
      <Figure text={width} unit={false} /> × <Figure text={height} />
    </>
  )
}
