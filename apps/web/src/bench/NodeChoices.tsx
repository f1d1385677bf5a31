import {
  byOrder,
  editOf,
  elementOfNode,
  hiddenFrom,
  hideFrom,
  type Id,
  type NodeRecord,
  nodeScope,
  type Site,
  variantsOf,
} from '@cove/core';
import { lazy, Suspense, useState } from 'react';
import { useCommit } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { Button } from '../ui/Button.tsx';
import { Select } from '../ui/Select.tsx';
import { titled } from '../ui/titled.ts';
import { ofElement, useAlsoTo } from './alsoTo.ts';
import { UseChoices } from './UseChoices.tsx';

const NodeLooks = lazy(async () => ({ default: (await import('../looks/NodeLooks.tsx')).NodeLooks }));

/** What is chosen from the guide for a section or widget: its scheme and its variants. */
export function NodeChoices({
  site,
  node,
  page,
  onPreset,
}: {
  site: Site;
  node: NodeRecord;
  page: Id;
  onPreset: ((preset: Id) => void) | undefined;
}) {
  const [seen, setSeen] = useState(false);
  const commit = useCommit();
  const element = elementOfNode(node);
  const scope = nodeScope(site, page, node.id);
  const longForm = scope?.longForm === true;
  const axes = element.axes
    // Elsewhere it would do nothing; where one is worn all the same, it can be taken off.
    .filter(axis => longForm || node.variants[axis] || !element.longFormAxes?.includes(axis))
    .map(axis => ({ axis, variants: variantsOf(site, element.name, axis) }))
    .filter(({ variants }) => variants.length > 0);
  const mayStyle = useMay('style');
  const mayChoose = useMay('choice');
  const also = useAlsoTo();
  const hidden = hiddenFrom(site, node.id);
  return (
    <div className="grid grid-cols-2 gap-2">
      {node.kind === 'section' && (
        <Select
          label="Scheme"
          value={node.scheme ?? ''}
          options={[
            { value: '', label: 'Same as the page' },
            ...[...site.kinds.scheme.values()]
              .sort(byOrder)
              .map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={value =>
            commit(
              [node.id, ...also.filter(id => site.kinds.section.has(id))].map(id =>
                editOf({ kind: 'section', id }).set('scheme', value === '' ? null : value),
              ),
              'Choose a scheme',
            )
          }
        />
      )}
      {axes.map(({ axis, variants }) => (
        <Select
          key={axis}
          label={titled(axis)}
          value={node.variants[axis] ?? ''}
          options={[
            { value: '', label: 'Default' },
            ...variants.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={value =>
            commit(
              [node.id, ...ofElement(site, also, element.name)].map(id => {
                const edit = editOf({ kind: node.kind, id });
                return value === '' ? edit.unsetIn('variants', axis) : edit.setIn('variants', axis, value);
              }),
              `Choose ${axis}`,
            )
          }
        />
      ))}
      {scope && <UseChoices site={site} node={node} scheme={scope.scheme} onPreset={onPreset} />}
      {mayChoose && (
        <Button kind="link" className="self-end justify-self-start" onClick={() => setSeen(true)}>
          Browse looks…
        </Button>
      )}
      {seen && (
        <Suspense>
          <NodeLooks site={site} page={page} node={node} onClose={() => setSeen(false)} />
        </Suspense>
      )}
      {mayStyle && (
        <Select
          label="Shown"
          value={hidden ?? ''}
          options={[
            { value: '', label: 'At every width' },
            { value: 'narrow', label: 'Not when narrow' },
            { value: 'medium', label: 'Only when wide' },
          ]}
          onChange={value =>
            commit(
              [node.id, ...also].flatMap(id =>
                hideFrom(site, id, value === 'narrow' || value === 'medium' ? value : null),
              ),
              value === '' ? 'Show at every width' : 'Hide at a width',
            )
          }
        />
      )}
      {hidden !== null && (
        <p role="note" className="col-span-2 text-small text-muted">
          Hidden {hidden === 'narrow' ? 'when the window is narrow' : 'unless the window is wide'}: screen
          readers skip it there too. It stays in the page, so search engines still read it.
        </p>
      )}
    </div>
  );
}
