import {
  elementOfNode,
  getRecord,
  hasUse,
  type Id,
  isNode,
  keepForUse,
  type NodeRecord,
  PRESET_USE_NAMES,
  PRESET_USES,
  type PresetUse,
  presetIn,
  presetsOfUse,
  presetWornFor,
  type Site,
  stylesOfUse,
  wearForUse,
} from '@cove/core';
import { useState } from 'react';
import { toast } from 'sonner';
import { useCommit } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { Button } from '../ui/Button.tsx';
import { NameForm } from '../ui/NameForm.tsx';
import { Select } from '../ui/Select.tsx';
import { useAlsoTo } from './alsoTo.ts';

interface Props {
  site: Site;
  node: NodeRecord;
  /** The scheme in effect here, in which another may stand in for the one worn. */
  scheme: Id;
  use: PresetUse;
  onPreset: ((preset: Id) => void) | undefined;
}

/** The ground or the treatment that a thing wears, and a new one from what is set here. */
function UseChoice({ site, node, scheme, use, onPreset }: Props) {
  const commit = useCommit();
  const mayMake = useMay('guide');
  const also = useAlsoTo();
  const [naming, setNaming] = useState(false);
  const all = presetsOfUse(site, [use]);
  const worn = presetWornFor(site, node, use);
  const canKeep = mayMake && stylesOfUse(node, use).slots.length > 0;
  if (all.length === 0 && !canKeep) return null;
  const noun = PRESET_USES[use].label.toLowerCase();
  const nameOf = (id: Id) => site.kinds.preset.get(id)?.name ?? id;
  const holds = worn && presetIn(site, worn.preset, scheme);
  const choose = (value: string) => {
    const things = [node.id, ...also].filter(id => {
      const record = getRecord(site, id);
      return isNode(record) && hasUse(elementOfNode(record), use);
    });
    const results = things.map(id => wearForUse(site, id, use, value === '' ? null : value));
    const edits = results.flatMap(it => (it.ok ? it.value : []));
    const refused = results.find(it => !it.ok);
    if (refused && !refused.ok && edits.length === 0) toast.error(refused.problem.message);
    else commit(edits, value === '' ? `Take off the ${noun}` : `Wear ${nameOf(value)}`);
  };
  return (
    <div className="min-w-0">
      <Select
        label={PRESET_USES[use].label}
        value={worn?.preset ?? ''}
        options={[{ value: '', label: 'None' }, ...all.map(({ id, name }) => ({ value: id, label: name }))]}
        onChange={choose}
      />
      <p className="flex flex-wrap gap-x-2">
        {holds && onPreset && mayMake && (
          <Button
            kind="link"
            className="h-5! text-small"
            aria-label={`Edit ${nameOf(holds)}`}
            onClick={() => onPreset(holds)}
          >
            {holds === worn?.preset ? 'Edit' : `Here ${nameOf(holds)}`}
          </Button>
        )}
        {canKeep && !naming && (
          <Button kind="link" className="h-5! text-small" onClick={() => setNaming(true)}>
            Keep as a {noun}…
          </Button>
        )}
      </p>
      {naming && (
        <NameForm
          label={`Name of the ${noun}`}
          submit="Keep"
          onClose={() => setNaming(false)}
          onName={name => {
            const kept = keepForUse(site, node.id, use, name);
            if (!kept.ok) toast.error(kept.problem.message);
            else if (commit(kept.value.edits, `Keep ${noun} ${name}`)) setNaming(false);
          }}
        />
      )}
    </div>
  );
}

/** What a thing wears that the guide has made for a use. */
export const UseChoices = (props: Omit<Props, 'use'>) =>
  PRESET_USE_NAMES.filter(use => hasUse(elementOfNode(props.node), use)).map(use => (
    <UseChoice key={use} {...props} use={use} />
  ));
