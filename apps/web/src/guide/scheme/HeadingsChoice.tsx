import type { HeadingChoice } from '@cove/core';
import { Choice } from '../../ui/Choice.tsx';

/** What headings take: what reads best, a colour of the brand, or a neutral. */
export const HeadingsChoice = ({
  value,
  onChange,
}: {
  value: HeadingChoice | null;
  onChange(value: HeadingChoice | null): void;
}) => (
  <div>
    <p className="label-line" aria-hidden>
      Headings
    </p>
    <Choice<HeadingChoice | 'auto'>
      label="Headings"
      value={value ?? 'auto'}
      options={[
        { value: 'auto', label: 'Automatic' },
        { value: 'identity', label: 'Brand colour' },
        { value: 'neutral', label: 'Neutral' },
      ]}
      onChange={chosen => onChange(chosen === 'auto' ? null : chosen)}
    />
  </div>
);
