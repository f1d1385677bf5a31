import type { SiteBuilder } from '../build.ts';

/** Colours, voices, sizes and what else the line's guide has names for. */
export function foundations(b: SiteBuilder): void {
  b.token('color', 'hull', 'Brand', 'Hull', '#2a3a5f');
  b.token('color', 'heather', 'Brand', 'Heather', '#61356c');
  b.token('color', 'lamp', 'Brand', 'Lamp', 'oklch(0.84 0.155 88)', 'accent');
  b.token('color', 'rope', 'Brand', 'Rope', '#6f3b8c', 'action');
  b.token('color', 'foam', 'Neutral', 'Foam', '#f5fbff');
  b.token('color', 'fog', 'Neutral', 'Fog', '#d6e6f0');
  b.token('color', 'mist', 'Neutral', 'Mist', '#c9d5e3');
  b.token('color', 'night', 'Neutral', 'Night', '#141c30');
  b.token('color', 'slate', 'Neutral', 'Slate', 'mix({color.brand.hull}, {color.neutral.fog}, 25%)');
  b.token('color', 'hull-deep', 'Brand', 'Hull deep', 'shade({color.brand.hull}, 25%)');
  b.token('color', 'lamp-pale', 'Brand', 'Lamp pale', 'tint({color.brand.lamp}, 40%)');
  b.token('color', 'rope-deep', 'Brand', 'Rope deep', 'shade({color.brand.rope}, 25%)');
  b.token('color', 'heather-deep', 'Brand', 'Heather deep', 'shade({color.brand.heather}, 30%)');
  b.token('color', 'heather-pale', 'Brand', 'Heather pale', 'tint({color.brand.heather}, 82%)');
  b.token('color', 'calm', 'Status', 'Calm', '#2f7d46');
  b.token('color', 'squall', 'Status', 'Squall', '#946200');
  b.token('color', 'gale', 'Status', 'Gale', '#b02a37');
  b.token('color', 'tide', 'Status', 'Tide', '#2b62a8');
  for (const [id, name] of [
    ['calm', 'Calm'],
    ['squall', 'Squall'],
    ['gale', 'Gale'],
    ['tide', 'Tide'],
  ] as const) {
    b.token('color', `${id}-pale`, 'Status', `${name} pale`, `tint({color.status.${id}}, 88%)`);
    b.token('color', `${id}-deep`, 'Status', `${name} deep`, `shade({color.status.${id}}, 22%)`);
    b.token('color', `${id}-dark`, 'Status', `${name} dark`, `shade({color.status.${id}}, 62%)`);
    b.token('color', `${id}-light`, 'Status', `${name} light`, `tint({color.status.${id}}, 62%)`);
  }
  b.token('fontFamily', 'display', 'Voices', 'Heading', 'Bricolage Grotesque, sans-serif');
  b.token('fontFamily', 'body', 'Voices', 'Text', 'Literata, serif');
  b.token('fontFamily', 'code', 'Voices', 'Code', 'ui-monospace, monospace');
  b.token('dimension', 'base', 'Text', 'Base', '1rem .. 1.125rem');
  b.token('number', 'ratio', 'Text', 'Ratio', '1.25');
  for (const [id, name, step] of [
    ['small', 'Small', -1],
    ['large', 'Large', 1],
    ['step-2', 'Step 2', 2],
    ['step-3', 'Step 3', 3],
    ['step-4', 'Step 4', 4],
    ['step-5', 'Step 5', 5],
  ] as const)
    b.token('dimension', id, 'Text', name, `step({size.text.base}, {number.text.ratio}, ${step})`);
  b.token('dimension', 'space-1', 'Space', 'One', '0.5rem');
  for (const [id, name, factor] of [
    ['space-2', 'Two', 2],
    ['space-3', 'Three', 3],
    ['space-4', 'Four', 4],
    ['space-6', 'Six', 6],
  ] as const)
    b.token('dimension', id, 'Space', name, `times({size.space.one}, ${factor})`);
  b.token('dimension', 'pad-snug', 'Section padding', 'Snug', '1.5rem .. 2.5rem');
  b.token('dimension', 'pad-fair', 'Section padding', 'Fair', '2.5rem .. 4.5rem');
  b.token('dimension', 'pad-roomy', 'Section padding', 'Roomy', '3.5rem .. 7rem');
  b.token('dimension', 'page-width', 'Page', 'Width', '68rem');
  b.token('dimension', 'measure', 'Page', 'Text measure', '38rem');
  b.token('dimension', 'corner-small', 'Corners', 'Small', '6px');
  b.token('dimension', 'corner-card', 'Corners', 'Card', '10px');
  b.token('dimension', 'line-hair', 'Lines', 'Hair', '1px');
  b.token('dimension', 'line-rope', 'Lines', 'Rope', '2px');
  b.token('shadow', 'lift', 'Shadows', 'Lift', '0 6px 20px -6px {color.neutral.night}');
  b.token('duration', 'quick', 'Motion', 'Quick', '140ms');
  b.token('duration', 'calm-pace', 'Motion', 'Slow', '400ms');
  b.token('cubicBezier', 'ashore', 'Motion', 'Ashore', 'cubic-bezier(0.2, 0, 0, 1)');
}
