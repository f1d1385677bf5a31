import { useId } from 'react';

interface Option<T extends string> {
  value: T;
  label: string;
  /** Something is set there. */
  mark?: boolean;
}

/** A few words of which one is underlined: the program's way of choosing among little. The platform's own radio buttons. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  disabled = false,
}: {
  label: string;
  value: T;
  options: readonly Option<T>[];
  onChange(value: T): void;
  /** What it would alter may not be altered. */
  disabled?: boolean;
}) {
  const name = useId();
  return (
    <div role="radiogroup" aria-label={label} className="flex flex-wrap gap-x-3 gap-y-0.5">
      {options.map(option => (
        <label
          key={option.value}
          className="relative border-b-[1.5px] border-transparent py-0.5 text-muted hover:text-ink has-checked:border-teal has-checked:font-semibold has-checked:text-teal has-focus-visible:rounded-sm has-focus-visible:outline-2 has-focus-visible:outline-offset-1 has-focus-visible:outline-teal"
        >
          <input
            type="radio"
            name={name}
            value={option.value}
            checked={option.value === value}
            disabled={disabled}
            onChange={() => onChange(option.value)}
            // Choosing again what is chosen brings back what it stands for, such as a width that was dragged since.
            onClick={() => option.value === value && onChange(option.value)}
            className="absolute inset-0 m-0 cursor-pointer appearance-none outline-none"
          />
          {option.label}
          {option.mark && <span className="text-madder"> ·</span>}
          {option.mark && <span className="sr-only">, something is set here</span>}
        </label>
      ))}
    </div>
  );
}
