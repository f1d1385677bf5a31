import { byOrder, type Site, type Slot, type Styles, type StyleTarget, setSlot } from '@cove/core';
import { useCommit } from '../session/context.tsx';
import { Select } from '../ui/Select.tsx';

/** The text style of a part: one choice for all of its type, which single values may still leave. */
export function TextStyleChoice({
  site,
  target,
  slot,
  styles,
}: {
  site: Site;
  target: StyleTarget;
  slot: Slot;
  styles: Styles;
}) {
  const commit = useCommit();
  const value = styles[slot];
  return (
    <div className="grid grid-cols-[104px_1fr] items-center gap-x-1.5 pb-1">
      <span className={value ? '' : 'text-muted'}>Text style</span>
      <Select
        hideLabel
        label="Text style"
        value={value?.type === 'textStyle' ? value.style : ''}
        options={[
          { value: '', label: 'None set here' },
          ...[...site.kinds.textStyle.values()]
            .sort(byOrder)
            .map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={style =>
          commit(
            setSlot(site, target, slot, style === '' ? null : { type: 'textStyle', style }),
            'Choose a text style',
          )
        }
      />
    </div>
  );
}
