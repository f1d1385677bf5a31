import type { AssetRecord, Site, WidgetRecord } from '../site/index.ts';
import { maybeElement } from '../widgets/index.ts';

export interface RasterIcon {
  widget: WidgetRecord;
  /** The content field that asks for an icon. */
  field: string;
  picture: AssetRecord;
}

/** Pictures of pixels that stand in an icon's place: they cannot be recoloured, and blur where they are drawn larger (common practice, no source). */
export function rasterIcons({ kinds: { widget, asset } }: Site): RasterIcon[] {
  return [...widget.values()].flatMap(it =>
    Object.entries(maybeElement(it.widget)?.content ?? {}).flatMap(([field, { type }]): RasterIcon[] => {
      const chosen = type === 'icon' ? it.content[field] : null;
      const picture = typeof chosen === 'string' ? asset.get(chosen) : undefined;
      return picture ? [{ widget: it, field, picture }] : [];
    }),
  );
}
