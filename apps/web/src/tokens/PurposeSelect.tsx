import {
  editOf,
  PURPOSE_HINTS,
  PURPOSE_LABELS,
  PURPOSES,
  purposeOf,
  type Site,
  type TokenRecord,
} from '@cove/core';
import { useCommit } from '../session/context.tsx';
import { Select } from '../ui/Select.tsx';

const KNOWN_FROM = {
  swatch: 'set here',
  group: 'from its group',
  followed: 'from what it follows',
  name: 'from its name',
  color: 'from its colour',
} as const;

/** What a swatch is for: as it was set, or as it is known otherwise. */
export function PurposeSelect({ site, token }: { site: Site; token: TokenRecord }) {
  const commit = useCommit();
  const { purpose: _, ...unset } = token;
  const otherwise = purposeOf(site, unset);
  const known = purposeOf(site, token);
  return (
    <div>
      <Select
        label="Purpose"
        value={token.purpose ?? ''}
        options={[
          { value: '', label: `${PURPOSE_LABELS[otherwise.purpose]} (${KNOWN_FROM[otherwise.from]})` },
          ...PURPOSES.map(it => ({ value: it, label: PURPOSE_LABELS[it] })),
        ]}
        onChange={value =>
          commit(
            [editOf(token).put('purpose', PURPOSES.find(it => it === value) ?? null)],
            `Change the purpose of ${token.name}`,
          )
        }
      />
      <p className="text-small text-muted">{PURPOSE_HINTS[known.purpose]}</p>
    </div>
  );
}
