import { type Color, distance, leastShift } from '../../color/index.ts';
import type { Status } from '../../roles/index.ts';
import { groupsByName, hueApart, STATUS_HUES } from '../purposes.ts';
import type { Choice, SchemeDraft } from './draft.ts';
import { HARDLY, least } from './measures.ts';
import { apart, type Paint } from './palette.ts';

const FRESH_STATUS = { lightness: 0.55, chroma: 0.12 };

export function ownSign(draft: SchemeDraft, status: Status): Paint | undefined {
  const own = draft.choices.filter(it => it.purpose === status);
  return least(own, it => hueApart(it.hue, STATUS_HUES[status]) + (it.op === null ? 0 : 60) - it.chroma * 10);
}

export function signOf(draft: SchemeDraft, status: Status): Paint {
  const found = ownSign(draft, status);
  if (found) return found;
  const { lightness, chroma } = FRESH_STATUS;
  const color: Color = { space: 'oklch', coords: [lightness, chroma, STATUS_HUES[status]], alpha: 1 };
  const group = [...groupsByName(draft.groups).values()].find(it => it.purpose === status)?.name ?? 'Status';
  const name = status.charAt(0).toUpperCase() + status.slice(1);
  return draft.make(name, group, status, null, { type: 'color', value: color }, color);
}

export function bindStatusTexts(draft: SchemeDraft, status: Status): void {
  const sign = signOf(draft, status);
  const among = (role: string): Choice => {
    const own = draft.choices.filter(it => it.purpose === status && draft.passes(it.levels, [role]));
    const found = least(own, it => apart(it, sign));
    // Not a pale ground of the other face, where the sign itself can be moved to less far away.
    const moved = leastShift(draft.rootOf(sign).color, it => draft.passes(draft.levels(it), [role]));
    const far = moved ? distance(moved, sign.color) : Number.POSITIVE_INFINITY;
    return found && apart(found, sign) <= far + HARDLY ? [found, 'fits'] : draft.legible(sign, [role]);
  };
  const text = draft.bind(`${status}Text`, () => among(`${status}Text`));
  draft.bind(`${status}Line`, () =>
    draft.passes(sign.levels, [`${status}Line`]) ? [sign, 'fits'] : draft.legible(text, [`${status}Line`]),
  );
}
