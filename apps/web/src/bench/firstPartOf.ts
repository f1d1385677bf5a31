import { type Id, PART_KINDS, PRESET_USES, parseSlot, presetStyles, type Site } from '@cove/core';

/** The outermost part, or kind of part, that a preset says something of. */
export function firstPartOf(site: Site, preset: Id): string {
  const said = new Set(Object.keys(presetStyles(site, preset).styles).map(slot => parseSlot(slot)?.part));
  const use = site.kinds.preset.get(preset)?.use;
  const parts = use ? Object.keys(PRESET_USES[use].parts) : PART_KINDS;
  return parts.find(it => said.has(it)) ?? parts[0] ?? 'box';
}
