import { rasterIcons as measured, type RasterIcon } from '../measure/index.ts';
import { nameOf } from '../site/index.ts';
import { defineCheck } from './check.ts';

export const rasterIcons = defineCheck<RasterIcon>({
  id: 'raster-icons',
  title: 'Pictures in an icon’s place',
  severity: 'warning',
  thresholds: {},
  docs: 'A picture of pixels keeps its own colours on every scheme, and blurs when it is enlarged (common practice, no source). Draw the icon, or choose one of the set.',
  dependsOn: ['widget', 'asset'],
  run: site =>
    measured(site).map(facts => ({
      at: { record: facts.widget.id, path: `content.${facts.field}` },
      facts,
    })),
  message: ({ widget, picture }, site) => `${picture.name} in ${nameOf(site, widget.id)}`,
});
