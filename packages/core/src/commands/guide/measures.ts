import { fail, ok, type Result } from '../../result/index.ts';
import { type Edit, editOf, type Site, settingsOf } from '../../site/index.ts';
import { printSlot, type Width } from '../../slots/index.ts';
import type { Value } from '../../values/index.ts';
import { setSlots } from '../styles/styles.ts';

/** Viewport widths in px that fluid sizes may grow between. */
const FLUID_LIMITS = { least: 200, most: 4000 } as const;

/** Sets the viewport widths between which every fluid size grows, in whole px. */
export function setFluidRange(site: Site, range: { from: number; to: number }): Result<Edit[]> {
  const { least, most } = FLUID_LIMITS;
  const said = (px: number): Result<null> =>
    Number.isInteger(px) && px >= least && px <= most
      ? ok(null)
      : fail({
          code: 'out-of-range',
          message: `Enter a viewport width from ${least} to ${most} px.`,
          found: String(px),
          expected: `${least} to ${most}`,
        });
  for (const px of [range.from, range.to]) {
    const checked = said(px);
    if (!checked.ok) return checked;
  }
  if (range.from >= range.to)
    return fail({
      code: 'out-of-range',
      message: `Sizes grow from the narrower to the wider viewport: ${range.from} has to be less than ${range.to}.`,
      found: String(range.from),
      expected: `less than ${range.to}`,
    });
  const settings = settingsOf(site);
  const edit = editOf(settings);
  return ok([
    ...(settings.fluidFrom === range.from ? [] : [edit.set('fluidFrom', range.from)]),
    ...(settings.fluidTo === range.to ? [] : [edit.set('fluidTo', range.to)]),
  ]);
}

/** Elements that reach across the page, and keep its margin at their sides. */
const ACROSS = ['section', 'header', 'footer'] as const;

/** Sets how far the content of a page stays from its sides at a width; null takes away what was set. */
export const setSideMargin = (site: Site, width: Width, value: Value | null): Edit[] =>
  ACROSS.flatMap(element =>
    setSlots(
      site,
      { type: 'default', element, place: null },
      Object.fromEntries(
        (['paddingLeft', 'paddingRight'] as const).map(property => [
          printSlot({ part: 'box', state: 'rest', width, property }),
          value,
        ]),
      ),
    ),
  );
