import { FileInput } from 'lucide-react'
import { useRef } from 'react'

interface FileButtonProps {
  label: string
  accept: string
  onFile: (file: File) => void
}

/** A button that asks for a file. */
export function FileButton({ label, accept, onFile }: FileButtonProps) {
  const picker = useRef<HTMLInputElement>(null)
  return (
    <>
      <button type="button" className="quiet-button" onClick={() => picker.current?.click()}>
        <FileInput aria-hidden="true" className="size-5" />
        <span className="max-sm:sr-only">{label}</span>
      </button>
      <input
        ref={picker}
        type="file"
        accept={accept}
        className="hidden"
        aria-label={label}
        onChange={(event) => {
          const file = event.target.files?.[0]
          event.target.value = ''
          if (file) onFile(file)
        }}
      />
    </>
  )
}
