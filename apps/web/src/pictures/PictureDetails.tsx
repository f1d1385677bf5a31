import { type AssetRecord, editOf, type Id, nameOf, ok, type Site } from '@cove/core';
import { useRef } from 'react';
import { useGo } from '../navigation/go.ts';
import { useCommit, useSession } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { Button } from '../ui/Button.tsx';
import { type Focus, FocusPlane } from '../ui/FocusPlane.tsx';
import { NameField } from '../ui/NameField.tsx';
import { TypedField } from '../ui/TypedField.tsx';
import { PICTURE_TYPES } from './usePictureUpload.ts';

const MIDDLE = { x: 50, y: 50 };
/** Where something is used, as far as it is listed. */
const LISTED = 12;

/** One picture of the library: its name and words, where it is used, and what can be done with it. */
export function PictureDetails({
  site,
  picture,
  uses,
  busy,
  onReplace,
  onRemove,
  onChoose,
  onGone,
}: {
  site: Site;
  picture: AssetRecord;
  uses: readonly Id[];
  busy: boolean;
  onReplace(file: File): void;
  onRemove(): void;
  /** Null where none is to be chosen. */
  onChoose: (() => void) | null;
  /** Called when a use is gone to. */
  onGone(): void;
}) {
  const session = useSession();
  const commit = useCommit();
  const go = useGo();
  const mayContent = useMay('content');
  const mayGuide = useMay('guide');
  const file = useRef<HTMLInputElement>(null);
  const edit = editOf(picture);
  const url = `/api/sites/${session.id}/assets/${picture.file}`;
  const { focus = MIDDLE } = picture;
  const focusAt = ({ x, y }: Focus) => edit.set('focus', { x: Math.round(x * 100), y: Math.round(y * 100) });
  return (
    <section aria-label={picture.name} className="thin-scroll flex min-h-0 flex-col gap-2 overflow-auto">
      {mayContent ? (
        <div
          className="mx-auto w-full"
          style={{ maxWidth: `calc(10rem * ${picture.width / picture.height})` }}
        >
          <FocusPlane
            label={`Focus of ${picture.name}`}
            url={url}
            ratio={picture.width / picture.height}
            focus={{ x: focus.x / 100, y: focus.y / 100 }}
            onShow={to => session.show([focusAt(to)])}
            onCommit={to => commit([focusAt(to)], `Set the focus of ${picture.name}`)}
            onCancel={() => session.show(null)}
          />
          <p className="pt-1 text-small text-muted">
            The point stays in view wherever the picture is cropped.{' '}
            {picture.focus && (
              <Button
                kind="link"
                className="h-auto! text-small"
                onClick={() => commit([edit.unset('focus')], `Reset the focus of ${picture.name}`)}
              >
                Reset to the middle
              </Button>
            )}
          </p>
        </div>
      ) : (
        <img
          src={url}
          alt={picture.alt || picture.name}
          className="max-h-40 w-full rounded-sm border border-hair bg-ground object-contain"
        />
      )}
      <p className="font-mono text-[11px] text-muted">
        {picture.width} × {picture.height} px,{' '}
        {picture.mime.replace('image/', '').replace('+xml', '').toUpperCase()}
      </p>
      {onChoose && (
        <Button kind="main" onClick={onChoose}>
          Use this picture
        </Button>
      )}
      {mayContent && (
        <>
          <NameField
            label="Name of the picture"
            name={picture.name}
            onRename={name => commit([edit.set('name', name)], `Rename ${picture.name}`)}
          />
          <TypedField
            label="Alt text"
            mono={false}
            text={picture.alt}
            className="[&_input]:border-hair"
            parse={text => ok(text.trim().slice(0, 500))}
            onCommit={alt => commit([edit.set('alt', alt)], `Describe ${picture.name}`)}
          />
        </>
      )}
      <h3 className="label-line pt-1">
        {uses.length === 0 ? 'Not used' : `Used ${uses.length === 1 ? 'once' : `${uses.length} times`}`}
      </h3>
      <ul className="grid justify-items-start">
        {uses.slice(0, LISTED).map(id => (
          <li key={id} className="max-w-full">
            <Button
              kind="link"
              className="h-5! max-w-full truncate"
              onClick={() => {
                onGone();
                go(id);
              }}
            >
              {nameOf(site, id)}
            </Button>
          </li>
        ))}
        {uses.length > LISTED && <li className="text-muted">and {uses.length - LISTED} more</li>}
      </ul>
      {mayGuide && (
        <div className="mt-auto flex gap-2 border-t border-hair pt-2">
          <input
            ref={file}
            type="file"
            accept={PICTURE_TYPES}
            aria-label="Other picture, file"
            className="sr-only"
            tabIndex={-1}
            onChange={event => {
              const [other] = event.target.files ?? [];
              if (file.current) file.current.value = '';
              if (other) onReplace(other);
            }}
          />
          <Button kind="line" disabled={busy} onClick={() => file.current?.click()}>
            Replace everywhere…
          </Button>
          <Button
            disabled={uses.length > 0}
            title={uses.length > 0 ? 'It is used. Take it away there first.' : undefined}
            onClick={onRemove}
          >
            Delete
          </Button>
        </div>
      )}
    </section>
  );
}
