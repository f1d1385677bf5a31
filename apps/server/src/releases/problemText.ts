import type { Unrenderable } from '@cove/core';

const SHOWN = 3;

/** What could not be rendered, in words. */
export function problemText(problems: readonly Unrenderable[]): string {
  const said = problems.slice(0, SHOWN).map(({ name, title, reason }) => `${name} on ${title}: ${reason}`);
  const more = problems.length - said.length;
  return [...said, ...(more > 0 ? [`And ${more} more.`] : [])].join(' ');
}
