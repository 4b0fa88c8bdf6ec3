import { useId, type InputHTMLAttributes } from 'react'

interface TextFieldProps extends Omit<InputHTMLAttributes<HTMLInputElement>, 'onChange'> {
  label: string
  value: string
  problem?: string | undefined
  hint?: string
  onChange: (value: string) => void
}

/** A labelled field in a form; what is wrong with it stands under it. */
export function TextField({ label, value, problem, hint, onChange, className = '', ...rest }: TextFieldProps) {
  const id = useId()
  const said = problem ?? hint
  return (
    <div className={className}>
      <label htmlFor={id} className="mb-1 block text-[0.98rem] text-soft">
        {label}
      </label>
      <input
        id={id}
        className="field"
        autoComplete="off"
        spellCheck={false}
        aria-invalid={problem !== undefined}
        aria-describedby={said ? `${id}-said` : undefined}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        {...rest}
      />
      {said && (
        <p
          id={`${id}-said`}
          role={problem ? 'alert' : undefined}
          className={`mt-1 text-[0.95rem] leading-snug ${problem ? 'text-warn' : 'text-soft'}`}
        >
          {said}
        </p>
      )}
    </div>
  )
}
