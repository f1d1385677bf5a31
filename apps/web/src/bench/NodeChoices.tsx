import { byOrder, elementOfNode, type NodeRecord, type Site, variantsOf } from '@cove/core';
import { useCommit } from '../session/context.tsx';
import { Select } from '../ui/Select.tsx';

const titled = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);

/** What is chosen from the guide for a section or widget: its scheme and its variants. */
export function NodeChoices({ site, node }: { site: Site; node: NodeRecord }) {
  const commit = useCommit();
  const element = elementOfNode(node);
  const axes = element.axes
    .map(axis => ({ axis, variants: variantsOf(site, element.name, axis) }))
    .filter(({ variants }) => variants.length > 0);
  if (node.kind !== 'section' && axes.length === 0) return null;
  return (
    <div className="grid grid-cols-2 gap-2">
      {node.kind === 'section' && (
        <Select
          label="Scheme"
          value={node.scheme ?? ''}
          options={[
            { value: '', label: 'As the page' },
            ...[...site.kinds.scheme.values()]
              .sort(byOrder)
              .map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={value =>
            commit(
              [{ op: 'set', id: node.id, path: ['scheme'], value: value === '' ? null : value }],
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
            { value: '', label: 'As the default' },
            ...variants.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={value =>
            commit(
              [
                value === ''
                  ? { op: 'unset', id: node.id, path: ['variants', axis] }
                  : { op: 'set', id: node.id, path: ['variants', axis], value },
              ],
              `Choose ${axis}`,
            )
          }
        />
      ))}
    </div>
  );
}
