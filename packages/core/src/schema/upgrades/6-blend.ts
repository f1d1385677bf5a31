import { parseDeclarationKey, printDeclarationKey } from '../../site/declaration.ts';
import { isObject } from '../../site/fields.ts';
import type { Raw, RawFieldEdit, Upgrade } from '../upgrade.ts';

/** What blends, as schema 6 takes it: the modes of Compositing and Blending Level 1, section 10. */
const MODES = new Set(
  'normal multiply screen overlay darken lighten color-dodge color-burn hard-light soft-light difference exclusion hue saturation color luminosity'.split(
    ' ',
  ),
);

/** The slot that a declaration is since; null for any other declaration. */
function slotOf(key: string): string | null {
  const at = parseDeclarationKey(key);
  if (at?.css !== 'mix-blend-mode') return null;
  return printDeclarationKey({ ...at, css: 'blend' });
}

const modeIn = (text: unknown): Raw | null =>
  typeof text === 'string' && MODES.has(text.trim()) ? { type: 'keyword', value: text.trim() } : null;

/** Declarations that stay, and what the others are as styles. */
function parted(declarations: Raw): { stay: Raw; styles: Raw } | null {
  const entries = Object.entries(declarations);
  if (!entries.some(([key]) => slotOf(key) !== null)) return null;
  const stay = entries.filter(([key]) => slotOf(key) === null);
  const styles = entries.flatMap(([key, text]): [string, Raw][] => {
    const slot = slotOf(key);
    const value = modeIn(text);
    return slot !== null && value ? [[slot, value]] : [];
  });
  return { stay: Object.fromEntries(stay), styles: Object.fromEntries(styles) };
}

const set = (id: string, slot: string, value: Raw): RawFieldEdit => ({
  op: 'set',
  id,
  path: ['styles', slot],
  value,
});

/** Nothing else of schema 5 reads otherwise; a program of schema 5 knows no grounds, treatments or what stands in for a preset. */
export const blend: Upgrade = {
  to: 6,
  about: 'Blending is followed: a declaration of it is a style since, and presets can be made for a use.',
  record(record) {
    const { declarations, ...rest } = record;
    const parts = isObject(declarations) ? parted(declarations) : null;
    if (!parts) return [record];
    const styles = { ...parts.styles, ...(isObject(record.styles) ? record.styles : {}) };
    const stays = Object.keys(parts.stay).length > 0;
    return [{ ...rest, styles, ...(stays && { declarations: parts.stay }) }];
  },
  edit(edit) {
    const [field, key] = edit.path;
    if (field !== 'declarations') return [edit];
    if (key !== undefined) {
      const slot = slotOf(key);
      if (slot === null) return [edit];
      if (edit.op === 'unset') return [{ ...edit, path: ['styles', slot] }];
      const value = modeIn(edit.value);
      return value ? [set(edit.id, slot, value)] : [];
    }
    const parts = isObject(edit.value) ? parted(edit.value) : null;
    if (!parts) return [edit];
    const { id } = edit;
    const stays: RawFieldEdit =
      Object.keys(parts.stay).length > 0
        ? { ...edit, value: parts.stay }
        : { op: 'unset', id, path: edit.path };
    return [
      stays,
      ...Object.entries(parts.styles).flatMap(([slot, value]) =>
        isObject(value) ? [set(id, slot, value)] : [],
      ),
    ];
  },
};
