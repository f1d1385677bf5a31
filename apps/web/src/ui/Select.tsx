import { useId } from 'react';
import { useLocked } from './locked.ts';

/** The platform's own list. */
export function Select({
  label,
  value,
  options,
  onChange,
  hideLabel = false,
  className = '',
}: {
  label: string;
  value: string;
  options: readonly { value: string; label: string }[];
  onChange(value: string): void;
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
        onChange={event => onChange(event.target.value)}
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
