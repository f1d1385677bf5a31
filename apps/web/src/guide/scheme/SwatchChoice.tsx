import { type Id, purposeOf, roleNamed, type Site } from '@cove/core';
import { TokenField } from '../../tokens/picker/TokenField.tsx';

/** A swatch to be picked from those of the guide whose purposes a role takes. */
export function SwatchChoice({
  site,
  label,
  bindsTo,
  value,
  onChange,
}: {
  site: Site;
  label: string;
  bindsTo: 'surface' | 'mainFill';
  value: Id | null;
  onChange(id: Id): void;
}) {
  const takes = roleNamed(bindsTo)?.takes ?? [];
  return (
    <TokenField
      label={label}
      site={site}
      type="color"
      value={value}
      accepts={it =>
        it.id === value || (it.value.type !== 'token' && takes.includes(purposeOf(site, it).purpose))
      }
      onChange={id => id !== null && onChange(id)}
      className="[&_input]:border-hair"
    />
  );
}
