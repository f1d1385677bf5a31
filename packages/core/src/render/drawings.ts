import { ICON_FIELD, iconSetNamed, isIconName } from '../icons/index.ts';
import { type DrawingRecord, type Site, settingsOf } from '../site/index.ts';
import { printCss, type Value } from '../values/index.ts';
import type { DrawnSvg } from '../widgets/kit/markup.ts';
import { varContext } from './rules.ts';

/** The swatches of a drawing stay references, so that it is recoloured with them. */
function drawn(site: Site, record: DrawingRecord): DrawnSvg {
  const context = varContext(site, { mode: 'published', assetUrl: ({ file }) => file });
  const paint = (value: Value | null) => (value === null ? 'none' : printCss(value, context));
  return {
    width: record.width,
    height: record.height,
    paths: record.paths.map(({ d, fill, stroke, width }) => ({
      d,
      fill: paint(fill),
      stroke: paint(stroke),
      width: stroke === null ? null : width,
    })),
  };
}

/** An icon of the set in use by its name, or a drawing of the site's own by its id. */
export function drawnSvg(site: Site, name: string): DrawnSvg | null {
  if (isIconName(name)) {
    const { icons } = iconSetNamed(settingsOf(site).iconSet ?? '');
    // Its line is as thick as the icon's part says.
    const path = { d: icons[name], fill: 'none', stroke: 'currentcolor', width: null };
    return { width: ICON_FIELD, height: ICON_FIELD, paths: [path] };
  }
  const record = site.kinds.drawing.get(name);
  return record ? drawn(site, record) : null;
}
