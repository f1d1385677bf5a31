import { printRatio } from '../color/index.ts';
import { roleFixes } from '../commands/index.ts';
import { roleIn } from '../guide/index.ts';
import { type RoleContrast, schemeFailures } from '../measure/index.ts';
import { SIGN_RATIO, TEXT_RATIO } from '../roles/index.ts';
import type { Site } from '../site/index.ts';
import { defineCheck } from './check.ts';

const labelOf = (site: Site, role: string): string => roleIn(site, role)?.label ?? role;

export const contrast = defineCheck<RoleContrast>({
  id: 'contrast',
  title: 'Contrast of roles',
  severity: 'fault',
  thresholds: { text: TEXT_RATIO, sign: SIGN_RATIO },
  docs: 'What has to be read has a contrast of 4.5 on what it stands on; what has to be seen to use a control, and large text, has 3 (WCAG 2.2, 1.4.3 and 1.4.11). Take a swatch that reads, or move the lightness of the one in use.',
  dependsOn: ['scheme', 'role', 'token', 'settings'],
  run: site =>
    schemeFailures(site).map(facts => ({
      at: { record: facts.scheme, path: `roles.${facts.role}` },
      facts,
    })),
  message: ({ role, on, ratio, wanted }, site) =>
    `${labelOf(site, role)} on ${labelOf(site, on).toLowerCase()} has a contrast of ${printRatio(ratio)}; it needs ${wanted}.`,
  fixes: ({ facts }, site) => roleFixes(site, facts.scheme, facts.role),
});
