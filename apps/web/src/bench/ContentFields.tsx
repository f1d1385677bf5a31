import {
  addWithin,
  byOrder,
  type Content,
  elementNamed,
  fail,
  ICON_NAMES,
  isRichText,
  type LinkTarget,
  ok,
  parseLink,
  picturesOf,
  readLink,
  type Site,
  type WidgetRecord,
} from '@cove/core';
import { lazy, Suspense, useRef } from 'react';
import { toast } from 'sonner';
import { PictureChoice } from '../pictures/PictureChoice.tsx';
import { useCommit, useSession } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { useGo } from '../shell/go.ts';
import { NoteField } from '../ui/NoteField.tsx';
import { Select } from '../ui/Select.tsx';
import { TypedField } from '../ui/TypedField.tsx';
import { FileLink } from './FileLink.tsx';
import { linkChoices, optionOf, targetOf } from './linkChoices.ts';

/** The editor is the heaviest part of the bench, so it comes when words are there to be edited. */
const RichField = lazy(async () => ({ default: (await import('../writing/RichField.tsx')).RichField }));

const printLink = (link: LinkTarget | null): string => {
  switch (link?.type) {
    case 'url':
      return link.href;
    case 'mail':
      return link.address;
    case 'phone':
      return link.number;
    default:
      return '';
  }
};

function LinkField({
  site,
  label,
  link,
  onChange,
}: {
  site: Site;
  label: string;
  link: LinkTarget | null;
  onChange(link: LinkTarget | null): void;
}) {
  const page = optionOf(link);
  const asked = useRef<{ ask(): void }>(null);
  return (
    <div className="grid gap-1">
      <Select
        label={label}
        value={page || (link ? 'away' : '')}
        options={[
          { value: '', label: 'Nowhere' },
          ...linkChoices(site),
          { value: 'file', label: 'A file …' },
          { value: 'away', label: 'Somewhere else …' },
        ]}
        onChange={value => {
          if (value === 'file') asked.current?.ask();
          else
            onChange(
              value === ''
                ? null
                : value === 'away'
                  ? { type: 'url', href: 'https://tolvane.example/' }
                  : targetOf(value),
            );
        }}
      />
      <FileLink ref={asked} onFile={asset => onChange({ type: 'file', asset })} />
      {link && page === '' && (
        <TypedField
          label="Address"
          hideLabel
          text={printLink(link)}
          parse={text => {
            const target = parseLink(text);
            return target
              ? ok(target)
              : fail({
                  code: 'bad-link',
                  message:
                    'Write an address that begins with https://, a mail address, or a telephone number.',
                });
          }}
          onCommit={onChange}
        />
      )}
    </div>
  );
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
  const session = useSession();
  const go = useGo();
  const mayChoose = useMay('choice');
  const { content: fields, label } = elementNamed(widget.widget);
  const putPicture = (before: number) => {
    const made = addWithin(session.site, widget.id, before, 'picture');
    if (!made.ok) toast.error(made.problem.message);
    else if (commit(made.value.edits, 'Put a picture between paragraphs')) go(made.value.id);
  };
  const set = (field: string, value: Content, since?: number) =>
    commit(
      [{ op: 'set', id: widget.id, path: ['content', field], value }],
      `Edit ${label.toLowerCase()}`,
      since,
    );
  return (
    <div className="grid gap-2">
      {Object.entries(fields).map(([name, field]) => {
        const value = widget.content[name] ?? null;
        switch (field.type) {
          case 'plain':
            if (field.long)
              return (
                <NoteField
                  key={name}
                  label={field.label}
                  text={typeof value === 'string' ? value : ''}
                  placeholder=""
                  onCommit={text => set(name, text)}
                />
              );
            return (
              <TypedField
                key={name}
                label={field.label}
                text={typeof value === 'string' ? value : ''}
                mono={false}
                parse={text => ok(text)}
                onCommit={text => set(name, text)}
                className="[&_input]:border-hair"
              />
            );
          case 'rich':
            return (
              <Suspense
                key={`${widget.id} ${name}`}
                fallback={<p className="text-muted">Opening the words …</p>}
              >
                <RichField
                  node={widget.id}
                  askedFor={askedForWords}
                  label={field.label}
                  value={isRichText(value) ? value : []}
                  onChange={(text, since) => set(name, text, since)}
                  onPicture={field.parts && mayChoose ? putPicture : null}
                />
              </Suspense>
            );
          case 'link':
            return (
              <LinkField
                key={name}
                site={site}
                label={field.label}
                link={readLink(value)}
                onChange={link => set(name, link)}
              />
            );
          case 'asset':
            return (
              <PictureChoice
                key={name}
                site={site}
                label={field.label}
                chosen={typeof value === 'string' ? value : null}
                onChoose={id => set(name, id)}
              />
            );
          case 'icon':
            return (
              <div key={name}>
                <Select
                  label={field.label}
                  value={typeof value === 'string' ? value : ''}
                  options={[
                    { value: '', label: 'None' },
                    ...[...site.kinds.drawing.values()]
                      .sort(byOrder)
                      .map(it => ({ value: it.id, label: `${it.name} (own)` })),
                    ...ICON_NAMES.map(it => ({ value: it, label: it })),
                    ...picturesOf(site).map(it => ({
                      value: it.id,
                      label: `${it.name} (picture)`,
                    })),
                  ]}
                  onChange={id => set(name, id === '' ? null : id)}
                />
                {typeof value === 'string' && site.kinds.asset.has(value) && (
                  <p role="note" className="mt-0.5 text-small text-madder">
                    A picture of pixels: it keeps its own colours on every scheme and blurs where it is drawn
                    larger. An SVG under Icons and marks would not.
                  </p>
                )}
              </div>
            );
          case 'choice':
            return (
              <Select
                key={name}
                label={field.label}
                value={String(value ?? '')}
                options={field.options.map(option => ({ value: String(option), label: String(option) }))}
                onChange={text => set(name, field.options.find(option => String(option) === text) ?? null)}
              />
            );
          default:
            return null;
        }
      })}
    </div>
  );
}
