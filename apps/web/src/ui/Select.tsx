import { useId } from 'react';
import { useLocked } from './locked.ts';

/** The platform's own list. */
export function Select<T extends string>({
  label,
  value,
  options,
  onChange,
  hideLabel = false,
  className = '',
}: {
  label: string;
  value: T;
  options: readonly { value: T; label: string }[];
  onChange(value: T): void;
  hideLabel?: boolean;
  className?: string;
}) {
  const id = useId();
  const locked = useLocked();
  return (
    <div className={`min-w-0 ${className}`}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'label-line mb-0.5 block'}>
        {label}
      </label>
      <select
        id={id}
        value={value}
        disabled={locked}
        onChange={event => {
          const chosen = options.find(it => it.value === event.target.value);
          if (chosen) onChange(chosen.value);
        }}
        className="h-6 w-full min-w-0 rounded-sm border border-hair bg-paper px-1 text-base text-ink"
      >
        {options.map(option => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
    </div>
  );
}
