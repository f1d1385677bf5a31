import { resetOverrides } from '../commands/index.ts';
import { overridesOf } from '../measure/index.ts';
import { getRecord, type Id, isNode, nameOf, nodePage } from '../site/index.ts';
import { defineCheck, type FoundAt } from './check.ts';

/** Values set by hand on one thing, beyond which a preset or variant would say it better (common practice, no source). */
const MOST = 6;

export const overrides = defineCheck<{ node: Id; count: number }>({
  id: 'overrides',
  title: 'Many values set by hand on one thing',
  severity: 'note',
  thresholds: { values: MOST },
  docs: 'A thing with many values of its own no longer follows the guide. Make a preset or variant of them, or reset them (common practice, no source).',
  dependsOn: ['section', 'widget', 'page'],
  run(site) {
    const counts = new Map<Id, number>();
    for (const { node } of overridesOf(site)) counts.set(node, (counts.get(node) ?? 0) + 1);
    return [...counts]
      .filter(([, count]) => count > MOST)
      .map(([node, count]) => {
        const record = getRecord(site, node);
        const page = isNode(record) ? nodePage(record, site) : null;
        const at: FoundAt = { record: node, path: 'styles', ...(page !== null && { page }) };
        return { at, facts: { node, count } };
      });
  },
  message: ({ node, count }, site) => `${nameOf(site, node)} sets ${count} values by hand.`,
  fixes: ({ facts: { node } }, site) => [
    {
      label: 'Reset them',
      edits: resetOverrides(
        site,
        overridesOf(site).filter(it => it.node === node),
      ),
    },
  ],
});
