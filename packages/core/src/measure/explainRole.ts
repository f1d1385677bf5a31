import { printRatio } from '../color/index.ts';
import { PURPOSE_LABELS, purposeOf, roleIn } from '../guide/index.ts';
import type { Id, Site, TokenRecord } from '../site/index.ts';
import { roleContrasts, tightest } from './contrast.ts';

const followed = (site: Site, { value }: TokenRecord): TokenRecord | undefined =>
  value.type === 'derived' ? site.kinds.token.get(value.derivation.from[0] ?? '') : undefined;

/** Why a role of a scheme is bound as it is, in one line with the figures of now; null where it falls back on another role. */
export function explainRole(site: Site, schemeId: Id, name: string): string | null {
  const scheme = site.kinds.scheme.get(schemeId);
  const bound = scheme && Object.hasOwn(scheme.roles, name) ? scheme.roles[name] : undefined;
  const swatch = bound?.type === 'token' ? site.kinds.token.get(bound.token) : undefined;
  if (!scheme || !swatch) return null;
  const pair = tightest(roleContrasts(site, schemeId, name));
  const figure = pair
    ? `${printRatio(pair.ratio)} on ${roleIn(site, pair.on)?.label.toLowerCase() ?? pair.on}, at least ${pair.wanted} needed`
    : null;
  const explain = (text: string) => (figure ? `${text}: ${figure}.` : `${text}.`);
  const of = followed(site, swatch);
  const reason = Object.hasOwn(scheme.solved ?? {}, name) ? scheme.solved?.[name] : undefined;
  switch (reason) {
    case undefined:
      return explain('Set by hand; solving again leaves it');
    case 'asked':
      return explain('Chosen for this scheme');
    case 'fits': {
      const { purpose } = purposeOf(site, swatch);
      return explain(`The ${PURPOSE_LABELS[purpose].toLowerCase()} swatch that fits best`);
    }
    case 'moved':
      return explain(of ? `${of.name}, moved in lightness so that it reads` : 'Moved in lightness');
    case 'follows':
      return explain(of ? `A step from ${of.name}, which it follows` : 'A step from another colour');
    case 'shared':
      return explain(
        `The same as ${sharedWith(site, schemeId, name) ?? 'another role'}, so that one edit changes both`,
      );
    case 'made':
      return explain('The palette has no swatch of this purpose, so one was made');
  }
}

/** The role before this one in the table that shows the same swatch. */
function sharedWith(site: Site, scheme: Id, name: string): string | undefined {
  const roles = site.kinds.scheme.get(scheme)?.roles ?? {};
  const idOf = (role: string): Id | undefined => {
    const value = Object.hasOwn(roles, role) ? roles[role] : undefined;
    return value?.type === 'token' ? value.token : undefined;
  };
  const own = idOf(name);
  const first = ['mainFill', ...Object.keys(roles)].find(role => role !== name && idOf(role) === own);
  return first && roleIn(site, first)?.label.toLowerCase();
}
