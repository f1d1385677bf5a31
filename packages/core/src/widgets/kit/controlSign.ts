import type { Content } from '../../content/index.ts';
import { iconOf } from './icon.ts';
import { type MarkupContext, svg, type VElement } from './markup.ts';

const drawn = (d: string) => ({
  width: 24,
  height: 24,
  paths: [{ d, fill: 'none', stroke: 'currentcolor', width: null }],
});
const DRAWN = {
  before: drawn('M15 5l-7 7 7 7'),
  after: drawn('M9 5l7 7-7 7'),
  below: drawn('M6 9l6 6 6-6'),
  menu: drawn('M4 7h16M4 12h16M4 17h16'),
  close: drawn('M6 6l12 12M18 6L6 18'),
  pause: drawn('M9 6v12M15 6v12'),
  play: drawn('M8 5l11 7-11 7z'),
} as const;

/** The sign on a control: a mark of the brand where one was chosen, else one that is drawn, in any colour of the scheme. */
export const controlSign = (
  part: string,
  which: keyof typeof DRAWN,
  chosen: Content | undefined,
  context: MarkupContext,
): VElement => iconOf(part, chosen, context) ?? svg(part, DRAWN[which]);

/** What leads back or on points the other way where a page is read from right to left. */
export const mirrored = (part: string): string => `:where([dir=rtl] .${part}){transform:scaleX(-1)}`;
