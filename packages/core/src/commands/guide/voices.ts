import { familyIn } from '../../guide/index.ts';
import { type Edit, editOf, type Site, type TokenRecord } from '../../site/index.ts';
import type { Family, Pairing } from '../../type/index.ts';
import type { Value } from '../../values/index.ts';
import { addToken } from '../tokens/tokens.ts';

/** A voice that speaks with a family, and with the generic one where it cannot be had. */
export const familyValue = ({ name, generic }: Family): Value & { type: 'fontFamily' } => ({
  type: 'fontFamily',
  value: name === generic ? [name] : [name, generic],
});

/** Lets a voice speak with a family. */
export const speakWith = (voice: TokenRecord, family: Family): Edit =>
  editOf(voice).set('value', familyValue(family));

/**
 * Lets the voices for headings, text and accents speak with the families of a pairing; one that the guide has not is added.
 * A family that is not at hand is left out.
 */
export function takePairing(site: Site, { heading, text, accent }: Pairing): Edit[] {
  const voices = [...site.kinds.token.values()].filter(it => it.type === 'fontFamily');
  const group = voices[0]?.group ?? 'Voices';
  const wanted = [
    ['Heading', heading],
    ['Text', text],
    ['Accent', accent],
  ] as const;
  return wanted.flatMap(([name, named]): Edit[] => {
    const family = named === null ? undefined : familyIn(site, named);
    if (!family) return [];
    const voice = voices.find(it => it.name === name);
    if (voice) return [speakWith(voice, family)];
    return addToken(site, { type: 'fontFamily', group, name, value: familyValue(family) }).edits;
  });
}
