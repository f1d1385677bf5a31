import type { ContentFieldOf } from '@cove/core';
import { PictureChoice } from '../../pictures/PictureChoice.tsx';
import type { ContentControl } from './contentControl.ts';

/** A picture of the site, or a new one. */
export function AssetControl({ site, field, value, onChange }: ContentControl<ContentFieldOf<'asset'>>) {
  return (
    <PictureChoice
      site={site}
      label={field.label}
      chosen={typeof value === 'string' ? value : null}
      onChoose={id => onChange(id)}
    />
  );
}
