import { useState } from 'react'

interface TextPartProps {
  label: string
  value: string
  onChange: (text: string) => void
}

/** A few words in a sentence, changed where they stand; kept when they are left. */
export function TextPart({ label, value, onChange }: TextPartProps) {
  const [draft, setDraft] = useState<string | null>(null)
  const keep = () => {
    if (draft !== null && draft !== value) onChange(draft)
    setDraft(null)
  }
  return (
    <label className="part">
      <input
        className="part-face text-part"
        aria-label={label}
        value={draft ?? value}
        size={Math.max(4, (draft ?? value).length)}
        maxLength={200}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={keep}
        onKeyDown={(event) => {
          if (event.key === 'Enter') keep()
          if (event.key === 'Escape') setDraft(null)
        }}
      />
    </label>
  )
}
