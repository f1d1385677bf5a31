import { byOrder, type ContentFieldOf, ICON_NAMES, picturesOf } from '@cove/core';
import { Select } from '../../ui/Select.tsx';
import type { ContentControl } from './contentControl.ts';

/** An icon of the set, one of the brand's own, or a picture in its place. */
export function IconControl({
  site,
  field,
  value,
  onChange,
}: Pick<ContentControl<ContentFieldOf<'icon'>>, 'site' | 'field' | 'value' | 'onChange'>) {
  return (
    <div>
      <Select
        label={field.label}
        value={typeof value === 'string' ? value : ''}
        options={[
          { value: '', label: 'None' },
          ...[...site.kinds.drawing.values()]
            .sort(byOrder)
            .map(it => ({ value: it.id, label: `${it.name} (own)` })),
          ...ICON_NAMES.map(it => ({ value: it, label: it })),
          ...picturesOf(site).map(it => ({ value: it.id, label: `${it.name} (picture)` })),
        ]}
        onChange={id => onChange(id === '' ? null : id)}
      />
      {typeof value === 'string' && site.kinds.asset.has(value) && (
        <p role="note" className="mt-0.5 text-small text-madder">
          A bitmap keeps its own colours on every scheme and blurs when enlarged. Add an SVG under Icons and
          marks to avoid both.
        </p>
      )}
    </div>
  );
}
