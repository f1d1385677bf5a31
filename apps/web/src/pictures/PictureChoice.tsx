import { type Id, picturesOf, type Site } from '@cove/core';
import { useRef } from 'react';
import { useSession } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { ActMenu } from '../ui/ActMenu.tsx';
import { Button } from '../ui/Button.tsx';
import { Select } from '../ui/Select.tsx';
import { usePictureUpload } from './usePictureUpload.ts';

/** A picture of the site, seen; or one that is added here and now. */
export function PictureChoice({
  site,
  label,
  chosen,
  none = 'None',
  act = false,
  onChoose,
}: {
  site: Site;
  label: string;
  chosen: Id | null;
  /** What choosing none is called. */
  none?: string;
  /** Something is done with each that is chosen, and none of them stays so. */
  act?: boolean;
  onChoose(id: Id | null): void;
}) {
  const session = useSession();
  const may = useMay('content');
  const picker = useRef<HTMLInputElement>(null);
  const { upload, busy, problems } = usePictureUpload();
  const pictures = picturesOf(site).map(it => ({ value: it.id, label: it.name }));
  const picture = chosen === null ? undefined : site.kinds.asset.get(chosen);
  return (
    <div className="grid gap-1">
      {act ? (
        <ActMenu label={label} options={pictures} onChoose={onChoose} />
      ) : (
        <Select
          label={label}
          value={chosen ?? ''}
          options={[{ value: '', label: none }, ...pictures]}
          onChange={id => onChoose(id === '' ? null : id)}
        />
      )}
      {picture && (
        <img
          src={`/api/sites/${session.id}/assets/${picture.file}`}
          alt={picture.alt || picture.name}
          className="max-h-24 w-full rounded-sm border border-hair object-cover"
        />
      )}
      {may && (
        <p>
          <input
            ref={picker}
            type="file"
            accept="image/jpeg,image/png,image/webp,image/avif,image/gif,image/tiff"
            aria-label={`${label}, file`}
            className="sr-only"
            tabIndex={-1}
            onChange={async event => {
              const [id] = await upload(event.target.files ?? []);
              if (picker.current) picker.current.value = '';
              if (id !== undefined) onChoose(id);
            }}
          />
          <Button
            kind="link"
            className="h-5! text-small"
            disabled={busy !== null}
            onClick={() => picker.current?.click()}
          >
            {busy === null ? 'Add a picture…' : `Reading ${busy}…`}
          </Button>
        </p>
      )}
      {problems.map(problem => (
        <p key={problem} role="alert" className="text-small text-madder">
          {problem}
        </p>
      ))}
    </div>
  );
}
