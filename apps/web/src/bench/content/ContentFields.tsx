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
import { ChoiceControl } from './ChoiceControl.tsx';
import type { ContentControl } from './contentControl.ts';
import { IconControl } from './IconControl.tsx';
import { LinkControl } from './LinkControl.tsx';
import { PlainControl } from './PlainControl.tsx';
import { RichControl } from './RichControl.tsx';

/** The control of each type of content. */
const CONTROLS: { readonly [T in ContentTypeName]: ComponentType<ContentControl<ContentFieldOf<T>>> } = {
  asset: AssetControl,
  choice: ChoiceControl,
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
  const { content: fields, label } = elementNamed(widget.widget);
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
    </div>
  );
}
