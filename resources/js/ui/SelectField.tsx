import { useId } from 'react'

interface SelectFieldProps {
  label: string
  value: string
  choices: Array<{ value: string; label: string }>
  onChange: (value: string) => void
  className?: string
}

/** One of a few, in a form. */
export function SelectField({ label, value, choices, onChange, className = '' }: SelectFieldProps) {
  const id = useId()
  return (
    <div className={className}>
      <label htmlFor={id} className="mb-1 block text-[0.98rem] text-soft">
        {label}
      </label>
      <select id={id} className="field cursor-pointer" value={value} onChange={(event) => onChange(event.target.value)}>
        {choices.map((choice) => (
          <option key={choice.value} value={choice.value}>
            {choice.label}
          </option>
        ))}
      </select>
    </div>
  )
}
