import {
  type ContentFieldOf,
  type ContentTypeName,
  editOf,
  elementNamed,
  type Site,
  type WidgetRecord,
} from '@cove/core';
import type { ComponentType } from 'react';
import { useCommit } from '../../session/context.tsx';
import { AssetControl } from './AssetControl.tsx';
import { CellsControl } from './CellsControl.tsx';
import { ChoiceControl } from './ChoiceControl.tsx';
import { ColumnsControl } from './ColumnsControl.tsx';
import type { ContentControl } from './contentControl.ts';
import { Entries } from './Entries.tsx';
import { IconControl } from './IconControl.tsx';
import { LinkControl } from './LinkControl.tsx';
import { PlainControl } from './PlainControl.tsx';
import { RichControl } from './RichControl.tsx';

/** The control of each type of content. */
const CONTROLS: { readonly [T in ContentTypeName]: ComponentType<ContentControl<ContentFieldOf<T>>> } = {
  asset: AssetControl,
  cells: CellsControl,
  choice: ChoiceControl,
  columns: ColumnsControl,
  icon: IconControl,
  link: LinkControl,
  plain: PlainControl,
  rich: RichControl,
};

function Control<T extends ContentTypeName>({
  type,
  ...props
}: { type: T } & ContentControl<ContentFieldOf<T>>) {
  const Chosen: ComponentType<ContentControl<ContentFieldOf<T>>> = CONTROLS[type];
  return <Chosen {...props} />;
}

/** What a widget says and shows. */
export function ContentFields({
  site,
  widget,
  askedForWords,
}: {
  site: Site;
  widget: WidgetRecord;
  askedForWords: number;
}) {
  const commit = useCommit();
  const { content: fields, label, accepts = [] } = elementNamed(widget.widget);
  // The rows of a table are written in its grid.
  const isTable = Object.values(fields).some(it => it.type === 'columns');
  return (
    <div className="grid gap-2">
      {Object.entries(fields).map(([name, field]) => (
        <Control
          key={name}
          type={field.type}
          site={site}
          widget={widget}
          field={field}
          value={widget.content[name] ?? null}
          askedForWords={askedForWords}
          onChange={(value, since) =>
            commit([editOf(widget).setIn('content', name, value)], `Edit ${label.toLowerCase()}`, since)
          }
        />
      ))}
      {accepts.length > 0 && !isTable && <Entries site={site} holder={widget} />}
    </div>
  );
}
